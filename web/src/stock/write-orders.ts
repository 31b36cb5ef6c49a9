import { byNumber, type BuyableOffer, type Job, type OrderPlan, type PurchaseOrder, type StockCommand } from '@gewinde/core';
import { v4 as uuid } from 'uuid';

/**
 * The orders that a plan comes to, one a supplier, at the prices that it was planned with; for the shelf where no job is said.
 * @param known the orders the plan was netted against: one that somebody else writes meanwhile is told first
 */
export function writeOrders(
  plan: OrderPlan,
  offers: readonly BuyableOffer[],
  job?: Job,
  { note, known }: { readonly note?: string; readonly known?: readonly PurchaseOrder[] } = {},
): StockCommand[] {
  const byId = new Map(offers.map((o) => [o.id, o]));
  const newest = known
    ?.filter((o) => job && o.jobIds.includes(job.id))
    .map((o) => o.number)
    .sort(byNumber)
    .at(-1);
  return plan.orders.map((order, i): StockCommand => ({
    do: 'write-order',
    id: uuid(),
    supplierId: order.supplier,
    jobIds: job ? [job.id] : [],
    ...(job?.neededBy ? { neededBy: job.neededBy } : {}),
    ...(note ? { note } : {}),
    // the first stands for all: they are written together
    ...(known && i === 0 ? { after: newest ?? '' } : {}),
    lines: order.lines.map(({ offer: id, packs, packMinor }) => {
      const offer = byId.get(id)!;
      return {
        key: uuid(),
        ...(offer.row ? { offerId: offer.row.id } : {}),
        ...(offer.code ? { code: offer.code } : {}),
        name: offer.name,
        holds: offer.holds.map((h) => ({ part: h.part, quantity: h.quantity })),
        ...(offer.oneLength ? { oneLength: true as const } : {}),
        packs,
        packMinor,
      };
    }),
  }));
}
