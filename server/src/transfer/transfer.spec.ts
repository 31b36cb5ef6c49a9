import { jobContracts, shopContracts, stockContracts, type JobFile, type ShopCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { loadDemo } from '../demo/load-demo.js';
import { putSample } from '../demo/put-sample.js';
import { startTestApp, type TestApp } from '../../test/test-app.js';

let server: TestApp;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());

const jobs = async () => (await server.ask(jobContracts.listJobs, {})).body.jobs.map((s) => s.job);
const exportOf = (id: string) => server.ask(jobContracts.exportJob, { params: { id } });
const take = (file: unknown) => server.ask(jobContracts.importJob, { body: file });

describe('the demo', () => {
  it('loads once, and comes back as it was when asked', async () => {
    await loadDemo(server.db, false);
    await loadDemo(server.db, false);
    expect((await jobs()).map((j) => j.number)).toEqual(['2403', '2409']);
    const id = (await jobs())[0]!.id;
    const before = (await exportOf(id)).text;
    await server.change(id, { do: 'edit-job', version: 1, set: { name: 'Spoiled' } });
    const stock = await spoilStockroom(id);
    await loadDemo(server.db, true);
    const now = (await jobs())[0]!.id;
    expect((await exportOf(now)).text).toBe(before);
    // prices, rack and order are the demo's again, for the job as it is now; what the shop added stays, and hangs on nothing that is gone
    const after = await room(now);
    expect(after.offers.find((o) => o.id === stock.offer.id)).toMatchObject({ prices: stock.offer.prices });
    expect(after.orders.map((o) => [o.number, o.jobIds])).toEqual([['PO-0001', [now]]]);
    expect(after.lengths.filter((l) => l.id !== stock.own)).toEqual(stock.lengths);
    expect(after.lengths.find((l) => l.id === stock.own)).not.toHaveProperty('jobId');
    expect(after.stock.flatMap((s) => s.reserved)).toEqual([{ jobId: now, quantity: 2 }]);
    expect(await server.db('cuts_made').where({ job_id: id })).toEqual([]);
  });

  it('leaves a stockroom alone that has a supplier of its own', async () => {
    const terms = { currency: 'EUR' as const, euros: 1, carriageMinor: 0, leadDays: 1 };
    const suppliers = async () => (await room('none')).suppliers.map((s) => s.name).sort();
    const sample = (id: string) => [{ type: 'supplier' as const, row: { id, name: id, ...terms, version: 1 } }];
    const put = (id: string) => server.db.transaction((trx) => putSample(trx, sample(id)));
    await put('sample-one');
    const before = await suppliers();
    expect(before).toContain('sample-one');
    await shopRun({ do: 'add-supplier', supplier: { name: 'Our own', ...terms } });
    await put('sample-two');
    expect(await suppliers()).toEqual([...before, 'Our own'].sort());
  });
});

const room = async (job: string) => (await server.ask(stockContracts.readStockroom, { query: { job } })).body;
const shopRun = (...commands: ShopCommand[]) => server.ask(shopContracts.changeShop, { body: { key: randomUUID(), commands } });

/** Another price, a length cut from, one hung up for the job, a piece cut for it. */
async function spoilStockroom(jobId: string) {
  const { offers, lengths } = await room(jobId);
  const { lines } = (await server.ask(jobContracts.readJob, { params: { id: jobId } })).body.document;
  const offer = offers.find((o) => o.id.startsWith('sample-bag'))!;
  const { id, version, ...fields } = offer;
  const cut = {
    lineId: lines[0]!.id,
    piece: 'p1',
    of: 'hose' as const,
    ticket: '2403-L1',
    plannedMm: 600,
    measuredMm: 600,
    trimMm: 0,
    trimmedMm: 10,
  };
  const { body } = await shopRun(
    { do: 'edit-offer', id, version, offer: { ...fields, prices: [{ fromPacks: 1, packMinor: 1 }] } },
    { do: 'cut-piece', jobId, lengthId: 'H-0001', lengthVersion: 1, ...cut },
    { do: 'scrap-length', id: 'H-0005', version: 1 },
    { do: 'add-length', length: { part: 'hose-ptfe-8', kind: 'length', mm: 2000, jobId } },
  );
  const own = body.put!.find((e) => e.type === 'length' && !lengths.some((l) => l.id === e.row.id))!.row as { id: string };
  return { offer, lengths, own: own.id };
}

