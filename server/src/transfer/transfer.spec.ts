import type { JobFile } from '@gewinde/core';
import { loadDemo } from '../demo/load-demo.js';
import { sampleJob, startTestApp } from '../../test/test-app.js';

type Server = Awaited<ReturnType<typeof startTestApp>>;
let server: Server;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());

const jobs = async () => (await server.call<{ job: { id: string; number: string } }[]>('GET', '/api/jobs')).body.map((s) => s.job);
const exportOf = async (id: string) => server.call<JobFile>('GET', `/api/jobs/${id}/export`);

describe('the demo', () => {
  it('loads once, and comes back as it was when asked', async () => {
    await loadDemo(server.db, false);
    await loadDemo(server.db, false);
    expect((await jobs()).map((j) => j.number)).toEqual(['2403', '2409']);
    const id = (await jobs())[0]!.id;
    const before = (await exportOf(id)).text;
    await server.call('PATCH', `/api/jobs/${id}`, { version: 1, name: 'Spoiled' });
    await loadDemo(server.db, true);
    expect((await exportOf((await jobs())[0]!.id)).text).toBe(before);
  });
});

describe('a job file', () => {
  it('comes back identical, under the next free number', async () => {
    const original = (await exportOf((await jobs())[0]!.id)).body;
    expect(original.lines).toHaveLength(12);
    const taken = await server.call<{ job: { id: string; number: string }; renumberedFrom: string }>('POST', '/api/jobs/import', original);
    expect(taken.status).toBe(201);
    expect(taken.body.job.number).toBe('2403-2');
    const again = (await exportOf(taken.body.job.id)).body;
    expect(again).toEqual({ ...original, job: { ...original.job, number: '2403-2' } });
  });

  it('brings along parts the catalogue does not have', async () => {
    const file = structuredClone((await exportOf((await jobs())[0]!.id)).body);
    const part = file.parts.fittings[0]!;
    const text = JSON.stringify({ ...file, job: { ...file.job, number: '9000' } }).replaceAll(`"${part.id}"`, '"special-1"');
    expect((await server.call('POST', '/api/jobs/import', JSON.parse(text))).status).toBe(201);
    expect(
      (await server.call<{ fittings: { id: string }[] }>('GET', '/api/catalogue')).body.fittings.some((f) => f.id === 'special-1'),
    ).toBe(true);
  });

  it.each([
    ['something else', { hello: 1 }, 'job-file-format', 'format'],
    ['a newer version', { format: 'gewinde-job', version: 99 }, 'job-file-newer', 'version'],
    ['a half file', { format: 'gewinde-job', version: 1, job: {} }, 'job-file-content', undefined],
  ])('is refused when it is %s, and nothing is kept of it', async (_, body, code, field) => {
    const before = await jobs();
    const answer = await server.call('POST', '/api/jobs/import', body);
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ code, ...(field ? { field } : {}) });
    expect(await jobs()).toEqual(before);
  });

  it('is refused whole when one of its lines is wrong', async () => {
    const file = structuredClone((await exportOf((await jobs())[0]!.id)).body);
    file.lines[3]!.endB.port = 'C99.P1';
    const before = await jobs();
    expect((await server.call('POST', '/api/jobs/import', file)).body).toMatchObject({
      code: 'job-file-content',
      field: 'lines/3/endB/port',
    });
    expect(await jobs()).toEqual(before);
  });
});

describe('the parts list as CSV', () => {
  it('has the seals in it and disarms formulas', async () => {
    const id = (await jobs())[0]!.id;
    const csv = await server.call('GET', `/api/jobs/${id}/parts.csv`);
    expect(csv.headers['content-type']).toContain('text/csv');
    const lines = csv.text.replace('\ufeff', '').trim().split('\r\n');
    expect(lines[0]).toBe('group,part id,part,quantity,unit,inches,price each,price,lines');
    expect(lines.some((l) => l.includes('O-ring FKM AS568-904'))).toBe(true);
    expect(lines.every((l) => !/(^|,)"?[=+@]/.test(l))).toBe(true);
  });
});

describe('the server itself', () => {
  it('sends a strict content policy and compresses', async () => {
    const answer = await server.app.inject({ url: '/api/catalogue', headers: { 'accept-encoding': 'br' } });
    expect(answer.headers['content-encoding']).toBe('br');
    expect(answer.headers['content-security-policy']).toContain("script-src 'self'");
    expect(answer.headers['content-security-policy']).not.toContain('unsafe-eval');
    expect(answer.headers['x-content-type-options']).toBe('nosniff');
  });

  it('describes every route of its API', async () => {
    const docs = (await server.call<{ paths: Record<string, Record<string, { summary?: string }>> }>('GET', '/api/docs')).body;
    expect(Object.keys(docs.paths).length).toBeGreaterThan(14);
    for (const [path, methods] of Object.entries(docs.paths))
      for (const route of Object.values(methods)) expect([path, route.summary]).toEqual([path, expect.any(String)]);
  });

  it('tells a listener what others change, and not what it changes itself', async () => {
    const { jobId, from } = await sampleJob(server.call, '2777');
    await server.app.listen({ port: 0, host: '127.0.0.1' });
    const { port } = server.app.server.address() as { port: number };
    const stop = new AbortController();
    const stream = await fetch(`http://127.0.0.1:${port}/api/jobs/${jobId}/live?client=me`, { signal: stop.signal });
    await server.call('POST', `/api/ports/${from}/duplicate`, {}, 'me');
    await server.call('POST', `/api/ports/${from}/duplicate`, {}, 'other');
    let heard = '';
    for await (const chunk of stream.body as unknown as AsyncIterable<Uint8Array>) {
      heard += new TextDecoder().decode(chunk);
      if (heard.includes('event: change')) break;
    }
    stop.abort();
    expect(heard.match(/event: change/g)).toHaveLength(1);
    expect(heard).toContain('Duplicate port gallery');
  });
});
