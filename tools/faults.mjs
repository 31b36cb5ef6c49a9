import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { freePort } from './database.mjs';
import { requireBuild, requireModules, requireNode, requirePackages, stop } from './needs.mjs';
import { root } from './paths.mjs';
import { cutUpgrades } from './upgrade/cut-upgrades.mjs';

requireNode();
requirePackages([
  { command: 'mariadbd', name: 'mariadb-server' },
  { command: 'ps', name: 'procps' },
]);
requireModules();
requireBuild();
if (process.argv[2] === '--upgrade') {
  const { cuts, wrong } = await cutUpgrades();
  console.log(`\n${cuts} cuts of upgrades, ${wrong} wrong`);
  process.exit(wrong === 0 ? 0 : 1);
}
const rounds = Number(process.argv[2] ?? 30);
if (!Number.isInteger(rounds) || rounds < 1) stop('Say how often: npm run faults -- 30, or which: npm run faults -- --upgrade', 2);

const WRITERS = 6;
const WRITES_A_JOB = 60;
/** Whoever has not answered, or ended, after this long hangs, ms. */
const PATIENCE_MS = 45_000;

const data = mkdtempSync(join(tmpdir(), 'gewinde-faults-'));
const port = await freePort();
const url = `http://127.0.0.1:${port}`;
const acknowledged = [];
let hung = 0;
let over = false;
let app = start();

try {
  await untilAnswering();
  const writers = Array.from({ length: WRITERS }, (_, n) => write(n));
  for (let round = 0; round < rounds; round++) {
    await sleep(800 + Math.random() * 1200);
    const victim = ['server', 'database', 'start script', 'database frozen, app stopped, both'][round % 4];
    const before = acknowledged.length;
    if (round % 4 === 3) await stopOverFrozen();
    else kill(victim);
    await untilAnswering();
    console.log(`${String(round + 1).padStart(3)}  ${victim} killed, answering again; ${before} acknowledged so far`);
  }
  over = true;
  await Promise.all(writers);
  const there = await whatIsThere();
  const lost = acknowledged.filter((name) => !there.has(name)).length;
  const doubled = [...there.values()].filter((times) => times > 1).length;
  console.log(`\n${rounds} kills. Acknowledged ${acknowledged.length}, lost ${lost}, doubled ${doubled}, hung ${hung}`);
  process.exitCode = lost + doubled + hung === 0 ? 0 : 1;
} finally {
  over = true;
  app.child.kill('SIGTERM');
  await app.ended;
  rmSync(data, { recursive: true, force: true });
}

/** A database that answers nobody, as one whose disk is full, does not keep the app from ending; nor does it keep its data from the next. */
async function stopOverFrozen() {
  process.kill(pidOf('mariadbd'), 'SIGSTOP');
  app.child.kill('SIGTERM');
  const ended = await Promise.race([app.ended.then(() => true), sleep(PATIENCE_MS, false)]);
  if (ended) return;
  hung += 1;
  console.log('     does not end while its database is frozen');
  app.child.kill('SIGKILL');
  await app.ended;
}

function start() {
  const child = spawn(process.execPath, [join(root, 'tools/start.mjs'), '--empty', '--port', String(port)], {
    stdio: 'ignore',
    env: { ...process.env, GEWINDE_DATA: data, GEWINDE_DATABASE_URL: '' },
  });
  let running = true;
  const ended = new Promise((resolve) => child.once('exit', resolve)).then(() => (running = false));
  return { child, ended, running: () => running };
}

/** Ends a process as a power cut would: it is not asked. */
function kill(victim) {
  if (victim === 'start script') return void app.child.kill('SIGKILL');
  process.kill(pidOf(victim === 'server' ? 'server/dist/main.js' : 'mariadbd'), 'SIGKILL');
}

function pidOf(command) {
  const { stdout } = spawnSync('ps', ['--ppid', String(app.child.pid), '-o', 'pid=,args='], { encoding: 'utf8' });
  const line = stdout.split('\n').find((text) => text.includes(command));
  if (!line) throw new Error(`There is no ${command}.`);
  return Number.parseInt(line, 10);
}

/** Waits until the app answers; starts it again where the start script has ended, as its user would. */
async function untilAnswering() {
  const since = Date.now();
  let patient = true;
  for (;;) {
    await sleep(250);
    if (!app.running()) app = start();
    else if ((await send('GET', '/api/health')).status === 200) return;
    if (patient && Date.now() - since > PATIENCE_MS) {
      patient = false;
      hung += 1;
      console.log('     hangs; ended and started again');
      app.child.kill('SIGKILL');
      await app.ended;
    }
  }
}

async function send(method, path, body) {
  try {
    const answer = await fetch(url + path, {
      method,
      signal: AbortSignal.timeout(8000),
      headers: { 'x-gewinde-client': 'faults', ...(body ? { 'content-type': 'application/json' } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    return { status: answer.status, body: await answer.json() };
  } catch {
    return { status: 0, body: undefined };
  }
}

/** Sends until it is answered for what it is, as the page does: nothing that failed on the way is given up. */
async function sendUntilAnswered(method, path, body) {
  for (;;) {
    const answer = await send(method, path, body);
    if (answer.status >= 200 && answer.status < 500 && answer.status !== 429) return answer;
    await sleep(200);
  }
}

/** Writes one component after another, each under a key of its own. */
async function write(writer) {
  for (let n = 0; !over; n++) {
    const id = randomUUID();
    // a job whose answer was lost is there when it is sent again
    await sendUntilAnswered('POST', '/api/jobs', { id, number: `F${writer}-${n}`, name: 'Written under faults' });
    for (let m = 0; m < WRITES_A_JOB && !over; m++) {
      const name = `c ${writer} ${n} ${m}`;
      const body = { key: randomUUID(), commands: [{ do: 'add-component', kind: 'other', name }] };
      const { status, body: told } = await sendUntilAnswered('POST', `/api/jobs/${id}/changes`, body);
      if (status !== 200) throw new Error(`${name} was refused: ${status} ${JSON.stringify(told)}`);
      acknowledged.push(name);
    }
  }
}

/** How often each component is there. */
async function whatIsThere() {
  const { body: page } = await sendUntilAnswered('GET', '/api/jobs?most=100');
  const times = new Map();
  for (const {
    job: { id },
  } of page.jobs) {
    const { body } = await sendUntilAnswered('GET', `/api/jobs/${id}`);
    for (const { name } of body.document.components) times.set(name, (times.get(name) ?? 0) + 1);
  }
  return times;
}
