import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { clusterNode, GALERA } from './cluster-node.mjs';
import { freePort } from './database.mjs';
import { requireBuild, requireModules, requireNode, requirePackages, stop } from './needs.mjs';
import { root } from './paths.mjs';

/** Two servers over two nodes of a cluster: what is written from both, while one node is killed and comes back. */
requireNode();
requirePackages([
  { command: 'mariadbd', name: 'mariadb-server' },
  { command: GALERA, name: 'galera-4' },
  { command: 'rsync', name: 'rsync' },
]);
requireModules();
requireBuild();
const writes = Number(process.argv[2] ?? 300);
if (!Number.isInteger(writes) || writes < 1) stop('Say how many writes a phase: npm run cluster -- 300', 2);

const WRITERS_A_SERVER = 3;
const PATIENCE_MS = 60_000;
const folder = mkdtempSync(join(tmpdir(), 'gewinde-cluster-'));
chmodSync(folder, 0o755); // the nodes may run as somebody else
const one = await clusterNode(join(folder, 'one'), { name: 'one', weight: 2 });
const two = await clusterNode(join(folder, 'two'), { name: 'two', weight: 1 });
const counts = { acknowledged: /** @type {string[]} */ ([]), refused: 0, refusedWhileAway: 0, hung: 0 };
/** Of those refused while both nodes were there: the codes. */
const why = new Map();
let away = false;
/** @type {Awaited<ReturnType<typeof startServer>>[]} */
let servers = [];

try {
  await one.start();
  const made = one.sql(
    "create database gewinde; create user 'gewinde'@'127.0.0.1' identified by 'gewinde'; grant all on gewinde.* to 'gewinde'@'127.0.0.1'",
  );
  if (made.status !== 0) throw new Error(made.stderr);
  await two.start(one.address);
  console.log('Two nodes are together. Starting a server on each, at the same moment …');
  servers = await Promise.all([startServer(one), startServer(two)]);
  const job = await call(servers[0], 'POST', '/api/jobs', { id: randomUUID(), number: 'C-1', name: 'Written from both' });
  const jobId = job.body.id;
  const told = servers.map((server) => listen(server, jobId));
  await sleep(500);

  const phase = async (name, meanwhile = async () => undefined) => {
    const before = { ...counts, acknowledged: counts.acknowledged.length };
    const started = Date.now();
    await Promise.all([writeFromAll(jobId, name), meanwhile()]);
    const s = ((Date.now() - started) / 1000).toFixed(1);
    console.log(
      `${name.padEnd(44)} acknowledged ${String(counts.acknowledged.length - before.acknowledged).padStart(4)}, refused ${counts.refused - before.refused}, ` +
        `while a node was away ${counts.refusedWhileAway - before.refusedWhileAway}; ${s} s`,
    );
  };
  await phase('both write to one job');
  await phase('a node is killed in mid-write, and comes back', async () => {
    await sleep(700);
    away = true;
    await two.kill();
    await sleep(8000);
    await two.start(one.address);
    away = false;
  });
  await phase('both write again');
  await sleep(2000);
  await report(jobId, told);
} finally {
  for (const { child, ended } of servers) {
    child.kill('SIGTERM');
    await ended;
  }
  await two.stop();
  await one.stop();
  rmSync(folder, { recursive: true, force: true });
}

async function startServer(node) {
  const port = await freePort();
  const child = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: { ...process.env, GEWINDE_DATABASE_URL: node.url('gewinde'), GEWINDE_PORT: String(port), GEWINDE_DEMO: 'once' },
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  await new Promise((resolve, reject) => {
    child.on('message', (word) => word === 'ready' && resolve(word));
    child.once('exit', () => reject(new Error(`The server on node ${node.name} did not start.`)));
  });
  return { url: `http://127.0.0.1:${port}`, child, ended };
}

