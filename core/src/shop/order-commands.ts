import { CommandError } from '../commands/index.js';
import { catalogueOf, soldByLength } from '../job/index.js';
import { changedPrices, offersFor, plannedSupplier } from '../purchasing/index.js';
import {
  acknowledged,
  byNumber,
  claimsReceived,
  claimOver,
  gaveUp,
  incomingChecks,
  isUnconfirmed,
  notAnswered,
  orderStateWords,
  received,
  type Delivery,
  type HoseLength,
  type PurchaseLine,
  type PurchaseOrder,
  type StockCommandOf,
} from '../stock/index.js';
import { putLengths } from './rack-commands.js';
import { movePart } from './shelf-commands.js';
import type { ShopDraft } from './shop-draft.js';

/**
 * Writes an order at the prices it was planned with. One that is another by now, or an offer that is gone, is told and nothing is written.
 * @throws {CommandError} price-changed, not-found, bad-value
 */
export function writeOrder(draft: ShopDraft, command: StockCommandOf<'write-order'>): string {
  const { id = draft.context.newId(), supplierId, jobIds, neededBy, lines, note } = command;
  if (draft.find('order', id)) throw new CommandError('id-taken', 'There is a row with this id already.', 'id');
  const supplier = draft.row('supplier', supplierId);
  if (supplier.retired) throw new CommandError('bad-value', `${supplier.name} is not bought from any more.`, 'supplierId');
  for (const jobId of jobIds) draft.jobIsThere(jobId);
  if (new Set(lines.map((l) => l.key)).size < lines.length)
    throw new CommandError('bad-value', 'A line stands twice in the order.', 'lines');
  for (const line of lines) claimsHold(line, jobIds);
  if (command.after !== undefined) noneMeanwhile(draft, jobIds, command.after);
  pricesHold(draft, supplierId, lines);
  const goods = lines.reduce((sum, l) => sum + l.packs * l.packMinor, 0);
  const order: PurchaseOrder = {
    id,
    number: draft.nextNumber('order'),
    supplierId,
    jobIds,
    state: 'open',
    ...(neededBy ? { neededBy } : {}),
    carriageMinor: carriageFor(plannedSupplier(supplier), goods),
    lines: lines.map((l) => ({ ...l, receivedPacks: 0 })),
    writtenOn: draft.context.today,
    deliveries: [],
    ...(note ? { note } : {}),
    version: 1,
  };
  draft.put('order', order);
  return `Write order ${order.number} to ${supplier.name}`;
}

/** What of a line is for which job: for jobs of the order, of parts that are in it, and no more than there is. @throws {CommandError} bad-value */
function claimsHold({ name, holds, packs, claims = [] }: Omit<PurchaseLine, 'receivedPacks'>, jobIds: readonly string[]): void {
  const refuse = (why: string): never => {
    throw new CommandError('bad-value', `${name}: ${why}`, 'lines');
  };
  if (claims.some((c) => !jobIds.includes(c.jobId))) refuse('some of it is for a job that the order is not for.');
  for (const part of new Set(claims.map((c) => c.part))) {
    const there = packs * (holds.find((h) => h.part === part)?.quantity ?? 0);
    const claimed = claims.reduce((sum, c) => sum + (c.part === part ? c.quantity : 0), 0);
    if (claimed > there) refuse(`${claimed} are for jobs, and ${there} are ordered.`);
  }
}

/** What two people need for one job is not bought twice: who comes second is told of the first. @throws {CommandError} conflict */
function noneMeanwhile(draft: ShopDraft, jobIds: readonly string[], after: string): void {
  const orders = new Map(jobIds.flatMap((id) => draft.ask.ordersOfJob(id).map((o) => [o.number, o] as const)));
  const newer = [...orders.values()].filter((o) => byNumber(o.number, after) > 0 && o.state !== 'cancelled');
  if (newer.length === 0) return;
  const numbers = newer
    .map((o) => o.number)
    .sort(byNumber)
    .join(', ');
  throw new CommandError(
    'conflict',
    `${numbers} ${newer.length === 1 ? 'was' : 'were'} written for this job meanwhile. Nothing was ordered: look at what is still to buy.`,
  );
}

function carriageFor({ carriageMinor, freeFromMinor }: ReturnType<typeof plannedSupplier>, goodsMinor: number): number {
  return freeFromMinor !== undefined && goodsMinor >= freeFromMinor ? 0 : carriageMinor;
}

