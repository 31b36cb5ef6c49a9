import type { Offer, OrderProblem } from './order-problem.js';

/** So many packs of an offer at one price. */
export interface Bought {
  readonly offer: Offer;
  readonly packs: number;
  readonly packMinor: number;
}

/**
 * A sound order at once, without its proof: each part where it is cheapest by itself, then supplier after supplier left out as long as that is better by
 * the goal. Kits are not looked at. What is there before the proof is, and where the proof takes too long.
 * @param another what one supplier more is to cost beside its carriage
 * @returns undefined where singles alone do not cover the need, or no least order is reached
 */
export function firstOrder({ needs, offers, suppliers }: OrderProblem, another: number): readonly Bought[] | undefined {
  const singles = new Map<string, Offer[]>();
  for (const offer of offers)
    if (offer.holds.length === 1) singles.set(offer.holds[0]!.part, [...(singles.get(offer.holds[0]!.part) ?? []), offer]);
  const from = (allowed: ReadonlySet<string>): readonly Bought[] | undefined => {
    const list: Bought[] = [];
    for (const { part, quantity } of needs) {
      const ways = (singles.get(part) ?? []).filter((o) => allowed.has(o.supplier)).map((o) => cheapest(o, quantity));
      if (ways.length === 0) return undefined;
      list.push(ways.reduce((a, b) => (b.packs * b.packMinor < a.packs * a.packMinor ? b : a)));
    }
    return list;
  };
  const cost = (list: readonly Bought[]): number => {
    let sum = 0;
    for (const { id, carriageMinor, freeFromMinor = Infinity, leastOrderMinor = 0 } of suppliers) {
      const own = list.filter((b) => b.offer.supplier === id);
      if (own.length === 0) continue;
      const goods = own.reduce((all, b) => all + b.packs * b.packMinor, 0);
      if (goods < leastOrderMinor) return Infinity;
      sum += goods + another + (goods >= freeFromMinor ? 0 : carriageMinor);
    }
    return sum;
  };
  let allowed: ReadonlySet<string> = new Set(suppliers.map((s) => s.id));
  let best = from(allowed);
  for (let better = best !== undefined; better && best;) {
    better = false;
    for (const id of allowed) {
      const fewer = new Set([...allowed].filter((other) => other !== id));
      const list = from(fewer);
      if (list && cost(list) < cost(best)) [best, allowed, better] = [list, fewer, true];
    }
  }
  return best && cost(best) < Infinity ? best : undefined;
}

/** As many packs as it takes, or more where a price that falls with their number makes them cheaper. */
function cheapest(offer: Offer, quantity: number): Bought {
  const needed = Math.max(1, Math.ceil(quantity / offer.holds[0]!.quantity));
  const ways = offer.prices.flatMap(({ fromPacks, packMinor }, k): Bought[] => {
    const packs = Math.max(needed, fromPacks);
    const until = (offer.prices[k + 1]?.fromPacks ?? Infinity) - 1;
    return packs <= until ? [{ offer, packs, packMinor }] : [];
  });
  return ways.reduce((a, b) => (b.packs * b.packMinor < a.packs * a.packMinor ? b : a));
}
