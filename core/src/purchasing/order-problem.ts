/** What a supplier asks for a pack, from so many packs on: all of them then cost so much. */
export interface PriceBreak {
  readonly fromPacks: number;
  readonly packMinor: number;
}

/** Something a supplier sells: one part by the pack, or a kit of several. */
export interface Offer {
  readonly id: string;
  readonly supplier: string;
  readonly holds: readonly { readonly part: string; readonly quantity: number }[];
  /** The first is from one pack on. */
  readonly prices: readonly PriceBreak[];
  readonly leadDays: number;
}

export interface Supplier {
  readonly id: string;
  /** Carriage of an order, minor money; none from an order of so much on. */
  readonly carriageMinor: number;
  readonly freeFromMinor?: number;
  /** Does not take an order of less. */
  readonly leastOrderMinor?: number;
}

/** `cost`: the least that comes in time. `soonest`: as early as all can be there, then the least. `fewest`: as few suppliers as can be, then the least. */
export type OrderGoal = 'cost' | 'soonest' | 'fewest';

export interface OrderProblem {
  readonly needs: readonly { readonly part: string; readonly quantity: number }[];
  readonly offers: readonly Offer[];
  readonly suppliers: readonly Supplier[];
  readonly goal: OrderGoal;
  /** Days until it must all be there; what comes later is not taken where something comes in time. */
  readonly withinDays?: number;
}

/** An offer, a need or a supplier that does not hold together: told in words. */
export class OrderFigureError extends Error {
  readonly code = 'order-figure';
  constructor(
    message: string,
    readonly field: string,
  ) {
    super(message);
    this.name = 'OrderFigureError';
  }
}

/** @throws {OrderFigureError} the first that does not hold */
export function checkOrderProblem({ needs, offers, suppliers }: OrderProblem): void {
  const known = new Set(suppliers.map((s) => s.id));
  needs.forEach(({ part, quantity }, i) => {
    if (!(quantity >= 0 && Number.isFinite(quantity)))
      throw new OrderFigureError(`Of "${part}" there cannot be ${quantity}.`, `needs/${i}/quantity`);
  });
  suppliers.forEach((s, i) => {
    for (const field of ['carriageMinor', 'freeFromMinor', 'leastOrderMinor'] as const)
      if (s[field] !== undefined && !(s[field] >= 0))
        throw new OrderFigureError(`Money of "${s.id}" cannot be negative.`, `suppliers/${i}/${field}`);
  });
  offers.forEach(({ id, supplier, holds, prices, leadDays }, i) => {
    const fail = (words: string, field: string): never => {
      throw new OrderFigureError(`Offer "${id}": ${words}`, `offers/${i}/${field}`);
    };
    if (!known.has(supplier)) fail(`nobody knows the supplier "${supplier}".`, 'supplier');
    if (holds.length === 0 || holds.some((h) => !(h.quantity > 0))) fail('a pack holds something.', 'holds');
    if (prices[0]?.fromPacks !== 1) fail('it has no price for one pack.', 'prices');
    if (prices.some((p, at) => !(p.packMinor >= 0) || (at > 0 && p.fromPacks <= prices[at - 1]!.fromPacks)))
      fail('prices go from fewer packs to more, and none is negative.', 'prices');
    if (!(leadDays >= 0)) fail('it cannot be there before it is ordered.', 'leadDays');
  });
}
