import { judgeJob, jobContracts, ruleIds, shopContracts } from '@gewinde/core';
import { sampleJob, startTestApp, type TestApp } from '../../test/test-app.js';

let server: TestApp;
let jobId: string;
let lineId: string;
beforeAll(async () => {
  server = await startTestApp();
  ({ jobId, lineId } = await sampleJob(server));
});
afterAll(async () => server.close());

const versionOf = async () => (await server.document(jobId)).lines.find((l) => l.id === lineId)!.version;

describe('a line that something holds', () => {
  it('is not checked, by whatever door it is asked; what is accepted and done another way is kept and exported', async () => {
    const refused = await server.change(jobId, {
      do: 'check-line',
      id: lineId,
      version: await versionOf(),
      checked: { at: null, digest: {} },
    });
    expect([refused.status, (refused.body as unknown as { code: string }).code]).toEqual([409, 'held']);
    const waiver = { rule: 'hose-refused', at: `lineId=${lineId}`, figures: 'abc', by: 'RA', reason: 'bench only', on: '2026-12-02' };
    expect((await server.change(jobId, { do: 'accept-finding', waiver })).status).toBe(200);
    const deviation = { rule: 'flow.thermostat', value: 'none', by: 'RA', reason: 'track only' };
    expect((await server.change(jobId, { do: 'deviate', deviation })).status).toBe(200);
    const never = await server.change(jobId, { do: 'deviate', deviation: { ...deviation, rule: 'store.kerfMm', value: 3 } });
    expect(never.status).toBe(400);
    const { job } = await server.document(jobId);
    expect([job.waivers, job.deviations]).toEqual([[waiver], [deviation]]);
    const { body } = await server.ask(jobContracts.exportJob, { params: { id: jobId } });
    expect(body).toMatchObject({ job: { deviations: [deviation] } });
    await server.change(jobId, { do: 'follow-shop', rule: 'flow.thermostat' });
    expect((await server.document(jobId)).job.deviations).toBeUndefined();
  });
});

describe('a rule of the shop', () => {
  it('is looked at on the open jobs before it is set, and refused where it cannot be so', async () => {
    const looked = await server.ask(shopContracts.previewRule, { body: { rule: 'flow.thermostat', value: 'none' } });
    expect(looked.body.jobs).toBeGreaterThan(0);
    const ranks = await server.ask(shopContracts.previewRule, { body: { rule: 'ways.price', value: 2 } });
    expect(ranks.body.changed).toEqual([]);
    for (const body of [
      { rule: 'flow.thermostat', value: 'paper' },
      { rule: 'flow.nothing', value: 1 },
    ])
      expect((await server.call('POST', '/api/shop/rules/preview', body)).status).toBe(400);
  });
});

describe('the example of a rule', () => {
  it.each(ruleIds.filter((_, i) => i % 9 === 0))('%s is told with the parts that it is drawn with', async (rule) => {
    const { body } = await server.ask(shopContracts.readExample, { params: { rule } });
    expect(body.message).not.toBe('');
    const { document, ...parts } = body.sound;
    expect(() => judgeJob(document as never, { ...parts, supplies: [] } as never)).not.toThrow();
  });

  it('that nobody has is not found', async () => {
    expect((await server.call('GET', '/api/rules/nothing/example')).status).toBe(404);
  });
});
