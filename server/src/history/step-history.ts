import { entities, type AnswerOf, type EntityType, type jobContracts, type JobEntityType } from '@gewinde/core';
import type { Knex } from 'knex';
import { namedInStore } from '../database/named-in-store.js';
import { firstInUse } from '../database/users-of.js';
import type { Entity } from '../database/entities.js';
import { inTransaction } from '../database/in-transaction.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { lockScope } from './change-rows.js';
import type { Change, Scope, Sender } from './change.js';
import { changeByKey, ownEvent, recordEvent, type StoredEvent } from './event-store.js';

/** What the database answers when another row has taken the place of the one to restore, or hangs on the one to remove. */
const REFUSED_BY_KEYS: Readonly<Record<string, string>> = {
  ER_DUP_ENTRY: 'something else has its place now',
  ER_NO_REFERENCED_ROW_2: 'what it hangs on is no longer there',
  ER_ROW_IS_REFERENCED_2: 'something hangs on it by now',
};

/**
 * Takes back the sender's own newest change, or makes the one taken back last again. Changes of others are left alone: a row that
 * somebody has changed since stands in the way, and is named.
 * @param of the key of the change that is meant
 * @throws {AppError} nothing-to-undo, nothing-to-redo, cannot-undo
 */
export async function stepHistory(db: Knex, scope: Scope, sender: Sender, direction: 'undo' | 'redo', of?: string): Promise<Change> {
  return inTransaction(db, async (trx) => {
    const held = await lockScope(trx, scope);
    const made = await changeByKey(trx, scope, sender);
    if (made) return made;
    const event = await ownEvent(trx, scope, sender.client, direction === 'undo' ? 'done' : 'undone');
    if (!event) throw new AppError(direction === 'undo' ? 'nothing-to-undo' : 'nothing-to-redo');
    if (of !== undefined && event.key !== of)
      throw new AppError('cannot-undo', `"${event.label}" came in between: nothing was ${direction === 'undo' ? 'undone' : 'done again'}.`);
    const [from, to] = direction === 'undo' ? [event.after, event.before] : [event.before, event.after];
    const after = await restore(trx, event, from, to, direction).catch((error: unknown) => {
      const why = REFUSED_BY_KEYS[String((error as { code?: unknown }).code)];
      throw why === undefined ? error : cannot(event, direction, why);
    });
    await trx('events')
      .where({ id: event.id })
      .update({ state: direction === 'undo' ? 'undone' : 'done' });
    return recordEvent(trx, held, direction, sender, { label: event.label, before: from, after });
  });
}

/** What the next undo of a sender would take back in a job, and the next redo make again. */
export async function nextSteps(db: Knex, job: string, client: string): Promise<AnswerOf<typeof jobContracts.readSteps>> {
  return db.transaction(async (trx) => {
    const told = async (state: 'done' | 'undone') => {
      const event = await ownEvent(trx, { job }, client, state);
      if (!event) return undefined;
      const rows = new Map([...event.before, ...event.after].map(({ type, row }) => [row.id, { type: type as JobEntityType, id: row.id }]));
      return { key: event.key, label: event.label, rows: [...rows.values()] };
    };
    const [undo, redo] = [await told('done'), await told('undone')];
    return { ...(undo ? { undo } : {}), ...(redo ? { redo } : {}) };
  });
}

/** Brings the rows from one state to the other; refuses when a row is not as the change left it. */
async function restore(
  trx: Knex.Transaction,
  event: StoredEvent,
  from: readonly Entity[],
  to: readonly Entity[],
  direction: 'undo' | 'redo',
): Promise<Entity[]> {
  const now = new Map<string, Entity['row']>();
  for (const type of new Set([...from, ...to].map((e) => e.type)))
    for (const [id, row] of await lockRows(trx, type, idsOf(type, from, to))) now.set(id, row);
  for (const { type, row } of from) {
    const current = now.get(row.id);
    if (!current) throw cannot(event, direction, `the ${entities[type].one} is no longer there`);
    if (content(current) !== content(row)) throw cannot(event, direction, `the ${entities[type].one} has been changed since`);
  }
  const kept = new Set(to.map((e) => e.row.id));
  const gone = from.filter((e) => !kept.has(e.row.id));
  const used = await firstInUse(
    trx,
    gone.flatMap((e) => (e.type === 'part' ? [e.row.id] : [])),
  );
  if (used !== undefined) throw cannot(event, direction, `"${used}" is used by a line by now`);
  const stands = await namedInStore(trx, gone);
  if (stands) throw cannot(event, direction, stands);
  const next = to.map(
    (entity) =>
      ({ ...entity, row: { ...entity.row, version: Math.max(now.get(entity.row.id)?.version ?? 0, entity.row.version) + 1 } }) as Entity,
  );
  await writeRows(trx, { made: next.filter((e) => !now.has(e.row.id)), changed: next.filter((e) => now.has(e.row.id)), gone, was: from });
  return next;
}

function idsOf(type: EntityType, ...lists: (readonly Entity[])[]): string[] {
  return [...new Set(lists.flat().flatMap((e) => (e.type === type ? [e.row.id] : [])))];
}

function cannot({ label }: StoredEvent, direction: 'undo' | 'redo', why: string): AppError {
  return new AppError('cannot-undo', `"${label}" cannot be ${direction === 'undo' ? 'undone' : 'done again'}: ${why}.`);
}

/** What a row says, without the version and the time; in an order of its own, as tables keep none. An empty shelf is one that was never counted. */
function content(row: Entity['row']): string {
  const sorted = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(sorted);
    if (typeof value !== 'object' || value === null) return value;
    const entries = Object.entries(value).filter(([key, v]) => v !== undefined && !(key === 'shelf' && v === 0));
    return entries.sort(([a], [b]) => a.localeCompare(b)).map(([key, v]) => [key, sorted(v)]);
  };
  const { version: _version, updatedAt: _at, ...said } = row as Entity['row'] & { updatedAt?: string };
  return JSON.stringify(sorted(said));
}