describe('a job file', () => {
  it('comes back identical, under the next free number', async () => {
    const original = (await exportOf((await jobs())[0]!.id)).body;
    expect(original.lines).toHaveLength(13);
    const { summary, renumberedFrom } = (await take(original)).body;
    expect([summary.job.number, renumberedFrom]).toEqual(['2403-2', '2403']);
    expect(summary).toEqual((await server.ask(jobContracts.listJobs, {})).body.jobs.find((s) => s.job.number === '2403-2'));
    const again = (await exportOf(summary.job.id)).body;
    expect(again).toEqual({ ...original, job: { ...original.job, number: '2403-2' } });
  });

  it('brings along parts the catalogue does not have, as a change that can be taken back until they are used', async () => {
    const file = structuredClone((await exportOf((await jobs())[0]!.id)).body) as JobFile;
    const part = file.parts.fittings[0]!;
    const text = JSON.stringify({ ...file, job: { ...file.job, number: '9000' } }).replaceAll(`"${part.id}"`, '"special-1"');
    expect((await take(JSON.parse(text))).status).toBe(201);
    const special = async () => (await server.ask(shopContracts.readCatalogue, {})).body.fittings.some((f) => f.id === 'special-1');
    expect(await special()).toBe(true);
    const undo = await server.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect([undo.body.code, undo.body.message]).toEqual([
      'cannot-undo',
      '"Parts of job 9000" cannot be undone: "special-1" is used by a line by now.',
    ]);
    expect(await special()).toBe(true);
  });

  it('with a part that does not hold together is refused, and the catalogue stays sound', async () => {
    const file = structuredClone((await exportOf((await jobs())[0]!.id)).body) as JobFile;
    const at = file.parts.fittings.findIndex((f) => f.ends.length === 2);
    file.parts.fittings[at]!.ends[0]!.family = 'wizard';
    expect((await take(file)).body).toMatchObject({ code: 'job-file-content', field: `parts/fittings/${at}/ends` });
  });

  it.each([
    ['something else', { hello: 1 }, 'job-file-format', 'format'],
    ['a newer version', { format: 'gewinde-job', version: 99 }, 'job-file-newer', 'version'],
    ['a half file', { format: 'gewinde-job', version: 1, job: {} }, 'job-file-content', undefined],
  ])('is refused when it is %s, and nothing is kept of it', async (_, body, code, field) => {
    const before = await jobs();
    const answer = await take(body);
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ code, ...(field ? { field } : {}) });
    expect(await jobs()).toEqual(before);
  });

  it('is refused whole when one of its lines is wrong', async () => {
    const file = structuredClone((await exportOf((await jobs())[0]!.id)).body) as JobFile;
    file.lines[3]!.portB = 'C99.P1';
    const before = await jobs();
    expect((await take(file)).body).toMatchObject({ code: 'job-file-content', field: 'lines/3/portB' });
    expect(await jobs()).toEqual(before);
  });
});

