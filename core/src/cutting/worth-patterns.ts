import type { Grained } from './cut-problem.js';
import { NO_DEADLINE, type Deadline } from './deadline.js';
import type { Pattern } from './patterns.js';

/** Most branches looked at for one bar. */
const MOST_BRANCHES = 400_000;

interface Item {
  readonly size: number;
  readonly weight: number;
  readonly wanted: number;
  readonly worth: number;
}

/**
 * The patterns of one bar that are worth at least so much, each as full as it goes and no size oftener than it is wanted: depth first, the
 * best by its weight first, a branch given up once even a part of the next size could not bring it there.
 *
 * @param worth of a piece of each size
 * @param most patterns; with `raise` only ever better ones are kept, so that the last is the best
 * @returns the patterns, and whether all were looked at
 */
export function worthPatterns(
  { sizes, bars }: Grained,
  bar: number,
  worth: readonly number[],
  least: number,
  { most, raise = false, time = NO_DEADLINE }: { readonly most: number; readonly raise?: boolean; readonly time?: Deadline },
): { readonly patterns: { readonly pattern: Pattern; readonly worth: number }[]; readonly whole: boolean } {
  const items = sizes
    .map((s, size): Item => ({ size, weight: s.weight, wanted: s.wanted, worth: worth[size]! }))
    .sort((a, b) => b.worth / b.weight - a.worth / a.weight || b.weight - a.weight);
  const lightest: number[] = [...items.map(() => 0), Infinity];
  for (let i = items.length - 1; i >= 0; i--) lightest[i] = Math.min(items[i]!.weight, lightest[i + 1]!);
  const patterns: { pattern: Pattern; worth: number }[] = [];
  const counts = sizes.map(() => 0);
  let floor = least;
  let branches = 0;
  let whole = true;
  /** The most that the room can still be worth: whole pieces as far as they go, and a part of the next. */
  const bound = (from: number, room: number): number => {
    let sum = 0;
    let left = room;
    for (let i = from; i < items.length && left > 0; i++) {
      const { weight, wanted, worth: each } = items[i]!;
      if (each <= 0) break;
      const n = Math.min(wanted, left / weight);
      sum += n * each;
      left -= n * weight;
      if (n < wanted) break;
    }
    return sum;
  };
  const visit = (at: number, room: number, value: number): void => {
    if (!whole && !raise) return;
    if ((branches & 4095) === 4095 && time.over) branches = MOST_BRANCHES;
    if (++branches > MOST_BRANCHES) {
      whole = false;
      return;
    }
    if (at === items.length || room < lightest[at]!) {
      if (value < floor || value <= 0) return;
      // as full as it goes: what was passed over and still fits goes with it another time
      if (items.slice(0, at).some((item) => item.weight <= room && counts[item.size]! < item.wanted)) return;
      if (raise) floor = value + 1e-9;
      patterns.push({ pattern: { bar, counts: [...counts] }, worth: value });
      if (patterns.length > most) whole = false;
      return;
    }
    if (value + bound(at, room) < floor) return;
    const { size, weight, wanted, worth: each } = items[at]!;
    for (let n = Math.min(wanted, Math.floor(room / weight)); n >= 0; n--) {
      counts[size] = n;
      visit(at + 1, room - n * weight, value + n * each);
      counts[size] = 0;
      if (branches > MOST_BRANCHES) return;
    }
  };
  visit(0, bars[bar]!.holds, 0);
  return { patterns, whole };
}
