import { entities } from '@gewinde/core';
import type { Knex } from 'knex';
import { inTransaction } from '../database/in-transaction.js';
import { lots } from '../database/lots.js';
import { AppError } from '../errors/app-error.js';
import { rowOf, type Change, type Held, type Scope, type Sender, type Written } from './change.js';
import { recordEvent, senderOf } from './event-store.js';

/**
 * Makes a change in one transaction: locks its scope, lets `make` write, and records the event that history, undo and the live view come
 * from. A change that was made under the same key already is not made again: its answer is. What the sender had taken back is no longer
 * there to redo.
 */
export async function changeRows(
  db: Knex,
  scope: Scope,
  sender: Sender,
  make: (trx: Knex.Transaction, at: string, held: Held) => Promise<Written>,
): Promise<Change> {
  return inTransaction(db, async (trx) => {
    const held = await lockScope(trx, scope);
    const { made, undone } = await senderOf(trx, scope, sender);
    if (made) return made;
    const at = new Date();
    const written = await make(trx, at.toISOString(), held);
    const record = [...written.before, ...written.after].some((entity) => entities[entity.type].undo === ('countered' as string));
    // by their ids: an update that looks for them would wait for whatever another scope is writing beside it
    for (const some of lots(undone)) await trx('events').whereIn('id', some).update({ state: 'dropped' });
    return recordEvent(trx, held, record ? 'record' : 'edit', sender, written, at);
  });
}

/**
 * One change at a time in a scope: its events come in the order in which they are written, on every database of a cluster too, since
 * the number is written to the row that is held.
 *
 * @throws {AppError} not-found
 */
export async function lockScope(trx: Knex.Transaction, scope: Scope): Promise<Held> {
  const { table, where } = rowOf(scope);
  if (scope === 'shop')
    await trx(table)
      .insert({ ...where, at: new Date() })
      .onConflict('name')
      .merge(['name']);
  const row = await trx(table).where(where).forUpdate().first<Record<string, unknown> | undefined>('*');
  if (!row) throw new AppError('not-found', 'This job no longer exists.');
  return { scope, revision: Number(row['revision']) + 1, row };
}
