import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, portBusy } from './database.mjs';
import { noteAddress, readLock, releaseLock, takeLock } from './lock.mjs';
import { suitable } from './needs.mjs';

/** The plain scripts behind the start command, each by itself. */
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'gewinde-tools-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

it('a lock is held once, tells its holder, and is given back', () => {
  const file = join(folder, 'deep', 'running.json');
  expect(takeLock(file)).toEqual({ held: true, stale: false });
  noteAddress(file, { address: 'http://127.0.0.1:3000' });
  expect(takeLock(file)).toEqual({ held: false, pid: process.pid, address: 'http://127.0.0.1:3000' });
  releaseLock(file);
  expect(existsSync(file)).toBe(false);
});

it('a lock of a process that is gone, or one that cannot be read, is taken over', () => {
  jest.spyOn(console, 'log').mockImplementation();
  const file = join(folder, 'running.json');
  writeFileSync(file, JSON.stringify({ pid: spawnSync('true').pid }));
  expect(takeLock(file)).toEqual({ held: true, stale: true });
  writeFileSync(file, '{ half');
  expect(readLock(file)).toBeUndefined();
  expect(takeLock(file)).toEqual({ held: true, stale: true });
});

it('a busy port is seen as busy, a free one as free', async () => {
  const port = await freePort();
  expect(await portBusy(port)).toBe(false);
  const other = createServer();
  await new Promise<void>((resolve) => other.listen(port, '127.0.0.1', resolve));
  expect(await portBusy(port)).toBe(true);
  other.close();
});

it('backup and restore ask for a file', () => {
  const run = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [join(__dirname, name), ...args], { encoding: 'utf8', env: { ...process.env, GEWINDE_DATA: folder } });
  expect(run('backup.mjs').stderr).toContain('npm run backup -- FILE');
  expect(run('restore.mjs').stderr).toContain('npm run restore -- FILE');
  expect(run('restore.mjs', join(folder, 'nothing.sql.gz')).stderr).toContain('There is no');
  const wrong = join(folder, 'wrong.sql.gz');
  writeFileSync(wrong, 'not gzip');
  expect(run('restore.mjs', wrong).stderr).toContain('Nothing was changed');
});

it('what is said of Node is the same wherever it stands', () => {
  const { engines } = JSON.parse(readFileSync(join(__dirname, '../package.json'), 'utf8')) as { engines: { node: string } };
  expect(suitable.map(({ major, minor }) => `^${major}.${minor}.0`).join(' || ')).toBe(engines.node);
});
