import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { readLock } from './lock.mjs';
import { requirePackages } from './needs.mjs';
import { dataRoot } from './paths.mjs';

/** The note of who holds the data folder. */
export const lockFile = join(dataRoot, 'running.json');
const folder = join(dataRoot, 'database');

/** What `mariadb` and its like need on this machine. */
export function requireClient() {
  requirePackages([{ command: 'mariadb-dump', name: process.env.GEWINDE_DATABASE_URL ? 'mariadb-client' : 'mariadb-server' }]);
}

/**
 * How the database is reached, as a user of that one database and of nothing else: your own by its url; the private one where it runs, or
 * started for the moment. Whoever starts it holds the lock of the data folder.
 *
 * @returns {Promise<{ url: string, args: string[], database: string, env: NodeJS.ProcessEnv, done: () => Promise<void> }>}
 */
export async function databaseClient() {
  const own = process.env.GEWINDE_DATABASE_URL;
  if (own) return clientOf(own);
  const holder = readLock(lockFile);
  if (holder?.address && holder.port) return clientOf(privateUrl(holder.port));
  const database = await startDatabase(folder);
  return clientOf(database.url('gewinde'), () => database.stop());
}

function privateUrl(port) {
  return `mysql://gewinde:${readFileSync(join(folder, 'password'), 'utf8')}@127.0.0.1:${port}/gewinde`;
}

/** @param {string} url @param {() => Promise<void>} [done] */
function clientOf(url, done = async () => {}) {
  const at = new URL(url);
  const args = ['--no-defaults', `--host=${at.hostname}`, `--port=${at.port || 3306}`, `--user=${decodeURIComponent(at.username)}`];
  return { url, args, database: at.pathname.slice(1), env: { ...process.env, MYSQL_PWD: decodeURIComponent(at.password) }, done };
}
