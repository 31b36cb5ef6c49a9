import type { Knex } from 'knex';
import { alone } from './alone.js';
import { migrations } from './migrations/index.js';
import { holdAfter, holdBefore, SchemaError } from './schema/hold-schema.js';

export interface Upgrading {
  /** Whoever wants to end is heard between two steps, never within one. */
  readonly stop?: AbortSignal;
  /** The step to end at, so as to try it by itself; without it, the newest. */
  readonly until?: string | undefined;
  /** What is said to whoever looks on. */
  readonly say?: (words: string) => void;
  /** What is done at the end, before anybody else may begin. */
  readonly then?: () => Promise<void>;
}

/** The upgrade was told to end; what is left of it is done by the next start. */
export class UpgradeStopped extends Error {}

/**
 * Brings the tables up to date; safe to run by several servers at once. Each step is a migration whose every statement can be taken again:
 * one that was cut short goes on where it was. The tables are held against what their version has, before and after.
 *
 * @throws {SchemaError} when they are not what they must be and cannot be set right: nothing is done to them then
 * @throws {UpgradeStopped}
 * @throws {Error} if another server has been migrating for too long
 */
export async function migrate(db: Knex, upgrading: Upgrading = {}): Promise<void> {
  const { stop, until, say = () => undefined, then = async () => undefined } = upgrading;
  await alone(db, async () => {
    if (await db.schema.hasTable('restore_begun')) {
      const { safety } = (await db('restore_begun').first<{ safety: string } | undefined>('safety')) ?? { safety: 'the folder of backups' };
      throw new SchemaError(
        `A restore was cut off, and this database is half of one and half of another. What was there before is in ${safety}: npm run restore -- ${safety}, or restore the other again.`,
      );
    }
    const { done, halfDone } = await whereItStands(db);
    const newer = done.filter((name) => !(name in migrations));
    if (newer.length > 0)
      throw new SchemaError(
        `This database is of a newer version of Gewinde (${newer.at(-1)}) than this one. Nothing was done to it. Start that version, or restore a backup of this one.`,
      );
    const last = done.at(-1);
    if (last && !halfDone) await holdBefore(db, last);
    // a step that was cut short has left its mark: under the lock it is nobody's
    if (last ?? halfDone) await db.migrate.forceFreeMigrationsLock();
    const steps = Object.keys(migrations)
      .sort()
      .filter((name) => until === undefined || name <= until);
    for (const name of steps.slice(done.length)) {
      if (stop?.aborted) throw new UpgradeStopped('Stopped between two steps of the upgrade; the next start goes on with it.');
      await db.raw('create table if not exists migration_begun (name varchar(80) primary key)');
      await db('migration_begun').insert({ name }).onConflict().ignore();
      await db.migrate.up();
      await db('migration_begun').delete();
    }
    if (until) return;
    for (const fact of await holdAfter(db)) say(`An upgrade of an earlier day had lost this; it is made again: ${fact}`);
    await then();
  });
}

/** Which steps are done, in order, and whether one more was begun: by our mark, or by that of Knex, which is all that earlier versions left. */
async function whereItStands(db: Knex): Promise<{ done: string[]; halfDone: boolean }> {
  if (!(await db.schema.hasTable('knex_migrations'))) return { done: [], halfDone: false };
  const done = await db('knex_migrations').orderBy('name').pluck<string[]>('name');
  const lock = (await db.schema.hasTable('knex_migrations_lock'))
    ? await db('knex_migrations_lock').first<{ is_locked: number } | undefined>('is_locked')
    : undefined;
  const begun = (await db.schema.hasTable('migration_begun')) ? await db('migration_begun').pluck<string[]>('name') : [];
  return { done, halfDone: Boolean(lock?.is_locked) || begun.some((name) => !done.includes(name)) };
}
