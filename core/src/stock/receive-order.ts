import { CommandError } from '../commands/index.js';
import { counts } from '../schema/index.js';
import type { Acknowledgement, Delivery, PurchaseLine, PurchaseOrder, Unanswered } from './order-schema.js';

/** Orders by their numbers, `PO-9999` before `PO-10000`; below nothing where `a` was written first. */
export function byNumber(a: string, b: string): number {
  return a.length - b.length || (a < b ? -1 : a > b ? 1 : 0);
}

/** Packs of a line that are still to come. */
export function openPacks({ packs, receivedPacks, shortPacks = 0 }: PurchaseLine): number {
  return Math.max(0, packs - receivedPacks - shortPacks);
}

/** Is it on its way, or part of it. */
export function isUnderWay({ state }: Pick<PurchaseOrder, 'state'>): boolean {
  return state === 'sent' || state === 'confirmed' || state === 'part';
}

/** What the order costs as it stands: at the prices that were confirmed, where they are. */
export function orderTotal({ lines, carriageMinor, state }: Pick<PurchaseOrder, 'lines' | 'carriageMinor' | 'state'>): number {
  if (state === 'cancelled') return 0;
  return lines.reduce((sum, l) => sum + lineTotal(l), 0) + carriageMinor;
}

/** What a line costs: what will not come is not paid for. */
export function lineTotal({ packs, shortPacks = 0, packMinor, confirmedMinor = packMinor }: PurchaseLine): number {
  return confirmedMinor * (packs - shortPacks);
}

/**
 * The order as its supplier answered it: what is short, what costs something else, when it comes.
 * @throws {CommandError} wrong-order, bad-value
 */
export function acknowledged(order: PurchaseOrder, answer: Acknowledgement): PurchaseOrder {
  if (answer.order !== order.number)
    throw new CommandError('wrong-order', `This answers order ${answer.order}, not ${order.number}. Nothing was taken from it.`, 'order');
  if (order.state !== 'sent' && order.state !== 'confirmed')
    throw new CommandError('bad-value', `${order.number} is ${wordsOf(order.state)}: there is nothing to confirm.`, 'state');
  const answers = new Map(answer.lines.map((l) => [l.key, l]));
  if (answers.size < answer.lines.length)
    throw new CommandError('bad-value', `The answer to ${order.number} has a line twice. Nothing was taken from it.`, 'lines');
  const unknown = answer.lines.find((l) => !order.lines.some((own) => own.key === l.key));
  if (unknown)
    throw new CommandError('bad-value', `${order.number} has no line "${unknown.key}". Nothing was taken from the answer.`, 'lines');
  const lines = order.lines.map((line): PurchaseLine => {
    const said = answers.get(line.key);
    if (!said) return line;
    if (said.packs > line.packs)
      throw new CommandError(
        'bad-value',
        `${line.name}: ${said.packs} confirmed, ${line.packs} ordered. Nothing was taken from the answer.`,
        'lines',
      );
    return { ...line, confirmedPacks: said.packs, confirmedMinor: said.packMinor, ...(said.due ? { due: said.due } : {}) };
  });
  const { unanswered: _, ...rest } = order;
  return { ...rest, lines, reference: answer.reference, state: 'confirmed' };
}

/** The order of which no answer came; or that was called off, and is confirmed all the same. @throws {CommandError} bad-value */
export function notAnswered(order: PurchaseOrder, unanswered: Unanswered): PurchaseOrder {
  if (order.state !== 'sent' && order.state !== 'cancelled')
    throw new CommandError('bad-value', `${order.number} is ${wordsOf(order.state)}: no answer is waited for.`, 'state');
  return { ...order, unanswered };
}

/** Sent, and its supplier has not confirmed it when it was asked: nobody knows whether it comes. */
export function isUnconfirmed({ state, unanswered }: Pick<PurchaseOrder, 'state' | 'unanswered'>): boolean {
  return state === 'sent' && unanswered !== undefined;
}

