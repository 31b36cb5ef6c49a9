import type { Grained } from './cut-problem.js';
import { NO_DEADLINE, type Deadline } from './deadline.js';
import type { Pattern } from './patterns.js';

/** What a search for a plan came to. */
export interface BarByBar {
  /** The plan that opens least of those that open no more than was allowed. */
  readonly patterns?: readonly Pattern[];
  /** Its total, in grains; Infinity where there is none. */
  readonly opened: number;
  /** All of them were looked at: there is none that opens less. */
  readonly whole: boolean;
}

/**
 * A plan that wastes little, bar by bar: the longest piece that is left goes into each bar that holds it, with every filling of it whose
 * waste is still allowed. What was found to lead nowhere is not gone into again.
 *
 * @param most the longest total to be looked for, in grains
 * @param steps after which it is given up; it is too when the time is over
 * @param fuller a plan of just that total is taken too where its bars are fuller and emptier than that: the sum of their squared loads
 */
export function barByBar(
  { sizes, bars, kerf }: Grained,
  most: number,
  steps: number,
  fuller = Infinity,
  time: Deadline = NO_DEADLINE,
): BarByBar {
  const weight = sizes.map((s) => s.weight);
  const left = sizes.map((s) => s.wanted);
  const stock = bars.map((b) => b.count);
  const places = placesOf([...left, ...stock.filter(Number.isFinite)]);
  const placeOfBar = bars.map((_, at) => sizes.length + stock.slice(0, at).filter(Number.isFinite).length);
  const failed = new Map<number, number>();
  const taken: Pattern[] = [];
  const all = sizes.reduce((sum, s) => sum + s.wanted * s.weight, 0);
  let allowed = most - all;
  let best: readonly Pattern[] | undefined;
  let spent = 0;
  let fullest = fuller;
  const squaresOf = (list: readonly Pattern[]): number =>
    list.reduce((sum, p) => sum + p.counts.reduce((load, n, i) => load + n * weight[i]!, 0) ** 2, 0);

  const search = (key: number, toGo: number, still: number, wasted: number): void => {
    if (toGo === 0) {
      if (wasted > allowed) return;
      const full = squaresOf(taken);
      if (fuller < Infinity && wasted === allowed && full <= fullest) return;
      best = [...taken];
      // from here on only what is better
      allowed = fuller < Infinity ? wasted : wasted - 1;
      fullest = full;
      return;
    }
    const known = places ? failed.get(key) : undefined;
    if (known !== undefined && (fuller < Infinity ? allowed - wasted < known : allowed - wasted <= known)) return;
    const before = best;
    const first = left.findIndex((n) => n > 0);
    left[first]! -= 1;
    for (const [bar, { length, holds }] of bars.entries()) {
      if (stock[bar] === 0 || weight[first]! > holds) continue;
      const counts = sizes.map(() => 0);
      counts[first] = 1;
      stock[bar]! -= 1;
      const barKey = places && Number.isFinite(stock[bar]) ? places[placeOfBar[bar]!]! : 0;
      fill(
        bar,
        length,
        holds,
        counts,
        first,
        weight[first]!,
        1,
        still - weight[first]!,
        key - (places?.[first] ?? 0) - barKey,
        toGo,
        still,
        wasted,
      );
      stock[bar]! += 1;
      if (spent > steps) break;
    }
    left[first]! += 1;
    if (places && spent <= steps && best === before) failed.set(key, Math.max(known ?? -Infinity, allowed - wasted));
  };

  /** Goes on with a bar: as it is, where its waste is allowed, and with each further size. `after` is what smaller pieces there still are. */
  const fill = (
    bar: number,
    length: number,
    holds: number,
    counts: number[],
    from: number,
    load: number,
    count: number,
    after: number,
    key: number,
    toGo: number,
    still: number,
    wasted: number,
  ): void => {
    spent += 1;
    if ((spent & 4095) === 0 && time.over) spent = steps + 1;
    if (spent > steps) return;
    // each bar that is still to be opened may give a kerf back
    const spare = allowed - wasted + kerf * (toGo - count);
    const least = length - spare;
    if (load + after < least) return;
    let rest = after;
    for (let i = from; i < sizes.length; i++) {
      const here = left[i]!;
      if (here === 0) continue;
      if (load + rest < length - (allowed - wasted + kerf * (toGo - count))) return;
      rest -= here * weight[i]!;
      const n = Math.min(here, Math.floor((holds - load) / weight[i]!));
      for (let k = n; k >= 1; k--) {
        counts[i]! += k;
        left[i]! -= k;
        fill(bar, length, holds, counts, i + 1, load + k * weight[i]!, count + k, rest, key - k * (places?.[i] ?? 0), toGo, still, wasted);
        left[i]! += k;
        counts[i]! -= k;
        if (spent > steps) return;
      }
    }
    if (load < length - (allowed - wasted + kerf * (toGo - count))) return;
    taken.push({ bar, counts: [...counts] });
    search(key, toGo - count, still - load, wasted + length - load);
    taken.pop();
  };

  search(
    places ? [...left, ...stock.filter(Number.isFinite)].reduce((sum, n, i) => sum + n * places[i]!, 0) : 0,
    sizes.reduce((sum, s) => sum + s.wanted, 0),
    all,
    0,
  );
  return {
    ...(best ? { patterns: best } : {}),
    opened: best ? all + allowed + (fuller < Infinity ? 0 : 1) : Infinity,
    whole: spent <= steps,
  };
}

/** Places of a number that tells apart all that can be left; none where it would not be exact. */
function placesOf(counts: readonly number[]): number[] | undefined {
  let place = 1;
  const places = counts.map((n) => {
    const here = place;
    place *= n + 1;
    return here;
  });
  return place <= Number.MAX_SAFE_INTEGER ? places : undefined;
}
