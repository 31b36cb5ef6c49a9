import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';

/** For how long a supplier's answer is waited for, ms. */
export const ANSWER_MS = 10_000;
/** What is asked at this moment is taken for given up a little later: whoever asked is gone. */
const MARGIN_MS = 5000;
/** When it is asked again by itself after each try, minutes; after the last by hand alone. */
const AGAIN_MIN = [1, 5, 15, 60, 240];

/** The right to ask a supplier about an order, which one has at a time. */
export interface Claimed {
  readonly key: string;
  readonly tries: number;
}

interface SendingRow {
  readonly order_id: string;
  readonly sent_key: string;
  readonly tries: number;
}

/** Notes that an order is to go out, in the transaction that says it is sent: it goes out then, whatever becomes of the server. */
export async function toGoOut(trx: Knex, orderId: string, now = new Date()): Promise<void> {
  await trx('order_sendings')
    .insert({ order_id: orderId, sent_key: randomUUID(), next_at: new Date(now.getTime() + ANSWER_MS + MARGIN_MS) })
    .onConflict('order_id')
    .ignore();
}

/** Takes the right to ask, if nobody has it. */
export async function claim(db: Knex, orderId: string, now = new Date()): Promise<Claimed | undefined> {
  // one that was sent before this was kept has none yet
  await toGoOut(db, orderId, now);
  const taken = await db('order_sendings')
    .where({ order_id: orderId })
    .andWhere((q) => void q.whereNull('claimed_until').orWhere('claimed_until', '<', now))
    .update({ claimed_until: new Date(now.getTime() + ANSWER_MS + MARGIN_MS), tries: db.raw('tries + 1') });
  if (taken === 0) return undefined;
  const row = await db<SendingRow>('order_sendings').where({ order_id: orderId }).first();
  return row && { key: row.sent_key, tries: row.tries };
}

/** Gives the right back; it is asked again at a time, or by hand alone. */
export async function giveBack(trx: Knex, orderId: string, next: Date | undefined): Promise<void> {
  await trx('order_sendings')
    .where({ order_id: orderId })
    .update({ claimed_until: null, next_at: next ?? null });
}

/** It is answered, or called off: nothing goes out any more. */
export async function settled(trx: Knex, orderId: string): Promise<void> {
  await trx('order_sendings').where({ order_id: orderId }).delete();
}

/** When it is asked again by itself after so many tries. */
export function nextTry(tries: number, now = new Date()): Date | undefined {
  const minutes = AGAIN_MIN[tries - 1];
  return minutes === undefined ? undefined : new Date(now.getTime() + minutes * 60_000);
}

/** Orders whose time has come and that nobody asks about. */
export async function due(db: Knex, most: number, now = new Date()): Promise<string[]> {
  return db('order_sendings')
    .where('next_at', '<=', now)
    .andWhere((q) => void q.whereNull('claimed_until').orWhere('claimed_until', '<', now))
    .orderBy('next_at')
    .limit(most)
    .pluck<string[]>('order_id');
}
