import { expect, test } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The plain scripts behind the start command, each by itself. */
const root = new URL('../..', import.meta.url).pathname;
interface LockModule {
  takeLock: (file: string) => { held: boolean; stale?: boolean; pid?: number; address?: string };
  noteAddress: (file: string, details: object) => void;
  releaseLock: (file: string) => void;
  readLock: (file: string) => { pid: number } | undefined;
}
interface DatabaseModule {
  freePort: () => Promise<number>;
  portBusy: (port: number) => Promise<boolean>;
}
const load = async <T>(name: string): Promise<T> => (await import(join(root, 'tools', name))) as T;

let folder: string;
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'gewinde-tools-'));
});
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('a lock is held once, tells its holder, and is given back', async () => {
  const { takeLock, noteAddress, releaseLock } = await load<LockModule>('lock.mjs');
  const file = join(folder, 'deep', 'running.json');
  expect(takeLock(file)).toEqual({ held: true, stale: false });
  noteAddress(file, { address: 'http://127.0.0.1:3000' });
  expect(takeLock(file)).toEqual({ held: false, pid: process.pid, address: 'http://127.0.0.1:3000' });
  releaseLock(file);
  expect(existsSync(file)).toBe(false);
});

test('a lock of a process that is gone, or one that cannot be read, is taken over', async () => {
  const { takeLock, readLock } = await load<LockModule>('lock.mjs');
  const file = join(folder, 'running.json');
  const gone = spawnSync('true').pid;
  writeFileSync(file, JSON.stringify({ pid: gone }));
  expect(takeLock(file)).toEqual({ held: true, stale: true });
  writeFileSync(file, '{ half');
  expect(readLock(file)).toBeUndefined();
  expect(takeLock(file)).toEqual({ held: true, stale: true });
});

test('a busy port is seen as busy, a free one as free', async () => {
  const { freePort, portBusy } = await load<DatabaseModule>('database.mjs');
  const port = await freePort();
  expect(await portBusy(port)).toBe(false);
  const other = createServer();
  await new Promise<void>((resolve) => other.listen(port, '127.0.0.1', resolve));
  expect(await portBusy(port)).toBe(true);
  other.close();
});

test('the start command explains itself and refuses what it does not know', () => {
  const run = (...args: string[]) =>
    spawnSync(process.execPath, [join(root, 'tools/start.mjs'), ...args], {
      encoding: 'utf8',
      env: { ...process.env, GEWINDE_DATA: folder },
    });
  expect(run('--help').stdout + run('--help').stderr).toContain('--reset-demo');
  expect(run('--help').status).toBe(0);
  expect(run('--port', 'x').stderr).toContain('That is not a port');
  expect(run('--port', '70000').status).toBe(2);
});

test('backup and restore ask for a file', () => {
  const run = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [join(root, 'tools', name), ...args], { encoding: 'utf8', env: { ...process.env, GEWINDE_DATA: folder } });
  expect(run('backup.mjs').stderr).toContain('npm run backup -- FILE');
  expect(run('restore.mjs').stderr).toContain('npm run restore -- FILE');
  expect(run('restore.mjs', join(folder, 'nothing.sql.gz')).stderr).toContain('There is no');
  const wrong = join(folder, 'wrong.sql.gz');
  writeFileSync(wrong, 'not gzip');
  expect(run('restore.mjs', wrong).stderr).toContain('Nothing was changed');
});
