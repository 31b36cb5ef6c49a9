import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { readLock } from './lock.mjs';
import { requirePackages } from './needs.mjs';
import { dataRoot } from './paths.mjs';

/**
 * How the command-line client reaches the database: your own by its url, or the private one, which is started for the moment if the
 * app is not running.
 * @returns {Promise<{ args: string[], database: string, env: NodeJS.ProcessEnv, running: boolean, done: () => Promise<void> }>}
 */
export async function databaseClient() {
  requirePackages([{ command: 'mariadb-dump', name: process.env.GEWINDE_DATABASE_URL ? 'mariadb-client' : 'mariadb-server' }]);
  const own = process.env.GEWINDE_DATABASE_URL;
  if (own) {
    const at = new URL(own);
    const args = ['--no-defaults', `--host=${at.hostname}`, `--port=${at.port || 3306}`, `--user=${decodeURIComponent(at.username)}`];
    return {
      args,
      database: at.pathname.slice(1),
      env: { ...process.env, MYSQL_PWD: decodeURIComponent(at.password) },
      running: false,
      done: async () => undefined,
    };
  }
  const folder = join(dataRoot, 'database');
  const holder = readLock(join(dataRoot, 'running.json'));
  if (holder?.address)
    return {
      args: ['--no-defaults', `--socket=${holder.socket ?? join(folder, 'm.sock')}`],
      database: 'gewinde',
      env: process.env,
      running: true,
      done: async () => undefined,
    };
  const database = await startDatabase(folder);
  return { args: database.adminArgs, database: 'gewinde', env: process.env, running: false, done: () => database.stop() };
}
