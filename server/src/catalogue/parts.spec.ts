import {
  jobContracts,
  parseConnector,
  shopContracts,
  type CataloguePart,
  type Fitting,
  type PartEntry,
  type ShopCommand,
} from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
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
    const hose = { ...hoses.find((h) => h.id === 'hose-ptfe-6')!, id: 'own-hose', name: 'Own hose -6', pricePerMetreMinor: 1800 };
    expect(rowOf(await add({ kind: 'hose', part: hose }))).toMatchObject({
      id: 'own-hose',
      kind: 'hose',
      part: { pricePerMetreMinor: 1800 },
    });
    const counted = await add({ kind: 'hose', part: { ...hose, id: 'counted-hose', shelf: 3 } });
    expect([counted.status, counted.body.message]).toEqual([400, expect.stringContaining('by its lengths')]);
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

  it('are told packed or plain, whichever is taken, and say the same', async () => {
    const told = async (accepted?: string) =>
      shop.app.inject({ method: 'GET', url: '/api/catalogue', headers: accepted === undefined ? {} : { 'accept-encoding': accepted } });
    const plain = await told();
    expect(plain.headers['content-encoding']).toBeUndefined();
    for (const [accepted, packing, unpack] of [
      ['gzip, deflate, br', 'br', brotliDecompressSync],
      ['gzip', 'gzip', gunzipSync],
      ['br;q=0, gzip;q=0.5', 'gzip', gunzipSync],
    ] as const) {
      const packed = await told(accepted);
      expect(packed.headers).toMatchObject({ 'content-encoding': packing, vary: expect.stringContaining('accept-encoding') as string });
      expect(unpack(packed.rawPayload).toString()).toBe(plain.body);
      expect(packed.headers.etag).toBe(plain.headers.etag);
    }
    expect((await told('identity')).headers['content-encoding']).toBeUndefined();
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

describe('which seals the shop takes', () => {
  let shop: TestApp;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const read = async () => (await shop.ask(shopContracts.readCatalogue, {})).body.sealRules;
  const set = (version: number, rules: object) =>
    shop.call('POST', '/api/shop/changes', { key: randomUUID(), commands: [{ do: 'set-seal-rules', version, rules }] });

  it('are the usual ones, set by version, in the parts list at once, and taken back', async () => {
    const { jobId, lineId } = await sampleJob(shop);
    const fittings = [{ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }];
    const { version: now } = (await shop.document(jobId)).lines[0]!;
    const [piece] = (await shop.document(jobId)).lines[0]!.pieces;
    const chosen = { hose: 'hose-ptfe-6', endA: 'end-ptfe-6-0', endB: 'end-ptfe-6-0' };
    await shop.change(jobId, { do: 'edit-piece', id: lineId, version: now, piece: piece!.key, set: chosen });
    await shop.change(jobId, { do: 'take-way', id: lineId, version: now + 1, at: 0, fittings, branches: [] });
    const list = async () => (await shop.ask(jobContracts.exportPartsList, { params: { id: jobId } })).text;
    expect(await list()).toContain('Copper washer 14');
    const { rules, version } = await read();
    expect(version).toBe(0);
    expect((await set(0, { ...rules, flatWasher: 'aluminium' })).body).toMatchObject({ put: [{ type: 'sealRules', row: { version: 1 } }] });
    expect(await list()).toContain('Aluminium washer 14');
    expect((await set(0, rules)).body['code']).toBe('conflict');
    await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect(await read()).toEqual({ id: 'seal-rules', rules, version: 0 });
  });

  it.each([[{ rings: [] }], [{ rings: ['fkm', 'fkm'] }], [{ rings: ['gum'] }], [{ flatWasher: 'lead' }], [{ sealant: 'paint' }]])(
    'refuses %j',
    async (change) => {
      const { rules, version } = await read();
      expect((await set(version, { ...rules, ...change })).status).toBe(400);
    },
  );
});

describe('a part with a body', () => {
  let shop: TestApp;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const send = (c: object) => shop.call('POST', '/api/shop/changes', { key: randomUUID(), commands: [c] });
  const ends = ['orb8 f', 'orb8 f', 'orb6 f', 'orb6 f', 'npt 1/8 f'].map(parseConnector);

  it('is added with what is not said of it by its ends, and is what a component is; that it is one is told, and kept', async () => {
    const added = await send({ do: 'add-part', entry: { kind: 'fitting', part: { ends, code: 'MF-1', kind: 'manifold' } } });
    expect(added.body).toMatchObject({
      put: [{ row: { part: { id: 'own-mf-1', body: { passages: [{ from: 0, to: 1 }, {}, {}, {}] } } } }],
    });
    const { jobId } = await sampleJob(shop);
    const id = randomUUID();
    const made = await shop.change(jobId, {
      do: 'add-component',
      id,
      kind: 'other',
      name: 'Manifold',
      part: { id: 'own-mf-1', there: true },
    });
    expect(made.body.put).toHaveLength(6);
    const { components, ports } = await shop.document(jobId);
    expect(components.find((c) => c.id === id)!.part).toEqual({ id: 'own-mf-1', there: true });
    expect(ports.filter((p) => p.componentId === id).map((p) => p.end)).toEqual([0, 1, 2, 3, 4]);
    expect((await shop.ask(shopContracts.readPart, { params: { part: 'own-mf-1' } })).body.usedBy).toEqual([
      { job: '2501', lineName: 'Manifold' },
    ]);
    const undone = await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect(undone.body.code).toBe('cannot-undo');
    const ghost = await shop.change(jobId, { do: 'edit-component', id, version: 1, set: { part: { id: 'ghost', there: false } } });
    expect(ghost.body).toMatchObject({ code: 'bad-value', field: expect.stringContaining('part') as string });
    await shop.change(jobId, { do: 'edit-component', id, version: 1, set: { part: null } });
    const after = await shop.document(jobId);
    expect(after.components.find((c) => c.id === id)).not.toHaveProperty('part');
    expect(after.ports.every((p) => p.end === undefined)).toBe(true);
  });

  it.each([
    [{ places: [{ faces: 'down' }] }, /1 places for 5 ends/],
    [{ passages: [{ from: 0, to: 9 }] }, /5 ends/],
    [{ passages: [{ from: 0, to: 14 }] }, /./],
    [{ acrossMm: 0 }, /./],
    [{ hack: 1 }, /./],
  ])('is refused with a body of %j', async (change, words) => {
    const body = {
      shape: 'round',
      acrossMm: 60,
      heightMm: 40,
      places: ends.map((_, i) => ({ faces: 'out', clockDeg: i * 60 })),
      passages: [1, 2, 3, 4].map((to) => ({ from: 0, to })),
      ...change,
    };
    const refused = await send({ do: 'add-part', entry: { kind: 'fitting', part: { ends, kind: 'manifold', body } } });
    expect(refused.status).toBe(400);
    expect(refused.body['message']).toMatch(words);
  });
});
