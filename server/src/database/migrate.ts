import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';

/** How long a server waits for another that is migrating, s. */
const PATIENCE_S = 120;
/** A lease that is not renewed for so long is nobody's, s. */
const LEASE_S = 15;

/**
 * Brings the tables up to date; safe to run by several servers at once. The lock is the database's own and goes with the connection that
 * holds it: one that was killed half-way leaves none, and Knex's mark of a migration under way is cleared under it. In a cluster such a
 * lock holds on its own node only, so that a lease that all nodes see is taken as well.
 *
 * @throws {Error} if another server has been migrating for too long
 */
export async function migrate(db: Knex): Promise<void> {
  const name = "concat('gewinde migrates ', database())";
  const pool = db.client as { acquireConnection(): Promise<unknown>; releaseConnection(connection: unknown): Promise<void> };
  const connection = await pool.acquireConnection();
  const ask = async (sql: string): Promise<unknown> => {
    const [rows] = (await db.raw(sql).connection(connection)) as [Record<string, unknown>[]];
    return Object.values(rows[0] ?? {})[0];
  };
  try {
    if (Number(await ask(`select get_lock(${name}, ${PATIENCE_S})`)) !== 1) throw tooLong();
    const cluster = (await ask('select @@wsrep_on').catch(() => 0)) === 1;
    const giveBack = cluster ? await takeLease(db) : undefined;
    try {
      if (await db.schema.hasTable('knex_migrations_lock')) await db.migrate.forceFreeMigrationsLock();
      await db.migrate.latest();
    } finally {
      await giveBack?.();
    }
    await ask(`select release_lock(${name})`);
  } finally {
    await pool.releaseConnection(connection);
  }
}

/** @returns how to give it back */
async function takeLease(db: Knex): Promise<() => Promise<void>> {
  await db.raw(
    'create table if not exists migration_lease (name varchar(20) primary key, holder varchar(36) not null, until_at datetime(3) not null)',
  );
  const holder = randomUUID();
  const lease = { name: 'migrations', holder, until_at: db.raw(`date_add(utc_timestamp(3), interval ${LEASE_S} second)`) };
  for (const end = Date.now() + PATIENCE_S * 1000; ; await new Promise((resolve) => setTimeout(resolve, 250))) {
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
  return new Error('Another server is bringing the database up to date, and does not get done. Try again in a while.');
}
