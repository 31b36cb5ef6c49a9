import { jobContracts, shopContracts, type Command } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { fillWithJobs } from '../demo/many-jobs.js';
import { sampleJob, startTestApp, type TestApp } from '../../test/test-app.js';

let server: TestApp;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());
beforeEach(async () => {
  await server.db('job_lines').delete();
  await server.db('jobs').delete();
});
type Query = { number?: string; find?: string; from?: string; most?: string; archived?: 'true' | 'false' };
const page = async (query: Query = {}) => (await server.ask(jobContracts.listJobs, { query })).body;
const numbers = async (query: Query = {}) => (await page(query)).jobs.map((s) => s.job.number);
const way = (id: string, at: number, fitting: string, version = 1): Command => ({
  do: 'take-way',
  id,
  version,
  at,
  fittings: [{ id: fitting, inEnd: 0, outEnd: 1 }],
  branches: [],
});

describe('the board', () => {
  it('is read page by page, by number, and says how many there are', async () => {
    for (const number of ['30', '10', '20', '25']) await server.ask(jobContracts.createJob, { body: { number, name: 'Job' } });
    expect(await numbers({ most: '2' })).toEqual(['10', '20']);
    const second = await page({ from: '2', most: '2' });
    expect([second.jobs.map((s) => s.job.number), second.total]).toEqual([['25', '30'], 4]);
    expect(await page({ from: '9' })).toMatchObject({ jobs: [], total: 4 });
    for (const wrong of ['?most=0', '?most=101', '?from=-1', '?find=a%0Ab', `?find=${'x'.repeat(121)}`])
      expect((await server.call('GET', `/api/jobs${wrong}`)).status).toBe(400);
  });

  it('finds the one job of a number, as a label says it, among any number of others, archived too', async () => {
    for (let i = 10; i < 35; i++) await server.ask(jobContracts.createJob, { body: { number: `Job 1${i}`, name: 'Job 1' } });
    const { body } = await server.ask(jobContracts.createJob, { body: { number: 'Job 1', name: 'Archived' } });
    await server.change(body.id, { do: 'edit-job', version: body.version, set: { archived: true } } as Command);
    for (const number of ['Job 1', 'JOB 1', ' job 1 ']) expect((await page({ number })).jobs.map((s) => s.job.name)).toEqual(['Archived']);
    expect(await page({ number: 'Job' })).toMatchObject({ jobs: [], total: 0 });
  });

  it('finds jobs by all words in number, name, line, port, component and part, and says what it found', async () => {
    const { jobId, lineId, from } = await sampleJob(server, '3101');
    await sampleJob(server, '3102');
    await server.change(jobId, [
      way(lineId, 0, 'm14x1.5mwasher+an6m'),
      { do: 'edit-job', version: 1, set: { name: 'Kübelwagen' } },
      { do: 'edit-port', id: from, version: 1, set: { label: 'gallery, rear' } },
    ]);
    const found = async (find: string) => (await page({ find })).jobs.map((s) => [s.job.number, ...(s.found ?? []).map((f) => f.kind)]);
    expect(await found('3101')).toEqual([['3101']]);
    expect(await found('kubel')).toEqual([['3101']]);
    expect(await found('rear GALLERY')).toEqual([['3101', 'port']]);
    expect((await found('m14x1.5mwasher+an6m'))[0]).toEqual(['3101', 'part']);
    expect((await found('turbo feed')).map(([number]) => number)).toEqual(['3101', '3102']);
    expect(await page({ find: 'turbo nowhere' })).toMatchObject({ jobs: [], total: 0, behind: 0 });
    expect(await found("%_' or 1=1 --")).toEqual([]);
  });

  it('shows a job anew when it has changed, and when a part that it uses has; else what is kept', async () => {
    const { jobId, lineId } = await sampleJob(server, '3201');
    await server.change(jobId, way(lineId, 0, 'm14x1.5mwasher+an6m'));
    const told = async () => server.db('job_summaries').where({ job_id: jobId }).first<{ told: string; shop_revision: number }>();
    await page();
    await server
      .db('job_summaries')
      .where({ job_id: jobId })
      .update({ told: JSON.stringify({ ...JSON.parse((await told()).told), next: 'As kept' }) });
    expect((await page()).jobs[0]!.next).toBe('As kept');
    const edit = async (id: string, part: object) => {
      const { row } = (await server.ask(shopContracts.readPart, { params: { part: id } })).body;
      const command = { do: 'edit-part', id, version: row.version, entry: { kind: row.kind, part: { ...row.part, ...part } } };
      const changed = await server.call('POST', '/api/shop/changes', { key: randomUUID(), commands: [command] });
      expect(changed.status).toBe(200);
    };
    await edit('m14x1.5mwasher+an6m', { priceMinor: 999 });
    await edit('orb4m+an6m', { name: 'Not used here' });
    expect((await page()).jobs[0]!.next).toBe('As kept');
    await edit('m14x1.5mwasher+an6m', { name: 'Renamed adapter' });
    expect((await page()).jobs[0]!.next).toBe('Finish L1');
    expect(await numbers({ find: 'renamed' })).toEqual(['3201']);
    await server.change(jobId, { do: 'edit-job', version: 1, set: { number: '3299', archived: true } });
    expect(await numbers({ find: 'renamed', archived: 'true' })).toEqual(['3299']);
    expect(await numbers({ find: 'renamed' })).toEqual([]);
  });

  it('shows a job whose rows do not hold together as such, and all the others', async () => {
    const { jobId, lineId } = await sampleJob(server, '3301');
    await sampleJob(server, '3302');
    await server.db('job_lines').where({ id: lineId }).update({ pieces: '[{}]', ways: '{"chosen": 7}' });
    await server.db('jobs').where({ id: jobId }).update({ late: true, revision: 99 });
    const { jobs } = await page();
    expect(jobs.map((s) => [s.job.number, s.unsound === undefined])).toEqual([
      ['3301', false],
      ['3302', true],
    ]);
    expect(await numbers({ find: '3301' })).toEqual(['3301']);
  });

  it('reads many that changed at once beside the requests, and says that they are behind', async () => {
    await fillWithJobs(server.db, 45);
    const first = await page({ find: 'F00007' });
    expect(first.behind).toBeGreaterThan(0);
    for (let tries = 0; tries < 100 && (await server.db('jobs').where({ late: true }).first()); tries++)
      await new Promise((resolve) => setTimeout(resolve, 50));
    expect(await page({ find: 'F00007' })).toMatchObject({ total: 1, behind: 0 });
    expect((await page({ find: 'invented board', most: '100' })).total).toBe(45);
    expect(await fillWithJobs(server.db, 5)).toBe(50);
  });
});

