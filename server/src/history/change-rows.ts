import { entities } from '@gewinde/core';
import type { Knex } from 'knex';
import { inTransaction } from '../database/in-transaction.js';
import { AppError } from '../errors/app-error.js';
import { scopeName, type Change, type Scope, type Sender, type Written } from './change.js';
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
    await lockScope(trx, scope);
    const made = await changeByKey(trx, scope, sender.key);
    if (made) return made;
    const at = new Date();
    const written = await make(trx, at.toISOString());
    const record = [...written.before, ...written.after].some((entity) => entities[entity.type].undo === ('countered' as string));
    await trx('events')
      .where({ scope: scopeName(scope), state: 'undone', client: sender.client })
      .update({ state: 'dropped' });
    const change = await recordEvent(trx, scope, record ? 'record' : 'edit', sender, written, at);
    await touch(trx, scope, change.at);
    return change;
  });
}

/** One change at a time in a scope: its events come in the order in which they are written. @throws {AppError} not-found */
export async function lockScope(trx: Knex.Transaction, scope: Scope): Promise<void> {
  if (scope === 'shop') {
    await trx('marks').insert({ name: 'catalogue', at: new Date() }).onConflict('name').merge();
    return;
  }
  const job: unknown = await trx('jobs').where({ id: scope.job }).forUpdate().first('id');
  if (!job) throw new AppError('not-found', 'This job no longer exists.');
}

/** When the job was last changed. */
export async function touch(trx: Knex.Transaction, scope: Scope, at: string): Promise<void> {
  if (scope !== 'shop')
    await trx('jobs')
      .where({ id: scope.job })
      .update({ updated_at: new Date(at) });
}
