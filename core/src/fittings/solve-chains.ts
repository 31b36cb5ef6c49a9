import { connectorKey, type Connector } from '../connectors/index.js';
import type { Mating } from '../seals/index.js';
import type { Fitting } from './fitting.js';
import { findMissingLinks, type MissingLink } from './missing-links.js';
import { sealingIndex, type Passage, type SealingIndex } from './sealing-index.js';

export interface ChainLink {
  readonly id: string;
  /** Index of the end that faces `from`. */
  readonly inEnd: number;
  readonly outEnd: number;
}

export interface Chain {
  readonly fittings: readonly ChainLink[];
  /** One more than fittings, from the first to the last; all of them seal. */
  readonly joints: readonly Mating[];
  readonly priceMinor: number;
  /** Seat to seat, mm. */
  readonly lengthMm: number;
}

export interface ChainQuery {
  readonly from: Connector;
  readonly to: Connector;
  readonly fittings: readonly Fitting[];
  /** Most chains returned, 1…200; default 10. */
  readonly limit?: number;
  /** Most fittings in one chain, 0…6; default 3. */
  readonly maxFittings?: number;
}

/** Fittings left and price left to the goal, at the least. */
interface Remaining {
  readonly count: number;
  readonly price: number;
}

interface Partial {
  readonly exposed: Connector;
  readonly passages: readonly Passage[];
  readonly seen: ReadonlySet<string>;
  readonly price: number;
  readonly length: number;
  readonly estimate: Remaining;
  readonly done: boolean;
}

/** No search opens more partial chains than this; the catalogue of a shop stays far below. */
const MOST_OPENED = 20_000;

/**
 * The chains of adapters that join two connectors with sealing joints only: fewest joints first, then price, then length.
 * A best-first search whose estimate is exact (the true least count and price to the goal, from a pass backwards over the
 * catalogue), so that it opens hardly more than what it returns.
 *
 * @throws {RangeError} for a limit or maxFittings out of bounds
 */
export function solveChains(query: ChainQuery): { chains: Chain[]; missingLinks: MissingLink[] } {
  const limit = bounded(query.limit ?? 10, 1, 200, 'limit');
  const maxFittings = bounded(query.maxFittings ?? 3, 0, 6, 'maxFittings');
  const index = sealingIndex(query.fittings);
  const remaining = remainingCost(query, index, maxFittings);
  const chains: Chain[] = [];
  const start = remaining.get(connectorKey(query.from));
  if (start) {
    const queue = new SortedQueue();
    queue.push({
      exposed: query.from,
      passages: [],
      seen: new Set([connectorKey(query.from)]),
      price: 0,
      length: 0,
      estimate: start,
      done: false,
    });
    for (let opened = 0; opened < MOST_OPENED && chains.length < limit; opened++) {
      const partial = queue.shift();
      if (!partial) break;
      if (partial.done) chains.push(asChain(partial, query, index));
      else open(partial, query, index, remaining, maxFittings, queue);
    }
  }
  return { chains, missingLinks: findMissingLinks(query.from, query.to, query.fittings, chains[0]?.fittings.length) };
}

function open(
  partial: Partial,
  query: ChainQuery,
  index: SealingIndex,
  remaining: Map<string, Remaining>,
  maxFittings: number,
  queue: SortedQueue,
): void {
  if (index.mating(partial.exposed, query.to).outcome === 'seals')
    queue.push({ ...partial, estimate: { count: partial.passages.length, price: partial.price }, done: true });
  for (const passage of index.passagesFrom(partial.exposed)) {
    const exposed = passage.fitting.ends[passage.outEnd]!;
    const key = connectorKey(exposed);
    const left = remaining.get(key);
    const count = partial.passages.length + 1;
    if (!left || count + left.count > maxFittings || partial.seen.has(key)) continue;
    const price = partial.price + (passage.fitting.priceMinor ?? 0);
    queue.push({
      exposed,
      passages: [...partial.passages, passage],
      seen: new Set([...partial.seen, key]),
      price,
      length: partial.length + (passage.fitting.lengthMm ?? 0),
      estimate: { count: count + left.count, price: price + left.price },
      done: false,
    });
  }
}

/** For every connector that can stand exposed: the least number of fittings, and for that number the least price, to the goal. */
function remainingCost(query: ChainQuery, index: SealingIndex, maxFittings: number): Map<string, Remaining> {
  const exposed = new Map<string, Connector>([[connectorKey(query.from), query.from]]);
  for (const fitting of query.fittings) for (const end of fitting.ends) exposed.set(connectorKey(end), end);
  const best = new Map<string, Remaining>();
  for (const [key, c] of exposed) if (index.mating(c, query.to).outcome === 'seals') best.set(key, { count: 0, price: 0 });
  for (let round = 1; round <= maxFittings; round++) {
    const reached = new Map<string, Remaining>();
    for (const [key, c] of exposed) {
      if (best.has(key)) continue;
      for (const passage of index.passagesFrom(c)) {
        const after = best.get(connectorKey(passage.fitting.ends[passage.outEnd]!));
        if (!after || after.count !== round - 1) continue;
        const price = after.price + (passage.fitting.priceMinor ?? 0);
        const known = reached.get(key);
        if (!known || price < known.price) reached.set(key, { count: round, price });
      }
    }
    if (reached.size === 0) break;
    for (const [key, cost] of reached) best.set(key, cost);
  }
  return best;
}

function asChain(partial: Partial, query: ChainQuery, index: SealingIndex): Chain {
  const joints: Mating[] = [];
  let exposed = query.from;
  for (const { fitting, inEnd, outEnd } of partial.passages) {
    joints.push(index.mating(exposed, fitting.ends[inEnd]!));
    exposed = fitting.ends[outEnd]!;
  }
  joints.push(index.mating(exposed, query.to));
  return {
    fittings: partial.passages.map(({ fitting, inEnd, outEnd }) => ({ id: fitting.id, inEnd, outEnd })),
    joints,
    priceMinor: partial.price,
    lengthMm: Math.round(partial.length * 10) / 10,
  };
}

/** Partial chains by estimate: count, price, then length, then the order of the catalogue. */
class SortedQueue {
  private readonly items: Partial[] = [];

  push(item: Partial): void {
    let low = 0;
    let high = this.items.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (compare(this.items[middle]!, item) > 0) low = middle + 1;
      else high = middle;
    }
    this.items.splice(low, 0, item);
  }

  shift(): Partial | undefined {
    return this.items.pop();
  }
}

function compare(a: Partial, b: Partial): number {
  return (
    a.estimate.count - b.estimate.count || a.estimate.price - b.estimate.price || Number(b.done) - Number(a.done) || a.length - b.length
  );
}

function bounded(value: number, low: number, high: number, name: string): number {
  if (!Number.isInteger(value) || value < low || value > high)
    throw new RangeError(`${name} must be a whole number from ${low} to ${high}`);
  return value;
}
