import { inMm, type Grained } from './cut-problem.js';
import type { Pattern } from './patterns.js';

/** Bars that are cut, each by its pattern, and how many pieces of each size found no bar. */
export interface Plan {
  readonly patterns: readonly Pattern[];
  readonly unmet: readonly number[];
}

/** The bars of a solution; pieces that patterns give beyond what is wanted are not cut. */
export function planOf({ sizes }: Grained, patterns: readonly Pattern[], times: (name: string) => number): Plan {
  const left = sizes.map((s) => s.wanted);
  const taken = patterns
    .flatMap((pattern, i) => Array.from({ length: times(`x${i}`) }, () => pattern))
    .map(({ bar, counts }) => ({
      bar,
      counts: counts.map((n, i) => {
        const cut = Math.min(n, left[i]!);
        left[i]! -= cut;
        return cut;
      }),
    }));
  return { patterns: taken.filter((p) => p.counts.some((n) => n > 0)), unmet: left };
}

/** What a plan opens, mm. */
export function usedBy({ bars }: Grained, { patterns }: Plan): number {
  return inMm(patterns.reduce((sum, p) => sum + bars[p.bar]!.length, 0));
}
