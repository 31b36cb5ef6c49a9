import {
  byNumber,
  type BuyableOffer,
  type Claim,
  type Job,
  type NeedRow,
  type OrderPlan,
  type PurchaseOrder,
  type StockCommand,
} from '@gewinde/core';
import { v4 as uuid } from 'uuid';

/**
 * The orders that a plan comes to, one a supplier, at the prices that it was planned with; for the shelf where no job is said.
 * @param needs what of it the job needs, where that is known: what is over is then for whoever comes first
 * @param known the orders the plan was netted against: one that somebody else writes meanwhile is told first
 */
export function writeOrders(
  plan: OrderPlan,
  offers: readonly BuyableOffer[],
  job?: Job,
  { note, known, needs }: { readonly note?: string; readonly known?: readonly PurchaseOrder[]; readonly needs?: readonly Need[] } = {},
): StockCommand[] {
  const left = new Map(needs?.map((n) => [n.part, n.toBuy]));
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
        ...(job && needs ? { claims: claimsOf(job.id, offer, packs, left) } : {}),
      };
    }),
  }));
}

type Need = Pick<NeedRow, 'part' | 'toBuy'>;

/** What of some packs is for the job: as much as it still needs, and that is taken off what it needs. */
function claimsOf(jobId: string, { holds }: BuyableOffer, packs: number, left: Map<string, number>): Claim[] {
  return holds.flatMap(({ part, quantity: held }) => {
    const need = left.get(part) ?? 0;
    const quantity = Math.min(need, held * packs);
    left.set(part, need - quantity);
    return quantity > 0 ? [{ jobId, part, quantity }] : [];
  });
}
