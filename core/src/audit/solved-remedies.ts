import { runCommands, type Command, type CommandContext } from '../commands/index.js';
import type { ChainWeights } from '../chains/index.js';
import type { Finding, Remedy } from '../findings/index.js';
import { sizeLine, type SizeColumn } from '../flow/index.js';
import { fluidOf, type JobDocument } from '../job/index.js';
import {
  assembleLine,
  boreLeads,
  gapOf,
  takeWayCommands,
  waysAcross,
  type AssembledLine,
  type AssembledWay,
  type Way,
} from '../lines/index.js';
import type { JudgedJob } from './judged.js';
import { ruleById } from './registry.js';

/** Most ways that are offered for one finding. */
const MOST_WAYS = 4;
const ANOTHER_SIZE = ['size-fails', 'size-tight', 'hose-refused', 'drain-narrow', 'drain-under-usual', 'feed-too-little'];

export interface SolvingContext extends Pick<CommandContext, 'newId'> {
  readonly weights?: ChainWeights;
}

/**
 * All that puts a finding right: what its rule knows itself, and what has to be solved: other adapters at that end, another size or hose. The
 * first is what a fitter would take.
 */
export function remediesFor(job: JudgedJob, finding: Finding, context: SolvingContext): Remedy[] {
  const line = finding.at.lineId === undefined ? undefined : job.lineById.get(finding.at.lineId);
  if (!line || finding.severity === 'open') return [...finding.remedies];
  const { check, area } = ruleById(finding.rule);
  const way = finding.at.way === undefined ? undefined : line.ways[finding.at.way];
  const solved = [
    ...(ANOTHER_SIZE.includes(finding.rule) ? otherSizes(job, line, context) : []),
    ...(way && (check.reads === 'line' || finding.rule === 'fitting-refused') && area !== 'direction'
      ? otherWays(job, line, way, context)
      : []),
  ];
  return [...finding.remedies, ...solved];
}

/** Other adapters at an end that seal, those with the fewest joints first. */
function otherWays(job: JudgedJob, line: AssembledLine, way: AssembledWay, { weights }: SolvingContext): Remedy[] {
  const gap = gapOf(way);
  if (!gap) return [];
  const now = JSON.stringify((way.fittings ?? []).map(({ fitting, inEnd, outEnd }) => [fitting.id, inEnd, outEnd]));
  return solve(line, way, job, weights, MOST_WAYS + 1)
    .filter(({ fittings }) => JSON.stringify(fittings.map(({ id, inEnd, outEnd }) => [id, inEnd, outEnd])) !== now)
    .slice(0, MOST_WAYS)
    .map((found) => ({ label: wordsOf(found, job), commands: takenHere(line, way, found) }));
}

function solve(line: AssembledLine, way: AssembledWay, job: JudgedJob, weights: ChainWeights | undefined, limit: number): readonly Way[] {
  const gap = gapOf(way);
  if (!gap) return [];
  const sensor = [gap.from, gap.to].some((side) => side.sensor && !side.sensor.movedTo);
  const { ways } = waysAcross(gap, job.catalogue, {
    limit,
    wishes: { ...way.kept.wishes, ...(sensor ? { keepSensor: true } : {}) },
    boreLeads: boreLeads(line.line),
    fluid: fluidOf(line.line),
    ...(weights ? { weights } : {}),
  });
  return ways;
}

function takenHere({ line }: AssembledLine, way: AssembledWay, found: Way): Command[] {
  return takeWayCommands(line.id, way, found).map((command): Command => ({ ...command, version: line.version }));
}

function wordsOf({ fittings, otherEnd }: Way, { catalogue }: JudgedJob): string {
  const names = fittings.map(({ id }) => catalogue.fittings.find((f) => f.id === id)?.name ?? id);
  const end = otherEnd === undefined ? undefined : catalogue.hoseEnds.find((e) => e.id === otherEnd)?.name;
  if (names.length === 0) return end ? `${end}, straight on` : 'Straight on, without an adapter';
  return [...names, ...(end ? [`on ${end}`] : [])].join(' and ');
}

/** The size that is recommended, in the construction of the line; the ways that this opens are solved with it. */
function otherSizes(job: JudgedJob, line: AssembledLine, context: SolvingContext): Remedy[] {
  const sizing = sizeLine(job.facts.lineById.get(line.line.id)!, {
    job: job.facts,
    running: job.document.job.running ?? {},
    rules: job.schools.flow,
  });
  const { columns, recommended, taken } = sizing;
  const column = recommended === undefined || recommended === taken ? undefined : columns[recommended];
  if (!column) return [];
  const commands = sizeCommands(job, line, column, context);
  return commands ? [{ label: `Take ${column.size}`, commands }] : [];
}

function sizeCommands(job: JudgedJob, { line }: AssembledLine, column: SizeColumn, context: SolvingContext): Command[] | undefined {
  const last = line.pieces.length - 1;
  const edits = line.pieces.map((piece, i): Command => ({
    do: 'edit-piece',
    id: line.id,
    version: line.version,
    piece: piece.key,
    set: { hose: column.hose.id, ...(i === 0 ? { endA: column.endA } : {}), ...(i === last ? { endB: column.endB } : {}) },
  }));
  const document = plannedOn(job, edits, context);
  const assembled = assembleLine(
    document.lines.find((l) => l.id === line.id)!,
    document,
    job.catalogue,
  );
  const open = assembled.ways.filter((way) => way.kept.chosen === null);
  const ways = open.map((way) => ({ way, found: solve(assembled, way, job, context.weights, 1)[0] }));
  if (ways.some(({ found }) => !found)) return undefined;
  return [
    ...edits,
    ...ways.flatMap(({ way, found }) => takenHere(assembled, way, found!).map((c) => ({ ...c, version: line.version }) as Command)),
  ];
}

function plannedOn(job: JudgedJob, commands: readonly Command[], { newId }: SolvingContext): JobDocument {
  return runCommands(job.document, commands, { newId, parts: job.catalogue, versions: 'ignore' }).document;
}
