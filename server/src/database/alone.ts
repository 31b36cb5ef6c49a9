import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';

/** How long one waits for another, s: a backup of many years takes its time. */
const PATIENCE_S = 600;
/** A lease that is not renewed for so long is nobody's, s. */
const LEASE_S = 15;

/**
 * Does what only one at a time may do to the tables of a database: bring them up to date, or exchange them for those of a backup. The lock
 * is the database's own and goes with the connection that holds it: one that was killed half-way leaves none. In a cluster such a lock
 * holds on its own node only, so that a lease that all nodes see is taken as well.
 *
 * @throws {Error} if another has been at it for too long
 */
export async function alone<T>(db: Knex, work: () => Promise<T>, patienceS = PATIENCE_S): Promise<T> {
  const name = "concat('gewinde migrates ', database())";
  const pool = db.client as { acquireConnection(): Promise<unknown>; releaseConnection(connection: unknown): Promise<void> };
  const connection = await pool.acquireConnection();
  const ask = async (sql: string): Promise<unknown> => {
    const [rows] = (await db.raw(sql).connection(connection)) as [Record<string, unknown>[]];
    return Object.values(rows[0] ?? {})[0];
  };
  try {
    if (Number(await ask(`select get_lock(${name}, ${patienceS})`)) !== 1) throw tooLong();
    const cluster = (await ask('select @@wsrep_on').catch(() => 0)) === 1;
    const giveBack = cluster ? await takeLease(db, patienceS) : undefined;
    try {
      return await work();
    } finally {
      await giveBack?.();
      await ask(`select release_lock(${name})`).catch(() => undefined);
    }
  } finally {
    await pool.releaseConnection(connection);
  }
}

/** @returns how to give it back */
async function takeLease(db: Knex, patienceS: number): Promise<() => Promise<void>> {
  await db.raw(
    'create table if not exists migration_lease (name varchar(20) primary key, holder varchar(36) not null, until_at datetime(3) not null)',
  );
  const holder = randomUUID();
  const lease = { name: 'migrations', holder, until_at: db.raw(`date_add(utc_timestamp(3), interval ${LEASE_S} second)`) };
  for (const end = Date.now() + patienceS * 1000; ; await new Promise((resolve) => setTimeout(resolve, 250))) {
    // one of two that write at once has lost and is told so, here or at the next look
    await db('migration_lease')
      .insert(lease)
      .onConflict('name')
      .ignore()
      .catch(() => undefined);
    await db('migration_lease')
      .where({ name: 'migrations' })
      .where('until_at', '<', db.raw('utc_timestamp(3)'))
      .update(lease)
      .catch(() => undefined);
    const held: { holder: string } | undefined = await db('migration_lease').where({ name: 'migrations' }).first('holder');
    if (held?.holder === holder) break;
    if (Date.now() > end) throw tooLong();
  }
  const renewing = setInterval(() => {
    db('migration_lease')
      .where({ holder })
      .update({ until_at: lease.until_at })
      .catch(() => undefined);
  }, 3000);
  return async () => {
    clearInterval(renewing);
    await db('migration_lease').where({ holder }).delete();
  };
}

function tooLong(): Error {
  return new Error(
    'Another server is bringing the database up to date, or a backup is being restored, and it does not get done. Try again in a while.',
  );
}
