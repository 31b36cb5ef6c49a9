import { jobContracts, shopContracts, usualFlowRules, type Command, type JobFile } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { sampleJob, startTestApp, type TestApp } from '../../test/test-app.js';

let server: TestApp;
let jobId: string;
let lineId: string;
beforeAll(async () => {
  server = await startTestApp();
  ({ jobId, lineId } = await sampleJob(server));
});
afterAll(async () => server.close());

const running = { oil: { grade: '10w40' as const }, coldC: 5, hottestC: 120, fullBar: 4, powerKw: 200 };

describe('what flows', () => {
  it('is kept with job, line and component, exported, taken in again, and taken back', async () => {
    const { job, lines, components } = await server.document(jobId);
    const line = lines.find((l) => l.id === lineId)!;
    const [component] = components;
    await server.change(jobId, { do: 'edit-job', version: job.version, set: { running } });
    await server.change(jobId, { do: 'edit-line', id: lineId, version: line.version, set: { flow: { bearing: 'ball', fallMm: -40 } } });
    const flow = { holdsL: 0.7, takesBar: 0.3, atLpm: 40 };
    const told = await server.change(jobId, { do: 'edit-component', id: component!.id, version: component!.version, set: { flow } });
    expect(told.body.put).toMatchObject([{ type: 'component', row: { flow } }]);
    const now = await server.document(jobId);
    expect(now.job.running).toEqual(running);
    expect(now.lines.find((l) => l.id === lineId)!.flow).toEqual({ bearing: 'ball', fallMm: -40 });

    const file = (await server.ask(jobContracts.exportJob, { params: { id: jobId } })).body as unknown as JobFile;
    expect(file.job.running).toEqual(running);
    expect(file.components[0]!.flow).toEqual(flow);
    const again = await server.call('POST', '/api/jobs/import', { ...file, job: { ...file.job, number: 'flow-again' } });
    expect(again.status).toBe(201);
    const crossed = { ...running, oil: { name: 'own', v40: 14, v100: 96, density15: 860 } };
    const refused = await server.call('POST', '/api/jobs/import', {
      ...file,
      job: { ...file.job, number: 'flow-crossed', running: crossed },
    });
    expect([refused.status, refused.body['code'], refused.body['field']]).toEqual([400, 'job-file-content', 'job/running/oil']);

    const cleared = now.lines.find((l) => l.id === lineId)!;
    await server.change(jobId, { do: 'edit-line', id: lineId, version: cleared.version, set: { flow: {} } });
    expect((await server.document(jobId)).lines.find((l) => l.id === lineId)!.flow).toBeUndefined();
    await server.ask(jobContracts.undoJob, { params: { id: jobId }, body: { key: randomUUID() } });
    expect((await server.document(jobId)).lines.find((l) => l.id === lineId)!.flow).toEqual({ bearing: 'ball', fallMm: -40 });
  });

  it.each([
    ['crossed viscosities', { oil: { name: 'x', v40: 14, v100: 96, density15: 860 } }, 'bad-value', /may be crossed/],
    ['a cold start that is hotter than the hottest', { coldC: 130, hottestC: 120 }, 'bad-value', /no colder/],
    ['more pressure at idle than at most revs', { idleBar: 5, fullBar: 4 }, 'bad-value', /more than/],
    ['a pressure as text', { fullBar: '4 bar' }, 'bad-value', /./],
    ['a temperature that no oil has', { hottestC: 900 }, 'bad-value', /./],
    ['an oil of no grade', { oil: { grade: '7w3' } }, 'bad-value', /./],
    ['no power at all', { powerKw: 0 }, 'bad-value', /./],
  ])('refuses %s, and keeps what was there', async (_, set, code, words) => {
    const { job } = await server.document(jobId);
    const answer = await server.change(jobId, { do: 'edit-job', version: job.version, set: { running: set } } as unknown as Command);
    expect(answer.status).toBe(400);
    expect(answer.body.code).toBe(code);
    expect((answer.body as unknown as { message: string }).message).toMatch(words);
    expect((await server.document(jobId)).job).toEqual(job);
  });

  it('refuses a component that takes so much at no flow', async () => {
    const [component] = (await server.document(jobId)).components;
    const answer = await server.change(jobId, {
      do: 'edit-component',
      id: component!.id,
      version: component!.version,
      set: { flow: { takesBar: 0.4 } },
    });
    expect((await server.document(jobId)).components[0]).toEqual(component);
    expect(answer.body).toMatchObject({ code: 'bad-value', field: 'flow.atLpm' });
  });
});

describe('what the shop reckons flow with', () => {
  const read = async () => (await server.ask(shopContracts.readCatalogue, {})).body.flowRules;
  const set = (version: number, rules: object) =>
    server.call('POST', '/api/shop/changes', { key: randomUUID(), commands: [{ do: 'set-flow-rules', version, rules }] });

  it('is usual until it is set by version, and is taken back', async () => {
    expect(await read()).toEqual({ id: 'flow-rules', rules: usualFlowRules, version: 0 });
    const rules = { ...usualFlowRules, froth: 3, hoseSchool: 'rubber' };
    expect((await set(0, rules)).body).toMatchObject({ put: [{ type: 'flowRules', row: { version: 1, rules } }] });
    expect((await set(0, usualFlowRules)).body['code']).toBe('conflict');
    expect((await read()).rules.froth).toBe(3);
    await server.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect((await read()).version).toBe(0);
  });

  it.each([{ froth: 0 }, { heatToOilPercent: 90 }, { hoseSchool: 'paper' }, { sleeveK: -5 }])('refuses %j', async (change) => {
    expect((await set(0, { ...usualFlowRules, ...change })).status).toBe(400);
  });
});