/** Called off here while its supplier was being asked, who confirmed it at that moment: it will come unless somebody rings them. */
export function isHadAfterAll({ state, unanswered }: Pick<PurchaseOrder, 'state' | 'unanswered'>): boolean {
  return state === 'cancelled' && unanswered !== undefined;
}

/** How an order stands, in a word or two. */
export function orderWords(order: Pick<PurchaseOrder, 'state' | 'unanswered'>): string {
  if (isHadAfterAll(order)) return 'called off, yet they have it';
  return isUnconfirmed(order) ? 'not confirmed' : wordsOf(order.state);
}

/**
 * The order after a delivery; what is missing stays open, and so does what did not pass its checks.
 * @param failed lines that are sent back
 * @throws {CommandError} bad-value
 */
export function received(order: PurchaseOrder, delivery: Delivery, failed: ReadonlySet<string> = new Set()): PurchaseOrder {
  if (!isUnderWay(order))
    throw new CommandError('bad-value', `${order.number} is ${wordsOf(order.state)}: nothing of it can come in.`, 'state');
  if (order.deliveries.length >= counts.deliveriesOfOrder)
    throw new CommandError(
      'too-many',
      `${order.number} has come in ${counts.deliveriesOfOrder} parcels already: give up what is open, and order it anew.`,
      'delivery',
    );
  const came = new Map<string, number>();
  for (const { key, packs } of delivery.lines) {
    const line = order.lines.find((l) => l.key === key);
    if (!line) throw new CommandError('bad-value', `${order.number} has no line "${key}".`, 'lines');
    came.set(key, (came.get(key) ?? 0) + packs);
    if (came.get(key)! > openPacks(line))
      throw new CommandError(
        'bad-value',
        `${line.name}: ${came.get(key)} came, ${openPacks(line)} ${openPacks(line) === 1 ? 'is' : 'are'} open. Order what is more, or send it back.`,
        'lines',
      );
  }
  const lines = order.lines.map((l) => ({ ...l, receivedPacks: l.receivedPacks + (failed.has(l.key) ? 0 : (came.get(l.key) ?? 0)) }));
  return closed({ ...order, lines, deliveries: [...order.deliveries, delivery], state: 'part' });
}

/** What will not come any more is given up, and is bought elsewhere. @throws {CommandError} bad-value */
export function gaveUp(order: PurchaseOrder, key: string): PurchaseOrder {
  if (!isUnderWay(order))
    throw new CommandError('bad-value', `${order.number} is ${wordsOf(order.state)}: nothing of it is on its way.`, 'state');
  const line = order.lines.find((l) => l.key === key);
  if (!line || openPacks(line) === 0) throw new CommandError('bad-value', 'Nothing of this line is open.', 'key');
  const lines = order.lines.map((l) => (l.key === key ? { ...l, shortPacks: (l.shortPacks ?? 0) + openPacks(l) } : l));
  return closed({ ...order, lines });
}

/** Complete once nothing is open. */
function closed(order: PurchaseOrder): PurchaseOrder {
  return order.lines.every((l) => openPacks(l) === 0) ? { ...order, state: 'complete' } : order;
}

/** The lines that come later than the job needs them, or whose day has passed. */
export function lateLines({ lines, neededBy, state }: PurchaseOrder, today: string): PurchaseLine[] {
  if (!isUnderWay({ state })) return [];
  return lines.filter((l) => openPacks(l) > 0 && l.due !== undefined && ((neededBy !== undefined && l.due > neededBy) || l.due < today));
}

function wordsOf(state: PurchaseOrder['state']): string {
  return { open: 'not sent', sent: 'sent', confirmed: 'confirmed', part: 'partly there', complete: 'complete', cancelled: 'cancelled' }[
    state
  ];
}
export const orderStateWords = wordsOf;