function pricesHold(draft: ShopDraft, supplierId: string, lines: readonly Omit<PurchaseLine, 'receivedPacks'>[]): void {
  const parts = [...new Set(lines.flatMap((l) => l.holds.map((h) => h.part)))].map((id) => draft.part(id));
  const room = { suppliers: [draft.row('supplier', supplierId)], offers: draft.ask.offersOf(supplierId) };
  const changed = changedPrices(
    lines,
    supplierId,
    offersFor(
      parts.map((p) => p.id),
      room,
      catalogueOf(parts),
    ),
  );
  if (changed.length === 0) return;
  const words = changed
    .slice(0, 4)
    .map(({ name, wasMinor, nowMinor, otherPack }) =>
      nowMinor === undefined
        ? `${name} is not offered any more`
        : otherPack
          ? `a pack of ${name} holds something else now`
          : `${name} costs ${money(nowMinor)} now, ${money(wasMinor)} when it was planned`,
    );
  const more = changed.length > words.length ? `, and ${changed.length - words.length} more` : '';
  throw new CommandError(
    'price-changed',
    `Prices have changed since: ${words.join('; ')}${more}. Nothing was ordered; plan it again.`,
    'lines',
  );
}

const money = (minor: number): string => `€ ${(minor / 100).toFixed(2)}`;

function openOrder(draft: ShopDraft, id: string, version: number): PurchaseOrder {
  const order = draft.editable('order', id, version);
  if (order.state !== 'open')
    throw new CommandError('bad-value', `${order.number} is ${orderStateWords(order.state)}: it is not changed any more.`, 'state');
  return order;
}

export function editOrder(draft: ShopDraft, { id, version, set }: StockCommandOf<'edit-order'>): string {
  const before = openOrder(draft, id, version);
  const packs = new Map(set.packs?.map((p) => [p.key, p.packs]));
  const unknown = [...packs.keys()].find((key) => !before.lines.some((l) => l.key === key));
  if (unknown !== undefined) throw new CommandError('not-found', `${before.number} has no line "${unknown}".`, 'packs');
  const lines = before.lines.map((l) => fewer({ ...l, packs: packs.get(l.key) ?? l.packs })).filter((l) => l.packs > 0);
  if (lines.length === 0) throw new CommandError('bad-value', 'An order of nothing is none: cancel it.', 'packs');
  const { neededBy, ...rest } = before;
  const needed = set.neededBy === undefined ? neededBy : (set.neededBy ?? undefined);
  const supplier = plannedSupplier(draft.row('supplier', before.supplierId));
  draft.put('order', {
    ...rest,
    lines,
    carriageMinor: carriageFor(
      supplier,
      lines.reduce((sum, l) => sum + l.packs * l.packMinor, 0),
    ),
    ...(needed === undefined ? {} : { neededBy: needed }),
    ...(set.note === undefined ? {} : { note: set.note }),
  });
  return `Edit order ${before.number}`;
}

/** Of fewer packs, whoever's share was written last goes without first. */
function fewer(line: PurchaseLine): PurchaseLine {
  if (!line.claims) return line;
  const left = new Map(line.holds.map((h) => [h.part, h.quantity * line.packs]));
  const claims = line.claims.flatMap((claim) => {
    const quantity = Math.min(claim.quantity, left.get(claim.part) ?? 0);
    left.set(claim.part, (left.get(claim.part) ?? 0) - quantity);
    return quantity > 0 ? [{ ...claim, quantity }] : [];
  });
  return { ...line, claims };
}

export function cancelOrder(draft: ShopDraft, { id, version }: StockCommandOf<'cancel-order'>): string {
  const seen = draft.editable('order', id, version);
  // one that its supplier never confirmed may be called off where it is known that nobody there has it
  const before = isUnconfirmed(seen) ? seen : openOrder(draft, id, version);
  const { unanswered: _, ...rest } = before;
  draft.put('order', { ...rest, state: 'cancelled' });
  return `Cancel order ${before.number}`;
}

/** The prices are held against what is offered once more: what is sent is what stands there. */
export function sendOrder(draft: ShopDraft, { id, version }: StockCommandOf<'send-order'>): string {
  const before = openOrder(draft, id, version);
  const supplier = draft.row('supplier', before.supplierId);
  pricesHold(draft, before.supplierId, before.lines);
  const goods = before.lines.reduce((sum, l) => sum + l.packs * l.packMinor, 0);
  const least = plannedSupplier(supplier).leastOrderMinor ?? 0;
  if (goods < least)
    throw new CommandError(
      'bad-value',
      `${supplier.name} takes no order of less than ${money(least)}; this is one of ${money(goods)}.`,
      'lines',
    );
  draft.put('order', { ...before, state: 'sent', sentOn: draft.context.today });
  return `Send order ${before.number} to ${supplier.name}`;
}

export function acknowledgeOrder(draft: ShopDraft, { id, version, answer }: StockCommandOf<'acknowledge-order'>): string {
  const before = draft.editable('order', id, version);
  draft.put('order', acknowledged(before, answer));
  return `Order ${before.number} is confirmed`;
}

