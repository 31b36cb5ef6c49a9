import { spawn } from 'node:child_process';
import { createReadStream, existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { backup, holdingTables } from './backup.mjs';
import { BackupError, contentWords, readBackup } from './backup-content.mjs';
import { databaseClient, lockFile, requireClient } from './database-client.mjs';
import { releaseLock, takeLock } from './lock.mjs';
import { requireBuild, requireModules, requireNode, stop } from './needs.mjs';
import { dataRoot, root } from './paths.mjs';

/** Tables by which those who exchange others hold one another back: they stay. */
const OF_THE_TOOLS = ['restore_begun', 'migration_lease'];

requireNode();
const name = process.argv[2];
if (!name) stop('Say which: npm run restore -- FILE', 2);
const file = resolve(process.env.INIT_CWD ?? process.cwd(), name);
if (!existsSync(file)) stop(`There is no ${file}.`, 2);
requireClient();
// nobody starts the app while its database is being exchanged
const lock = takeLock(lockFile, 'restore');
if (!lock.held) {
  const what = lock.address ? 'is running. Stop it first (Ctrl+C), then restore' : 'is starting, being backed up or restored';
  stop(`Gewinde ${what}. Nothing was changed.`);
}
process.on('exit', () => releaseLock(lockFile));

requireModules('run');
requireBuild();
const { migrations } = await import(join(root, 'server/dist/database/migrations/index.js'));
const { runningServers } = await import(join(root, 'server/dist/database/running-servers.js'));
const holds = await soundOrStop(file);

const client = await databaseClient();
try {
  await holdingTables(client.url, exchange);
} catch (error) {
  console.error(error.message);
  process.exitCode = 1;
} finally {
  await client.done();
}

/** A backup that cannot be read, would do something else, or is of a version that is not here yet is refused before anything is touched. */
async function soundOrStop(path) {
  try {
    const { tables, migrations: steps } = await readBackup(path);
    const newer = steps.find((step) => !(step in migrations));
    if (newer) throw new BackupError(`It is of a newer version of Gewinde (${newer}) than this one: restore it with that version.`);
    return contentWords(tables);
  } catch (error) {
    if (!(error instanceof BackupError)) throw error;
    return stop(`${path} is not restored. ${error.message} Nothing was changed.`, 2);
  }
}

/** Exchanges what is in the database for the backup; what was there is backed up first, and comes back where the backup does not go in. */
async function exchange(db) {
  const places = await runningServers(db);
  if (places.length > 0)
    throw new Error(
      `Gewinde runs on this database (${places.join('; ')}). Stop it there, then restore; one that was killed counts for 20 s. Nothing was changed.`,
    );
  const safety = await whatWasThere(db);
  try {
    await load(db, file);
  } catch (error) {
    await load(db, safety).catch((again) => {
      throw new Error(
        `${error.message} What was there before could not be put back either (${again.message}); it is in ${safety}: restore that.`,
      );
    });
    await db.schema.dropTableIfExists('restore_begun');
    throw new Error(`${error.message} What was there before has been put back; it is also in ${safety}.`, { cause: error });
  }
  await db.schema.dropTableIfExists('restore_begun');
  console.log(`Restored from ${file}: ${holds}.\nWhat was there before is in ${safety}.`);
}

/** Where the safety copy is. One that was cut off has left half a database: the copy it made then is the one that counts. */
async function whatWasThere(db) {
  if (await db.schema.hasTable('restore_begun')) {
    const begun = await db('restore_begun').first('safety');
    if (begun) return begun.safety;
  }
  const safety = join(dataRoot, 'backups', `before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}.sql.gz`);
  mkdirSync(join(dataRoot, 'backups'), { recursive: true, mode: 0o700 });
  // an empty database has nothing to be kept
  if (await db.schema.hasTable('knex_migrations')) await backup(safety, client);
  await db.raw('create table if not exists restore_begun (safety varchar(1000) not null)');
  await db('restore_begun').insert({ safety });
  return safety;
}

/**
 * Loads a backup into the emptied database: all tables go first, so that one from before a migration is what it was. The client takes no
 * commands from the file, only SQL, and its user may touch nothing but this database.
 */
async function load(db, path) {
  const [tables] = await db.raw("show full tables where table_type = 'BASE TABLE'");
  const names = tables.map((row) => Object.values(row)[0]).filter((table) => !OF_THE_TOOLS.includes(table));
  await db.transaction(async (trx) => {
    await trx.raw('set foreign_key_checks = 0');
    for (const table of names) await trx.schema.dropTable(table);
    await trx.raw('set foreign_key_checks = 1');
  });
  if (!existsSync(path)) return; // what was there before was nothing
  const child = spawn('mariadb', [...client.args, '--sandbox', '--default-character-set=utf8mb4', client.database], {
    stdio: ['pipe', 'inherit', 'inherit'],
    env: client.env,
  });
  const code = new Promise((done) => child.once('close', done));
  await pipeline(createReadStream(path), createGunzip(), child.stdin).catch(() => undefined); // the exit code tells
  if ((await code) !== 0) throw new Error('The backup could not be loaded whole; see above.');
  // pages that are open somewhere see that the catalogue is another one; servers of the day of the backup are not those of today
  await db('marks').insert({ name: 'restored', at: new Date() }).onConflict('name').merge(['at']);
  if (await db.schema.hasTable('servers')) await db('servers').delete();
}
