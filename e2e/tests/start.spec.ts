import { expect, test } from '@playwright/test';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The start command as a user runs it, on a data folder and a port of its own. */
const root = new URL('../..', import.meta.url).pathname;
const tool = (name: string) => join(root, 'tools', name);

let data: string;
let port: number;
const running: ChildProcess[] = [];

const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port: free } = server.address() as { port: number };
      server.close(() => resolve(free));
    });
  });
const env = () => ({ ...process.env, GEWINDE_DATA: data, GEWINDE_PORT: String(port), GEWINDE_DATABASE_URL: '' });
const url = (path: string) => `http://127.0.0.1:${port}${path}`;

function start(...args: string[]): { child: ChildProcess; output: () => string; ready: Promise<void>; ended: Promise<number | null> } {
  const child = spawn(process.execPath, [tool('start.mjs'), ...args], { cwd: root, env: env() });
  running.push(child);
  let text = '';
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  const ready = new Promise<void>((resolve, reject) => {
    const hear = (chunk: Buffer) => {
      text += chunk.toString();
      if (text.includes('Gewinde is ready')) resolve();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    void ended.then((code) => reject(new Error(`ended with ${code}: ${text}`)));
  });
  ready.catch(() => undefined);
  return { child, output: () => text, ready, ended };
}
const jobs = async () =>
  ((await (await fetch(url('/api/jobs'))).json()) as { job: { id: string; number: string; name: string } }[]).map((s) => s.job);
const add = (number: string) =>
  fetch(url('/api/jobs'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ number, name: 'Kept' }),
  });

test.describe.configure({ mode: 'serial' });
test.setTimeout(120_000);
test.beforeAll(async () => {
  data = mkdtempSync(join(tmpdir(), 'gewinde-start-'));
  port = await freePort();
});
test.afterAll(() => {
  for (const child of running) child.kill('SIGTERM');
  rmSync(data, { recursive: true, force: true });
});

test('a first start that was cut short is begun again, and the demo is there', async () => {
  spawnSync('mkdir', ['-p', join(data, 'database/data/mysql')]);
  const app = start();
  await app.ready;
  expect(app.output()).toContain('A first start was cut short');
  expect((await jobs()).map((j) => j.number)).toEqual(['2403', '2409']);
  app.child.kill('SIGINT');
  expect(await app.ended).toBe(0);
  expect(existsSync(join(data, 'running.json'))).toBe(false);
});

test('what was acknowledged survives a killed server and a killed database', async () => {
  const app = start();
  await app.ready;
  expect((await add('7001')).status).toBe(201);
  const second = start();
  expect(await second.ended).toBe(1);
  expect(second.output()).toContain(`Gewinde is already running at http://127.0.0.1:${port}`);
  const database = Number(readFileSync(join(data, 'database/m.pid'), 'utf8'));
  process.kill(database, 'SIGKILL');
  app.child.kill('SIGKILL');
  await app.ended;
  const again = start();
  await again.ready;
  expect(again.output()).toContain('no longer running; taking over');
  expect((await jobs()).map((j) => j.number)).toContain('7001');
  again.child.kill('SIGKILL'); // this time the database is left behind
  await again.ended;
  const third = start();
  await third.ready;
  expect(third.output()).toContain('Found the database of a copy that was killed');
  expect((await jobs()).map((j) => j.number)).toContain('7001');
  third.child.kill('SIGINT');
  expect(await third.ended).toBe(0);
});

test('a backup is taken while the app runs, and restored when it is stopped', async () => {
  const file = join(data, 'shop.sql.gz');
  const run = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [tool(name), ...args], { cwd: root, env: env(), encoding: 'utf8' });
  const app = start();
  await app.ready;
  expect(run('backup.mjs', file).stdout).toContain('Backed up');
  expect(run('backup.mjs', file).stderr).toContain('does not overwrite');
  expect(run('restore.mjs', file).stderr).toContain('Gewinde is running');
  await add('7002');
  app.child.kill('SIGINT');
  await app.ended;
  const spoiled = join(data, 'spoiled.sql.gz');
  writeFileSync(spoiled, readFileSync(file).subarray(0, 2000));
  expect(run('restore.mjs', spoiled).stderr).toContain('not a backup, or it is damaged');
  expect(run('restore.mjs', file).stdout).toContain('Restored from');
  const again = start('--empty');
  await again.ready;
  const numbers = (await jobs()).map((j) => j.number);
  expect(numbers).toContain('7001');
  expect(numbers).not.toContain('7002');
  again.child.kill('SIGINT');
  await again.ended;
});

test('the demo can be put back, and a busy port is named', async () => {
  const app = start();
  await app.ready;
  const { id } = (await jobs()).find((j) => j.number === '2403')!;
  await fetch(url(`/api/jobs/${id}`), {
    method: 'PATCH',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ version: 1, name: 'Spoiled' }),
  });
  app.child.kill('SIGINT');
  await app.ended;
  const reset = start('--reset-demo');
  await reset.ready;
  expect((await jobs()).find((j) => j.number === '2403')!.name).toBe('Magpie');
  expect((await jobs()).map((j) => j.number)).toContain('7001');
  reset.child.kill('SIGINT');
  await reset.ended;

  const other = createServer().listen(port, '127.0.0.1');
  const blocked = start();
  expect(await blocked.ended).toBe(1);
  expect(blocked.output()).toContain(`Port ${port} is in use by another program`);
  other.close();
  const unknown = start('--faster');
  expect(await unknown.ended).toBe(2);
  expect(unknown.output()).toContain('Unknown option --faster');
});
