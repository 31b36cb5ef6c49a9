import fc from 'fast-check';
import { sampleJob, startTestApp } from '../../test/test-app.js';

type Server = Awaited<ReturnType<typeof startTestApp>>;
let server: Server;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());

interface Row {
  id: string;
  version: number;
}
interface Document {
  components: Row[];
  ports: Row[];
  lines: Row[];
}

/** What a job says, without versions and times. */
const content = (document: Document): unknown =>
  JSON.parse(JSON.stringify(document, (key: string, value: unknown) => (key === 'version' || key === 'updatedAt' ? undefined : value)));

describe('history', () => {
  const read = async (jobId: string) => (await server.call<Document>('GET', `/api/jobs/${jobId}`)).body;

  /** One change of the given kind to whatever is there; some are refused, which is a change of nothing. */
  async function change(jobId: string, kind: number): Promise<void> {
    const { components, ports, lines } = await read(jobId);
    const [component, port, line] = [components[kind % Math.max(1, components.length)], ports[kind % Math.max(1, ports.length)], lines[0]];
    const steps = [
      () => server.call('POST', `/api/jobs/${jobId}/components`, { kind: 'pan', name: `Pan ${kind}` }),
      () => component && server.call('PATCH', `/api/components/${component.id}`, { version: component.version, name: `Name ${kind}` }),
      () => component && server.call('POST', `/api/components/${component.id}/duplicate`, {}),
      () => component && server.call('DELETE', `/api/components/${component.id}`, { version: component.version }),
      () => component && server.call('POST', `/api/components/${component.id}/ports`, { label: `p${kind}`, notation: 'npt 1/8 f' }),
      () => port && server.call('PATCH', `/api/ports/${port.id}`, { version: port.version, notation: 'orb6 f' }),
      () => port && server.call('DELETE', `/api/ports/${port.id}`, { version: port.version }),
      () => line && server.call('PATCH', `/api/lines/${line.id}`, { version: line.version, tapedLengthMm: 100 + kind }),
      () => line && server.call('DELETE', `/api/lines/${line.id}`, { version: line.version }),
    ];
    const answer = await steps[kind % steps.length]!();
    expect([undefined, 200, 201, 204, 409]).toContain(answer?.status);
  }

  it('undone as often as anything was done, is the job as it was; done again, as it had become', async () => {
    let number = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat(26), { minLength: 1, maxLength: 8 }), async (kinds) => {
        const { jobId } = await sampleJob(server.call, `H${number++}`);
        const states = [content(await read(jobId))];
        for (const kind of kinds) {
          const count = await events(jobId);
          await change(jobId, kind);
          if ((await events(jobId)) > count) states.push(content(await read(jobId)));
        }
        for (let i = states.length - 2; i >= 0; i--) {
          expect((await server.call('POST', `/api/jobs/${jobId}/undo`, {})).status).toBe(200);
          expect(content(await read(jobId))).toEqual(states[i]);
        }
        for (let i = 1; i < states.length; i++) {
          expect((await server.call('POST', `/api/jobs/${jobId}/redo`, {})).status).toBe(200);
          expect(content(await read(jobId))).toEqual(states[i]);
        }
      }),
      { numRuns: 12 },
    );
  });

  const events = async (jobId: string): Promise<number> => {
    const row = (await server.db('events').where({ job_id: jobId }).count('id as n').first()) as { n: number };
    return Number(row.n);
  };

  it('does not take back what somebody has changed by hand since', async () => {
    const { jobId, lineId } = await sampleJob(server.call, 'H-hand');
    await server.call('PATCH', `/api/lines/${lineId}`, { version: 1, name: 'Renamed' });
    await server.db('job_lines').where({ id: lineId }).update({ name: 'By hand' });
    expect((await server.call('POST', `/api/jobs/${jobId}/undo`, {})).body).toMatchObject({ code: 'cannot-undo' });
    expect((await read(jobId)).lines[0]).toMatchObject({ name: 'By hand' });
  });

  it('does not bring back a line whose port another line has taken', async () => {
    const { jobId, lineId, from, to } = await sampleJob(server.call, 'H-port');
    await server.call('DELETE', `/api/lines/${lineId}`, { version: 1 });
    const row = {
      id: 'other',
      job_id: jobId,
      number: 9,
      name: 'Other',
      service: 'other',
      port_a: from,
      port_b: to,
      end_a: '{}',
      end_b: '{}',
      slack_percent: 0,
      checked: false,
      note: '',
      position: 9,
      version: 1,
    };
    await server.db('job_lines').insert(row);
    expect((await server.call('POST', `/api/jobs/${jobId}/undo`, {})).body).toMatchObject({ code: 'cannot-undo' });
    await server.db('job_lines').where({ id: 'other' }).delete();
    expect((await server.call('POST', `/api/jobs/${jobId}/undo`, {})).status).toBe(200);
  });

  it('ends with its job: an unknown one has none', async () => {
    expect((await server.call('POST', '/api/jobs/nowhere/undo', {})).body).toMatchObject({ code: 'not-found' });
    expect((await server.call('PATCH', '/api/lines/nowhere', { version: 1, name: 'x' })).status).toBe(404);
    expect((await server.call('DELETE', '/api/ports/nowhere', { version: 1 })).status).toBe(404);
    expect((await server.call('POST', '/api/components/nowhere/ports', { label: 'x', notation: 'an6 m' })).status).toBe(404);
  });
});
