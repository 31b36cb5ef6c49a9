import { shopContracts, stockContracts, planContracts, type ShopCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { startTestApp, type TestApp } from '../../test/test-app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startTestApp();
});
afterAll(() => t.close());

const run = (command: ShopCommand, client = 'test') =>
  t.ask(shopContracts.changeShop, { body: { key: randomUUID(), commands: [command] } }, client);
const WASHER = 'washer copper 14 × 18 × 1.5';
const HOSE = 'hose-ptfe-10';

describe('a price list', () => {
  const SUPPLIER = '22222222-2222-4222-8222-222222222222';
  beforeAll(() =>
    run({
      do: 'add-supplier',
      id: SUPPLIER,
      supplier: { name: 'List supplier', currency: 'EUR', euros: 1, carriageMinor: 0, leadDays: 3 },
    }),
  );
  const preview = async (csv: string, mapping?: Record<string, number>) =>
    (await t.ask(stockContracts.previewOffers, { body: { supplierId: SUPPLIER, csv, ...(mapping ? { mapping } : {}) } })).body;
  const take = async (csv: string) => {
    const { mapping } = await preview(csv);
    return t.ask(stockContracts.importOffers, { body: { key: randomUUID(), supplierId: SUPPLIER, csv, mapping } });
  };

  it('keeps a supplier that has offers, whoever takes their own change back', async () => {
    const client = 'supplier-maker';
    const id = randomUUID();
    const terms = { name: 'Short lived', currency: 'EUR' as const, euros: 1, carriageMinor: 0, leadDays: 1 };
    await run({ do: 'add-supplier', id, supplier: terms }, client);
    const offer = { supplierId: id, holds: [{ part: WASHER, quantity: 1 }], prices: [{ fromPacks: 1, packMinor: 9 }] };
    await run({ do: 'add-offer', offer });
    const { status, body } = await t.ask(shopContracts.undoShop, { body: { key: randomUUID() } }, client);
    expect([status, body.message]).toEqual([409, expect.stringContaining('Short lived offers something by now')]);
  });

  it('is matched by code or part, in packs and breaks; taken in again it changes nothing', async () => {
    const csv = `code;part id;pack;price;from 2;price 2;lead days\nC-1;${WASHER};25;1.250,00;4;1.100,00;2\nC-2;${HOSE};5 m;88,50;;;4`;
    expect(await preview(csv)).toMatchObject({
      counts: { added: 2, changed: 0, errors: 0 },
      changes: [{ packMinor: 125000 }, { packMinor: 8850 }],
    });
    expect((await take(csv)).status).toBe(200);
    expect((await preview(csv)).counts).toMatchObject({ added: 0, changed: 0, unchanged: 2 });
    expect((await preview(csv.replace('88,50', '90'))).counts).toMatchObject({ changed: 1, unchanged: 1 });
  });

  it.each([
    ['an unknown part', 'code,price\nNOPE,1.00', /no code "NOPE"/],
    ['thousands that may be a fraction', `code,part id,price\nC-9,${WASHER},1.250`, /thousands or a fraction/],
    ['another money', `code,part id,price\nC-9,${WASHER},£ 3`, /GBP|money/],
    ['no price', `code,part id,price\nC-9,${WASHER},`, /no price/],
    ['half a break', `code,part id,price,from 2\nC-9,${WASHER},3.00,5`, /price break/],
    ['a line twice', `code,part id,price\nC-9,${WASHER},3.00\nC-9,${WASHER},4.00`, /line 2 already/],
    ['no column of prices', `code\nC-9`, /column of codes/],
  ])('with %s is refused by its line, and nothing is taken in', async (_, csv, words) => {
    const { errors } = await preview(csv);
    expect(errors[0]!.message).toMatch(words);
    expect((await take(csv)).status).toBe(400);
  });

  it('that is no list is refused in words', async () => {
    const { status, body } = await t.ask(stockContracts.previewOffers, { body: { supplierId: SUPPLIER, csv: 'code,price\n"C-1,2' } });
    expect([status, body.code]).toEqual([400, 'list-unreadable']);
  });
});

describe('plans', () => {
  it('come with their proof, and refuse what no bench has', async () => {
    const group = {
      part: HOSE,
      pieces: [
        { id: 'a', lengthMm: 600 },
        { id: 'b', lengthMm: 500 },
      ],
      lengths: [{ id: 'H-1', kind: 'offcut' as const, mm: 1115 }],
      offers: [],
    };
    const rules = { kerfMm: 2, endTrimMm: 10, leastOffcutMm: 250, offcutsFirst: true };
    const { plans } = (await t.ask(planContracts.planCuts, { body: { groups: [group], rules } })).body;
    expect(plans[0]).toMatchObject({ proven: true, unmet: [], bars: [{ from: 'H-1', pieces: [{ id: 'a' }, { id: 'b' }], trimMm: 10 }] });
    const twice = { ...group, pieces: [group.pieces[0]!, group.pieces[0]!] };
    const refused = await t.ask(planContracts.planCuts, { body: { groups: [twice], rules } });
    expect([refused.status, refused.body.message]).toEqual([400, expect.stringContaining('stands twice')]);
  });
});
