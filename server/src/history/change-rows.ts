import { entities } from '@gewinde/core';
import type { Knex } from 'knex';
import { inTransaction } from '../database/in-transaction.js';
import { pieces } from '../database/pieces.js';
import { AppError } from '../errors/app-error.js';
import { rowOf, type Change, scopeName, type Scope, type Sender, type Written } from './change.js';
import { changeByKey, recordEvent } from './event-store.js';

/**
 * Makes a change in one transaction: locks its scope, lets `make` write, and records the event that history, undo and the live view come
 * from. A change that was made under the same key already is not made again: its answer is. What the sender had taken back is no longer
 * there to redo.
 */
export async function changeRows(
  db: Knex,
  scope: Scope,
  sender: Sender,
  make: (trx: Knex.Transaction, at: string) => Promise<Written>,
): Promise<Change> {
  return inTransaction(db, async (trx) => {
    const revision = await lockScope(trx, scope);
    const made = await changeByKey(trx, scope, sender.key);
    if (made) return made;
    const at = new Date();
    const written = await make(trx, at.toISOString());
    const record = [...written.before, ...written.after].some((entity) => entities[entity.type].undo === ('countered' as string));
    // read first: an update would wait for whatever another scope is writing beside it
    const undone = await trx('events')
      .where({ scope: scopeName(scope), state: 'undone', client: sender.client })
      .pluck<number[]>('id');
    for (const some of pieces(undone)) await trx('events').whereIn('id', some).update({ state: 'dropped' });
    const change = await recordEvent(trx, { scope, revision }, record ? 'record' : 'edit', sender, written, at);
    return change;
  });
}

/**
 * One change at a time in a scope: its events come in the order in which they are written, on every database of a cluster too, since
 * the number is written to the row that is held.
 *
 * @returns the number of the change to be made
 * @throws {AppError} not-found
 */
export async function lockScope(trx: Knex.Transaction, scope: Scope): Promise<number> {
  const { table, where } = rowOf(scope);
  if (scope === 'shop')
    await trx(table)
      .insert({ ...where, at: new Date() })
      .onConflict('name')
      .merge(['name']);
  const row: { revision: number } | undefined = await trx(table).where(where).forUpdate().first('revision');
  if (!row) throw new AppError('not-found', 'This job no longer exists.');
  return Number(row.revision) + 1;
}
