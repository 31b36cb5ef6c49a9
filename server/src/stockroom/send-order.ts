import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { AppError } from '../errors/app-error.js';
import { changeRows } from '../history/change-rows.js';
import type { Change, Sender } from '../history/change.js';
import { listRows } from '../database/entities.js';
import type { SupplierDesk } from '../stand-ins/supplier/supplier-desk.js';
import { carryOut } from '../shop/carry-out.js';

/**
 * Sends an order and takes in what the supplier answers. It is told as sent before anybody outside hears of it: a server that dies in between leaves an
 * order that is sent and not answered, and asking again does no harm.
 * @throws {AppError} not-found, conflict, price-changed
 */
export async function sendToSupplier(
  db: Knex,
  desk: SupplierDesk,
  { id, version }: { readonly id: string; readonly version: number },
  sender: Sender,
): Promise<Change> {
  const [before] = await listRows(db, 'order', { id });
  if (!before) throw new AppError('not-found', 'This order is not there, or no longer.');
  let sent: Change | undefined;
  if (before.state === 'open')
    sent = await changeRows(db, 'shop', sender, (trx) => carryOut(trx, [{ do: 'send-order', id, version }], sender));
  const [order] = await listRows(db, 'order', { id });
  const [supplier] = await listRows(db, 'supplier', { id: before.supplierId });
  if (!order || !supplier) throw new AppError('not-found', 'The supplier of this order is not there any more.');
  // answered already, by a request whose own answer was lost
  if (order.state !== 'sent')
    return sent ?? (await changeRows(db, 'shop', sender, async () => ({ label: `Order ${order.number}`, before: [], after: [] })));
  const answer = await desk.order(order, supplier);
  // both together, for the sender's screen: what was sent, as it was answered
  const asked = { client: sender.client, key: sent ? randomUUID() : sender.key };
  return changeRows(db, 'shop', asked, (trx) => carryOut(trx, [{ do: 'acknowledge-order', id, version: order.version, answer }], asked));
}
