import { barByBar } from './bar-by-bar.js';
import { inMm, type Grained } from './cut-problem.js';
import type { Deadline } from './deadline.js';
import { improvePlan } from './improve-plan.js';
import { planOf, usedBy, type Plan } from './plan.js';
import { coverProgram, raised, singles, wholeProgram } from './generate-columns.js';
import type { MipAnswer, MipSolver } from './mip.js';
import type { Pattern } from './patterns.js';
import { worthPatterns } from './worth-patterns.js';

/** Problems of no more pieces are looked at until the least is known, or the time is over. */
export const PROVEN_TO = 80;
/** Most patterns that a program is asked with. */
const MOST_PATTERNS = 12_000;
const MOST_ROUNDS = 200;
const LESS = 1e-6;
/** How much may be looked through for a better plan before anything is proven. */
const STEPS = 4_000_000;
/** Hundredths of a millimetre. */
const GRAINS = 100;
/** So many pieces are looked at bar by bar. */
const TO_THE_END = 20;

export interface Proof {
  /** The best plan that was found. */
  readonly plan: Plan;
  /** Below which no plan can be, mm. */
  readonly boundMm: number;
}

/** What of the time each look over more patterns may take, after the first over those at hand. */
const SHARES = [0.3, 0.3, 0.3] as const;
const FIRST_SHARE = 0.1;
/** How far below the whole gap is looked where it holds too many patterns: a half, a quarter … */
const HALVINGS = 8;

/**
 * The least for certain, for problems that are not too large. The linear program over all patterns, priced exactly, gives a bound. A plan
 * that opens no more than a total holds only patterns whose reduced cost is not above what lies between the bound and that total: those are
 * all listed, and a program over them says whether there is such a plan. If not, the bound is raised, and more are listed.
 *
 * @param start a plan in which all pieces find a bar
 * @param time for all of it together
 */
export async function provePlan(work: Grained, start: Plan, solver: MipSolver, time: Deadline): Promise<Proof> {
  const seconds = time.left();
  const priced = await pricedExactly(work, start, solver, time);
  if (!priced) return { plan: start, boundMm: 0 };
  let boundMm = raised(priced.objective, work);
  const better = improvePlan(work, start, Math.round(boundMm * GRAINS), STEPS, time);
  let plan = better;
  let best = usedBy(work, better);
  const pieces = work.sizes.reduce((sum, s) => sum + s.wanted, 0);
  if (pieces <= TO_THE_END && best > boundMm + LESS) {
    const seen = toTheEnd(work, better, boundMm, time);
    if (seen) return seen;
  }
  const solve = async (patterns: readonly Pattern[], share: number): Promise<MipAnswer['status']> => {
    const answer = await solver.solve(wholeProgram(work, patterns), time.left(share * seconds));
    if (answer.objective < best - LESS) {
      best = answer.objective;
      plan = planOf(work, patterns, (name) => Math.round(answer.value(name)));
    }
    return answer.status;
  };
  // what the columns at hand give, for a start
  if (best > boundMm + LESS) await solve(priced.patterns, FIRST_SHARE);
  for (const share of SHARES) {
    if (best <= boundMm + LESS || time.over) break;
    const { patterns, reachMm } = listed(work, priced, best - LESS, time) ?? {};
    if (!patterns || reachMm === undefined || reachMm < boundMm - LESS) break;
    const status = await solve(patterns, share);
    if (status !== 'optimal' && status !== 'infeasible') break;
    // all plans up to here were among them
    boundMm = best <= reachMm + LESS ? best : Math.min(best, raised(reachMm + 2 * LESS, work));
  }
  return { plan, boundMm: Math.min(best, boundMm) };
}

/** So few pieces are looked at bar by bar to the end: what is allowed to be wasted grows until a plan is found. */
function toTheEnd(work: Grained, plan: Plan, boundMm: number, time: Deadline): Proof | undefined {
  const grains = (mm: number): number => Math.round(mm * GRAINS);
  const before = grains(usedBy(work, plan));
  for (let allowed = grains(boundMm); ; allowed += Math.max(GRAINS, 3 * (allowed - grains(boundMm)))) {
    const most = Math.min(before - 1, allowed);
    const { patterns, whole } = barByBar(work, most, STEPS, Infinity, time);
    if (!whole) return undefined;
    if (patterns) {
      const least: Plan = { patterns, unmet: plan.unmet };
      return { plan: least, boundMm: usedBy(work, least) };
    }
    if (most >= before - 1) return { plan, boundMm: usedBy(work, plan) };
  }
}

/** Every pattern that a plan of no more than so much can hold; where those are too many, up to how much they can all be listed. */
function listed(
  work: Grained,
  priced: Priced,
  maxMm: number,
  time: Deadline,
): { readonly patterns: Pattern[]; readonly reachMm: number } | undefined {
  for (let i = 0, gap = maxMm - priced.objective; i <= HALVINGS; i++, gap /= 2) {
    const patterns = within(work, priced, gap, time);
    if (patterns) return { patterns, reachMm: priced.objective + gap };
  }
  return undefined;
}

interface Priced {
  readonly patterns: readonly Pattern[];
  readonly objective: number;
  readonly worth: readonly number[];
  /** What a bar costs beyond its length where there are not enough of it, mm, by bar. */
  readonly scarce: readonly number[];
}

/** The linear program over all patterns; undefined where rounds or branches run out, or not all pieces fit. */
async function pricedExactly(work: Grained, start: Plan, solver: MipSolver, time: Deadline): Promise<Priced | undefined> {
  const { sizes, bars } = work;
  const patterns: Pattern[] = [...start.patterns, ...singles(work)];
  const known = new Set(patterns.map(keyOf));
  for (let round = 0; round < MOST_ROUNDS && !time.over; round++) {
    const answer = await solver.solve(coverProgram(work, patterns, false), time.left(5));
    if (answer.status !== 'optimal') return undefined;
    const worth = sizes.map((_, i) => Math.max(0, answer.price(`c${i}`)));
    const scarce = bars.map(({ count }, bar) => (count === Infinity ? 0 : Math.max(0, -answer.price(`s${bar}`))));
    let added = 0;
    for (const [bar, { length }] of bars.entries()) {
      const { patterns: better, whole } = worthPatterns(work, bar, worth, inMm(length) + scarce[bar]! + LESS, {
        most: Infinity,
        raise: true,
        time,
      });
      if (!whole) return undefined;
      for (const { pattern } of better.slice(-4)) {
        if (known.has(keyOf(pattern))) continue;
        known.add(keyOf(pattern));
        patterns.push(pattern);
        added += 1;
      }
    }
    if (added > 0) continue;
    if (sizes.some((_, i) => answer.value(`u${i}`) > LESS)) return undefined;
    return { patterns, objective: answer.objective, worth, scarce };
  }
  return undefined;
}

/** Every pattern whose reduced cost is no higher; undefined where there are too many. */
function within(work: Grained, { worth, scarce }: Priced, gapMm: number, time: Deadline): Pattern[] | undefined {
  const listed: Pattern[] = [];
  for (const [bar, { length }] of work.bars.entries()) {
    const { patterns, whole } = worthPatterns(work, bar, worth, inMm(length) + scarce[bar]! - gapMm, {
      most: MOST_PATTERNS - listed.length,
      time,
    });
    if (!whole) return undefined;
    listed.push(...patterns.map((p) => p.pattern));
  }
  return listed;
}

function keyOf({ bar, counts }: Pattern): string {
  return `${bar}:${counts.join()}`;
}
