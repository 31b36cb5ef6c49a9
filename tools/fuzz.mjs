import { Ajv } from 'ajv';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { chanceFrom } from './fuzz/chance.mjs';
import { bent, made } from './fuzz/made-values.mjs';
import { Seen } from './fuzz/seen.mjs';
import { requireBuild, requireModules, requireNode, requirePackages, stop } from './needs.mjs';

requireNode();
requirePackages([{ command: 'mariadbd', name: 'mariadb-server' }]);
requireModules();
requireBuild();
const [count, seed] = [Number(process.argv[2] ?? 20_000), Number(process.argv[3] ?? Date.now() % 1e9)];
if (!Number.isInteger(count) || count < 1 || !Number.isInteger(seed)) stop('Say how many, and from which seed: npm run fuzz -- 20000 7', 2);

const { cutTickets, ErrorBodySchema, judgeJob, partsList } = await import('@gewinde/core');
const { buildApp } = await import('../server/dist/app.js');
const { ensureStandardCatalogue } = await import('../server/dist/catalogue/catalogue-store.js');
const { connectDatabase } = await import('../server/dist/database/connect.js');
const { migrate } = await import('../server/dist/database/migrate.js');
const { loadDemo } = await import('../server/dist/demo/load-demo.js');

/** How often a route is asked against the others: most of the life is in the changes; whole boards and catalogues take their time. */
const OFTEN = { 'post /api/jobs/{id}/changes': 60, 'post /api/shop/changes': 20 };
const SELDOM = new Set(['get /api/jobs', 'get /api/catalogue', 'post /api/jobs', 'post /api/jobs/import', 'get /api/catalogue/parts.csv']);
/** They never end; the checks of the live stream have their own tests. */
const STREAMS = new Set(['get /api/live', 'get /api/calliper/live']);
const JOBS_LOOKED_AT = 60;

const chance = chanceFrom(seed);
const seen = new Seen(chance);
const folder = mkdtempSync(join(tmpdir(), 'gewinde-fuzz-'));
const database = await startDatabase(folder, { durable: false });
const db = connectDatabase(database.url('gewinde'));
const ajv = new Ajv({ strict: false, discriminator: true, allErrors: false });
const isError = ajv.compile({ ...ErrorBodySchema, additionalProperties: false });
const answers = new Map();
const statuses = new Map();
const faults = [];
let toldOf = 0;

try {
  await migrate(db);
  await ensureStandardCatalogue(db);
  await loadDemo(db, false);
  const app = await buildApp({ db, requestsPerMinute: 10_000_000 });
  await app.ready();
  const routes = routesOf(JSON.parse((await app.inject({ url: '/api/docs' })).body));
  await look(app);
  for (let n = 1; n <= count; n++) {
    const route = pick(routes);
    await ask(app, route, requestFor(route));
    if (n % 1000 === 0) {
      await look(app);
      console.log(`${n} asked, ${faults.length} faults`);
      // at once, since what follows may take an hour
      for (; toldOf < Math.min(faults.length, 12); toldOf++) console.log(`\n${faults[toldOf]}`);
    }
  }
  await look(app, Infinity);
  await app.close();
} finally {
  await db.destroy();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
for (const fault of faults.slice(toldOf, 12)) console.log(`\n${fault}`);
const told = [...statuses].sort(([a], [b]) => a - b).map(([status, times]) => `${status}: ${times}`);
console.log(`\n${count} requests from seed ${seed}. Answers ${told.join(', ')}. Faults: ${faults.length}`);
process.exit(faults.length === 0 ? 0 : 1);

/** The routes of the API's own description. */
function routesOf(document) {
  return Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).flatMap(([method, { parameters = [], requestBody, responses }]) => {
      const name = `${method} ${path}`;
      if (STREAMS.has(name)) return [];
      const [status] = Object.keys(responses);
      const answer = responses[status].content?.['application/json']?.schema;
      const body = requestBody?.content['application/json'].schema;
      return [{ name, method, path, parameters, body, answer, often: OFTEN[name] ?? (SELDOM.has(name) ? 0.5 : 3) }];
    }),
  );
}

function pick(routes) {
  let at = chance.next() * routes.reduce((sum, { often }) => sum + often, 0);
  return routes.find(({ often }) => (at -= often) < 0) ?? routes[0];
}

/** A request that is right, or nearly. */
function requestFor({ name, method, path, parameters, body }) {
  const bend = chance.in(0.35);
  const query = new URLSearchParams();
  let url = path;
  for (const { in: where, name: key, schema, required } of parameters) {
    const jobs = seen.under('jobIds');
    const right =
      path.startsWith('/api/jobs/{id}') && jobs.length > 0 && chance.in(0.9) ? chance.one(jobs) : made(schema, chance, seen, key);
    const value = String(bend && chance.in(0.2) ? bent('', chance) : right);
    // half a sign cannot be in an address
    if (where === 'path') url = url.replace(`{${key}}`, encodeURIComponent(value.replace(/\p{Cs}/gu, '')));
    else if (required || chance.in(0.5)) query.set(key, value);
  }
  const whole = name === 'post /api/jobs/import' && seen.files.length > 0 ? chance.one(seen.files) : body && made(body, chance, seen);
  const payload = bend && whole !== undefined ? bent(whole, chance) : whole;
  return { method: method.toUpperCase(), url: query.size > 0 ? `${url}?${query}` : url, payload };
}

