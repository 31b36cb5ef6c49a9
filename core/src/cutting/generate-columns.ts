import { NO_DEADLINE, type Deadline } from './deadline.js';
import { inMm, missed, type Grained } from './cut-problem.js';
import type { Plan } from './plan.js';
import { hasValues, type Mip, type MipSolver } from './mip.js';
import { bestPatterns, greatestCommon, gridOf, type Pattern } from './patterns.js';

/** Finest grid of the knapsack: a reel of 60 m by the millimetre. */
const MOST_STEPS = 60_000;
const MOST_ROUNDS = 80;
const LESS = 1e-6;

/** Patterns worth having, and the length below which no plan can be, mm. */
export interface Columns {
  readonly patterns: readonly Pattern[];
  readonly boundMm: number;
}

/** Least total of bars under some patterns, each size covered; a piece that finds no bar costs more than any bar. */
export function coverProgram(problem: Grained, patterns: readonly Pattern[], whole: boolean): Mip {
  const { sizes, bars } = problem;
  const unmetCost = sizes.reduce((sum, s) => sum + s.wanted, 1) * inMm(bars[0]!.length);
  const names = patterns.map((_, i) => `x${i}`);
  const terms = (of: (pattern: Pattern) => number): Map<string, number> =>
    new Map(patterns.flatMap((p, i) => (of(p) === 0 ? [] : [[names[i]!, of(p)] as const])));
  return {
    minimise: new Map([
      ...patterns.map((p, i) => [names[i]!, inMm(bars[p.bar]!.length)] as const),
      ...missed(problem).map((times, i) => [`u${i}`, unmetCost * times] as const),
    ]),
    rows: [
      ...sizes.map((s, i) => ({ name: `c${i}`, terms: terms((p) => p.counts[i]!).set(`u${i}`, 1), is: '>=' as const, than: s.wanted })),
      ...bars.flatMap((b, at) =>
        b.count === Infinity || !patterns.some((p) => p.bar === at)
          ? []
          : [{ name: `s${at}`, terms: terms((p) => (p.bar === at ? 1 : 0)), is: '<=' as const, than: b.count }],
      ),
    ],
    whole: whole ? [...names, ...sizes.map((_, i) => `u${i}`)] : [],
  };
}

/**
 * The same in whole numbers where every piece is to find a bar, told in a way that a solver finds its way in: how many of each bar are opened
 * are variables of their own, which alone have a cost, and which together must hold what all pieces weigh.
 */
export function wholeProgram({ sizes, bars }: Grained, patterns: readonly Pattern[]): Mip {
  const names = patterns.map((_, i) => `x${i}`);
  const opened = bars.map((_, at) => `y${at}`);
  const weight = sizes.reduce((sum, s) => sum + s.wanted * s.weight, 0);
  return {
    minimise: new Map(opened.map((name, at) => [name, inMm(bars[at]!.length)] as const)),
    rows: [
      ...sizes.map((s, i) => ({
        name: `c${i}`,
        terms: new Map(patterns.flatMap((p, at) => (p.counts[i]! > 0 ? [[names[at]!, p.counts[i]!] as const] : []))),
        is: '>=' as const,
        than: s.wanted,
      })),
      ...opened.map((name, at) => ({
        name: `o${at}`,
        terms: new Map([...patterns.flatMap((p, i) => (p.bar === at ? [[names[i]!, 1] as const] : [])), [name, -1] as const]),
        is: '=' as const,
        than: 0,
      })),
      {
        name: 'room',
        terms: new Map(opened.map((name, at) => [name, inMm(bars[at]!.holds)] as const)),
        is: '>=' as const,
        than: inMm(weight),
      },
    ],
    whole: [...names, ...opened],
    most: new Map(opened.flatMap((name, at) => (bars[at]!.count === Infinity ? [] : [[name, bars[at]!.count] as const]))),
  };
}

/**
 * Patterns by column generation: a linear program prices the pieces, a knapsack finds for each bar the pattern that is worth more than its bar,
 * until there is none, or the time is over. The bound is that of the linear program, raised to the next total that bars can come to.
 */
export async function generateColumns(problem: Grained, start: Plan, solver: MipSolver, time: Deadline = NO_DEADLINE): Promise<Columns> {
  const { sizes, bars } = problem;
  const { grid, exact } = gridOf(problem, MOST_STEPS);
  const patterns = distinct([...start.patterns, ...singles(problem)]);
  const known = new Set(patterns.map(keyOf));
  // no plan opens less than its pieces are long, and every total is one that bars can come to
  const plain = raised(inMm(sizes.reduce((sum, s) => sum + s.wanted * s.length, 0)), problem);
  for (let round = 0; round < MOST_ROUNDS && !time.over; round++) {
    const answer = await solver.solve(coverProgram(problem, patterns, false), time.left(5));
    if (!hasValues(answer)) break;
    const price = sizes.map((_, i) => Math.max(0, answer.price(`c${i}`)));
    const better = bestPatterns(problem, price, grid).filter(({ pattern, worth }) => {
      const { count, length } = bars[pattern.bar]!;
      const scarce = count === Infinity ? 0 : Math.min(0, answer.price(`s${pattern.bar}`));
      return worth + scarce > inMm(length) + LESS && !known.has(keyOf(pattern));
    });
    if (better.length === 0) {
      // where not all fit, the sum holds what it costs to leave pieces out: no length
      const allFit = sizes.every((_, i) => answer.value(`u${i}`) < LESS);
      return {
        patterns,
        boundMm: exact && allFit && answer.status === 'optimal' ? Math.max(plain, raised(answer.objective, problem)) : allFit ? plain : 0,
      };
    }
    for (const { pattern } of better) {
      known.add(keyOf(pattern));
      patterns.push(pattern);
    }
  }
  return { patterns, boundMm: plain };
}

function keyOf({ bar, counts }: Pattern): string {
  return `${bar}:${counts.join()}`;
}

function distinct(patterns: readonly Pattern[]): Pattern[] {
  return [...new Map(patterns.map((p) => [keyOf(p), p])).values()];
}

/** Each bar full of one size. */
export function singles({ sizes, bars }: Grained): Pattern[] {
  return bars.flatMap(({ holds }, bar) =>
    sizes.flatMap(({ weight, wanted }, i) => {
      const n = Math.min(wanted, Math.floor(holds / weight));
      return n > 0 ? [{ bar, counts: sizes.map((_, at) => (at === i ? n : 0)) }] : [];
    }),
  );
}

/** Most steps looked through for a total, over all kinds of bars. */
const MOST_TOTALS = 40_000_000;

/** The least total of bars that is no less, mm. */
export function raised(mm: number, { bars }: Pick<Grained, 'bars'>): number {
  const common = bars.reduce((g, b) => greatestCommon(g, b.length), 0);
  const least = Math.ceil(mm / inMm(common) - 1e-6);
  const most = least + Math.ceil(bars[0]!.length / common);
  if (most * bars.length > MOST_TOTALS) return mm;
  // how many of the bars at hand a total takes: those of a kind one after another, none twice
  const reached = new Uint8Array(most + 1);
  reached[0] = 1;
  for (const { length, count } of bars) {
    const step = length / common;
    const used = new Int32Array(most + 1);
    for (let at = step; at <= most; at++)
      if (!reached[at] && reached[at - step] && used[at - step]! < count) {
        reached[at] = 1;
        used[at] = used[at - step]! + 1;
      }
  }
  for (let at = least; at <= most; at++) if (reached[at]) return at * inMm(common);
  return mm;
}
