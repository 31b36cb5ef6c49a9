import { spawn } from 'node:child_process';
import { createWriteStream, existsSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { contentWords, readBackup } from './backup-content.mjs';
import { databaseClient, lockFile, requireClient } from './database-client.mjs';
import { readLock, releaseLock, waitForLock } from './lock.mjs';
import { requireBuild, requireModules, requireNode, stop } from './needs.mjs';
import { root } from './paths.mjs';

/** @typedef {Awaited<ReturnType<typeof databaseClient>>} Client */

/**
 * Writes the whole database to a file: gzipped SQL, of one moment, while the app may be running. The file appears under its name only
 * when it is whole and has been read through.
 *
 * @param {string} file
 * @param {Client} client
 * @returns what it holds
 */
export async function backup(file, { args, database, env }) {
  const half = `${file}.part`;
  const leave = () => rmSync(half, { force: true });
  process.on('exit', leave);
  try {
    const dump = spawn(
      'mariadb-dump',
      [
        ...args,
        '--single-transaction',
        '--skip-lock-tables',
        '--skip-triggers',
        '--no-tablespaces',
        '--hex-blob',
        '--default-character-set=utf8mb4',
        `--ignore-table=${database}.restore_begun`,
        `--ignore-table=${database}.migration_lease`,
        database,
      ],
      { stdio: ['ignore', 'pipe', 'inherit'], env },
    );
    const code = new Promise((done) => dump.once('close', done));
    await pipeline(dump.stdout, createGzip(), createWriteStream(half, { mode: 0o600 }));
    if ((await code) !== 0) throw new Error('The database could not be read; no backup was written.');
    const { tables } = await readBackup(half).catch((error) => {
      throw new Error(`What was written is no backup, and was not kept. ${error.message}`);
    });
    renameSync(half, file);
    return contentWords(tables);
  } finally {
    leave();
    process.off('exit', leave);
  }
}

/** Held against whoever changes the tables meanwhile: an upgrade, a restore. */
export async function holdingTables(url, work) {
  requireModules('run');
  requireBuild();
  const { alone } = await import(join(root, 'server/dist/database/alone.js'));
  const { connectDatabase } = await import(join(root, 'server/dist/database/connect.js'));
  const db = connectDatabase(url, 3, 0);
  try {
    return await alone(db, () => work(db), 600);
  } finally {
    await db.destroy();
  }
}

/** How often it is tried anew where the app ended, or started, in the middle of it. */
const TRIES = 3;

async function backupAtAnyMoment(file) {
  for (let tries = 1; ; tries++) {
    // its own database is served by whoever holds the folder; where nobody does, it is started for the moment
    const lock = process.env.GEWINDE_DATABASE_URL ? undefined : await waitForLock(lockFile, 'backup', ({ address }) => !address);
    if (lock && !lock.held && !lock.address) stop('Gewinde has been starting, or being restored, for ten minutes. Nothing was backed up.');
    let client;
    try {
      client = await databaseClient();
      const { url } = client;
      return await holdingTables(url, async (db) => {
        if (!(await db.schema.hasTable('knex_migrations')))
          throw new Error('There is nothing to be backed up yet: the app has not been started.');
        return backup(file, client);
      });
    } catch (error) {
      const left = lock && !lock.held && readLock(lockFile)?.pid !== lock.pid;
      if (!left || tries >= TRIES) throw error;
      console.log('The app ended meanwhile; once more.');
    } finally {
      await client?.done();
      releaseLock(lockFile);
    }
  }
}

if (import.meta.url === `file://${process.argv[1]}`) {
  requireNode();
  const name = process.argv[2];
  if (!name) stop('Say where to: npm run backup -- FILE, for example npm run backup -- gewinde-2026-11-25.sql.gz', 2);
  const file = resolve(process.env.INIT_CWD ?? process.cwd(), name);
  if (existsSync(file)) stop(`${file} is there already; a backup does not overwrite. Choose another name.`, 2);
  requireClient();
  process.on('exit', () => releaseLock(lockFile));
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => process.exit(1));
  try {
    const holds = await backupAtAnyMoment(file);
    console.log(`Backed up to ${file}\n${holds}.`);
  } catch (error) {
    console.error(error.message);
    process.exitCode = 1;
  }
}
