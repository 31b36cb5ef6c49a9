import { grained, inMm, missed, type CutProblem, type Grained } from './cut-problem.js';
import { Deadline } from './deadline.js';
import { firstPlan } from './first-plan.js';
import { coverProgram, generateColumns } from './generate-columns.js';
import { improvePlan } from './improve-plan.js';
import { longestRemainder } from './longest-remainder.js';
import { hasValues, highsSolver, type MipSolver } from './mip.js';
import { everyPattern, leftOf, type Pattern } from './patterns.js';
import { planOf, usedBy, type Plan } from './plan.js';
import { PROVEN_TO, provePlan, type Proof } from './prove-plan.js';

/** One bar with the pieces that come from it, in the order in which they are cut: the longest first. */
export interface Cut {
  readonly stockId: string;
  readonly pieces: string[];
  /** Left once the last piece is sawn off, mm. */
  readonly remainderMm: number;
}

export interface CutPlan {
  readonly cuts: Cut[];
  /** Total length of the bars that are opened. */
  readonly usedMm: number;
  /** No plan opens less. */
  readonly provenOptimal: boolean;
  /** Below which no plan can be, mm: the gap to `usedMm` is what might still be won. */
  readonly boundMm: number;
  /** Pieces for which there is no bar, once for each. */
  readonly unmet: string[];
}

/** So many patterns are all looked at. */
const ALL_PATTERNS = 2500;
/** Sizes times bars of more than that are too many for a linear program: the first plan is made better a few bars at a time. */
const TOO_MANY = 12_000;
/** How much may be looked through to make a plan better a few bars at a time. */
const STEPS = 5_000_000;

/**
 * Which pieces come from which bar: all pieces if that can be, then the least total length opened, then the longest single remainder. Between
 * neighbouring pieces the saw takes its kerf: pieces fit a bar as long as their sum and the kerfs between them do.
 * Small problems are solved over every pattern, or over those that a plan below the best can have, until the least is known; larger ones by
 * column generation, with the bound of the linear program.
 * @param seconds for all of it, after which the best that was found is taken; half of it again for the remainder
 * @throws {CutFigureError}
 * @example await planCuts({ stock: [{ id: 'reel', lengthMm: 6000, quantity: null }], kerfMm: 2, demand: [{ id: 'L4', lengthMm: 624, quantity: 2 }] })
 */
export async function planCuts(problem: CutProblem, solver: MipSolver = highsSolver, seconds = 1.5): Promise<CutPlan> {
  const work = grained(problem);
  if (work.sizes.length === 0) return { cuts: [], usedMm: 0, provenOptimal: true, boundMm: 0, unmet: [...work.tooLong] };
  const start = firstPlan(work);
  const all = everyPattern(work, ALL_PATTERNS);
  const time = new Deadline(seconds);
  const proof = all ? undefined : await provenPlan(work, start, solver, time);
  if (proof && proof.boundMm > 0) return planned(work, proof.plan, undefined, proof.boundMm, solver, seconds);
  const many = work.sizes.length * work.bars.length > TOO_MANY;
  const columns = all
    ? { patterns: all, boundMm: 0 }
    : many
      ? { patterns: start.patterns, boundMm: leastThatIs(work, start) }
      : await generateColumns(work, start, solver, time);
  const answer = many ? undefined : await solver.solve(coverProgram(work, columns.patterns, true), time.left());
  const found = answer && hasValues(answer) ? planOf(work, columns.patterns, (name) => Math.round(answer.value(name))) : start;
  const first = betterOf(work, found, start);
  const best = all || first.unmet.some((n) => n > 0) ? first : improvePlan(work, first, Math.round(columns.boundMm * 100), STEPS, time);
  const proven = all !== undefined && answer?.status === 'optimal' && best === found;
  return planned(work, best, all, proven ? usedBy(work, best) : columns.boundMm, solver, seconds);
}

/** The bars of a plan with their names, its longest remainder gathered. */
async function planned(
  work: Grained,
  best: Plan,
  all: readonly Pattern[] | undefined,
  boundMm: number,
  solver: MipSolver,
  seconds: number,
): Promise<CutPlan> {
  const usedMm = usedBy(work, best);
  const gathered = await longestRemainder(work, best, all, solver, seconds / 2);
  return {
    cuts: cutsOf(work, gathered),
    usedMm,
    provenOptimal: boundMm > 0 && usedMm <= boundMm + 1e-6,
    boundMm,
    unmet: [...work.tooLong, ...best.unmet.flatMap((n, i) => work.sizes[i]!.ids.slice(work.sizes[i]!.wanted - n))],
  };
}

/** What can be known for certain of a problem that is small enough; undefined where it is not, or not all pieces fit. */
async function provenPlan(work: Grained, start: Plan, solver: MipSolver, time: Deadline): Promise<Proof | undefined> {
  const pieces = work.sizes.reduce((sum, s) => sum + s.wanted, 0);
  return pieces > PROVEN_TO || start.unmet.some((n) => n > 0) ? undefined : provePlan(work, start, solver, time);
}

/** The first plan alone, at once: to be shown while a better one is worked out. @throws {CutFigureError} */
export function planCutsAtOnce(problem: CutProblem): CutPlan {
  const work = grained(problem);
  if (work.sizes.length === 0) return { cuts: [], usedMm: 0, provenOptimal: true, boundMm: 0, unmet: [...work.tooLong] };
  const plan = firstPlan(work);
  return {
    cuts: cutsOf(work, plan),
    usedMm: usedBy(work, plan),
    provenOptimal: false,
    boundMm: leastThatIs(work, plan),
    unmet: [...work.tooLong, ...plan.unmet.flatMap((n, i) => work.sizes[i]!.ids.slice(work.sizes[i]!.wanted - n))],
  };
}

/** No plan opens less than its pieces are long. */
function leastThatIs(work: Grained, { unmet }: Plan): number {
  return inMm(work.sizes.reduce((sum, s, i) => sum + (s.wanted - unmet[i]!) * s.length, 0));
}

function betterOf(work: Grained, a: Plan, b: Plan): Plan {
  const times = missed(work);
  const unmet = ({ unmet: list }: Plan): number => list.reduce((sum, n, i) => sum + n * times[i]!, 0);
  return unmet(b) < unmet(a) || (unmet(b) === unmet(a) && usedBy(work, b) < usedBy(work, a)) ? b : a;
}

/** Bars get their names: of several of one length the first that has any left; pieces theirs, in the order in which they were asked for. */
function cutsOf(work: Grained, { patterns }: Plan): Cut[] {
  const pieces = work.sizes.map((s) => [...s.ids]);
  const left = work.bars.map((b) => b.of.flatMap((s) => (s.quantity === null ? [] : Array.from({ length: s.quantity }, () => s.id))));
  return patterns.map((pattern) => {
    const { of } = work.bars[pattern.bar]!;
    const stockId = left[pattern.bar]!.shift() ?? of.find((s) => s.quantity === null)!.id;
    return { stockId, pieces: pattern.counts.flatMap((n, i) => pieces[i]!.splice(0, n)), remainderMm: inMm(leftOf(work, pattern)) };
  });
}
