import type { ChainWeights } from '../chains/index.js';
import { findFitting, fluidOf, partsOfWay, type Catalogue, type KeptWay, type Line } from '../job/index.js';
import type { AssembledJob } from './assemble-job.js';
import { terminalName, type AssembledLine, type AssembledWay, type HoseTerminal } from './assembled-line.js';
import { chooseTogether, shortOf, takenWith } from './choose-together.js';
import { boreLeads } from './drain-bore.js';
import { gapOf } from './gap.js';
import { waysAcross, type Way } from './ways.js';

/** Which ends of a job are solved. */
export interface JobQuery {
  readonly weights: ChainWeights;
  /** Ends that have a way that seals are solved anew as well; those of checked lines never are. */
  readonly decidedToo?: boolean;
  /** What leaks at a way of a line as it is, in words: whoever judged the job says it. */
  readonly leakAt?: (lineId: string, way: number) => string | undefined;
}

/** One way of a line, solved. */
export interface SolvedWay {
  readonly lineId: string;
  readonly lineNumber: number;
  /** Which way of the line. */
  readonly at: number;
  readonly place: string;
  /** Absent where there is none; `why` says so. */
  readonly way?: Way;
  readonly why?: string;
  /** The way it has already. */
  readonly same: boolean;
  /** Pieces of the way that the shelf does not hold once what comes before has taken its own, and the days until the last is there. */
  readonly toOrder?: number;
  readonly leadDays?: number;
  /** What leaks there as it is, in words. */
  readonly leaks?: string;
}

export interface SolvedJob {
  readonly ends: readonly SolvedWay[];
  /** Different parts of all ways of the job, the decided ones too. */
  readonly differentParts: number;
  /** The same if each end took the best way for itself. */
  readonly differentPartsAlone: number;
  /** No other combination of these ways is better. */
  readonly proven: boolean;
}

export interface SolveProgress {
  readonly done: number;
  readonly of: number;
  readonly words: string;
}

/** Ways of an end that are weighed against those of the others. */
const WAYS_WEIGHED = 12;

/**
 * Solves every way of a job that is open or leaks, together: each keeps to the fewest joints it can have, and among those ways the ones are taken that
 * cost least with few different parts. The shelf is counted down: decided ends first, then these in their order. Yields its progress end by end, so that it can be shown and broken off.
 */
export function* solveJob(job: AssembledJob, query: JobQuery): Generator<SolveProgress, SolvedJob> {
  const { catalogue } = job;
  const open = job.lines.flatMap((line) => waysToSolve(line, query));
  const asked = new Set(open.map(({ way }) => way));
  const decided = job.lines.flatMap((line) => line.ways).filter((way) => !asked.has(way));
  const decidedParts = decided.flatMap(({ kept: { chosen } }) => (chosen ? partIds(chosen) : []));
  const used = new Set(decidedParts);
  const shelf = shelfAfter(decidedParts, catalogue);
  const weights: ChainWeights = { ...query.weights, furtherPartMinor: 0 };
  const found: { end: SolvedWay; ways: Way[]; before: KeptWay | null }[] = [];
  for (const [i, { line, way, leaks }] of open.entries()) {
    const place = placeOf(way);
    yield { done: i, of: open.length, words: `L${line.line.number} ${line.line.name}: ${place}` };
    const base = { lineId: line.line.id, lineNumber: line.line.number, at: way.at, place, same: false, ...(leaks ? { leaks } : {}) };
    const answer = waysFor(way, catalogue, weights, line.line);
    const before = way.kept.chosen;
    if (typeof answer === 'string') found.push({ end: { ...base, why: answer }, ways: [], before });
    else found.push({ end: base, ways: answer, before });
  }
  const solvable = found.filter((f) => f.ways.length > 0);
  const { chosen, proven } = chooseTogether(
    solvable.map(({ ways }) => ways.map((way) => ({ parts: partIds(way), cost: way.costMinor }))),
    used,
    query.weights.furtherPartMinor,
    { left: shelf, shortCost: query.weights.toOrderMinor },
  );
  const waysOf = (pick: (i: number) => number): Way[] => solvable.map((f, i) => f.ways[pick(i)]!);
  const count = (ways: readonly Way[]): number => new Set([...used, ...ways.flatMap(partIds)]).size;
  const taken = new Map(solvable.map((f, i) => [f, f.ways[chosen[i]!]!]));
  let gone: ReadonlyMap<string, number> = new Map();
  const supplyOf = (way: Way): Pick<SolvedWay, 'toOrder' | 'leadDays'> => {
    const ordered = partIds(way).filter((part) => {
      const short = shortOf([part], gone, shelf) > 0;
      gone = takenWith([part], gone, shelf);
      return short || !shelf.has(part);
    });
    return { toOrder: ordered.length, leadDays: Math.max(0, ...ordered.map((part) => findFitting(catalogue, part)?.leadDays ?? 0)) };
  };
  return {
    ends: found.map((f) => {
      const way = taken.get(f);
      return way ? { ...f.end, way, ...supplyOf(way), same: sameWay(f.before, way) } : f.end;
    }),
    differentParts: count([...taken.values()]),
    differentPartsAlone: count(waysOf(() => 0)),
    proven,
  };
}

