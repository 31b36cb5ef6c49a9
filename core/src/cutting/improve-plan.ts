import { barByBar } from './bar-by-bar.js';
import type { Grained } from './cut-problem.js';
import { NO_DEADLINE, type Deadline } from './deadline.js';
import type { Plan } from './plan.js';
import type { Pattern } from './patterns.js';

/** Pieces that are planned anew at a time: so many are looked at to the end within milliseconds. */
const AT_A_TIME = 13;
const STEPS_EACH = 120_000;
/** Tries without anything gained, after which nothing more is looked for. */
const IN_VAIN = 400;

/**
 * A plan made better a few bars at a time: their pieces are planned anew, to the end, over what lengths there are. It ends when nothing is
 * gained for long, when `enough` is reached, or the steps or the time are over. The same problem gives the same plan.
 *
 * @param enough a total below which no plan can be, grains
 * @param steps how much may be looked through
 */
export function improvePlan(work: Grained, plan: Plan, enough: number, steps: number, time: Deadline = NO_DEADLINE): Plan {
  const patterns = [...plan.patterns];
  const total = (list: readonly Pattern[]): number => list.reduce((sum, p) => sum + work.bars[p.bar]!.length, 0);
  const piecesOn = ({ counts }: Pattern): number => counts.reduce((sum, n) => sum + n, 0);
  const draw = drawing();
  let left = steps;
  for (let vain = 0; vain < IN_VAIN && left > 0 && !time.over && patterns.length > 1 && total(patterns) > enough; vain++) {
    const some: Pattern[] = [];
    const others = [...patterns];
    while (others.length > 0) {
      const [one] = others.splice(draw(others.length), 1);
      if (some.length > 0 && some.reduce((sum, p) => sum + piecesOn(p), piecesOn(one!)) > AT_A_TIME) continue;
      some.push(one!);
      if (some.length === 4) break;
    }
    if (some.length < 2) continue;
    const rest = patterns.filter((p) => !some.includes(p));
    const { sub, sizeOf } = partOf(work, some, rest);
    const full = some.reduce((sum, p) => sum + p.counts.reduce((load, n, i) => load + n * work.sizes[i]!.weight, 0) ** 2, 0);
    const found = barByBar(sub, total(some), Math.min(STEPS_EACH, left), full + 1, time);
    left -= STEPS_EACH / 4;
    if (!found.patterns) continue;
    if (found.opened < total(some)) vain = -1;
    const made = found.patterns.map(({ bar, counts }): Pattern => {
      const whole = work.sizes.map(() => 0);
      counts.forEach((n, i) => (whole[sizeOf[i]!] = n));
      return { bar, counts: whole };
    });
    patterns.splice(0, patterns.length, ...rest, ...made);
  }
  return { ...plan, patterns };
}

/** The problem that the pieces of some bars are, with the lengths that the rest of the plan leaves. */
function partOf(work: Grained, some: readonly Pattern[], rest: readonly Pattern[]): { readonly sub: Grained; readonly sizeOf: number[] } {
  const wanted = work.sizes.map((_, i) => some.reduce((sum, p) => sum + p.counts[i]!, 0));
  const sizeOf = wanted.flatMap((n, i) => (n > 0 ? [i] : []));
  return {
    sizeOf,
    sub: {
      ...work,
      sizes: sizeOf.map((i) => ({ ...work.sizes[i]!, wanted: wanted[i]! })),
      bars: work.bars.map((bar, at) => ({ ...bar, count: bar.count - rest.filter((p) => p.bar === at).length })),
    },
  };
}

/** Draws numbers below a given one, always the same after one another: a plan does not change by looking twice. */
function drawing(): (below: number) => number {
  let at = 12_345;
  return (below) => {
    at = (Math.imul(at, 1_103_515_245) + 12_345) & 0x7fffffff;
    return Math.floor((at / 0x80000000) * below);
  };
}
