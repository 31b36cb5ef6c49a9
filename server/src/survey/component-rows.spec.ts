import { sampleJob, startTestApp } from '../../test/test-app.js';
import { freeName } from './component-store.js';

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

interface Made {
  component: { id: string; name: string; position: number; version: number };
  ports: { id: string; label: string; componentId: string }[];
}

describe('freeName', () => {
  it.each([
    ['Turbo', [], 'Turbo 2'],
    ['Turbo', ['Turbo 2'], 'Turbo 3'],
    ['Turbo 2', ['Turbo', 'Turbo 2'], 'Turbo 3'],
    ['Cooler 7', [], 'Cooler 2'],
    ['x'.repeat(80), [], `${'x'.repeat(74)} 2`],
  ])('of %s beside %j is %s', (name, taken, free) => expect(freeName(name, taken)).toBe(free));
});

describe('components', () => {
  it('are duplicated with their ports, which no line uses', async () => {
    const { body } = await server.call<Made>('POST', `/api/components/${job.blockId}/duplicate`, {});
    expect(body.component).toMatchObject({ name: 'Block 2', position: 2, version: 1 });
    expect(body.ports.map((p) => [p.label, p.componentId])).toEqual([['gallery', body.component.id]]);
    const line = await server.call('POST', `/api/jobs/${job.jobId}/lines`, {
      service: 'other',
      fromPortId: body.ports[0]!.id,
      toPortId: job.to,
    });
    expect(line.body).toMatchObject({ code: 'port-in-use' });
  });

  it('are edited field by field, each edit a version', async () => {
    const edit = (version: number, patch: object) => server.call('PATCH', `/api/components/${job.blockId}`, { version, ...patch });
    expect((await edit(1, { note: 'hot side' })).body).toMatchObject({ name: 'Block', note: 'hot side', version: 2 });
    expect((await edit(2, { kind: 'other', position: 5 })).body).toMatchObject({
      kind: 'other',
      note: 'hot side',
      position: 5,
      version: 3,
    });
    expect((await edit(3, { kind: 'rocket' })).body).toMatchObject({ code: 'bad-value', field: 'kind' });
    expect((await edit(3, { name: '' })).body).toMatchObject({ field: 'name' });
    expect((await edit(3, { jobId: 'other' })).body).toMatchObject({ field: 'jobId' });
  });

  it('keep signs of every script, and quotes, as they were typed', async () => {
    for (const name of ['Ölwanne', 'O\'Neil\'s "pan"', '油冷器', 'a%_b', '<b>bold</b>', '🛢️ tank']) {
      const made = await server.call<{ id: string; name: string }>('POST', `/api/jobs/${job.jobId}/components`, { kind: 'pan', name });
      expect(made.body.name).toBe(name);
      const read = await server.call<{ components: { id: string; name: string }[] }>('GET', `/api/jobs/${job.jobId}`);
      expect(read.body.components.find((c) => c.id === made.body.id)!.name).toBe(name);
    }
  });

  it('are deleted with their ports once no line ends on them', async () => {
    await server.call('DELETE', `/api/lines/${job.lineId}`, { version: 1 });
    expect((await server.call('DELETE', `/api/components/${job.blockId}`, { version: 1 })).status).toBe(204);
    const read = await server.call<{ components: object[]; ports: { label: string }[] }>('GET', `/api/jobs/${job.jobId}`);
    expect(read.body.components).toHaveLength(1);
    expect(read.body.ports.map((p) => p.label)).toEqual(['inlet']);
    expect((await server.call('DELETE', `/api/components/${job.blockId}`, { version: 1 })).status).toBe(404);
  });
});

describe('lines', () => {
  it('are numbered on, also after one was deleted in between', async () => {
    const spare = async (id: string) => (await server.call<{ id: string }>('POST', `/api/ports/${id}/duplicate`, {})).body.id;
    const add = async () =>
      (
        await server.call<{ id: string; number: number; version: number }>('POST', `/api/jobs/${job.jobId}/lines`, {
          service: 'return',
          fromPortId: await spare(job.from),
          toPortId: await spare(job.to),
        })
      ).body;
    const second = await add();
    const third = await add();
    expect([second.number, third.number]).toEqual([2, 3]);
    await server.call('DELETE', `/api/lines/${second.id}`, { version: second.version });
    expect((await add()).number).toBe(4);
  });

  it('are made at the same moment without taking one port or one number twice', async () => {
    const ports = await Promise.all(
      [1, 2, 3].map(async () => (await server.call<{ id: string }>('POST', `/api/ports/${job.from}/duplicate`, {})).body.id),
    );
    const target = (await server.call<{ id: string }>('POST', `/api/ports/${job.to}/duplicate`, {})).body.id;
    const answers = await Promise.all(
      ports.map((from) =>
        server.call<{ number?: number; code?: string }>('POST', `/api/jobs/${job.jobId}/lines`, {
          service: 'other',
          fromPortId: from,
          toPortId: target,
        }),
      ),
    );
    expect(answers.map((a) => a.status).sort()).toEqual([201, 409, 409]);
    expect(answers.filter((a) => a.status === 409).map((a) => a.body.code)).toEqual(['port-in-use', 'port-in-use']);
  });

  it('take the name of their service, or the one they are given', async () => {
    const spare = (await server.call<{ id: string }>('POST', `/api/ports/${job.from}/duplicate`, {})).body.id;
    const other = (await server.call<{ id: string }>('POST', `/api/ports/${job.to}/duplicate`, {})).body.id;
    const made = await server.call('POST', `/api/jobs/${job.jobId}/lines`, {
      service: 'breather',
      name: ' Cam cover ',
      fromPortId: spare,
      toPortId: other,
    });
    expect(made.body).toMatchObject({
      name: 'Cam cover',
      service: 'breather',
      slackPercent: 2,
      checked: false,
      construction: null,
      endA: { fittings: null },
    });
  });
});
