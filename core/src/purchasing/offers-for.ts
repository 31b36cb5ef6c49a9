import { findEntry, headOf, soldByLength, type Catalogue } from '../job/index.js';
import { folded } from '../schema/index.js';
import { eurosOf, type OfferRow, type PurchaseLine, type Stockroom, type SupplierRow } from '../stock/index.js';
import type { Offer, OrderGoal, OrderProblem, Supplier } from './order-problem.js';

/** An offer as it is ordered from: prices in euros. */
export interface BuyableOffer extends Offer {
  readonly row?: OfferRow;
  readonly code?: string;
  readonly name: string;
  readonly oneLength?: true;
}

/** A metre of what is sold by its length, mm. */
const METRE = 1000;

/**
 * Everything that can be bought of some parts: the offers of the suppliers, and what the catalogue lists of parts for which its supplier has no
 * offer of its own. Money in euros, at what the shop has for the supplier's.
 */
export function offersFor(parts: Iterable<string>, room: Pick<Stockroom, 'suppliers' | 'offers'>, catalogue: Catalogue): BuyableOffer[] {
  const wanted = new Set(parts);
  const suppliers = new Map(room.suppliers.filter((s) => !s.retired).map((s) => [s.id, s]));
  const byName = new Map([...suppliers.values()].map((s) => [folded(s.name), s]));
  const offered = new Set<string>();
  const list = room.offers.flatMap((row): BuyableOffer[] => {
    const supplier = suppliers.get(row.supplierId);
    if (!supplier || !row.holds.some((h) => wanted.has(h.part))) return [];
    if (row.holds.length === 1) offered.add(`${supplier.id} ${row.holds[0]!.part}`);
    return [buyable(row, supplier, catalogue)];
  });
  for (const part of wanted) {
    const entry = findEntry(catalogue, part);
    if (!entry || entry.part.retired) continue;
    const { supplier: name, priceMinor, code, leadDays } = headOf(entry);
    const supplier = name === undefined ? undefined : byName.get(folded(name));
    if (!supplier || priceMinor === undefined || offered.has(`${supplier.id} ${part}`)) continue;
    const long = soldByLength(entry);
    list.push({
      id: `listed ${part}`,
      supplier: supplier.id,
      holds: [{ part, quantity: long ? METRE : 1 }],
      prices: [{ fromPacks: 1, packMinor: priceMinor }],
      leadDays: leadDays ?? supplier.leadDays,
      name: entry.part.name,
      ...(code ? { code } : {}),
      ...(long ? { oneLength: true as const } : {}),
    });
  }
  return list;
}

function buyable(row: OfferRow, supplier: SupplierRow, catalogue: Catalogue): BuyableOffer {
  return {
    id: row.id,
    supplier: supplier.id,
    holds: row.holds,
    prices: row.prices.map((p) => ({ fromPacks: p.fromPacks, packMinor: eurosOf(p.packMinor, supplier) })),
    leadDays: row.leadDays ?? supplier.leadDays,
    row,
    name: row.name ?? findEntry(catalogue, row.holds[0]!.part)?.part.name ?? row.holds[0]!.part,
    ...(row.code ? { code: row.code } : {}),
    ...(row.oneLength ? { oneLength: true as const } : {}),
  };
}

/** An offer as an order is planned with it. */
export function plannedOffer({ id, supplier, holds, prices, leadDays }: BuyableOffer): Offer {
  return { id, supplier, holds, prices, leadDays };
}

/** A supplier as an order is planned with it, money in euros. */
export function plannedSupplier(s: SupplierRow): Supplier {
  return {
    id: s.id,
    carriageMinor: eurosOf(s.carriageMinor, s),
    ...(s.freeFromMinor === undefined ? {} : { freeFromMinor: eurosOf(s.freeFromMinor, s) }),
    ...(s.leastOrderMinor === undefined ? {} : { leastOrderMinor: eurosOf(s.leastOrderMinor, s) }),
  };
}

/** What is to be bought as a problem of who is ordered what. */
export function orderProblemFor(
  needs: readonly { readonly part: string; readonly toBuy: number }[],
  room: Pick<Stockroom, 'suppliers' | 'offers'>,
  catalogue: Catalogue,
  goal: OrderGoal,
  withinDays?: number,
): OrderProblem & { readonly offers: readonly BuyableOffer[] } {
  const wanted = needs.filter((n) => n.toBuy > 0);
  return {
    needs: wanted.map((n) => ({ part: n.part, quantity: n.toBuy })),
    offers: offersFor(
      wanted.map((n) => n.part),
      room,
      catalogue,
    ),
    suppliers: room.suppliers.filter((s) => !s.retired).map(plannedSupplier),
    goal,
    ...(withinDays === undefined ? {} : { withinDays }),
  };
}

/** What a number of packs costs each: by the last price that holds from so many on. */
export function priceFor({ prices }: Pick<Offer, 'prices'>, packs: number): number {
  return (prices.findLast((p) => p.fromPacks <= packs) ?? prices[0]!).packMinor;
}

/** A line of an order whose price is another by now, or whose offer is gone: it is shown, not silently ordered. */
export interface ChangedPrice {
  readonly name: string;
  readonly wasMinor: number;
  /** Undefined where it is not offered any more. */
  readonly nowMinor?: number;
  /** Another pack: what is in it is not what was planned. */
  readonly otherPack?: true;
}

/** What changed since an order was planned. */
export function changedPrices(
  lines: readonly Pick<PurchaseLine, 'offerId' | 'holds' | 'name' | 'packs' | 'packMinor'>[],
  supplierId: string,
  offers: readonly BuyableOffer[],
): ChangedPrice[] {
  const byId = new Map(offers.filter((o) => o.supplier === supplierId).map((o) => [o.id, o]));
  return lines.flatMap(({ offerId, holds, name, packs, packMinor }): ChangedPrice[] => {
    const offer = byId.get(offerId ?? `listed ${holds[0]?.part}`);
    if (!offer) return [{ name, wasMinor: packMinor }];
    const nowMinor = priceFor(offer, packs);
    const held = (of: readonly { readonly part: string; readonly quantity: number }[]): string =>
      JSON.stringify([...of].map(({ part, quantity }) => [part, quantity]).sort());
    if (held(offer.holds) !== held(holds)) return [{ name, wasMinor: packMinor, nowMinor, otherPack: true }];
    return nowMinor === packMinor ? [] : [{ name, wasMinor: packMinor, nowMinor }];
  });
}
