import {
  acknowledged,
  byNumber,
  catalogueOf,
  changedPrices,
  CommandError,
  gaveUp,
  incomingChecks,
  offersFor,
  orderStateWords,
  plannedSupplier,
  received,
  soldByLength,
  type CataloguePart,
  type Delivery,
  type HoseLength,
  type PurchaseLine,
  type PurchaseOrder,
  type StockCommandOf,
} from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { listRows } from '../database/entities.js';
import { putLengths } from './rack-commands.js';
import { jobIsThere, lockPart, movePart } from './shelf-commands.js';
import { nextNumber, type StockDraft } from './stock-draft.js';
import { today } from './today.js';

/**
 * Writes an order at the prices it was planned with. One that is another by now, or an offer that is gone, is told and nothing is written.
 * @throws {CommandError} price-changed, not-found, bad-value
 */
export async function writeOrder(draft: StockDraft, command: StockCommandOf<'write-order'>): Promise<string> {
  const { id = randomUUID(), supplierId, jobIds, neededBy, lines, note } = command;
  if (await draft.find('order', id)) throw new CommandError('id-taken', 'There is a row with this id already.', 'id');
  const supplier = await draft.row('supplier', supplierId);
  if (supplier.retired) throw new CommandError('bad-value', `${supplier.name} is not bought from any more.`, 'supplierId');
  for (const jobId of jobIds) await jobIsThere(draft, jobId);
  if (new Set(lines.map((l) => l.key)).size < lines.length)
    throw new CommandError('bad-value', 'A line stands twice in the order.', 'lines');
  if (command.after !== undefined) await noneMeanwhile(draft, jobIds, command.after);
  await pricesHold(draft, supplierId, lines);
  const goods = lines.reduce((sum, l) => sum + l.packs * l.packMinor, 0);
  const order: PurchaseOrder = {
    id,
    number: await nextNumber(draft.trx, 'purchase_orders', 'number', 'PO'),
    supplierId,
    jobIds,
    state: 'open',
    ...(neededBy ? { neededBy } : {}),
    carriageMinor: carriageFor(plannedSupplier(supplier), goods),
    lines: lines.map((l) => ({ ...l, receivedPacks: 0 })),
    writtenOn: today(),
    deliveries: [],
    ...(note ? { note } : {}),
    version: 1,
  };
  draft.put('order', order);
  return `Write order ${order.number} to ${supplier.name}`;
}

/** What two people need for one job is not bought twice: who comes second is told of the first. @throws {CommandError} conflict */
async function noneMeanwhile(draft: StockDraft, jobIds: readonly string[], after: string): Promise<void> {
  const newer = (await listRows(draft.trx, 'order')).filter(
    (o) => byNumber(o.number, after) > 0 && o.state !== 'cancelled' && o.jobIds.some((id) => jobIds.includes(id)),
  );
  if (newer.length === 0) return;
  const numbers = newer.map((o) => o.number).join(', ');
  throw new CommandError(
    'conflict',
    `${numbers} ${newer.length === 1 ? 'was' : 'were'} written for this job meanwhile. Nothing was ordered: look at what is still to buy.`,
  );
}

function carriageFor({ carriageMinor, freeFromMinor }: ReturnType<typeof plannedSupplier>, goodsMinor: number): number {
  return freeFromMinor !== undefined && goodsMinor >= freeFromMinor ? 0 : carriageMinor;
}