async function call(server, method, path, body) {
  const response = await fetch(server.url + path, {
    method,
    signal: AbortSignal.timeout(20_000),
    headers: { 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  return { status: response.status, tag: response.headers.get('etag'), body: await response.json() };
}

/** The next write after an answer; what is refused for no fault of its own is sent again, to the other server, under the same key. */
async function writeFromAll(jobId, phase) {
  let left = writes;
  const writer = async (at, n) => {
    let last;
    while (left-- > 0) {
      const name = `${phase} ${at}${n} ${left}`;
      const id = randomUUID();
      // the one before goes, since a job has room for so many
      const gone = last ? [{ do: 'delete-component', id: last, version: 1 }] : [];
      const body = { key: randomUUID(), commands: [{ do: 'add-component', id, kind: 'pan', name }, ...gone] };
      const started = Date.now();
      for (let tries = 0; ; tries++) {
        const answer = await call(servers[(at + tries) % 2], 'POST', `/api/jobs/${jobId}/changes`, body).catch(() => ({
          status: 0,
          body: {},
        }));
        if (answer.status === 200) break;
        if (answer.status === 0 || answer.status >= 500) {
          if (away) counts.refusedWhileAway += 1;
          else {
            counts.refused += 1;
            why.set(answer.body.code ?? 'no answer', (why.get(answer.body.code ?? 'no answer') ?? 0) + 1);
          }
        } else throw new Error(`${answer.status} ${JSON.stringify(answer.body)}`);
        if (Date.now() - started > PATIENCE_MS) {
          counts.hung += 1;
          return;
        }
        await sleep(100 + Math.random() * 200);
      }
      counts.acknowledged.push(name);
      last = id;
    }
  };
  await Promise.all(servers.flatMap((_, at) => Array.from({ length: WRITERS_A_SERVER }, (_, n) => writer(at, n))));
}

/** What the live stream of a server tells, from wherever it was written: the numbers of the changes and the components they made, in the order told. */
function listen(server, jobId) {
  /** @type {{ numbers: number[], names: string[] }} */
  const heard = { numbers: [], names: [] };
  const follow = async () => {
    const stream = await fetch(`${server.url}/api/live?job=${jobId}&after=0&shop=0`);
    let text = '';
    for await (const chunk of /** @type {AsyncIterable<Uint8Array>} */ (/** @type {unknown} */ (stream.body))) {
      text += new TextDecoder().decode(chunk);
      const parts = text.split('\n\n');
      text = parts.pop() ?? '';
      for (const part of parts) {
        if (!part.includes('event: change')) continue; // a sign of life
        const { scope, change } = JSON.parse(/^data: (.*)$/m.exec(part)?.[1] ?? '{}');
        if (scope !== 'job') continue;
        heard.numbers.push(change.id);
        heard.names.push(...change.put.flatMap(({ type, row }) => (type === 'component' ? [row.name] : [])));
      }
    }
  };
  follow().catch(() => undefined);
  return heard;
}

async function report(jobId, told) {
  const read = await Promise.all(servers.map((server) => call(server, 'GET', `/api/jobs/${jobId}`)));
  const shops = await Promise.all(servers.map((server) => call(server, 'GET', '/api/catalogue')));
  const names = read.map(({ body }) => body.document.components.map((c) => c.name));
  const times = new Map();
  for (const name of told[0].names) times.set(name, (times.get(name) ?? 0) + 1);
  const lost = counts.acknowledged.filter((name) => !times.has(name)).length;
  const doubled = [...times.values()].filter((n) => n > 1).length;
  const same = JSON.stringify([...names[0]].sort()) === JSON.stringify([...names[1]].sort()) && read[0].body.at === read[1].body.at;
  const heard = told.map(({ numbers }) => numbers.length === read[0].body.at && numbers.every((n, i) => n === i + 1));
  console.log(
    `\nAcknowledged ${counts.acknowledged.length}, refused ${counts.refused + counts.refusedWhileAway} (${counts.refused} of them while both nodes were there), ` +
      `lost ${lost}, doubled ${doubled}, hung ${counts.hung}`,
  );
  if (why.size > 0) console.log(`Refused while both were there: ${[...why].map(([code, n]) => `${code} ${n}`).join(', ')}`);
  console.log(
    `Both servers tell the same job: ${yes(same)}; the same catalogue under the same tag: ${yes(shops[0].tag === shops[1].tag && shops[0].body.fittings.length === shops[1].body.fittings.length)}`,
  );
  console.log(`Every change heard once and in order, on the first server: ${yes(heard[0])}; on the second: ${yes(heard[1])}`);
  if (lost + doubled + counts.hung + counts.refused > 0 || !same || heard.includes(false)) process.exitCode = 1;
}

function yes(is) {
  return is ? 'yes' : 'NO';
}