describe('a part that a row names', () => {
  const own = {
    kind: 'fitting',
    part: {
      ends: [
        { family: 'npt', size: '1/4', gender: 'male' },
        { family: 'flare37', size: '6', gender: 'male' },
      ],
    },
  };
  const add = async () => {
    const added = await server.call('POST', '/api/shop/changes', {
      key: randomUUID(),
      commands: [{ do: 'add-part', entry: { ...own, part: { ...own.part, code: `X-${randomUUID().slice(0, 8)}` } } }],
    });
    return (added.body['put'] as { row: { id: string } }[])[0]!.row.id;
  };

  it('is known to be used by where it stands, and can be taken back once it is not', async () => {
    const { jobId, lineId } = await sampleJob(server, '3401');
    const id = await add();
    await server.change(jobId, { do: 'edit-way', id: lineId, version: 1, at: 0, set: { wishes: { use: [id] } } });
    const uses = async () => server.db('part_uses').where({ part_id: id }).pluck<string[]>('row_id');
    expect(await uses()).toEqual([lineId]);
    const undo = () => server.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect((await undo()).body).toMatchObject({ code: 'cannot-undo' });
    await expect(server.db('parts').where({ id }).delete()).rejects.toMatchObject({ code: 'ER_ROW_IS_REFERENCED_2' });
    await server.ask(jobContracts.undoJob, { params: { id: jobId }, body: { key: randomUUID() } });
    expect(await uses()).toEqual([]);
    expect((await undo()).status).toBe(200);
  });
});
