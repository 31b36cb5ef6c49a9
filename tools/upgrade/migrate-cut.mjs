import { join } from 'node:path';
import { root } from '../paths.mjs';

/**
 * Takes a step of an upgrade as a start does, and is gone, as by a power cut, after one of the statements it sends: `node
 * migrate-cut.mjs URL STEP N`. Without N, or where there are fewer, it does the whole, and tells how many there were.
 */
const [url, until, cutAfter] = process.argv.slice(2);
const { connectDatabase } = await import(join(root, 'server/dist/database/connect.js'));
const { migrate } = await import(join(root, 'server/dist/database/migrate.js'));
const db = connectDatabase(url, 2, 0);
let sent = 0;
/** Statements that change something: what only looks leaves nothing half done. */
const changes = /^\s*(create|alter|drop|rename|insert|update|delete|commit)/i;
db.on('query-response', (_answer, { sql }) => {
  if (!changes.test(sql)) return;
  sent += 1;
  if (String(sent) === cutAfter) process.kill(process.pid, 'SIGKILL');
});
try {
  await migrate(db, { until });
  console.log(sent);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
} finally {
  await db.destroy();
}
