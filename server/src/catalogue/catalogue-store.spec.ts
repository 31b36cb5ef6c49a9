import { parseConnector, standardFittings, type Fitting, type JobDocument } from '@gewinde/core';
import { startTestApp } from '../../test/test-app.js';
import { loadDemo } from '../demo/load-demo.js';
import { addToCatalogue, catalogueRevision, ensureStandardCatalogue, readCatalogue } from './catalogue-store.js';
import { checkLinks, findFittings, hasHose } from './catalogue-lookup.js';

describe('the catalogue in the database', () => {
  let shop: Awaited<ReturnType<typeof startTestApp>>;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const part = (id: string, change: Partial<Fitting> = {}): Fitting => ({
    id,
    name: id,
    ends: [parseConnector('an6 m'), parseConnector('an8 m')],
    ...change,
  });
  const nothing = { hoses: [], hoseEnds: [] };

  it('holds the standard parts once, in their order, however often it is made sure of', async () => {
    await ensureStandardCatalogue(shop.db);
    const { fittings } = await readCatalogue(shop.db);
    expect(fittings.map((f) => f.id)).toEqual(standardFittings().map((f) => f.id));
  });

  it('takes parts of a job file in without their code where another has it', async () => {
    await addToCatalogue(shop.db, { fittings: [part('one', { code: 'C-1' })], ...nothing }, 'import');
    await addToCatalogue(shop.db, { fittings: [part('two', { code: 'c-1' }), part('one', { name: 'other' })], ...nothing }, 'import');
    const found = await findFittings(shop.db, ['one', 'two', 'none']);
    expect([...found.keys()].sort()).toEqual(['one', 'two']);
    expect(found.get('one')).toMatchObject({ code: 'C-1', name: 'one' });
    expect(found.get('two')!.code).toBeUndefined();
  });

  it('knows hoses by construction and size', async () => {
    expect(await hasHose(shop.db, 'ptfe', 6)).toBe(true);
    expect(await hasHose(shop.db, 'ptfe', 99)).toBe(false);
    expect(await findFittings(shop.db, [])).toEqual(new Map());
  });

  it.each([
    [{ id: 'one', inEnd: 0, outEnd: 1 }, true],
    [{ id: 'orb6m', inEnd: 0, outEnd: 0 }, true],
    [{ id: 'one', inEnd: 0, outEnd: 0 }, false],
    [{ id: 'one', inEnd: 0, outEnd: 2 }, false],
    [{ id: 'none', inEnd: 0, outEnd: 1 }, false],
  ])('lets a line name %j: %s', async (link, good) => {
    const check = checkLinks(shop.db, [link], 'endA');
    if (good) await expect(check).resolves.toBeUndefined();
    else await expect(check).rejects.toMatchObject({ code: 'bad-value' });
  });

  it('has another revision after every change, its undo and the demo', async () => {
    const seen = new Set<string>();
    const look = async (): Promise<void> => void seen.add(await catalogueRevision(shop.db));
    await look();
    await look();
    expect(seen.size).toBe(1);
    await shop.call('POST', '/api/catalogue/fittings', { ends: ['an6 m', 'an12 m'].map(parseConnector), code: 'R-1' });
    await look();
    await shop.call('POST', '/api/catalogue/undo', {});
    await look();
    await loadDemo(shop.db, true);
    await look();
    expect(seen.size).toBe(4);
  });

  it('keeps what two people do to one part apart: the second is told', async () => {
    const { body } = await shop.call<{ fitting: Fitting; version: number }>('GET', '/api/catalogue/fittings/one');
    const { id: _, ...fields } = body.fitting;
    const edit = (name: string) =>
      shop.call<{ code?: string }>('PUT', '/api/catalogue/fittings/one', { version: body.version, fitting: { ...fields, name } });
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

  it('has a displaced sensor in the demo, which the solver keeps on a tee', async () => {
    const jobs = (await shop.call<{ job: { id: string; number: string } }[]>('GET', '/api/jobs')).body;
    const { body } = await shop.call<JobDocument>('GET', `/api/jobs/${jobs.find((j) => j.job.number === '2403')!.job.id}`);
    const port = body.ports.find((p) => p.sensor)!;
    expect(port.sensor).toMatchObject({ name: 'pressure sender', connector: parseConnector('r 1/8 m'), movedTo: null });
    expect(body.lines.some((l) => l.endA.portId === port.id && l.endA.fittings === null)).toBe(true);
  });
});
