import { grained, inMm, missed, type CutProblem, type Grained } from './cut-problem.js';
import { firstPlan, type Plan } from './first-plan.js';
import { coverProgram, generateColumns } from './generate-columns.js';
import { longestRemainder } from './longest-remainder.js';
import { highsSolver, type MipSolver } from './mip.js';
import { everyPattern, leftOf, type Pattern } from './patterns.js';

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

/**
 * Which pieces come from which bar: all pieces if that can be, then the least total length opened, then the longest single remainder. Between
 * neighbouring pieces the saw takes its kerf: pieces fit a bar as long as their sum and the kerfs between them do.
 * Small problems are solved over every pattern; larger ones by column generation, with the bound of the linear program.
 * @param seconds after which the best that was found is taken; half of it again for the remainder
 * @throws {CutFigureError}
 * @example await planCuts({ stock: [{ id: 'reel', lengthMm: 6000, quantity: null }], kerfMm: 2, demand: [{ id: 'L4', lengthMm: 624, quantity: 2 }] })
 */
export async function planCuts(problem: CutProblem, solver: MipSolver = highsSolver, seconds = 1.5): Promise<CutPlan> {
  const work = grained(problem);
  if (work.sizes.length === 0) return { cuts: [], usedMm: 0, provenOptimal: true, boundMm: 0, unmet: [...work.tooLong] };
  const start = firstPlan(work);
  const all = everyPattern(work, ALL_PATTERNS);
  const columns = all ? { patterns: all, boundMm: 0 } : await generateColumns(work, start, solver);
  const answer = await solver.solve(coverProgram(work, columns.patterns, true), seconds);
  const found = answer.status === 'none' ? start : planOf(work, columns.patterns, (name) => Math.round(answer.value(name)));
  const best = betterOf(work, found, start);
  const usedMm = usedBy(work, best);
  const proven = all !== undefined && answer.status === 'optimal' && best === found;
  const boundMm = proven ? usedMm : columns.boundMm;
  const gathered = await longestRemainder(work, best, all, solver, seconds / 2);
  return {
    cuts: cutsOf(work, gathered),
    usedMm,
    provenOptimal: proven || (columns.boundMm > 0 && usedMm <= columns.boundMm + 1e-6),
    boundMm,
    unmet: [...work.tooLong, ...best.unmet.flatMap((n, i) => work.sizes[i]!.ids.slice(work.sizes[i]!.wanted - n))],
  };
}

/** The first plan alone, at once: to be shown while a better one is worked out. @throws {CutFigureError} */
export function planCutsAtOnce(problem: CutProblem): CutPlan {
  const work = grained(problem);
  if (work.sizes.length === 0) return { cuts: [], usedMm: 0, provenOptimal: true, boundMm: 0, unmet: [...work.tooLong] };
  const plan = firstPlan(work);
  const plain = inMm(work.sizes.reduce((sum, s, i) => sum + (s.wanted - plan.unmet[i]!) * s.length, 0));
  return {
    cuts: cutsOf(work, plan),
    usedMm: usedBy(work, plan),
    provenOptimal: false,
    boundMm: plain,
    unmet: [...work.tooLong, ...plan.unmet.flatMap((n, i) => work.sizes[i]!.ids.slice(work.sizes[i]!.wanted - n))],
  };
}

/** The bars of a solution; pieces that patterns give beyond what is wanted are not cut. */
function planOf({ sizes }: Grained, patterns: readonly Pattern[], times: (name: string) => number): Plan {
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

function usedBy({ bars }: Grained, { patterns }: Plan): number {
  return inMm(patterns.reduce((sum, p) => sum + bars[p.bar]!.length, 0));
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
