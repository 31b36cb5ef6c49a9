import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { hostname } from 'node:os';

/** How often a server says that it runs, ms, and after how long without a word it is taken for gone, s. */
const SAY_EVERY_MS = 5000;
const GONE_AFTER_S = 20;

/**
 * Says in the database that a server runs on it, so that whoever would exchange what is in it sees that, from whatever machine.
 * @returns how to say that it has ended
 */
export async function sayRunning(db: Knex, place = `${hostname()}, process ${process.pid}`): Promise<() => Promise<void>> {
  const row = { id: randomUUID(), place: place.slice(0, 80), seen_at: db.raw('utc_timestamp(3)') };
  // those that were killed have not said that they ended
  await db('servers')
    .where('seen_at', '<', db.raw(`utc_timestamp(3) - interval ${GONE_AFTER_S * 10} second`))
    .delete();
  const say = async (): Promise<void> => {
    // what was restored meanwhile does not know of it
    await db('servers').insert(row).onConflict('id').merge(['seen_at']);
  };
  await say();
  const saying = setInterval(() => void say().catch(() => undefined), SAY_EVERY_MS);
  return async () => {
    clearInterval(saying);
    await db('servers')
      .where({ id: row.id })
      .delete()
      .catch(() => undefined);
  };
}

/** Where servers run on this database at this moment; one that was killed counts for a while. */
export async function runningServers(db: Knex): Promise<string[]> {
  if (!(await db.schema.hasTable('servers'))) return [];
  return db('servers')
    .where('seen_at', '>', db.raw(`utc_timestamp(3) - interval ${GONE_AFTER_S} second`))
    .orderBy('place')
    .pluck<string[]>('place');
}