async function pricesHold(draft: StockDraft, supplierId: string, lines: readonly Omit<PurchaseLine, 'receivedPacks'>[]): Promise<void> {
  const parts = new Map<string, CataloguePart>();
  for (const part of new Set(lines.flatMap((l) => l.holds.map((h) => h.part)))) parts.set(part, await lockPart(draft, part));
  const room = {
    suppliers: [await draft.row('supplier', supplierId)],
    offers: await listRows(draft.trx, 'offer', { supplier_id: supplierId }),
  };
  const changed = changedPrices(lines, supplierId, offersFor(parts.keys(), room, catalogueOf([...parts.values()])));
  if (changed.length === 0) return;
  const words = changed
    .slice(0, 4)
    .map(({ name, wasMinor, nowMinor }) =>
      nowMinor === undefined
        ? `${name} is not offered any more`
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

async function openOrder(draft: StockDraft, id: string, version: number): Promise<PurchaseOrder> {
  const order = await draft.editable('order', id, version);
  if (order.state !== 'open')
    throw new CommandError('bad-value', `${order.number} is ${orderStateWords(order.state)}: it is not changed any more.`, 'state');
  return order;
}

export async function editOrder(draft: StockDraft, { id, version, set }: StockCommandOf<'edit-order'>): Promise<string> {
  const before = await openOrder(draft, id, version);
  const packs = new Map(set.packs?.map((p) => [p.key, p.packs]));
  const unknown = [...packs.keys()].find((key) => !before.lines.some((l) => l.key === key));
  if (unknown !== undefined) throw new CommandError('not-found', `${before.number} has no line "${unknown}".`, 'packs');
  const lines = before.lines.map((l) => ({ ...l, packs: packs.get(l.key) ?? l.packs })).filter((l) => l.packs > 0);
  if (lines.length === 0) throw new CommandError('bad-value', 'An order of nothing is none: cancel it.', 'packs');
  const { neededBy, ...rest } = before;
  const needed = set.neededBy === undefined ? neededBy : (set.neededBy ?? undefined);
  const supplier = plannedSupplier(await draft.row('supplier', before.supplierId));
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

export async function cancelOrder(draft: StockDraft, { id, version }: StockCommandOf<'cancel-order'>): Promise<string> {
  const before = await openOrder(draft, id, version);
  draft.put('order', { ...before, state: 'cancelled' });
  return `Cancel order ${before.number}`;
}

/** The prices are held against what is offered once more: what is sent is what stands there. */
export async function sendOrder(draft: StockDraft, { id, version }: StockCommandOf<'send-order'>): Promise<string> {
  const before = await openOrder(draft, id, version);
  const supplier = await draft.row('supplier', before.supplierId);
  await pricesHold(draft, before.supplierId, before.lines);
  const goods = before.lines.reduce((sum, l) => sum + l.packs * l.packMinor, 0);
  const least = plannedSupplier(supplier).leastOrderMinor ?? 0;
  if (goods < least)
    throw new CommandError(
      'bad-value',
      `${supplier.name} takes no order of less than ${money(least)}; this is one of ${money(goods)}.`,
      'lines',
    );
  draft.put('order', { ...before, state: 'sent', sentOn: today() });
  return `Send order ${before.number} to ${supplier.name}`;
}

export async function acknowledgeOrder(draft: StockDraft, { id, version, answer }: StockCommandOf<'acknowledge-order'>): Promise<string> {
  const before = await draft.editable('order', id, version);
  draft.put('order', acknowledged(before, answer));
  return `Order ${before.number} is confirmed`;
}

/** What came goes on shelf and rack, kept for the job it was ordered for; what did not pass its checks does not, and stays open. */
export async function receiveOrder(draft: StockDraft, { id, version, delivery, place }: StockCommandOf<'receive-order'>): Promise<string> {
  const before = await draft.editable('order', id, version);
  const bad = new Set(delivery.lines.filter((l) => l.checks.some((c) => !c.ok)).map((l) => l.key));
  const after = received(before, delivery, bad);
  await lookedAt(draft, before, delivery.lines);
  draft.put('order', after);
  const [job] = before.jobIds.length === 1 ? before.jobIds : [];
  const jobId = job !== undefined && (await draft.trx('jobs').where({ id: job }).first('id')) ? job : undefined;
  for (const { key, packs } of delivery.lines) {
    if (bad.has(key)) continue;
    const line = before.lines.find((l) => l.key === key)!;
    for (const { part, quantity } of line.holds)
      await putAway(draft, part, { packs, quantity, line, jobId, place, order: before, by: delivery.by });
  }
  const kept = bad.size > 0 ? `; ${bad.size} did not pass` : '';
  const lines = delivery.lines.length === 1 ? 'a line' : `${delivery.lines.length} lines`;
  return `Take in ${lines} of order ${before.number}${kept}`;
}

/** Nothing goes on the shelf unseen: each check of each part that came was answered. @throws {CommandError} bad-value */
async function lookedAt(draft: StockDraft, order: PurchaseOrder, lines: Delivery['lines']): Promise<void> {
  for (const { key, checks } of lines) {
    const line = order.lines.find((l) => l.key === key)!;
    const answered = new Set(checks.map((c) => c.check));
    for (const { part } of line.holds) {
      const missing = incomingChecks(await lockPart(draft, part), line.holds.length > 1).find((c) => !answered.has(c.words));
      if (missing) throw new CommandError('bad-value', `${line.name}: "${missing.words}" comes first. ${missing.why}`, 'lines');
    }
  }
}

interface Came {
  readonly packs: number;
  readonly quantity: number;
  readonly line: PurchaseLine;
  readonly jobId: string | undefined;
  readonly place: string | undefined;
  readonly order: PurchaseOrder;
  readonly by: string | undefined;
}

/** From so much on hose hangs on the rack as a reel, mm. */
const REEL_MM = 5000;

async function putAway(draft: StockDraft, id: string, { packs, quantity, line, jobId, place, order, by }: Came): Promise<void> {
  const part = await lockPart(draft, id);
  if (!soldByLength(part)) {
    const note = `order ${order.number}`;
    await movePart(draft, id, { kind: 'receive', quantity: packs * quantity }, { by, note });
    if (jobId !== undefined) await movePart(draft, id, { kind: 'reserve', quantity: packs * quantity, jobId }, { by, note });
    return;
  }
  const rows: HoseLength[] = [];
  for (const mm of line.oneLength ? [packs * quantity] : Array.from({ length: packs }, () => quantity))
    rows.push({
      id: await nextNumber(draft.trx, 'hose_lengths', 'id', 'H'),
      part: id,
      kind: mm >= REEL_MM ? 'reel' : 'length',
      mm,
      ...(place ? { place } : {}),
      ...(jobId === undefined ? {} : { jobId }),
      since: today(),
      state: 'there',
      version: 1,
    });
  await putLengths(draft, ...rows);
}

export async function giveUpLine(draft: StockDraft, { id, version, key }: StockCommandOf<'give-up-line'>): Promise<string> {
  const before = await draft.editable('order', id, version);
  draft.put('order', gaveUp(before, key));
  return `Give up a line of order ${before.number}`;
}
