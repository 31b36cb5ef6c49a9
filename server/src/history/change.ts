import type { Knex } from 'knex';
import { lockEntity, type Entities, type Entity, type EntityType } from '../database/entities.js';
import { AppError } from '../errors/app-error.js';

/** What a change leaves behind: the rows as they were and as they are now. Absent before: made; absent after: deleted. */
export interface Change {
  readonly label: string;
  readonly before: readonly Entity[];
  readonly after: readonly Entity[];
}

/**
 * Makes a change to a job in one transaction: locks the job, lets `make` write, and records the event that history, undo and the
 * live view come from. Whatever had been undone is no longer there to redo.
 */
export async function changeJob(
  db: Knex,
  jobId: string,
  client: string,
  make: (trx: Knex.Transaction) => Promise<Change>,
): Promise<Change> {
  return db.transaction(async (trx) => {
    const job = await lockEntity(trx, 'job', jobId);
    if (!job) throw new AppError('not-found', 'This job no longer exists.');
    const change = await make(trx);
    await trx('events').where({ job_id: jobId, state: 'undone' }).update({ state: 'dropped' });
    await recordEvent(trx, jobId, 'edit', client, change);
    await trx('jobs').where({ id: jobId }).update({ updated_at: new Date() });
    return change;
  });
}

export async function recordEvent(trx: Knex, jobId: string, kind: 'edit' | 'undo' | 'redo', client: string, change: Change): Promise<void> {
  await trx('events').insert({
    job_id: jobId,
    at: new Date(),
    kind,
    label: change.label.slice(0, 200),
    client: client.slice(0, 40),
    before_rows: JSON.stringify(change.before),
    after_rows: JSON.stringify(change.after),
  });
}

/** The row to be edited, if it still has the version the editor saw. @throws {AppError} not-found, conflict (with the row as it stands) */
export async function editable<T extends EntityType>(trx: Knex.Transaction, type: T, id: string, version: number): Promise<Entities[T]> {
  const current = await lockEntity(trx, type, id);
  if (!current) throw new AppError('not-found', `This ${type} no longer exists.`);
  if (current.version !== version) throw new AppError('conflict', undefined, { current });
  return current;
}

/** Which job a row belongs to. @throws {AppError} not-found */
export async function jobOf(db: Knex, table: 'components' | 'ports' | 'job_lines', id: string): Promise<string> {
  const row: { job_id: string } | undefined = await db(table).where({ id }).first('job_id');
  if (!row) throw new AppError('not-found');
  return row.job_id;
}
