import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { releaseLock, takeLock } from './lock.mjs';
import { requireBuild, requireModules, requireNode, requirePackages, stop } from './needs.mjs';
import { dataRoot } from './paths.mjs';

/** Fills a database with invented jobs and works out where each stands. */
export async function fill(url, count, say = /** @type {(words: string) => void} */ (() => undefined)) {
  const { connectDatabase } = await import('../server/dist/database/connect.js');
  const { migrate } = await import('../server/dist/database/migrate.js');
  const { ensureStandardCatalogue } = await import('../server/dist/catalogue/catalogue-store.js');
  const { fillWithJobs } = await import('../server/dist/demo/many-jobs.js');
  const { catchUp } = await import('../server/dist/jobs/catch-up.js');
  const db = connectDatabase(url);
  try {
    await migrate(db);
    await ensureStandardCatalogue(db);
    const total = await fillWithJobs(db, count, (done) => done % 1000 === 0 && say(`${done} jobs written`));
    say('Working out where each stands …');
    await catchUp(db);
    return total;
  } finally {
    await db.destroy();
  }
}

if (import.meta.url === `file://${process.argv[1]}`) {
  requireNode();
  const count = Number(process.argv[2] ?? 10_000);
  if (!Number.isInteger(count) || count < 1 || count > 99_000) stop('Say how many: npm run fill -- 10000', 2);
  const own = process.env.GEWINDE_DATABASE_URL || undefined;
  requirePackages(own ? [] : [{ command: 'mariadbd', name: 'mariadb-server' }]);
  const lockFile = join(dataRoot, 'running.json');
  const lock = own ? undefined : takeLock(lockFile);
  if (lock && !lock.held) stop(`Gewinde is running (process ${lock.pid}): stop it, fill, and start it again.`);
  if (lock) process.on('exit', () => releaseLock(lockFile));
  requireModules();
  requireBuild();
  const database = own ? undefined : await startDatabase(join(dataRoot, 'database'));
  try {
    const total = await fill(own ?? database?.url('gewinde') ?? '', count, (words) => console.log(words));
    console.log(`${count} invented jobs more: ${total} of them are in the database now, numbered F00001 on.`);
  } finally {
    await database?.stop();
  }
}
