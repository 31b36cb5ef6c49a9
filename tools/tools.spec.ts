import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { freePort, portBusy } from './database.mjs';
import { contentWords, readBackup } from './backup-content.mjs';
import { noteHolder, releaseLock, takeLock, waitForLock } from './lock.mjs';
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
  noteHolder(file, { does: 'start', address: 'http://127.0.0.1:3000' });
  expect(takeLock(file)).toEqual({ held: false, pid: process.pid, does: 'start', address: 'http://127.0.0.1:3000' });
  releaseLock(file);
  expect(existsSync(file)).toBe(false);
});

it('a lock goes with the process that has it, whatever number that had: in a container every start has the same', async () => {
  jest.spyOn(console, 'log').mockImplementation();
  const file = join(folder, 'running.json');
  const hold = `import { takeLock } from ${JSON.stringify(join(__dirname, 'lock.mjs'))}; takeLock(${JSON.stringify(file)}, 'backup'); console.log('held'); setInterval(() => 0, 1000);`;
  const other = spawn(process.execPath, ['--input-type=module', '-e', hold], { stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((resolve) => other.stdout.once('data', resolve));
  expect(takeLock(file)).toEqual({ held: false, pid: other.pid, does: 'backup' });
  // whoever waits has it as soon as it is free
  const waiting = waitForLock(file, 'start', ({ does }) => does === 'backup');
  other.kill('SIGKILL');
  expect(await waiting).toEqual({ held: true, stale: true });
  releaseLock(file);
  // a note alone holds nobody back: of a process that runs, as of one that cannot be read
  for (const note of [JSON.stringify({ pid: process.pid, address: 'http://127.0.0.1:3000' }), '{ half']) {
    writeFileSync(file, note);
    expect(takeLock(file)).toEqual({ held: true, stale: true });
    releaseLock(file);
  }
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

describe('a backup that is read', () => {
  const head = '/*M!999999\\- enable the sandbox mode */ \n-- MariaDB dump\n/*!40101 SET NAMES utf8mb4 */;\n';
  const tables = ['jobs', 'knex_migrations'].map((name) => `CREATE TABLE \`${name}\` (\n \`id\` int(11)\n) ENGINE=InnoDB;\n`).join('');
  const jobs = "INSERT INTO `jobs` VALUES (1,'it\\'s (; \\\\',NULL,-2.5e-3),(2,'',0x00FF,3);\n";
  const steps = "INSERT INTO `knex_migrations` VALUES (1,'20261125_jobs.js',1,'2026-11-25');\n";
  const foot = '-- Dump completed\n';
  const read = (sql: string) => {
    const file = join(folder, 'some.sql.gz');
    writeFileSync(file, gzipSync(sql));
    return readBackup(file);
  };

  it('is counted by table, whatever stands in its strings', async () => {
    const found = await read(head + tables + jobs + jobs + steps + foot);
    expect(Object.fromEntries(found.tables)).toEqual({ jobs: 4, knex_migrations: 1 });
    expect(found.migrations).toEqual(['20261125_jobs.js']);
    expect(contentWords(found.tables)).toBe('4 jobs, 0 lines, 0 parts, 0 orders; 5 rows in 2 tables');
  });

  it('is read the same whatever its strings hold (property)', async () => {
    const written = (text: string) => text.replace(/['\\]/g, '\\$&').replace(/\n/g, '\\n');
    await fc.assert(
      fc.asyncProperty(fc.array(fc.string({ unit: 'binary' }), { minLength: 1, maxLength: 20 }), async (texts) => {
        const rows = texts.map((text, n) => `(${n},'${written(text)}')`).join(',');
        const { tables: found } = await read(`${head}${tables}INSERT INTO \`jobs\` VALUES ${rows};\n${foot}`);
        expect(found.get('jobs')).toBe(texts.length);
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ['cut short', tables + jobs, 'not a whole backup'],
    ['without jobs', foot, 'not a whole backup'],
    ['that makes a user', `${tables}CREATE USER x;${foot}`, 'no backup does: CREATE USER x'],
    ['that drops a system table', `${tables}DROP TABLE IF EXISTS \`mysql\`.\`user\`;${foot}`, 'no backup does'],
    ['that writes a file', `${tables}SELECT 'x' INTO OUTFILE '/tmp/x';${foot}`, 'no backup does'],
    ['that reads a file', `${tables}INSERT INTO \`jobs\` VALUES (LOAD_FILE('/etc/passwd'));${foot}`, 'no backup does'],
    ['that hides a statement in a comment', `${tables}/*M!100000 DROP DATABASE gewinde */;${foot}`, 'no backup does'],
    ['that hides one in a setting', `${tables}/*!40101 SET @a=(select 1) */;${foot}`, 'no backup does'],
    ['that changes how strings are read', `${tables}SET sql_mode='NO_BACKSLASH_ESCAPES';${foot}`, 'no backup does'],
    ['whose table lies elsewhere', `CREATE TABLE \`jobs\` (\`a\` int) ENGINE=CONNECT;${foot}`, 'a table that a backup does not have'],
    [
      'whose table is filled from another',
      `CREATE TABLE \`jobs\` (\`a\` int) ENGINE=InnoDB SELECT 1;${foot}`,
      'a table that a backup does not have',
    ],
    ['that fills what it does not make', `${tables}INSERT INTO \`parts\` VALUES (1);${foot}`, 'not in it: parts'],
    ['that goes on after its end', `${tables}${foot}DROP DATABASE`, 'not a whole backup'],
  ])('is refused: one %s', async (_, sql, words) => {
    await expect(read(head + sql)).rejects.toThrow(words);
  });
});

it('what is said of Node is the same wherever it stands', () => {
  const { engines } = JSON.parse(readFileSync(join(__dirname, '../package.json'), 'utf8')) as { engines: { node: string } };
  expect(suitable.map(({ major, minor }) => `^${major}.${minor}.0`).join(' || ')).toBe(engines.node);
});