async function ask(app, { name, answer }, { method, url, payload }) {
  const text = payload === undefined ? undefined : JSON.stringify(payload);
  const { statusCode, headers, body } = await app.inject({
    method,
    url,
    headers: {
      'x-gewinde-client': chance.one(['ann', 'bob', 'x'.repeat(50)]),
      ...(text === undefined ? {} : { 'content-type': 'application/json' }),
    },
    payload: text,
  });
  statuses.set(statusCode, (statuses.get(statusCode) ?? 0) + 1);
  const fault = (words) =>
    faults.push(
      `${name}: ${words}\n  ${method} ${url.slice(0, 300)}\n  ${text?.slice(0, 1500) ?? ''}\n  → ${statusCode} ${body.slice(0, 400)}`,
    );
  if (statusCode >= 500) return fault('the server failed');
  const json = /json/.test(String(headers['content-type'])) && body !== '' ? JSON.parse(body) : undefined;
  if (statusCode >= 400) return isError(json) ? undefined : fault('an error of another shape');
  if (!answer || answer.type === 'string' || json === undefined) return;
  if (!answers.has(name)) answers.set(name, ajv.compile(answer));
  const holds = answers.get(name);
  if (!holds(json)) fault(`an answer that is not as described: ${ajv.errorsText(holds.errors)}`);
  else if (name !== 'get /api/catalogue' && name !== 'get /api/jobs') seen.take(json);
}

/** Whatever is written as a file is taken in again, and is the same then. */
async function backAgain(app, id, text) {
  const file = JSON.parse(text);
  const renumbered = { ...file, job: { ...file.job, number: 'back again' } };
  const { statusCode, body } = await app.inject({ method: 'POST', url: '/api/jobs/import', payload: renumbered });
  if (statusCode !== 201) return void faults.push(`the file of job ${id} is not taken in again: ${statusCode} ${body.slice(0, 400)}`);
  const taken = JSON.parse(body).summary.job.id;
  const again = await app.inject({ url: `/api/jobs/${taken}/export` });
  if (again.body !== JSON.stringify(renumbered)) faults.push(`the file of job ${id} comes back as another`);
  for (const table of ['job_lines', 'ports', 'components']) await db(table).where({ job_id: taken }).delete();
  await db('jobs').where({ id: taken }).delete();
}

/** Reads the catalogue and some of the jobs, or all, and does with them what the screens do. */
async function look(app, most = JOBS_LOOKED_AT) {
  const read = async (url) => {
    const { statusCode, body } = await app.inject({ url });
    if (statusCode !== 200) faults.push(`${url} can no longer be read: ${statusCode} ${body.slice(0, 400)}`);
    return statusCode === 200 ? body : undefined;
  };
  const catalogue = JSON.parse((await read('/api/catalogue')) ?? '{}');
  seen.lists = [];
  for (const section of ['fitting', 'hose', 'hose end']) {
    const list = await read(`/api/catalogue/parts.csv?section=${encodeURIComponent(section)}`);
    if (list !== undefined) seen.lists.push(list);
  }
  const jobs = (await db('jobs').orderBy('updated_at', 'desc').select('id')).slice(0, most);
  seen.files = [];
  seen.rows = { component: [], port: [], line: [], part: [] };
  for (const { fittings } of [catalogue])
    for (const part of fittings ?? []) seen.take({ part: part.id, id: part.id, code: part.code ?? '', fitting: part.id });
  for (const { id } of jobs) {
    seen.take({ jobIds: id });
    const text = await read(`/api/jobs/${id}`);
    const file = await read(`/api/jobs/${id}/export`);
    await read(`/api/jobs/${id}/parts.csv`);
    if (text === undefined || file === undefined) continue;
    if (seen.files.length < 10) seen.files.push(JSON.parse(file));
    await backAgain(app, id, file);
    const { document } = JSON.parse(text);
    seen.take(document);
    for (const [kind, rows] of [
      ['component', document.components],
      ['port', document.ports],
      ['line', document.lines],
    ])
      seen.rows[kind].push(...rows.map((row) => ({ id: row.id, version: row.version })));
    try {
      const job = judgeJob(document, catalogue);
      cutTickets(job);
      partsList(job);
    } catch (error) {
      faults.push(`job ${id} cannot be put together: ${error.stack}`);
    }
  }
}
