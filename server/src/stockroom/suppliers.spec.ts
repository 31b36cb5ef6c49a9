import { shopContracts, type OfferRow, type SupplierRow } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { RING, said, startStockroom, WASHER, type TestStockroom } from '../../test/test-stockroom.js';

let t: TestStockroom;
beforeAll(async () => {
  t = await startStockroom('7001');
});
afterAll(() => t.close());

const terms = { name: 'North', currency: 'GBP' as const, euros: 1.2, carriageMinor: 900, leadDays: 4 };
const add = async (change: object = {}) => {
  const id = randomUUID();
  return { id, ...(await t.run(said({ do: 'add-supplier', id, supplier: { ...terms, ...change } }))) };
};
const supplier = async (id: string): Promise<SupplierRow | undefined> => (await t.room()).suppliers.find((s) => s.id === id);

describe('a supplier', () => {
  it('is added, changed, bought from no more; two who change it at once are told', async () => {
    const { id } = await add();
    const edit = (version: number, change: object) => t.run(said({ do: 'edit-supplier', id, version, supplier: { ...terms, ...change } }));
    await edit(1, { name: '  North and West ', freeFromMinor: 20_000, returnDays: 14, returnKeepsPercent: 15 });
    expect(await supplier(id)).toMatchObject({ name: 'North and West', freeFromMinor: 20_000, returnKeepsPercent: 15, version: 2 });
    const late = await edit(1, { name: 'Mine' });
    expect([late.status, late.body.code]).toEqual([409, 'conflict']);
    await edit(2, { name: 'North and West', retired: true });
    expect(await supplier(id)).toMatchObject({ retired: true });
    const lines = [{ key: 'k', name: 'Washer', holds: [{ part: WASHER, quantity: 1 }], packs: 1, packMinor: 1 }];
    const refused = await t.run(said({ do: 'write-order', supplierId: id, jobIds: [], lines }));
    expect(refused.body.message).toBe('North and West is not bought from any more.');
  });

  it.each([
    ['without a name', { name: ' ' }, /name|characters|blank|letters/i],
    ['at a rate of nothing', { euros: 0 }, /greater|above|more/i],
    ['with euros that are none', { currency: 'EUR', euros: 1.1 }, /A euro is one euro/],
    ['that keeps of what cannot be sent back', { returnKeepsPercent: 10 }, /within how many days/],
    ['that keeps more than all', { returnDays: 5, returnKeepsPercent: 101 }, /100/],
    ['with carriage below nothing', { carriageMinor: -1 }, /small/],
    ['in a money nobody has', { currency: 'XXX' }, /./],
  ])('is refused %s', async (_, change, words) => {
    const before = (await t.room()).suppliers.length;
    const { status, body } = await add({ name: 'Refused', ...change });
    expect(status).toBe(400);
    expect(body.message).toMatch(words);
    expect((await t.room()).suppliers).toHaveLength(before);
  });

  it('that several commands of one change go over is as it was before all of them when that is undone', async () => {
    const { id } = await add({ name: 'Once' });
    const edit = (version: number, name: string) => said({ do: 'edit-supplier', id, version, supplier: { ...terms, name } });
    await t.run([edit(1, 'Twice'), edit(1, 'Thrice')]);
    expect(await supplier(id)).toMatchObject({ name: 'Thrice' });
    const undone = await t.ask(shopContracts.undoShop, { body: { key: randomUUID() } }, 'test');
    expect(undone.status).toBe(200);
    expect(await supplier(id)).toMatchObject({ name: 'Once' });
  });

  it('has a name of its own', async () => {
    await add({ name: 'South' });
    expect((await add({ name: 'South ' })).body.message).toBe('There is a supplier South already.');
    const { id } = await add({ name: 'East' });
    const renamed = await t.run(said({ do: 'edit-supplier', id, version: 1, supplier: { ...terms, name: 'South' } }));
    expect(renamed.body.field).toBe('name');
    expect(await supplier(id)).toMatchObject({ name: 'East', version: 1 });
  });
});

