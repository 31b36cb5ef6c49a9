import { sampleJob, startTestApp } from '../../test/test-app.js';

type Server = Awaited<ReturnType<typeof startTestApp>>;
let server: Server;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());
beforeEach(async () => {
  await server.db('job_lines').delete();
  await server.db('jobs').delete();
});

interface Summary {
  job: { id: string; number: string; version: number };
  next: string;
  lines: number;
  blockedBy?: string;
}

describe('jobs', () => {
  it('are made, renamed, archived and brought back', async () => {
    const made = await server.call<{ id: string; version: number; number: string }>('POST', '/api/jobs', {
      number: ' 2601 ',
      name: 'Kart',
    });
    expect(made.status).toBe(201);
    expect(made.body.number).toBe('2601');
    const renamed = await server.call('PATCH', `/api/jobs/${made.body.id}`, { version: 1, name: 'Kart, second engine' });
    expect(renamed.body).toMatchObject({ name: 'Kart, second engine', version: 2 });
    await server.call('PATCH', `/api/jobs/${made.body.id}`, { version: 2, archived: true });
    expect((await server.call<Summary[]>('GET', '/api/jobs')).body).toEqual([]);
    expect((await server.call<Summary[]>('GET', '/api/jobs?archived=true')).body).toHaveLength(1);
  });

  it('keep their numbers to themselves', async () => {
    await server.call('POST', '/api/jobs', { number: '2601', name: 'One' });
    const second = await server.call<{ id: string }>('POST', '/api/jobs', { number: '2602', name: 'Two' });
    expect((await server.call('POST', '/api/jobs', { number: '2601', name: 'Again' })).body).toMatchObject({
      code: 'number-taken',
      field: 'number',
    });
    expect((await server.call('PATCH', `/api/jobs/${second.body.id}`, { version: 1, number: '2601' })).status).toBe(409);
  });

  it('tell the board what blocks them and what comes next', async () => {
    const empty = await server.call<{ id: string }>('POST', '/api/jobs', { number: '2600', name: 'Empty' });
    const { lineId } = await sampleJob(server.call);
    const list = async () => (await server.call<Summary[]>('GET', '/api/jobs')).body;
    expect((await list()).map((s) => s.next)).toEqual(['Finish L1', 'Survey the ports']);
    const end = (portId: string, fittings: object[]) => ({ portId, angleDeg: 0, fittings });
    const line = (
      await server.call<{ lines: { endA: { portId: string }; endB: { portId: string } }[] }>(
        'GET',
        `/api/jobs/${(await list())[0]!.job.id}`,
      )
    ).body.lines[0]!;
    const wrong = end(line.endB.portId, [{ id: 'orb4m+an6m', inEnd: 0, outEnd: 1 }]);
    await server.call('PATCH', `/api/lines/${lineId}`, {
      version: 1,
      construction: 'ptfe',
      dash: 6,
      tapedLengthMm: 600,
      endA: end(line.endA.portId, [{ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }]),
      endB: wrong,
    });
    expect((await list())[0]).toMatchObject({ next: 'Put L1 right', blockedBy: expect.stringMatching(/^L1: Joint 6/) as string });
    expect(empty.status).toBe(201);
  });

  it.each([
    [{ name: 'No number' }, 'number'],
    [{ number: '', name: 'x' }, 'number'],
    [{ number: '   ', name: 'x' }, 'number'],
    [{ number: '1', name: 'x'.repeat(121) }, 'name'],
    [{ number: '1', name: 'x', colour: 'red' }, 'colour'],
    [{ number: 5, name: 'x' }, 'number'],
  ])('refuse %j with a word about the field', async (body, field) => {
    const answer = await server.call('POST', '/api/jobs', body);
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ code: 'bad-value', field });
  });

  it('answer what is not there, not JSON, or too large in the one error shape', async () => {
    expect((await server.call('GET', '/api/jobs/nowhere')).body).toMatchObject({ code: 'not-found' });
    expect((await server.call('GET', '/api/nothing')).body).toMatchObject({ code: 'not-found' });
    const broken = await server.app.inject({
      method: 'POST',
      url: '/api/jobs',
      headers: { 'content-type': 'application/json' },
      payload: '{"number":',
    });
    expect(broken.json()).toMatchObject({ code: 'bad-request' });
    expect((await server.call('POST', '/api/jobs', { number: '1', name: 'x', description: 'y'.repeat(300_000) })).body).toMatchObject({
      code: 'too-large',
    });
  });
});

describe('a stale edit', () => {
  it('gets the newer row and changes nothing', async () => {
    const { lineId, jobId } = await sampleJob(server.call);
    await server.call('PATCH', `/api/lines/${lineId}`, { version: 1, name: 'First' });
    const late = await server.call('PATCH', `/api/lines/${lineId}`, { version: 1, name: 'Second' });
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ code: 'conflict', current: { name: 'First', version: 2 } });
    expect((await server.call<{ lines: { name: string }[] }>('GET', `/api/jobs/${jobId}`)).body.lines[0]!.name).toBe('First');
  });

  it('loses against one of two at the same moment, never both', async () => {
    const { lineId } = await sampleJob(server.call);
    const answers = await Promise.all(['a', 'b', 'c'].map((name) => server.call('PATCH', `/api/lines/${lineId}`, { version: 1, name })));
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409]);
  });
});
