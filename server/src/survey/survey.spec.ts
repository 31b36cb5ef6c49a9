import { formatConnector, type Connector } from '@gewinde/core';
import { sampleJob, startTestApp } from '../../test/test-app.js';

type Server = Awaited<ReturnType<typeof startTestApp>>;
let server: Server;
let job: Awaited<ReturnType<typeof sampleJob>>;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());
beforeEach(async () => {
  await server.db('job_lines').delete();
  await server.db('jobs').delete();
  job = await sampleJob(server.call);
});

interface Document {
  components: { id: string; name: string; version: number }[];
  ports: { id: string; label: string; connector: object; componentId: string }[];
  lines: { number: number; name: string }[];
}
const document = async (): Promise<Document> => (await server.call<Document>('GET', `/api/jobs/${job.jobId}`)).body;

describe('ports', () => {
  it('are read from one line of notation', async () => {
    const made = await server.call('POST', `/api/components/${job.blockId}/ports`, { label: 'sensor', notation: '1/8 NPT female' });
    expect(made.body).toMatchObject({ label: 'sensor', connector: { family: 'npt', size: '1/8', gender: 'female' }, version: 1 });
    const id = (made.body as { id: string }).id;
    expect((await server.call('PATCH', `/api/ports/${id}`, { version: 1, notation: 'npt 1/4 f' })).body).toMatchObject({
      connector: { size: '1/4' },
      version: 2,
    });
  });

  it.each([
    ['rc 1/8', 'rc 1/8 f'],
    ['bspp 1/4 f', 'g 1/4 f'],
    ['keg m10x1', 'keg m10x1 m'],
    ['cone24 m16x1.5 m 10L', 'cone24 m16x1.5 m 10l'],
    ['post 3/4-16 m', 'post 3/4-16 m'],
    ['flange 2x44 bore 20', 'flange 2x44 bore20 f'],
    ['weld bung m18x1.5 f washer', 'bung m18x1.5 f washer'],
    ['drybreak an10', 'drybreak an10 f'],
    ['bulkhead an10 f', 'bulkhead an10 f'],
    ['bead 1 1/4', 'bead 1 1/4'],
    ['sae45-6 m', 'sae45-6 m'],
  ])('of every family are kept and exported: %s', async (typed, canonical) => {
    const { body, status } = await server.call<{ connector: Connector }>('POST', `/api/components/${job.blockId}/ports`, {
      label: 'p',
      notation: typed,
    });
    expect(status).toBe(201);
    expect(formatConnector(body.connector)).toBe(canonical);
    expect((await server.call('GET', `/api/jobs/${job.jobId}/export`)).text).toContain(`"${canonical}"`);
  });

  it('point at a notation that cannot be read', async () => {
    const answer = await server.call('POST', `/api/components/${job.blockId}/ports`, { label: 'sensor', notation: 'ntp 1/8 f' });
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ code: 'connector-syntax', field: 'notation', position: 0, length: 3, suggestion: 'npt 1/8 f' });
  });

  it('are duplicated under a name of their own', async () => {
    expect((await server.call('POST', `/api/ports/${job.from}/duplicate`, {})).body).toMatchObject({ label: 'gallery 2' });
    expect((await server.call('POST', `/api/ports/${job.from}/duplicate`, {})).body).toMatchObject({ label: 'gallery 3' });
  });

  it('stay while a line ends on them, and so does their component', async () => {
    expect((await server.call('DELETE', `/api/ports/${job.from}`, { version: 1 })).body).toMatchObject({
      code: 'port-in-use',
      message: expect.stringContaining('L1') as string,
    });
    expect((await server.call('DELETE', `/api/components/${job.blockId}`, { version: 1 })).body).toMatchObject({
      code: 'component-in-use',
    });
    expect((await document()).ports).toHaveLength(2);
  });
});

