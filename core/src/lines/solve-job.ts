import type { ChainWeights } from '../chains/index.js';
import { findFitting, findHoseEnd, type Catalogue, type JobDocument, type Line, type LineEnd, type Port } from '../job/index.js';
import { chooseTogether, shortOf, takenWith } from './choose-together.js';
import { assembleLine } from './assemble-line.js';
import { partsOf, waysToHoseEnd, type Way } from './ways.js';

/** Which ends of a job are solved. */
export interface JobQuery {
  readonly weights: ChainWeights;
  /** Ends that have a way that seals are solved anew as well; those of checked lines never are. */
  readonly decidedToo?: boolean;
}

export interface SolvedEnd {
  readonly lineId: string;
  readonly lineNumber: number;
  readonly side: 'A' | 'B';
  readonly portId: string;
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
  readonly ends: readonly SolvedEnd[];
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
 * Solves every end of a job that is open or leaks, together: each keeps to the fewest joints it can have, and among those ways the ones are taken that
 * cost least with few different parts. The shelf is counted down: decided ends first, then these in their order. Yields its progress end by end, so that it can be shown and broken off.
 */
export function* solveJob(document: JobDocument, catalogue: Catalogue, query: JobQuery): Generator<SolveProgress, SolvedJob> {
  const open = document.lines.flatMap((line) => endsToSolve(line, document, catalogue, query));
  const asked = new Set(open.map(({ end }) => end));
  const decided = document.lines.flatMap((l) => [l.endA, l.endB]).filter((end) => !asked.has(end));
  const decidedParts = decided.flatMap((end) => partsOf({ fittings: end.fittings ?? [], branches: asBranches(end) }));
  const used = new Set(decidedParts);
  const shelf = shelfAfter(decidedParts, catalogue);
  const weights: ChainWeights = { ...query.weights, furtherPartMinor: 0 };
  const found: { end: SolvedEnd; ways: Way[] }[] = [];
  for (const [i, { line, side, end, leaks }] of open.entries()) {
    const port = document.ports.find((p) => p.id === end.portId)!;
    const place = `${document.components.find((c) => c.id === port.componentId)?.name}, ${port.label}`;
    yield { done: i, of: open.length, words: `L${line.number} ${line.name}: ${place}` };
    const base = { lineId: line.id, lineNumber: line.number, side, portId: port.id, place, same: false, ...(leaks ? { leaks } : {}) };
    const answer = waysFor(line, side, end, port, catalogue, weights);
    if (typeof answer === 'string') found.push({ end: { ...base, why: answer }, ways: [] });
    else found.push({ end: base, ways: answer });
  }
  const solvable = found.filter((f) => f.ways.length > 0);
  const { chosen, proven } = chooseTogether(
    solvable.map(({ ways }) => ways.map((way) => ({ parts: partsOf(way), cost: way.costMinor }))),
    used,
    query.weights.furtherPartMinor,
    { left: shelf, shortCost: query.weights.toOrderMinor },
  );
  const waysOf = (pick: (i: number) => number): Way[] => solvable.map((f, i) => f.ways[pick(i)]!);
  const count = (ways: readonly Way[]): number => new Set([...used, ...ways.flatMap(partsOf)]).size;
  const taken = new Map(solvable.map((f, i) => [f, f.ways[chosen[i]!]!]));
  let gone: ReadonlyMap<string, number> = new Map();
  const supplyOf = (way: Way): Pick<SolvedEnd, 'toOrder' | 'leadDays'> => {
    const ordered = partsOf(way).filter((part) => {
      const short = shortOf([part], gone, shelf) > 0;
      gone = takenWith([part], gone, shelf);
      return short || !shelf.has(part);
    });
    return { toOrder: ordered.length, leadDays: Math.max(0, ...ordered.map((part) => findFitting(catalogue, part)?.leadDays ?? 0)) };
  };
  return {
    ends: found.map((f) => {
      const way = taken.get(f);
      const before = open.find((o) => o.line.id === f.end.lineId && o.side === f.end.side)!.end;
      return way ? { ...f.end, way, ...supplyOf(way), same: JSON.stringify(before.fittings) === JSON.stringify(way.fittings) } : f.end;
    }),
    differentParts: count([...taken.values()]),
    differentPartsAlone: count(waysOf(() => 0)),
    proven,
  };
}

interface EndToSolve {
  readonly line: Line;
  readonly side: 'A' | 'B';
  readonly end: LineEnd;
  readonly leaks?: string;
}

function endsToSolve(line: Line, document: JobDocument, catalogue: Catalogue, { decidedToo }: JobQuery): EndToSolve[] {
  // a sensor that leaks in its new place is not put right by a way at this end
  const leaks = assembleLine(line, document, catalogue).problems.filter((p) => p.severity === 'leak' && p.code !== 'sensor');
  return (['A', 'B'] as const)
    .map((side): EndToSolve => {
      const leak = leaks.find((p) => p.side === side);
      return { line, side, end: side === 'A' ? line.endA : line.endB, ...(leak ? { leaks: leak.message } : {}) };
    })
    .filter(({ end, leaks: leak }) => leak !== undefined || (!line.checked && (end.fittings === null || decidedToo)));
}

/** The ways of the fewest joints; or in words why there is none. */
function waysFor(line: Line, side: 'A' | 'B', end: LineEnd, port: Port, catalogue: Catalogue, weights: ChainWeights): Way[] | string {
  if (line.construction === null || line.dash === null) return 'No hose is chosen yet.';
  const hoseEnd = findHoseEnd(catalogue, line.construction, line.dash, end.angleDeg);
  if (!hoseEnd) return `No ${end.angleDeg}° end is in the catalogue for this hose.`;
  const wishes = { ...end.wishes, ...(port.sensor && !port.sensor.movedTo ? { keepSensor: true } : {}) };
  const { ways, explanation, contradiction } = waysToHoseEnd(port, hoseEnd, catalogue, {
    limit: WAYS_WEIGHED,
    weights,
    wishes,
    flow: side === 'A' ? 'from-to' : 'to-from',
  });
  if (ways.length === 0) return contradiction?.message ?? explanation;
  if (wishes.branchFor) return 'A branch for another line is wished here: take the way by hand, so that the line can be drawn from it.';
  return ways.filter((way) => way.jointCount === ways[0]!.jointCount);
}

/** What is left of the parts that are kept on the shelf after some pieces were taken. */
function shelfAfter(pieces: readonly string[], { fittings }: Catalogue): Map<string, number> {
  const left = new Map(fittings.flatMap((f) => ((f.shelf ?? 0) > 0 ? [[f.id, f.shelf!] as const] : [])));
  for (const part of pieces) if (left.has(part)) left.set(part, Math.max(0, left.get(part)! - 1));
  return left;
}

function asBranches({ branches = [] }: LineEnd): Way['branches'] {
  return branches.map((b) => ({ ...b, joints: [] }));
}