describe('an offer', () => {
  let north: string;
  let other: string;
  beforeAll(async () => {
    north = (await add({ name: 'Offers north' })).id;
    other = (await add({ name: 'Offers south' })).id;
  });
  const fields = (change: object = {}): Omit<OfferRow, 'id' | 'version'> => ({
    supplierId: north,
    code: 'W-14',
    holds: [{ part: WASHER, quantity: 10 }],
    prices: [{ fromPacks: 1, packMinor: 500 }],
    ...change,
  });
  const put = async (change: object = {}) => {
    const id = randomUUID();
    return { id, ...(await t.run({ do: 'add-offer', id, offer: fields(change) })) };
  };

  it('is added, changed, taken out, and taken back by who did it', async () => {
    const { id } = await put();
    await t.run({ do: 'edit-offer', id, version: 1, offer: fields({ leadDays: 9 }) });
    const mine = async () => (await t.room()).offers.find((o) => o.id === id);
    expect(await mine()).toMatchObject({ leadDays: 9, version: 2 });
    await t.run({ do: 'delete-offer', id, version: 2 });
    expect(await mine()).toBeUndefined();
    const undo = () => t.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect((await undo()).body.label).toBe('Take out an offer of Offers north');
    expect(await mine()).toMatchObject({ leadDays: 9 });
    await undo();
    expect(await mine()).not.toHaveProperty('leadDays');
    expect((await t.run({ do: 'delete-offer', id, version: 1 })).body.code).toBe('conflict');
  });

  it('has a code of its own among those of its supplier, not among all', async () => {
    const { id } = await put({ code: 'X-1' });
    expect((await put({ code: 'X-1' })).body.message).toBe('Offers north has the code "X-1" already, on another offer.');
    expect((await put({ code: 'X-1', supplierId: other })).status).toBe(200);
    // its own code is not in its way
    expect((await t.run({ do: 'edit-offer', id, version: 1, offer: fields({ code: 'X-1', leadDays: 2 }) })).status).toBe(200);
    expect((await t.run({ do: 'add-offer', id, offer: fields({ code: 'X-2' }) })).body.code).toBe('id-taken');
  });

  it.each([
    ['of a part nobody has', { holds: [{ part: 'nothing', quantity: 1 }] }, 'holds', /"nothing" is not in the catalogue/],
    ['of nothing', { holds: [] }, 'holds', /./],
    [
      'of a part twice',
      {
        name: 'Kit',
        holds: [
          { part: RING, quantity: 1 },
          { part: RING, quantity: 2 },
        ],
      },
      'holds',
      /twice/,
    ],
    [
      'of a kit without a name',
      {
        holds: [
          { part: RING, quantity: 1 },
          { part: WASHER, quantity: 2 },
        ],
      },
      'name',
      /has a name/,
    ],
    ['without a price for one', { prices: [{ fromPacks: 2, packMinor: 5 }] }, 'prices', /from one pack on/],
    ['with prices out of order', { prices: [1, 5, 3].map((fromPacks) => ({ fromPacks, packMinor: 5 })) }, 'prices', /fewer packs to more/],
    ['with a price below nothing', { prices: [{ fromPacks: 1, packMinor: -5 }] }, 'packMinor', /small/],
  ])('is refused %s', async (_, change, field, words) => {
    const { status, body } = await put({ code: 'R', ...change });
    expect([status, body.field]).toEqual([400, expect.stringContaining(field)]);
    expect(body.message).toMatch(words);
  });

  it('of a supplier that is not there is refused', async () =>
    expect((await put({ supplierId: 'nobody' })).body).toMatchObject({ code: 'not-found', message: expect.stringMatching(/supplier/) }));
});

describe('how it is cut, kept and bought', () => {
  it('is one row of rules: set on the version that was seen, within bounds, and undone', async () => {
    const { rules } = await t.room();
    const set = (version: number, change: object) => t.run(said({ do: 'set-store-rules', version, rules: { ...rules.rules, ...change } }));
    expect((await set(rules.version, { kerfMm: 3 })).status).toBe(200);
    expect((await t.room()).rules).toMatchObject({ rules: { kerfMm: 3 }, version: rules.version + 1 });
    expect((await set(rules.version, { kerfMm: 4 })).body.code).toBe('conflict');
    for (const change of [{ kerfMm: -1 }, { kerfMm: 21 }, { goal: 'dearest' }, { oldYears: 0 }, { paper: 'A5' }, { unknown: 1 }])
      expect([change, (await set(rules.version + 1, change)).status]).toEqual([change, 400]);
    await t.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect((await t.room()).rules.rules).toEqual(rules.rules);
  });
});

describe('what is taken back', () => {
  const undo = (client: string) => t.ask(shopContracts.undoShop, { body: { key: randomUUID() } }, client);
  const washer = (part: string) => ({ holds: [{ part, quantity: 5 }], prices: [{ fromPacks: 1, packMinor: 100 }] });

  it('is no part that somebody else offers, orders or keeps by now', async () => {
    const entry = { kind: 'supply', part: { id: 'own-ring', name: 'Own ring', kind: 'washer', figures: await ownFigures() } };
    const added = await t.run(said({ do: 'add-part', entry }), 'a');
    expect(added.status).toBe(200);
    const { id: supplierId } = await add({ name: 'Of the own ring' });
    const offerId = randomUUID();
    await t.run(said({ do: 'add-offer', id: offerId, offer: { supplierId, ...washer('own-ring') } }), 'b');
    expect((await undo('a')).body).toMatchObject({
      code: 'cannot-undo',
      message: expect.stringMatching(/"own-ring" is offered by a supplier by now/),
    });
    const lines = [{ key: 'k', offerId, name: 'Own ring', holds: [{ part: 'own-ring', quantity: 5 }], packs: 1, packMinor: 120 }];
    expect((await t.run(said({ do: 'write-order', supplierId, jobIds: [], lines }), 'b')).status).toBe(200);
    await t.run(said({ do: 'delete-offer', id: offerId, version: 1 }), 'b');
    expect((await undo('a')).body.message).toMatch(/"own-ring" stands in order PO-\d{4} by now/);
  });

  it('is no supplier that others have offers of, or orders to', async () => {
    const id = randomUUID();
    await t.run(said({ do: 'add-supplier', id, supplier: { ...terms, name: 'Taken back' } }), 'c');
    const offerId = randomUUID();
    await t.run(said({ do: 'add-offer', id: offerId, offer: { supplierId: id, ...washer(WASHER) } }), 'b');
    expect((await undo('c')).body.message).toMatch(/Taken back offers something by now/);
    await t.run(said({ do: 'delete-offer', id: offerId, version: 1 }), 'b');
    expect((await undo('c')).status).toBe(200);
    expect(await supplier(id)).toBeUndefined();
  });

  async function ownFigures(): Promise<object> {
    const { row } = (await t.ask(shopContracts.readPart, { params: { part: WASHER } })).body;
    return (row.part as { figures: object }).figures;
  }
});