describe('lines', () => {
  it('refuse a port to itself, a port used twice and a port of another job', async () => {
    const spare = (await server.call<{ id: string }>('POST', `/api/ports/${job.from}/duplicate`, {})).body.id;
    const other = await sampleJob(server.call, '2502');
    const add = (fromPortId: string, toPortId: string) =>
      server.call('POST', `/api/jobs/${job.jobId}/lines`, { service: 'other', fromPortId, toPortId });
    expect((await add(spare, spare)).body).toMatchObject({ code: 'same-port' });
    expect((await add(spare, job.to)).body).toMatchObject({
      code: 'port-in-use',
      message: 'inlet is already used by L1 Turbo feed.',
      field: 'endB',
    });
    expect((await add(spare, other.to)).body).toMatchObject({ code: 'not-found' });
    expect((await document()).lines).toHaveLength(1);
  });

  it('refuse hoses, fittings and lengths that do not exist', async () => {
    const patch = (body: object) => server.call('PATCH', `/api/lines/${job.lineId}`, { version: 1, ...body });
    expect((await patch({ construction: 'string' })).body).toMatchObject({ field: 'construction' });
    expect((await patch({ construction: 'ptfe', dash: 7 })).body).toMatchObject({ field: 'dash' });
    expect((await patch({ endA: { portId: job.from, angleDeg: 0, fittings: [{ id: 'gone', inEnd: 0, outEnd: 1 }] } })).body).toMatchObject({
      field: 'endA',
    });
    expect((await patch({ endA: { portId: job.from, angleDeg: 17, fittings: null } })).body).toMatchObject({
      code: 'bad-value',
      field: 'endA/angleDeg',
    });
    for (const tapedLengthMm of [0, -3, 40_000, 'long']) expect((await patch({ tapedLengthMm })).status).toBe(400);
    expect((await patch({ slackPercent: 21 })).status).toBe(400);
  });
});

describe('undo', () => {
  const undo = async (direction = 'undo') =>
    server.call<{ label: string; code?: string }>('POST', `/api/jobs/${job.jobId}/${direction}`, {});

  it('takes back one change after another and makes them again', async () => {
    await server.call('PATCH', `/api/lines/${job.lineId}`, { version: 1, name: 'Renamed' });
    await server.call('DELETE', `/api/lines/${job.lineId}`, { version: 2 });
    expect((await undo()).body.label).toBe('Delete L1 Renamed');
    expect((await document()).lines[0]!.name).toBe('Renamed');
    expect((await undo()).body.label).toBe('Edit L1 Turbo feed');
    expect((await document()).lines[0]!.name).toBe('Turbo feed');
    await undo('redo');
    expect((await document()).lines[0]!.name).toBe('Renamed');
    await undo('redo');
    expect((await document()).lines).toEqual([]);
    expect((await undo('redo')).body.code).toBe('nothing-to-redo');
  });

  it('brings a component back with its ports', async () => {
    await server.call('DELETE', `/api/lines/${job.lineId}`, { version: 1 });
    await server.call('DELETE', `/api/components/${job.blockId}`, { version: 1 });
    expect((await document()).ports).toHaveLength(1);
    await undo();
    expect((await document()).ports.map((p) => p.label).sort()).toEqual(['gallery', 'inlet']);
    expect((await undo()).body.label).toMatch(/^Delete L1/);
  });

  it('forgets what could be redone once something new is done', async () => {
    await server.call('PATCH', `/api/lines/${job.lineId}`, { version: 1, name: 'Renamed' });
    await undo();
    await server.call('POST', `/api/ports/${job.from}/duplicate`, {});
    expect((await undo('redo')).body.code).toBe('nothing-to-redo');
  });

  it('goes back to the empty job and no further', async () => {
    for (let i = 0; i < 5; i++) expect((await undo()).status).toBe(200);
    expect((await undo()).body.code).toBe('nothing-to-undo');
    expect((await document()).components).toEqual([]);
  });
});