export function orderUnanswered(draft: ShopDraft, { id, version, unanswered }: StockCommandOf<'order-unanswered'>): string {
  const before = draft.editable('order', id, version);
  draft.put('order', notAnswered(before, unanswered));
  return before.state === 'cancelled'
    ? `Order ${before.number} was called off, yet they have it`
    : `Order ${before.number} is not confirmed`;
}

/** What of an order is for nobody yet goes to a job. @throws {CommandError} bad-value, not-enough */
export function takeOver(draft: ShopDraft, { id, version, key, part, jobId, quantity }: StockCommandOf<'claim-order'>): string {
  draft.jobIsThere(jobId);
  const before = draft.editable('order', id, version);
  draft.put('order', claimOver(before, { key, part, jobId, quantity }));
  return `Take what is over of order ${before.number}`;
}

/** What came goes on shelf and rack, kept for the jobs it was ordered for; what did not pass its checks does not, and stays open. */
export function receiveOrder(draft: ShopDraft, { id, version, delivery, place }: StockCommandOf<'receive-order'>): string {
  const before = draft.editable('order', id, version);
  const bad = new Set(delivery.lines.filter((l) => l.checks.some((c) => !c.ok)).map((l) => l.key));
  const after = received(before, delivery, bad);
  lookedAt(draft, before, delivery.lines);
  draft.put('order', after);
  for (const { key, packs } of delivery.lines) {
    if (bad.has(key)) continue;
    const line = before.lines.find((l) => l.key === key)!;
    for (const { part, quantity } of line.holds) {
      const kept = claimsReceived(before, line, part, packs).filter((c) => draft.ask.jobNumber(c.jobId) !== undefined);
      putAway(draft, part, { packs, quantity, line, kept, place, order: before, by: delivery.by });
    }
  }
  const kept = bad.size > 0 ? `; ${bad.size} did not pass` : '';
  const lines = delivery.lines.length === 1 ? 'a line' : `${delivery.lines.length} lines`;
  return `Take in ${lines} of order ${before.number}${kept}`;
}

/** Nothing goes on the shelf unseen: each check of each part that came was answered. @throws {CommandError} bad-value */
function lookedAt(draft: ShopDraft, order: PurchaseOrder, lines: Delivery['lines']): void {
  for (const { key, checks } of lines) {
    const line = order.lines.find((l) => l.key === key)!;
    const answered = new Set(checks.map((c) => c.check));
    for (const { part } of line.holds) {
      const missing = incomingChecks(draft.part(part), line.holds.length > 1).find((c) => !answered.has(c.words));
      if (missing) throw new CommandError('bad-value', `${line.name}: "${missing.words}" comes first. ${missing.why}`, 'lines');
    }
  }
}

interface Came {
  readonly packs: number;
  readonly quantity: number;
  readonly line: PurchaseLine;
  readonly kept: readonly { readonly jobId: string; readonly quantity: number }[];
  readonly place: string | undefined;
  readonly order: PurchaseOrder;
  readonly by: string | undefined;
}

/** From so much on hose hangs on the rack as a reel, mm. */
const REEL_MM = 5000;

function putAway(draft: ShopDraft, id: string, { packs, quantity, line, kept, place, order, by }: Came): void {
  const part = draft.part(id);
  if (!soldByLength(part)) {
    const note = `order ${order.number}`;
    movePart(draft, id, { kind: 'receive', quantity: packs * quantity }, { by, note });
    for (const claim of kept) {
      try {
        movePart(draft, id, { kind: 'reserve', ...claim }, { by, note });
      } catch (error) {
        // so many jobs have some of it that no more is kept back: what came lies on the shelf all the same, for whoever comes first
        if (!(error instanceof CommandError) || error.code !== 'too-many') throw error;
      }
    }
    return;
  }
  const left = kept.map((claim) => ({ ...claim }));
  const rows: HoseLength[] = [];
  for (const mm of line.oneLength ? [packs * quantity] : Array.from({ length: packs }, () => quantity)) {
    let free = mm;
    const reserved = left.flatMap((claim) => {
      const reservedMm = Math.min(free, claim.quantity);
      free -= reservedMm;
      claim.quantity -= reservedMm;
      return reservedMm > 0 ? [{ jobId: claim.jobId, mm: reservedMm }] : [];
    });
    rows.push({
      id: draft.nextNumber('length'),
      part: id,
      kind: mm >= REEL_MM ? 'reel' : 'length',
      mm,
      ...(place ? { place } : {}),
      ...(reserved.length > 0 ? { reserved } : {}),
      since: draft.context.today,
      state: 'there',
      version: 1,
    });
  }
  putLengths(draft, ...rows);
}

export function giveUpLine(draft: ShopDraft, { id, version, key }: StockCommandOf<'give-up-line'>): string {
  const before = draft.editable('order', id, version);
  draft.put('order', gaveUp(before, key));
  return `Give up a line of order ${before.number}`;
}
