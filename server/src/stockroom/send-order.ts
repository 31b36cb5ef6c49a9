import { CommandError, isAcknowledgement, type PurchaseOrder, type SupplierRow } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { listRows } from '../database/entities.js';
import { AppError } from '../errors/app-error.js';
import { changeRows } from '../history/change-rows.js';
import type { Change, Sender } from '../history/change.js';
import { carryOut } from '../shop/carry-out.js';
import type { SupplierDesk } from '../stand-ins/supplier/supplier-desk.js';
import { OutsideError, within } from '../stand-ins/within.js';
import { ANSWER_MS, claim, due, giveBack, nextTry, settled, toGoOut, type Claimed } from './order-sendings.js';

/** How often it is looked for orders whose time has come, ms, and how many are asked about at a time. */
const LOOK_MS = 15_000;
const MOST_AT_A_TIME = 3;

/**
 * Sends an order and takes in what the supplier answers. It is told as sent, and noted to go out, before anybody outside hears of it; whoever
 * asks the supplier has the right to it alone, for a time, and under one key. No answer in time leaves it sent and not confirmed, with why.
 * @throws {AppError} not-found, conflict, price-changed
 */
export async function sendToSupplier(
  db: Knex,
  desk: SupplierDesk,
  { id, version }: { readonly id: string; readonly version: number },
  sender: Sender,
  answerMs = ANSWER_MS,
): Promise<Change> {
  const before = await orderOf(db, id);
  const sent =
    before.state === 'open'
      ? await changeRows(db, 'shop', sender, async (trx) => {
          const written = await carryOut(trx, [{ do: 'send-order', id, version }], sender);
          await toGoOut(trx, id);
          return written;
        })
      : undefined;
  // both together, for the sender's screen: what was sent, as it was answered
  const asked = { client: sender.client, key: sent ? randomUUID() : sender.key };
  const answered = await askSupplier(db, desk, id, asked, answerMs);
  // answered already, or asked about at this moment by somebody else: what comes is told to all
  return answered ?? sent ?? changeRows(db, 'shop', sender, async () => ({ label: `Order ${before.number}`, before: [], after: [] }));
}

/** Asks about one order that is sent, once; undefined where there is nothing to ask, or somebody else asks. */
export async function askSupplier(
  db: Knex,
  desk: SupplierDesk,
  id: string,
  sender: Sender,
  answerMs = ANSWER_MS,
): Promise<Change | undefined> {
  const order = await orderOf(db, id);
  if (order.state !== 'sent') {
    await settled(db, id);
    return undefined;
  }
  const [supplier] = await listRows(db, 'supplier', { id: order.supplierId });
  if (!supplier) throw new AppError('not-found', 'The supplier of this order is not there any more.');
  const claimed = await claim(db, id);
  if (!claimed) return undefined;
  try {
    const answer = await answerOf(desk, order, supplier, claimed, answerMs);
    return await changeRows(db, 'shop', sender, async (trx, at) => {
      const { version, state } = await orderOf(trx, id);
      // called off while they were being asked: what they say is not lost
      const why = `it was confirmed as ${answer.reference} after it had been called off`.slice(0, 160);
      const written = await carryOut(
        trx,
        state === 'cancelled'
          ? [{ do: 'order-unanswered', id, version, unanswered: { tries: claimed.tries, at, why } }]
          : [{ do: 'acknowledge-order', id, version, answer }],
        sender,
      );
      await settled(trx, id);
      return written;
    });
  } catch (error) {
    // an answer that cannot be taken is the same when it is asked for again: somebody has to look at it
    if (error instanceof OutsideError || error instanceof CommandError)
      return unconfirmed(db, id, { ...sender, key: randomUUID() }, claimed, error.message, error instanceof OutsideError);
    throw error;
  }
}

async function answerOf(desk: SupplierDesk, order: PurchaseOrder, supplier: SupplierRow, { key }: Claimed, answerMs: number) {
  const answer: unknown = await within(answerMs, (signal) => desk.order(order, supplier, { key, signal }));
  if (!isAcknowledgement(answer)) throw new CommandError('bad-value', `What ${supplier.name} answered cannot be read.`);
  return answer;
}

/** It stays sent, and says that it is not confirmed, and why. */
async function unconfirmed(
  db: Knex,
  id: string,
  sender: Sender,
  { tries }: Claimed,
  why: string,
  again: boolean,
): Promise<Change | undefined> {
  return changeRows(db, 'shop', sender, async (trx, at) => {
    const { state, version, number } = await orderOf(trx, id);
    if (state !== 'sent') {
      await settled(trx, id);
      return { label: `Order ${number}`, before: [], after: [] };
    }
    const next = again ? nextTry(tries) : undefined;
    await giveBack(trx, id, next);
    const unanswered = { tries, at, why: why.slice(0, 160).replace(/\.$/, ''), ...(next ? { next: next.toISOString() } : {}) };
    return carryOut(trx, [{ do: 'order-unanswered', id, version, unanswered }], sender);
  });
}

/** Asks again about what was not answered when its time has come, here or on another server of the same database. @returns ends it */
export function keepAsking(db: Knex, desk: SupplierDesk, everyMs = LOOK_MS): () => void {
  let busy = false;
  const look = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    try {
      for (const id of await due(db, MOST_AT_A_TIME)) await askSupplier(db, desk, id, { client: 'gewinde', key: randomUUID() });
    } catch {
      // the database is away, or stands in its own way: it is looked again
    } finally {
      busy = false;
    }
  };
  const timer = setInterval(() => void look(), everyMs);
  timer.unref();
  return () => clearInterval(timer);
}

async function orderOf(db: Knex, id: string): Promise<PurchaseOrder> {
  const [order] = await listRows(db, 'order', { id });
  if (!order) throw new AppError('not-found', 'This order is not there, or no longer.');
  return order;
}
