import { jobContracts, parseConnector, shopContracts, standardFittings, type Fitting, type ShopCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { startTestApp, type TestApp } from '../../test/test-app.js';
import { loadDemo } from '../demo/load-demo.js';
import { writeRows } from '../database/write-rows.js';
import { catalogueRevision, ensureStandardCatalogue, missingParts, readCatalogue } from './catalogue-store.js';
import { findParts } from './catalogue-lookup.js';

describe('the catalogue in the database', () => {
  let shop: TestApp;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const part = (id: string, change: Partial<Fitting> = {}): Fitting => ({
    id,
    name: id,
    ends: [parseConnector('an6 m'), parseConnector('an8 m')],
    ...change,
  });
  const add = async (...parts: Fitting[]) => {
    const made = (
      await missingParts(
        shop.db,
        parts.map((p) => ({ kind: 'fitting' as const, part: p })),
        'import',
      )
    ).map((row) => ({ type: 'part' as const, row }));
    await shop.db.transaction((trx) => writeRows(trx, { made, changed: [], gone: [] }));
  };
  const command = (c: ShopCommand) => shop.ask(shopContracts.changeShop, { body: { key: randomUUID(), commands: [c] } });

  it('holds the standard parts once, in their order, however often it is made sure of', async () => {
    await ensureStandardCatalogue(shop.db);
    const { fittings } = await readCatalogue(shop.db);
    expect(fittings.map((f) => f.id)).toEqual(standardFittings().map((f) => f.id));
  });

  it('is read by indexes, also while the database still takes its tables for empty', async () => {
    for (const table of ['stock_movements', 'hose_lengths']) {
      await shop.db(table).delete();
      await shop.db.raw('analyze table ??', [table]);
    }
    let asked: { sql: string; bindings: string[] } | undefined;
    const hear = (query: { sql: string; bindings: string[] }) => (asked = query);
    shop.db.on('query', hear);
    await readCatalogue(shop.db);
    shop.db.removeListener('query', hear);
    const [plan] = (await shop.db.raw(`explain ${asked!.sql}`, asked!.bindings)) as [{ table: string; type: string }[]];
    const beside = plan.filter(({ table }) => table !== 'parts');
    expect(beside.map(({ table, type }) => [table, type])).toEqual([
      ['o', 'eq_ref'],
      ['hose_lengths', 'ref'],
      ['stock_movements', 'ref'],
    ]);
  });

  it('is not looked through again by a start that knows its core has done so; by another core it is', async () => {
    await ensureStandardCatalogue(shop.db, 'one');
    await shop.db('parts').where({ id: 'npt1/8m+an4m' }).delete();
    await ensureStandardCatalogue(shop.db, 'one');
    expect(await shop.db('parts').where({ id: 'npt1/8m+an4m' })).toEqual([]);
    await ensureStandardCatalogue(shop.db, 'two');
    expect(await shop.db('parts').where({ id: 'npt1/8m+an4m' })).toHaveLength(1);
    expect(await shop.db('marks').where('name', 'like', 'standard %').pluck('name')).toEqual(['standard two']);
  });

  it('takes parts of a job file in without their code where another has it', async () => {
    await add(part('one', { code: 'C-1' }));
    await add(part('two', { code: 'c-1' }), part('one', { name: 'other' }));
    const { fittings, hoses, supplies } = await findParts(shop.db, ['one', 'two', 'none']);
    expect(fittings.map((f) => [f.id, f.name, f.code]).sort()).toEqual([
      ['one', 'one', 'C-1'],
      ['two', 'two', undefined],
    ]);
    expect([hoses, supplies]).toEqual([[], []]);
  });

  it('has another revision after every change, its undo and the demo', async () => {
    const seen = new Set<string>();
    const look = async (): Promise<void> => void seen.add(await catalogueRevision(shop.db));
    await look();
    await look();
    expect(seen.size).toBe(1);
    await command({ do: 'add-part', entry: { kind: 'fitting', part: { ends: ['an6 m', 'an12 m'].map(parseConnector), code: 'R-1' } } });
    await look();
    await shop.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    await look();
    await loadDemo(shop.db, true);
    await look();
    expect(seen.size).toBe(4);
  });

  it('keeps what two people do to one part apart: the second is told', async () => {
    const { body } = await shop.ask(shopContracts.readPart, { params: { part: 'one' } });
    const { row } = body;
    const edit = (name: string) =>
      command({ do: 'edit-part', id: 'one', version: row.version, entry: { kind: 'fitting', part: { ...(row.part as Fitting), name } } });
    const answers = await Promise.all([edit('first'), edit('second')]);
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
  });

  it('gives the demo suppliers, codes, stock and lead times, each code once', async () => {
    const { fittings } = await readCatalogue(shop.db);
    const sample = fittings.filter((f) => f.supplier?.includes('(sample)'));
    expect(sample.length).toBeGreaterThan(900);
    expect(new Set(sample.map((f) => f.code)).size).toBe(sample.length);
    expect(new Set(sample.map((f) => f.supplier)).size).toBe(3);
    expect(sample.some((f) => f.shelf! > 0) && sample.some((f) => f.shelf === 0)).toBe(true);
    expect(sample.every((f) => f.leadDays! > 0)).toBe(true);
  });

  it('leaves out rows that do not hold together, says so, and goes on with all others', async () => {
    const id = 'orb6m+an6m';
    const { data } = (await shop.db('parts').where({ id }).first('data')) as { data: string };
    const text = typeof data === 'string' ? data : JSON.stringify(data);
    await shop
      .db('parts')
      .where({ id })
      .update({ data: text.replaceAll('"orb"', '"wizard"') });
    await shop
      .db('parts')
      .insert({ id: 'odd', kind: 'hose end', data: '{"id":"odd"}', origin: 'own', position: 99999, version: 1, retired: false });
    const { body } = await shop.ask(shopContracts.readCatalogue, {});
    expect(body.unsound).toEqual([
      { id, problem: expect.stringContaining('wizard') as string },
      { id: 'odd', problem: expect.any(String) as string },
    ]);
    expect(body.fittings.some((f) => f.id === id)).toBe(false);
    const { jobs } = (await shop.ask(jobContracts.listJobs, {})).body;
    for (const { job, unsound } of jobs) {
      expect(unsound).toBeUndefined();
      expect((await shop.ask(jobContracts.exportJob, { params: { id: job.id } })).status).toBe(200);
    }
    await shop.db('parts').where({ id }).update({ data: text });
    await shop.db('parts').where({ id: 'odd' }).delete();
    expect((await shop.ask(shopContracts.readCatalogue, {})).body.unsound).toBeUndefined();
  });

  it('has a displaced sensor in the demo, which the solver keeps on a tee', async () => {
    const { jobs } = (await shop.call('GET', '/api/jobs')).body as unknown as { jobs: { job: { id: string; number: string } }[] };
    const body = await shop.document(jobs.find((j) => j.job.number === '2403')!.job.id);
    const port = body.ports.find((p) => p.sensor)!;
    expect(port.sensor).toMatchObject({ name: 'pressure sender', connector: parseConnector('r 1/8 m'), movedTo: null });
    expect(body.lines.some((l) => l.portA === port.id && l.ways[0]!.chosen === null)).toBe(true);
  });
});
