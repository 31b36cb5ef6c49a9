import type { Grained } from './cut-problem.js';

/** How many pieces of each size come from one bar of a kind. */
export interface Pattern {
  readonly bar: number;
  readonly counts: readonly number[];
}

/** What of a bar is left once its pieces are sawn off: a kerf goes with each, as far as the bar reaches. */
export function leftOf({ sizes, bars }: Grained, { bar, counts }: Pattern): number {
  return Math.max(0, bars[bar]!.length - counts.reduce((sum, n, i) => sum + n * sizes[i]!.weight, 0));
}

/**
 * Every way to cut every bar, down to one piece, no size oftener than it is wanted; undefined where there are more than so many.
 */
export function everyPattern(problem: Grained, most: number): Pattern[] | undefined {
  const { sizes, bars } = problem;
  // one for each size alone, at the least
  if (sizes.length * bars.length > 2 * most) return undefined;
  const found: Pattern[] = [];
  const visit = (bar: number, size: number, counts: readonly number[], room: number): boolean => {
    if (size === sizes.length) {
      if (counts.some((n) => n > 0)) found.push({ bar, counts });
      return found.length <= most;
    }
    const { weight, wanted } = sizes[size]!;
    for (let n = Math.min(wanted, Math.floor(room / weight)); n >= 0; n--)
      if (!visit(bar, size + 1, [...counts, n], room - n * weight)) return false;
    return true;
  };
  for (const [bar, { holds }] of bars.entries()) if (!visit(bar, 0, [], holds)) return undefined;
  return found;
}

/** The grid that all pieces lie on, or one of so many steps where that would be too fine: then what is found need not be the best. */
export function gridOf({ sizes, bars }: Grained, steps: number): { readonly grid: number; readonly exact: boolean } {
  const longest = Math.max(...bars.map((b) => b.holds));
  const common = sizes.reduce((g, s) => greatestCommon(g, s.weight), 0) || 1;
  return longest / common <= steps ? { grid: common, exact: true } : { grid: Math.ceil(longest / steps), exact: false };
}

export function greatestCommon(a: number, b: number): number {
  return b === 0 ? a : greatestCommon(b, a % b);
}

/**
 * For each bar the pattern of highest worth, by the worth of a piece of each size: a knapsack over all lengths at once, on the grid of
 * {@link gridOf}. Pieces are rounded up to it and bars down, so that every pattern fits for certain.
 */
export function bestPatterns(
  { sizes, bars }: Grained,
  worth: readonly number[],
  grid: number,
): { readonly pattern: Pattern; readonly worth: number }[] {
  const longest = Math.max(...bars.map((b) => b.holds));
  const weights = sizes.map((s) => Math.ceil(s.weight / grid));
  const room = Math.floor(longest / grid);
  const best = new Float64Array(room + 1);
  const last = new Int32Array(room + 1).fill(-1);
  for (let at = 1; at <= room; at++) {
    best[at] = best[at - 1]!;
    for (let i = 0; i < weights.length; i++) {
      const weight = weights[i]!;
      if (weight > at || worth[i]! <= 0) continue;
      const value = best[at - weight]! + worth[i]!;
      if (value > best[at]! + 1e-12) {
        best[at] = value;
        last[at] = i;
      }
    }
  }
  return bars.map(({ holds }, bar) => {
    const counts = sizes.map(() => 0);
    let at = Math.floor(holds / grid);
    const value = best[at]!;
    while (at > 0) {
      const i = last[at]!;
      if (i < 0) at -= 1;
      else {
        counts[i]! += 1;
        at -= weights[i]!;
      }
    }
    return { pattern: { bar, counts }, worth: value };
  });
}