interface WayToSolve {
  readonly line: AssembledLine;
  readonly way: AssembledWay;
  readonly leaks?: string;
}

function waysToSolve(line: AssembledLine, { decidedToo, leakAt }: JobQuery): WayToSolve[] {
  return line.ways
    .map((way): WayToSolve => {
      const leaks = leakAt?.(line.line.id, way.at);
      return { line, way, ...(leaks === undefined ? {} : { leaks }) };
    })
    .filter(({ way, leaks: leak }) => leak !== undefined || (line.line.checked === null && (way.kept.chosen === null || decidedToo)));
}

/** `Turbo, oil inlet`, `between the two hoses`, `Block, left gallery to Plate, side port`. */
function placeOf({ from, to }: AssembledWay): string {
  if (from.kind === 'port') return to.kind === 'port' ? `${terminalName(from)} to ${terminalName(to)}` : terminalName(from);
  return to.kind === 'port' ? terminalName(to) : 'between two hoses';
}

/** The ways of the fewest joints; or in words why there is none. */
function waysFor(way: AssembledWay, catalogue: Catalogue, weights: ChainWeights, line: Line): Way[] | string {
  const bore = boreLeads(line);
  const gap = gapOf(way);
  if (!gap) {
    const doubt = [way.from, way.to].find((t) => t.kind === 'port' && !t.port.connector);
    if (doubt) return `The thread of ${terminalName(doubt)} is not certain: settle it first.`;
    const open = [way.from, way.to].find((t): t is HoseTerminal => t.kind === 'hose end' && t.hoseEnd === undefined)!;
    if (!open.hose) return 'No hose is chosen yet.';
    const angle = open.piece.wanted?.[`angle${open.side}`];
    return `No ${angle === undefined ? '' : `${angle}° `}end is in the catalogue for this hose.`;
  }
  const sensor = [gap.from, gap.to].some((side) => side.sensor && !side.sensor.movedTo);
  const wishes = { ...way.kept.wishes, ...(sensor ? { keepSensor: true } : {}) };
  const {
    ways: all,
    explanation,
    contradiction,
  } = waysAcross(gap, catalogue, { limit: WAYS_WEIGHED, weights, wishes, boreLeads: bore, fluid: fluidOf(line) });
  // an end that is on its hose stays there, as long as there is a way to it; of a drain the list's first is taken
  const own = bore ? all.filter((w) => w.leastBoreMm === all[0]!.leastBoreMm) : all.filter((w) => w.otherEnd === undefined);
  const ways = own.length > 0 ? own : all;
  if (ways.length === 0) return contradiction?.message ?? explanation;
  if (wishes.branchFor) return 'A branch for another line is wished here: take the way by hand, so that the line can be drawn from it.';
  return ways.filter((w) => w.jointCount === ways[0]!.jointCount);
}

function partIds(way: KeptWay | Way): string[] {
  return partsOfWay(way).map((link) => link.id);
}

function sameWay(before: KeptWay | null, { fittings }: Way): boolean {
  const links = (list: Way['fittings']): string => list.map(({ id, inEnd, outEnd }) => `${id}:${inEnd}${outEnd}`).join();
  return before !== null && links(before.fittings) === links(fittings);
}

/** What is left of the parts that are kept on the shelf after some pieces were taken. */
function shelfAfter(pieces: readonly string[], { fittings }: Catalogue): Map<string, number> {
  const left = new Map(fittings.flatMap((f) => ((f.shelf ?? 0) > 0 ? [[f.id, f.shelf!] as const] : [])));
  for (const part of pieces) if (left.has(part)) left.set(part, Math.max(0, left.get(part)! - 1));
  return left;
}
