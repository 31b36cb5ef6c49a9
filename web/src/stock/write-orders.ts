import type { BuyableOffer, Job, OrderPlan, StockCommand } from '@gewinde/core';
import { v4 as uuid } from 'uuid';

/** The orders that a plan comes to, one a supplier, at the prices that it was planned with; for the shelf where no job is said. */
export function writeOrders(plan: OrderPlan, offers: readonly BuyableOffer[], job?: Job, note?: string): StockCommand[] {
  const byId = new Map(offers.map((o) => [o.id, o]));
  return plan.orders.map((order): StockCommand => ({
    do: 'write-order',
    id: uuid(),
    supplierId: order.supplier,
    jobIds: job ? [job.id] : [],
    ...(job?.neededBy ? { neededBy: job.neededBy } : {}),
    ...(note ? { note } : {}),
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
