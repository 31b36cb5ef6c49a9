import { inMm, type Grained } from './cut-problem.js';
import type { Plan } from './plan.js';
import { hasValues, type MipSolver } from './mip.js';
import { leftOf, type Pattern } from './patterns.js';

/**
 * A plan that opens as much and leaves one remainder as long as can be: over every pattern where they are known, else by moving pieces out of the
 * bar that has most left into the gaps of the others.
 */
export async function longestRemainder(
  work: Grained,
  plan: Plan,
  all: readonly Pattern[] | undefined,
  solver: MipSolver,
  seconds: number,
): Promise<Plan> {
  const gathered = gather(work, plan);
  if (!all || plan.patterns.length < 2) return gathered;
  const { sizes, bars } = work;
  const used = plan.patterns.reduce((sum, p) => sum + bars[p.bar]!.length, 0);
  const cutOf = sizes.map((s, i) => s.wanted - plan.unmet[i]!);
  const [normal, single] = [all.map((_, i) => `x${i}`), all.map((_, i) => `y${i}`)];
  const both = (of: (pattern: Pattern) => number): Map<string, number> =>
    new Map(all.flatMap((p, i) => (of(p) === 0 ? [] : [[normal[i]!, of(p)] as const, [single[i]!, of(p)] as const])));
  const answer = await solver.solve(
    {
      minimise: new Map(all.map((p, i) => [single[i]!, -inMm(leftOf(work, p))])),
      rows: [
        ...sizes.map((_, i) => ({ name: `c${i}`, terms: both((p) => p.counts[i]!), is: '=' as const, than: cutOf[i]! })),
        ...bars.flatMap(({ count }, at) =>
          count === Infinity ? [] : [{ name: `s${at}`, terms: both((p) => (p.bar === at ? 1 : 0)), is: '<=' as const, than: count }],
        ),
        { name: 'one', terms: new Map(single.map((name) => [name, 1])), is: '=', than: 1 },
        { name: 'used', terms: both((p) => inMm(bars[p.bar]!.length)), is: '<=', than: inMm(used) + 0.001 },
      ],
      whole: [...normal, ...single],
    },
    seconds,
  );
  if (!hasValues(answer)) return gathered;
  const times = (i: number): number => Math.round(answer.value(normal[i]!)) + Math.round(answer.value(single[i]!));
  const found: Plan = { patterns: all.flatMap((p, i) => Array.from({ length: times(i) }, () => p)), unmet: plan.unmet };
  return longestIn(work, found) >= longestIn(work, gathered) ? found : gathered;
}

function longestIn(work: Grained, { patterns }: Plan): number {
  return Math.max(0, ...patterns.map((p) => leftOf(work, p)));
}

/** Pieces of the bar with most left go, the shortest first, where they fill best; for as long as that helps. */
function gather(work: Grained, plan: Plan): Plan {
  const { sizes } = work;
  const patterns = plan.patterns.map((p) => ({ bar: p.bar, counts: [...p.counts] }));
  const room = patterns.map((p) => work.bars[p.bar]!.holds - p.counts.reduce((sum, n, i) => sum + n * sizes[i]!.weight, 0));
  const from = room.reduce((best, r, i) => (r > room[best]! ? i : best), 0);
  if (patterns.length < 2) return plan;
  for (let i = sizes.length - 1; i >= 0; i--)
    while (patterns[from]!.counts[i]! > 0) {
      const { weight } = sizes[i]!;
      // the last piece of a bar is never moved: a plan without that bar would have been found
      if (patterns[from]!.counts.reduce((sum, n) => sum + n, 0) === 1) return { ...plan, patterns };
      const into = room.reduce((best, r, at) => (at !== from && r >= weight && (best < 0 || r < room[best]!) ? at : best), -1);
      if (into < 0) break;
      patterns[from]!.counts[i]! -= 1;
      patterns[into]!.counts[i]! += 1;
      room[from]! += weight;
      room[into]! -= weight;
    }
  return { ...plan, patterns };
}
