import { parseConnector, shopContracts, type CataloguePart, type Fitting, type PartEntry, type ShopCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { sampleJob, startTestApp, type TestApp } from '../../test/test-app.js';

describe('parts of the catalogue', () => {
  let shop: TestApp;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const part = (id: string) => shop.ask(shopContracts.readPart, { params: { part: id } });
  const command = (c: ShopCommand) => shop.ask(shopContracts.changeShop, { body: { key: randomUUID(), commands: [c] } });
  const rowOf = (answer: Awaited<ReturnType<typeof command>>): CataloguePart => answer.body.put[0]!.row as CataloguePart;
  const put = ({ id, version, kind, part: was }: CataloguePart, change: object) =>
    command({ do: 'edit-part', id, version, entry: { kind, part: { ...was, ...change } } as PartEntry });
  const add = (entry: Extract<ShopCommand, { do: 'add-part' }>['entry']) => command({ do: 'add-part', entry });
  const ends = ['npt 1/4 m', 'an10 m'].map(parseConnector);

  it('are added with what their ends do not say taken from proportions', async () => {
    const added = rowOf(await add({ kind: 'fitting', part: { ends, code: 'KL-1', priceMinor: 1450, boreMm: 6.8 } }));
    expect(added.part).toMatchObject({ id: 'own-kl-1', name: 'npt 1/4 m to an10 m', kind: 'adapter', boreMm: 6.8, priceMinor: 1450 });
    expect((added.part as Fitting).lengthMm).toBeGreaterThan(20);
    expect((await part('own-kl-1')).body).toMatchObject({ row: { origin: 'own', version: 1 }, usedBy: [] });
  });

  it.each([
    [{ ends, code: 'KL-1' }, 409, 'part-taken', 'id'],
    [{ ends: [parseConnector('orb6 m'), parseConnector('an6 m')] }, 409, 'part-taken', 'id'],
    [{ ends, id: 'another', code: 'kl-1' }, 409, 'code-taken', 'code'],
    [{ ends: [{ family: 'wizard', size: '6', gender: 'male' }], code: 'KL-2' }, 400, 'part-unsound', 'ends'],
    [{ ends: [{ family: 'npt', size: '7/9', gender: 'male' }], code: 'KL-3' }, 400, 'part-unsound', 'ends'],
    [{ ends, code: 'KL-4', kind: 'tee' }, 400, 'part-unsound', 'kind'],
    [{ ends, code: 'KL-5', boreMm: 400 }, 400, 'part-unsound', 'boreMm'],
    [{ ends: [] }, 400, 'bad-value', 'ends'],
    [{ ends, priceMinor: -1 }, 400, 'bad-value', 'priceMinor'],
    [{ ends, hack: 1 }, 400, 'bad-value', 'hack'],
  ])('are refused when they cannot be: %j', async (body, status, code, field) => {
    const refused = await shop.call('POST', '/api/shop/changes', {
      key: randomUUID(),
      commands: [{ do: 'add-part', entry: { kind: 'fitting', part: body } }],
    });
    const where = code === 'bad-value' ? `commands/0/entry/part/${field}` : field;
    expect([refused.status, refused.body['code'], refused.body['field']]).toEqual([status, code, where]);
  });

  it('are edited by their version, and a stale edit is shown the newer part', async () => {
    const before = (await part('orb8m+an8m')).body.row;
    const edited = await put(before, { priceMinor: 999, shelf: 3 });
    expect(rowOf(edited)).toMatchObject({ version: 2, origin: 'own', part: { priceMinor: 999, shelf: 3 } });
    const stale = await put(before, { priceMinor: 1 });
    expect([stale.status, (stale.body.current as CataloguePart).part]).toMatchObject([409, { priceMinor: 999 }]);
    expect((await put(rowOf(edited), { code: 'KL-1' })).status).toBe(409);
    expect((await part('nothing')).status).toBe(404);
  });

  it('that lines use are kept when they are taken out, and say who uses them', async () => {
    const { lineId, jobId } = await sampleJob(shop);
    const way = { fittings: [{ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }], branches: [] };
    expect((await shop.change(jobId, { do: 'take-way', id: lineId, version: 1, at: 0, ...way })).status).toBe(200);
    const { body } = await part('m14x1.5mwasher+an6m');
    expect(body.usedBy).toEqual([{ job: '2501', line: 1, lineName: 'Turbo feed' }]);
    expect((await put(body.row, { retired: true })).status).toBe(200);
    const { fittings } = (await shop.ask(shopContracts.readCatalogue, {})).body;
    expect(fittings.find((f) => f.id === 'm14x1.5mwasher+an6m')).toMatchObject({ retired: true });
  });

  it('come back when the change is taken back, one change after another', async () => {
    const undo = () => shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect((await undo()).body.label).toMatch(/^Take out Adapter, m14x1.5 m washer/);
    expect((await part('m14x1.5mwasher+an6m')).body.row.part.retired).toBeUndefined();
    expect((await undo()).body.label).toMatch(/^Edit Adapter, orb8 m/);
    expect((await part('orb8m+an8m')).body.row.part).not.toHaveProperty('priceMinor');
    expect((await undo()).body.label).toBe('Add npt 1/4 m to an10 m');
    expect((await part('own-kl-1')).status).toBe(404);
    expect((await undo()).body.code).toBe('nothing-to-undo');
  });

  it('are of every kind, through one door: hoses, hose ends, seals and what is used up', async () => {
    const { hoses, hoseEnds, supplies } = (await shop.ask(shopContracts.readCatalogue, {})).body;
    const hose = {
      ...hoses.find((h) => h.id === 'hose-ptfe-6')!,
      id: 'own-hose',
      name: 'Own hose -6',
      pricePerMetreMinor: 1800,
      shelf: 12,
    };
    expect(rowOf(await add({ kind: 'hose', part: hose }))).toMatchObject({ id: 'own-hose', kind: 'hose', part: { shelf: 12 } });
    const end = { ...hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!, id: 'own-end', connector: parseConnector('banjo m12x1.5') };
    expect((await add({ kind: 'hose end', part: end })).status).toBe(200);
    const ring = supplies.find((s) => s.name === 'O-ring FKM AS568-906')!;
    const dearer = await put((await part(ring.id)).body.row, { priceMinor: 80, shelf: 40 });
    expect(rowOf(dearer)).toMatchObject({ version: 2, part: { priceMinor: 80, shelf: 40 } });
    const after = (await shop.ask(shopContracts.readCatalogue, {})).body;
    expect(after.hoses.find((h) => h.id === 'own-hose')).toEqual(hose);
    expect(after.hoseEnds.find((e) => e.id === 'own-end')).toEqual(end);
    expect(after.supplies.find((s) => s.id === ring.id)).toMatchObject({ priceMinor: 80, figures: ring.figures });
    const undone = await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect(undone.body.label).toBe('Edit O-ring FKM AS568-906');
    expect((await part(ring.id)).body.row.part).not.toHaveProperty('priceMinor');
  });

  it.each<[string, object, string, string]>([
    ['a hose that is narrower outside than in', { kind: 'hose', part: { boreMm: 30 } }, 'part-unsound', 'outsideMm'],
    ['a hose of no known construction', { kind: 'hose', part: { construction: 'string' } }, 'part-unsound', 'construction'],
    ['a hose without its pressure', { kind: 'hose', part: { workingBar: undefined } }, 'bad-value', 'commands/0/entry/part/workingBar'],
    [
      'a supply of no known kind',
      { kind: 'supply', part: { id: 'x', name: 'x', kind: 'string', figures: {} } },
      'bad-value',
      'commands/0/entry/part',
    ],
    [
      'a ring without its cord',
      { kind: 'supply', part: { id: 'x', name: 'x', kind: 'o-ring', figures: { size: '1', insideMm: 3, compound: 'fkm' } } },
      'bad-value',
      'commands/0/entry/part/figures/sectionMm',
    ],
  ])('are refused when they are %s', async (_, entry, code, field) => {
    const { hoses } = (await shop.ask(shopContracts.readCatalogue, {})).body;
    const { kind, part: said } = entry as { kind: string; part: object };
    const whole = kind === 'hose' ? { ...hoses[0], id: 'odd', ...said } : said;
    const refused = await shop.call('POST', '/api/shop/changes', {
      key: randomUUID(),
      commands: [{ do: 'add-part', entry: { kind, part: whole } }],
    });
    expect([refused.body['code'], refused.body['field']]).toEqual([code, field]);
  });

  it('keep their stock as movements: a count that is put right, and one that is taken back, are movements too', async () => {
    const stock = async () =>
      ((await shop.db('stock_movements').where({ part_id: 'orb10m+an10m' }).orderBy('id')) as { quantity: number }[]).map(
        (m) => m.quantity,
      );
    const shelf = async (n: number | undefined) => put((await part('orb10m+an10m')).body.row, { shelf: n });
    await shelf(5);
    await shelf(3);
    expect(await stock()).toEqual([5, -2]);
    await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect([await stock(), (await part('orb10m+an10m')).body.row.part.shelf]).toEqual([[5, -2, 2], 5]);
    expect((await shelf(undefined)).body.put).toMatchObject([{ row: { part: { shelf: 0 } } }]);
  });

  it('are sent again only when they have changed', async () => {
    const first = await shop.app.inject({ method: 'GET', url: '/api/catalogue' });
    const again = () =>
      shop.app.inject({ method: 'GET', url: '/api/catalogue', headers: { 'if-none-match': String(first.headers['etag']) } });
    expect((await again()).statusCode).toBe(304);
    await add({ kind: 'fitting', part: { ends, code: 'KL-9' } });
    expect((await again()).statusCode).toBe(200);
  });
});

describe('what the shop weighs', () => {
  let shop: TestApp;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const read = async () => (await shop.ask(shopContracts.readCatalogue, {})).body.weights;
  const set = (version: number, weights: object) =>
    shop.call('POST', '/api/shop/changes', { key: randomUUID(), commands: [{ do: 'set-weights', version, weights }] });

  it('starts with the usual figures, is set by version, and taken back', async () => {
    const { weights, version } = await read();
    expect(version).toBe(0);
    expect((await set(0, { ...weights, elbows: 'wanted', leadDayMinor: 0 })).body).toMatchObject({
      put: [{ type: 'weights', row: { version: 1 } }],
    });
    const stale = await set(0, weights);
    expect([stale.status, stale.body['code']]).toEqual([409, 'conflict']);
    expect((await read()).weights).toMatchObject({ elbows: 'wanted', leadDayMinor: 0 });
    await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect(await read()).toEqual({ id: 'chain-weights', weights, version: 0 });
  });

  it.each([[{ elbows: 'sideways' }], [{ price: -1 }], [{ toOrderMinor: 1.5 }], [{ colour: 1 }]])('refuses %j', async (change) => {
    const { weights, version } = await read();
    expect((await set(version, { ...weights, ...change })).status).toBe(400);
  });
});
