import type { Knex } from 'knex';
import { deleteEntity, insertEntity, lockEntity, updateEntity, type Entity } from '../database/entities.js';
import { AppError } from '../errors/app-error.js';
import { recordEvent } from './change.js';

interface EventRow {
  readonly id: number;
  readonly label: string;
  readonly before_rows: string;
  readonly after_rows: string;
}

/** What the database answers when another row has taken the place of the one to restore, or hangs on the one to remove. */
const REFUSED_BY_KEYS = new Set(['ER_DUP_ENTRY', 'ER_NO_REFERENCED_ROW_2', 'ER_ROW_IS_REFERENCED_2']);

/** Takes back the newest change of a job, or makes the change taken back last again. @returns what was undone or redone, in words */
export async function stepHistory(db: Knex, jobId: string, client: string, direction: 'undo' | 'redo'): Promise<string> {
  return db.transaction(async (trx) => {
    if (!(await lockEntity(trx, 'job', jobId))) throw new AppError('not-found', 'This job no longer exists.');
    const event = await nextEvent(trx, jobId, direction);
    if (!event) throw new AppError(direction === 'undo' ? 'nothing-to-undo' : 'nothing-to-redo');
    const before = JSON.parse(event.before_rows) as Entity[];
    const after = JSON.parse(event.after_rows) as Entity[];
    const [from, to] = direction === 'undo' ? [after, before] : [before, after];
    const written = await restore(trx, from, to).catch((error: unknown) => {
      if (REFUSED_BY_KEYS.has(String((error as { code?: unknown }).code))) throw new AppError('cannot-undo');
      throw error;
    });
    await trx('events')
      .where({ id: event.id })
      .update({ state: direction === 'undo' ? 'undone' : 'done' });
    await recordEvent(trx, jobId, direction, client, { label: event.label, before: from, after: written });
    await trx('jobs').where({ id: jobId }).update({ updated_at: new Date() });
    return event.label;
  });
}

async function nextEvent(trx: Knex.Transaction, jobId: string, direction: 'undo' | 'redo'): Promise<EventRow | undefined> {
  const edits = trx('events').where({ job_id: jobId, kind: 'edit', state: direction === 'undo' ? 'done' : 'undone' });
  return (await edits.orderBy('id', direction === 'undo' ? 'desc' : 'asc').first()) as EventRow | undefined;
}

/** Brings the rows from one state to the other, children after parents; refuses when a row is not as the change left it. */
async function restore(trx: Knex.Transaction, from: readonly Entity[], to: readonly Entity[]): Promise<Entity[]> {
  for (const entity of from) {
    const current = await lockEntity(trx, entity.type, entity.data.id);
    if (!current || content(current) !== content(entity.data)) throw new AppError('cannot-undo');
  }
  for (const entity of [...from].reverse()) if (!to.some((t) => t.data.id === entity.data.id)) await deleteEntity(trx, entity);
  const written: Entity[] = [];
  for (const entity of to) {
    const current = await lockEntity(trx, entity.type, entity.data.id);
    const next = { ...entity, data: { ...entity.data, version: Math.max(current?.version ?? 0, entity.data.version) + 1 } } as Entity;
    await (current ? updateEntity(trx, next) : insertEntity(trx, next));
    written.push(next);
  }
  return written;
}

/** What a row says, without the version and the time. */
function content(data: Entity['data']): string {
  const entries = Object.entries(data).filter(([key]) => key !== 'version' && key !== 'updatedAt');
  return JSON.stringify(entries.sort(([a], [b]) => a.localeCompare(b)));
}
