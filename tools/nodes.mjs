import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { freePort, startDatabase } from './database.mjs';
import { requireBuild, requireModules, requireNode, requirePackages, suitable } from './needs.mjs';
import { root } from './paths.mjs';

/**
 * Tries the app with the newest Node of each line that it is said to run on, as the registry has them: starts what is built, asks it for
 * what a page asks first and for papers, and runs the tests of the server. `npm run nodes -- 22 24` tries these lines only.
 */
requireNode();
requirePackages([
  { command: 'mariadbd', name: 'mariadb-server' },
  { command: 'tar', name: 'tar' },
]);
requireModules();
requireBuild();

/** A start with the demo on a slow machine, ms. */
const PATIENCE_MS = 120_000;
const dir = mkdtempSync(join(tmpdir(), 'gewinde-nodes-'));
let failed = 0;
const asked = process.argv.slice(2).map(Number);
const database = await startDatabase(dir, { databases: ['gewinde_test'], durable: false });
try {
  for (const { major } of suitable.filter((line) => asked.length === 0 || asked.includes(line.major))) {
    try {
      const { version, seen, node } = await tried(major);
      console.log(`Node ${version}: started, ${seen}`);
      console.log(`Node ${version}: server tests, ${tested(node)}`);
    } catch (error) {
      failed++;
      console.log(`Node ${major}: ${error instanceof Error ? error.message : String(error)}`);
    }
  }
} finally {
  await database.stop();
  rmSync(dir, { recursive: true, force: true });
}
process.exitCode = failed === 0 ? 0 : 1;

/** The Node of one line, unpacked. */
function fetched(major) {
  const name = `node-${process.platform}-${process.arch}`;
  const to = join(dir, String(major));
  mkdirSync(to);
  const packed = spawnSync('npm', ['pack', '--silent', `${name}@${major}`], { cwd: to, encoding: 'utf8' });
  const file = packed.stdout.trim().split('\n').at(-1);
  if (packed.status !== 0 || !file) throw new Error(`the registry has no ${name} of this line`);
  if (spawnSync('tar', ['-xzf', file], { cwd: to }).status !== 0) throw new Error(`${file} cannot be unpacked`);
  return join(to, 'package/bin/node');
}

async function tried(major) {
  const node = fetched(major);
  const version = spawnSync(node, ['--version'], { encoding: 'utf8' }).stdout.trim().slice(1);
  const port = await freePort();
  const child = spawn(node, [join(root, 'tools/start.mjs'), '--port', String(port)], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, GEWINDE_DATA: join(dir, `data-${major}`), GEWINDE_DATABASE_URL: '' },
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  try {
    const url = `http://127.0.0.1:${port}`;
    await answering(url, child);
    const { jobs } = await (await fetch(`${url}/api/jobs`)).json();
    const { document } = await (await fetch(`${url}/api/jobs/${jobs[0].job.id}`)).json();
    const paper = await fetch(`${url}/api/jobs/${jobs[0].job.id}/tickets.pdf?as=tickets&units=metric`);
    const pdf = Buffer.from(await paper.arrayBuffer());
    if (!pdf.subarray(0, 4).equals(Buffer.from('%PDF'))) throw new Error('the tickets are no PDF');
    return { version, node, seen: `${jobs.length} jobs, ${document.lines.length} lines in ${jobs[0].job.number}, its tickets as PDF` };
  } finally {
    child.kill('SIGTERM');
    await ended;
  }
}

/** Runs the tests of the server. @returns what came of them @throws where one fails */
function tested(node) {
  const args = [join(root, 'node_modules/jest/bin/jest.js'), '--config', 'jest.config.mjs', '--runInBand', '--silent'];
  const run = spawnSync(node, args, {
    cwd: join(root, 'server'),
    encoding: 'utf8',
    env: { ...process.env, GEWINDE_TEST_DATABASE_URL: database.url('gewinde_test') },
  });
  const counts = /^Tests: +(.*)$/m.exec(run.stderr)?.[1] ?? 'none ran';
  if (run.status !== 0) throw new Error(`the server tests: ${counts}`);
  return counts;
}

async function answering(url, child) {
  for (const since = Date.now(); Date.now() - since < PATIENCE_MS; await sleep(300)) {
    if (child.exitCode !== null) throw new Error(`the start ended with ${child.exitCode}`);
    const health = await fetch(`${url}/api/health`).catch(() => null);
    if (health?.ok) return;
  }
  throw new Error(`it did not answer within ${PATIENCE_MS / 1000} s`);
}
