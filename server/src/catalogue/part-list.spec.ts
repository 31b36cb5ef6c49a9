import { shopContracts, type ColumnMapping, type Fitting, type PartSection } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { startTestApp, type TestApp } from '../../test/test-app.js';

const LIST = [
  'Article;Description;Connections;Net price;Stock;Delivery days',
  'TW-1;Adapter;npt 1/4 m + an10 m;12,40 €;3;2',
  'TW-2;Tee;an6 m + an6 m + npt 1/8 f;18,00;0;5',
  'TW-3;Plug;orb6 m;4,10;12;1',
].join('\r\n');

describe('a supplier list', () => {
  let shop: TestApp;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const preview = (csv: string, mapping?: ColumnMapping) =>
    shop.ask(shopContracts.previewList, { body: { csv, ...(mapping ? { mapping } : {}) } });
  const take = (csv: string, mapping: ColumnMapping) => shop.ask(shopContracts.importList, { body: { key: randomUUID(), csv, mapping } });
  const fittings = async () => (await shop.ask(shopContracts.readCatalogue, {})).body.fittings;

  it('is shown first: its columns are guessed, nothing is changed', async () => {
    const before = (await fittings()).length;
    const { body } = await preview(LIST);
    expect(body.mapping).toEqual({ code: 0, name: 1, ends: 2, priceMinor: 3, shelf: 4, leadDays: 5 });
    expect(body.counts).toEqual({ added: 3, changed: 0, unchanged: 0, shelves: 0, errors: 0 });
    expect(await fittings()).toHaveLength(before);
  });

  it('is taken in whole, changes prices when it comes again, and is taken back in one go', async () => {
    const { mapping } = (await preview(LIST)).body;
    expect((await take(LIST, mapping)).body).toMatchObject({ label: 'Import a list: 3 new, 0 changed', put: [{}, {}, {}] });
    expect((await fittings()).find((f) => f.code === 'TW-2')).toMatchObject({ kind: 'tee', priceMinor: 1800, shelf: 0, leadDays: 5 });
    const dearer = LIST.replace('12,40 €', '13,00 €');
    expect((await take(dearer, mapping)).body.put).toMatchObject([{ type: 'part', row: { version: 2, part: { priceMinor: 1300 } } }]);
    const prices = 'code,price\nTW-3,5.00';
    expect((await take(prices, { code: 0, priceMinor: 1 })).body.put).toHaveLength(1);
    expect((await fittings()).find((f) => f.code === 'TW-3')).toMatchObject({ priceMinor: 500, shelf: 12, name: 'Plug' });
    for (let i = 0; i < 3; i++) expect((await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } })).status).toBe(200);
    expect((await fittings()).some((f) => f.code?.startsWith('TW'))).toBe(false);
  });

  it('puts back nothing that was taken since it was written: its shelves hold where it is said to be a count', async () => {
    const { mapping } = (await preview(LIST)).body;
    await take(LIST, mapping);
    const plug = async () => (await fittings()).find((f) => f.code === 'TW-3')!;
    const { id } = await plug();
    const move = { do: 'move-stock', part: id, kind: 'issue', quantity: 5 } as const;
    await shop.ask(shopContracts.changeShop, { body: { key: randomUUID(), commands: [move] } });
    const dearer = LIST.replace('12,40 €', '13,00 €');
    expect((await preview(dearer)).body.counts).toMatchObject({ changed: 1, unchanged: 2, shelves: 1 });
    await take(dearer, mapping);
    expect(await plug()).toMatchObject({ shelf: 7 });
    const counted = { csv: dearer, mapping, counted: true };
    expect((await shop.ask(shopContracts.previewList, { body: counted })).body.counts).toMatchObject({ changed: 1, shelves: 1 });
    await shop.ask(shopContracts.importList, { body: { key: randomUUID(), ...counted } });
    expect(await plug()).toMatchObject({ shelf: 12 });
  });

  it.each([
    ['Price (USD)', '12.40', [[1, 'price', '"Price (USD)" is not in euros. Say which money the list is in, or leave the column out.']]],
    ['Price', '$12.40', [[2, 'price', '"$12.40" is not in euros. Say which money the list is in, or leave the column out.']]],
    ['Price EUR', '12.40 €', []],
  ])('with prices under "%s", such as %s, is not taken for euros where it is not', async (heading, price, errors) => {
    const csv = `code,ends,${heading}\nTW-9,npt 1/4 m + an10 m,${price}`;
    const { body } = await preview(csv);
    expect(body.errors.map((e) => [e.line, e.column, e.message])).toEqual(errors);
    expect((await take(csv, body.mapping)).status).toBe(errors.length === 0 ? 200 : 400);
  });

  it('in other money is kept in euros by the rate that is said, with what it says beside; both come back by the export', async () => {
    const csv = 'code,ends,Price USD\nTU-1,npt 1/4 m + an10 m,$10.00\nTU-2,npt 1/8 m + an8 m,12.50 USD';
    const money = { currency: 'USD', euros: 0.9 } as const;
    const { body } = await shop.ask(shopContracts.previewList, { body: { csv, money } });
    expect([body.errors, body.added.map((part) => part.priceMinor)]).toEqual([[], [900, 1125]]);
    const key = randomUUID();
    expect((await shop.ask(shopContracts.importList, { body: { csv, mapping: body.mapping, money, key } })).status).toBe(200);
    const part = async (code: string) => (await fittings()).find((f) => f.code === code)!;
    expect(await part('TU-1')).toMatchObject({ priceMinor: 900, listed: { currency: 'USD', minor: 1000 } });
    const out = (await shop.call('GET', '/api/catalogue/parts.csv')).text;
    expect(out).toContain('USD 12.50');
    expect((await preview(out)).body.counts).toMatchObject({ added: 0, changed: 0, errors: 0 });
    const again = await shop.ask(shopContracts.previewList, { body: { csv, mapping: body.mapping, money } });
    expect(again.body.counts).toMatchObject({ added: 0, changed: 0, unchanged: 2 });
    const { row } = (await shop.ask(shopContracts.readPart, { params: { part: (await part('TU-2')).id } })).body;
    const { listed: _, ...typed } = row.part as Fitting;
    const edit = (version: number, change: object) =>
      shop.call('POST', '/api/shop/changes', {
        key: randomUUID(),
        commands: [{ do: 'edit-part', id: row.id, version, entry: { kind: 'fitting', part: { ...typed, ...change } } }],
      });
    await edit(row.version, { name: 'Renamed' });
    expect(await part('TU-2')).toMatchObject({ name: 'Renamed', listed: { minor: 1250 } });
    // the whole part as it was read, and another price
    await edit(row.version + 1, { name: 'Renamed', priceMinor: 1300, listed: { currency: 'USD', minor: 1250 } });
    expect(await part('TU-2')).not.toHaveProperty('listed');
    const wrong = await shop.ask(shopContracts.previewList, { body: { csv: csv.replace('$10', '€10'), mapping: body.mapping, money } });
    expect(wrong.body.errors).toMatchObject([{ line: 2, column: 'price', message: '"€10.00" is not in USD, and the list is said to be.' }]);
    for (let i = 0; i < 3; i++) await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
  });

  it('with a bad line is not taken in at all, and every such line is named', async () => {
    const bad = `${LIST}\r\nTW-4;Adapter;ntp 1/8 m + an6 m;3,00;1;1\r\nTW-1;Twice;an6 m + an6 m;cheap;1;1\r\nTW-6;No ends;;3,00;1;1`;
    const { body } = await preview(bad);
    expect(body.errors.map((e) => [e.line, e.column])).toEqual([
      [5, 'ends'],
      [6, 'price'],
      [7, 'ends'],
    ]);
    expect(body.errors[0]!.message).toContain('Did you mean');
    const before = (await fittings()).length;
    const refused = await take(bad, body.mapping);
    expect([refused.status, refused.body.code]).toEqual([400, 'list-errors']);
    expect(refused.body.message).toMatch(/^Line 5: .* Nothing was taken in\.$/);
    expect(await fittings()).toHaveLength(before);
  });

  it.each([
    ['"an open quote', 'list-unreadable'],
    ['\n\n', 'list-unreadable'],
    ['code\n' + 'x\n'.repeat(20_001), 'list-unreadable'],
  ])('that is none is refused', async (csv, code) => {
    const refused = await preview(csv);
    expect([refused.status, refused.body.code]).toEqual([400, code]);
  });

  it('with two codes that the database takes for one replaces nothing', async () => {
    const before = await fittings();
    const refused = await take('code,ends\nK\u00c9-1,an6 m + an8 m\nKE-1,an6 m + an10 m', { code: 0, ends: 1 });
    expect([refused.status, refused.body.code]).toEqual([400, 'list-errors']);
    expect(await fittings()).toEqual(before);
  });

  it.each([
    ['an id that differs by case', 'id;ends;name\nORB12M+AN12M;npt 1/8 m + npt 1/8 m;x', { id: 0, ends: 1, name: 2 }],
    ['ends that a standard part has', 'ends;price\norb12 m + an12 m;9.99', { ends: 0, priceMinor: 1 }],
    ['an id with an accent', 'id;ends\nörb12m+an12m;npt 1/8 m + npt 1/8 m', { id: 0, ends: 1 }],
  ])('with %s replaces no other part, and says whose it is', async (_, csv, mapping) => {
    const before = (await fittings()).find((f) => f.id === 'orb12m+an12m');
    const refused = await take(csv, mapping);
    expect(refused.body.message).toMatch(/^Line 2: The catalogue has "orb12m\+an12m" already/);
    expect((await fittings()).find((f) => f.id === 'orb12m+an12m')).toEqual(before);
  });

  it.each([
    ['lines', '\n'.repeat(200_000), /empty|lines/],
    ['lines that say something', `ends\n${'an6 m\n'.repeat(20_002)}`, /more than 20000 lines/],
    ['columns', ','.repeat(300_000), /letters in the line of headings/],
    ['columns in a line', `ends\n${','.repeat(400)}`, /columns in line 2/],
    ['letters in a cell', `ends\n${'x'.repeat(5000)}`, /letters in a cell of line 2/],
    ['letters in a heading', 'y'.repeat(3000), /letters in/],
    ['letters in a line', `ends\n${'"'}${'x'.repeat(900_000)}${'"'}`, /not a CSV list|letters/],
  ])('with too many %s is refused before it is read', async (_, csv, words) => {
    const refused = await preview(csv);
    expect([refused.status, refused.body.code]).toEqual([400, 'list-unreadable']);
    expect(refused.body.message).toMatch(words);
  });

  it('names an end of hundreds of letters, and looks for no near word', async () => {
    const { body } = await preview(`ends\n${'w'.repeat(380)}\n${'an6 '.repeat(25)}zzzzzzzzzzzzzzzzzzzzzzzzzzzzzzzzzz`);
    expect(body.errors.map((e) => e.line)).toEqual([2, 3]);
    expect(body.errors[0]!.message).toContain('letters are not a connector');
  });

  it('comes out as it would go in', async () => {
    const csv = (await shop.call('GET', '/api/catalogue/parts.csv')).text;
    const { body } = await preview(csv);
    expect(body.counts).toMatchObject({ added: 0, changed: 0, errors: 0 });
    expect(body.counts.unchanged).toBeGreaterThan(900);
  });

  it('disarms what a spreadsheet would take for a formula, and knows it again', async () => {
    const csv = 'code,name,ends\n=1+1,"=HYPERLINK(""x"")",an6 m + an8 m';
    await take(csv, { code: 0, name: 1, ends: 2 });
    const out = (await shop.call('GET', '/api/catalogue/parts.csv')).text;
    expect(out).toContain(`'=1+1`);
    expect((await preview(out)).body.counts).toMatchObject({ added: 0, changed: 0, errors: 0 });
  });

  it('of another section goes the same way: hoses, hose ends and seals come in, change prices, and come out as they would go in', async () => {
    const rings = 'size;inside diameter;cord;compound;name;price\n12 × 2;12;2;FKM;O-ring FKM 12 × 2;0,80\nodd;12;wide;fkm;Odd;0,80';
    const look = (csv: string, section: PartSection) => shop.ask(shopContracts.previewList, { body: { csv, section } });
    const { body } = await look(rings, 'o-ring');
    expect(body.counts).toMatchObject({ added: 1, errors: 1 });
    expect(body.added).toEqual([{ name: 'O-ring FKM 12 × 2', says: '12 × 2 · 12 · 2 · fkm', priceMinor: 80 }]);
    expect(body.errors).toMatchObject([{ line: 3, column: 'cord mm' }]);
    const good = rings.split('\n').slice(0, 2).join('\n');
    const taken = await shop.ask(shopContracts.importList, {
      body: { key: randomUUID(), csv: good, section: 'o-ring', mapping: body.mapping },
    });
    expect(taken.body).toMatchObject({ label: 'Import a list: 1 new, 0 changed', put: [{ row: { kind: 'supply', origin: 'import' } }] });
    for (const section of ['o-ring', 'hose', 'hose end', 'sealant', 'clamp'] as const) {
      const out = (await shop.call('GET', `/api/catalogue/parts.csv?section=${encodeURIComponent(section)}`)).text;
      const { counts } = (await look(out, section)).body;
      expect([section, counts.errors, counts.added, counts.changed, counts.unchanged > 2]).toEqual([section, 0, 0, 0, true]);
    }
    const dearer = await look('name,price a metre\nNew hose,12.00', 'hose');
    expect(dearer.body.errors[0]!.message).toMatch(/does not say: construction, size, sixteenths, bore/);
    // ids and codes are told apart as the database does
    const [heads, ring] = good.split('\n') as [string, string];
    const cased = await look([`id;code;${heads}`, `mine;x-1;${ring}`, `Mine;X-1;${ring}`].join('\n'), 'o-ring');
    expect(cased.body.errors.map((e) => e.message)).toEqual([
      'The id "Mine" is on line 2 already.',
      'The code "X-1" is on line 2 already.',
    ]);
    const prices = await look('id,price a metre\nhose-ptfe-6,19.90', 'hose');
    expect(prices.body.counts).toMatchObject({ changed: 1, errors: 0 });
  });
});