describe('the parts list as CSV', () => {
  it('has the seals in it and disarms formulas', async () => {
    const id = (await jobs())[0]!.id;
    const csv = await server.call('GET', `/api/jobs/${id}/parts.csv`);
    expect(csv.headers['content-type']).toContain('text/csv');
    const lines = csv.text.replace('\ufeff', '').trim().split('\r\n');
    expect(lines[0]).toBe('group,part id,part,quantity,unit,inches,on shelf,lead days,price each,price,lines');
    expect(lines.some((l) => l.includes('O-ring FKM AS568-904'))).toBe(true);
    expect(lines.every((l) => !/(^|,)"?[=+@]/.test(l))).toBe(true);
  });
});

describe('the server itself', () => {
  it('sends a strict content policy and compresses', async () => {
    const answer = await server.app.inject({ url: '/api/catalogue', headers: { 'accept-encoding': 'br' } });
    expect(answer.headers['content-encoding']).toBe('br');
    expect(answer.headers['content-security-policy']).toContain("script-src 'self'");
    expect(answer.headers['content-security-policy']).not.toContain("'unsafe-eval'");
    expect(answer.headers['x-content-type-options']).toBe('nosniff');
  });

  it('describes every route of its API', async () => {
    const { paths } = (await server.call('GET', '/api/docs')).body as { paths: Record<string, Record<string, { summary?: string }>> };
    const routes = [jobContracts, shopContracts]
      .flatMap((contracts) => Object.values(contracts))
      .map((c) => c.path.replace(/:(\w+)/g, '{$1}'));
    expect(Object.keys(paths)).toEqual(expect.arrayContaining(routes));
    for (const [path, methods] of Object.entries(paths))
      for (const route of Object.values(methods)) expect([path, route.summary]).toEqual([path, expect.any(String)]);
  });
});

describe('a file that brings another part under a name of ours', () => {
  beforeAll(() => loadDemo(server.db, false));
  const own = (size: string) => ({ id: 'own-adapter', ends: [npt(size), { family: 'flare37', size: '6', gender: 'male' as const }] });
  const npt = (size: string) => ({ family: 'npt', size, gender: 'male' as const });
  const files = async () => {
    const file = (await exportOf((await jobs())[0]!.id)).body as JobFile;
    const line = file.lines.find((l) => l.ways.some((way) => (way.chosen?.fittings.length ?? 0) > 0))!;
    const used = line.ways.flatMap((way) => way.chosen?.fittings ?? [])[0]!.id;
    // what a line of the file uses is theirs, under a name that is ours as well
    const text = JSON.stringify(file).replaceAll(`"${used}"`, '"own-adapter"');
    return { file: JSON.parse(text) as JobFile, line: line.number };
  };
  const takeAs = (file: JobFile, parts?: 'ours' | 'theirs', key = randomUUID()) =>
    server.ask(jobContracts.importJob, { query: { key, ...(parts ? { parts } : {}) }, body: file });

  it('is not taken in before somebody has said whose is meant; theirs comes in under a name of its own', async () => {
    const { file, line } = await files();
    await shopRun({ do: 'add-part', entry: { kind: 'fitting', part: own('1/8') } });
    const theirs = file.parts.fittings.find((f) => f.id === 'own-adapter')!;
    const before = (await jobs()).length;
    const refused = await takeAs(file);
    expect([refused.status, refused.body.code]).toEqual([409, 'parts-differ']);
    expect(refused.body.message).toContain(' here)');
    expect(await jobs()).toHaveLength(before);
    const fittingsOf = async (id: string) => {
      const { lines } = (await server.ask(jobContracts.readJob, { params: { id } })).body.document;
      return lines.find((l) => l.number === line)!.ways.flatMap((way) => way.chosen?.fittings.map((f) => f.id) ?? []);
    };
    expect(await fittingsOf((await takeAs(file, 'ours')).body.summary.job.id)).toContain('own-adapter');
    const named = (await fittingsOf((await takeAs(file, 'theirs')).body.summary.job.id)).find((id) => id.startsWith('own-adapter-'))!;
    const part = await server.ask(shopContracts.readPart, { params: { part: named } });
    expect(part.body).toMatchObject({ row: { part: { ends: theirs.ends } } });
    // the same as ours, it is ours
    const same = {
      ...file,
      parts: { ...file.parts, fittings: file.parts.fittings.map((f) => (f.id === 'own-adapter' ? { ...f, ...own('1/8') } : f)) },
    };
    expect((await takeAs(same)).body.code).not.toBe('parts-differ');
  });

  it('is refused in words where it is nothing but brackets', async () => {
    const nested = '['.repeat(100_000) + ']'.repeat(100_000);
    const answer = await server.app.inject({
      method: 'POST',
      url: '/api/jobs/import',
      headers: { 'content-type': 'application/json' },
      payload: nested,
    });
    expect([answer.statusCode, answer.json<{ code: string }>().code]).toEqual([
      400,
      expect.stringMatching(/^(bad-request|job-file-format)$/),
    ]);
    const list = { csv: nested, section: 'fitting' as const };
    expect((await server.ask(shopContracts.previewList, { body: list })).status).toBe(400);
  });

  it('comes in once under one key, and another file under the same key is another job', async () => {
    const { file } = await files();
    const key = randomUUID();
    const first = await takeAs(file, 'ours', key);
    const again = await takeAs(file, 'ours', key);
    expect(again.body.summary.job.id).toBe(first.body.summary.job.id);
    const other = await takeAs({ ...file, job: { ...file.job, name: 'Another' } }, 'ours', key);
    expect(other.body.summary.job.id).not.toBe(first.body.summary.job.id);
  });
});
