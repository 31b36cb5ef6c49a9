import { spawn } from 'node:child_process';
import { createWriteStream, existsSync, renameSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { databaseClient } from './database-client.mjs';
import { requireNode, stop } from './needs.mjs';

/**
 * Writes the whole database to a file: gzipped SQL, of one moment, while the app may be running.
 * The file appears under its name only when it is whole.
 */
export async function backup(file, { args, database, env }) {
  const half = `${file}.part`;
  const dump = spawn(
    'mariadb-dump',
    [...args, '--single-transaction', '--skip-lock-tables', '--hex-blob', '--default-character-set=utf8mb4', database],
    { stdio: ['ignore', 'pipe', 'inherit'], env },
  );
  const code = new Promise((done) => dump.once('exit', done));
  await pipeline(dump.stdout, createGzip(), createWriteStream(half, { mode: 0o600 }));
  if ((await code) !== 0) {
    rmSync(half, { force: true });
    throw new Error('The database could not be read; no backup was written.');
  }
  renameSync(half, file);
}

if (import.meta.url === `file://${process.argv[1]}`) {
  requireNode();
  const name = process.argv[2];
  if (!name) stop('Say where to: npm run backup -- FILE, for example npm run backup -- gewinde-2026-11-25.sql.gz', 2);
  const file = resolve(process.env.INIT_CWD ?? process.cwd(), name);
  if (existsSync(file)) stop(`${file} is there already; a backup does not overwrite. Choose another name.`, 2);
  const client = await databaseClient();
  try {
    await backup(file, client);
    console.log(`Backed up to ${file}`);
  } catch (error) {
    console.error(error.message);
    process.exitCode = 1;
  } finally {
    await client.done();
  }
}
