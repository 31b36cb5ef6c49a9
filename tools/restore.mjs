import { spawn } from 'node:child_process';
import { createReadStream, existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { backup } from './backup.mjs';
import { databaseClient } from './database-client.mjs';
import { releaseLock, takeLock } from './lock.mjs';
import { requireNode, stop } from './needs.mjs';
import { dataRoot } from './paths.mjs';

requireNode();
const name = process.argv[2];
if (!name) stop('Say which: npm run restore -- FILE', 2);
const file = resolve(process.env.INIT_CWD ?? process.cwd(), name);
if (!existsSync(file)) stop(`There is no ${file}.`, 2);
await refuseWhatIsNone(file);

// nobody starts the app while its database is being exchanged
const lockFile = join(dataRoot, 'running.json');
const lock = takeLock(lockFile);
if (!lock.held) stop(lock.address ? 'Gewinde is running. Stop it first (Ctrl+C), then restore.' : 'Gewinde is starting or being restored.');
process.on('exit', () => releaseLock(lockFile));

const client = await databaseClient();
try {
  const safety = join(dataRoot, 'backups', `before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}.sql.gz`);
  mkdirSync(join(dataRoot, 'backups'), { recursive: true, mode: 0o700 });
  await backup(safety, client);
  try {
    await load(file);
  } catch (error) {
    await load(safety).catch((again) => {
      throw new Error(
        `${error.message} What was there before could not be put back either (${again.message}); it is in ${safety}: restore that.`,
      );
    });
    throw new Error(`${error.message} What was there before has been put back; it is also in ${safety}.`, { cause: error });
  }
  console.log(`Restored from ${file}.\nWhat was there before is in ${safety}.`);
} catch (error) {
  console.error(error.message);
  process.exitCode = 1;
} finally {
  await client.done();
}

/** Reads a backup through once, however large: a file that is none, or is cut short, is refused before anything is touched. */
async function refuseWhatIsNone(path) {
  let tail = '';
  let jobs = false;
  try {
    await pipeline(createReadStream(path), createGunzip(), async (chunks) => {
      for await (const chunk of chunks) {
        const text = tail + chunk.toString('latin1');
        jobs ||= text.includes('CREATE TABLE `jobs`');
        tail = text.slice(-200);
      }
    });
  } catch {
    stop(`${path} is not a backup, or it is damaged. Nothing was changed.`, 2);
  }
  if (!jobs || !/-- Dump completed/.test(tail)) stop(`${path} is not a whole backup of Gewinde. Nothing was changed.`, 2);
}

/**
 * Exchanges what is in the database for a backup: all tables go first, so that one from before a migration is what it was. The client
 * takes no commands from the file, only SQL.
 */
async function load(path) {
  const tables = await ask('show tables');
  if (tables.length > 0) await ask(`set foreign_key_checks = 0; drop table ${tables.map((table) => `\`${table}\``).join(', ')}`);
  const child = mariadb([]);
  const code = new Promise((done) => child.once('exit', done));
  await pipeline(createReadStream(path), createGunzip(), child.stdin).catch(() => undefined); // the exit code tells
  if ((await code) !== 0) throw new Error('The backup could not be loaded whole; see above.');
  // pages that are open somewhere see that the catalogue is another one
  await ask("insert into marks (name, at) values ('restored', now(3)) on duplicate key update at = now(3)");
}

/** What a statement answers, its first column. */
async function ask(sql) {
  const child = mariadb(['--skip-column-names', '--batch', '--execute', sql]);
  let text = '';
  child.stdout.on('data', (chunk) => (text += chunk));
  const code = await new Promise((done) => child.once('exit', done));
  if (code !== 0) throw new Error('The database could not be prepared; see above.');
  return text.split('\n').filter(Boolean);
}

function mariadb(more) {
  return spawn('mariadb', [...client.args, '--sandbox', '--default-character-set=utf8mb4', ...more, client.database], {
    stdio: ['pipe', 'pipe', 'inherit'],
    env: client.env,
  });
}
