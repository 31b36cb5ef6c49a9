import { judgedAfter, remediesFor, type JudgedJob, type SolvingContext } from '../audit/index.js';
import { asOneChange, can } from '../commands/index.js';
import { placeKey, type Remedy } from '../findings/index.js';
import { partsList } from './parts-list.js';

/** What could be done at one place of a line: one of several, or nothing. */
interface Place {
  readonly options: readonly Option[];
}
interface Option extends Remedy {
  /** What it costs by itself, minor money. */
  readonly costMinor: number;
}

export interface LeastChange {
  readonly remedies: readonly Remedy[];
  /** Dearer by, minor money; parts without a price cost nothing here. */
  readonly costMinor: number;
  /** How many sets were tried until it was found: every cheaper one leaves a leak. */
  readonly tried: number;
}

/** Most sets that are tried before the search gives up. */
const MOST_TRIED = 400;

/**
 * The cheapest set of remedies after which nothing of a line leaks; of those that cost the same the one with the fewest steps. Sets are tried in
 * the order of their cost, so that the first that does is the least.
 *
 * @returns undefined where nothing leaks, or no set of those that are known does
 */
export function leastChange(job: JudgedJob, lineId: string, context: SolvingContext): LeastChange | undefined {
  const leaks = leaksOf(job, lineId);
  if (leaks.length === 0) return undefined;
  const places = placesOf(job, lineId, context);
  let tried = 0;
  for (const chosen of cheapestFirst(places)) {
    if (++tried > MOST_TRIED) return undefined;
    const commands = asOneChange(
      job.document,
      chosen.flatMap((o) => o.commands),
    );
    if (chosen.length === 0 || can(job.document, commands, { ...context, parts: job.catalogue, versions: 'ignore' })) continue;
    if (leaksOf(judgedAfter(job, commands, context), lineId).length === 0)
      return { remedies: chosen.map(({ label, commands: own }) => ({ label, commands: own })), costMinor: costOf(chosen), tried };
  }
  return undefined;
}

/** Each leak's remedies at its place; where two leaks are at one place, what is done there is done once. */
export function placesOf(job: JudgedJob, lineId: string, context: SolvingContext): Place[] {
  const before = partsList(job).totalMinor;
  const places = new Map<string, Map<string, Option>>();
  for (const leak of leaksOf(job, lineId)) {
    const { way, piece } = leak.at;
    const key = placeKey(way === undefined ? { ...(piece === undefined ? leak.at : { piece }) } : { way });
    const options = places.get(key) ?? new Map<string, Option>();
    places.set(key, options);
    for (const remedy of remediesFor(job, leak, context)) {
      const name = JSON.stringify(remedy.commands);
      if (options.has(name) || can(job.document, remedy.commands, { ...context, parts: job.catalogue, versions: 'ignore' })) continue;
      const costMinor = partsList(judgedAfter(job, remedy.commands, context)).totalMinor - before;
      options.set(name, { ...remedy, costMinor });
    }
  }
  return [...places.values()].map((options) => ({ options: [...options.values()] }));
}

/** Every choice of at most one option a place, the cheapest first, then the fewest. */
export function* cheapestFirst(places: readonly Place[]): Generator<readonly Option[]> {
  const sets = places.reduce<(readonly Option[])[]>(
    (all, { options }) => all.flatMap((set) => [set, ...options.map((o) => [...set, o])]),
    [[]],
  );
  yield* sets.sort((a, b) => costOf(a) - costOf(b) || a.length - b.length);
}

function costOf(options: readonly Option[]): number {
  return options.reduce((sum, o) => sum + o.costMinor, 0);
}

function leaksOf({ lineById }: JudgedJob, lineId: string) {
  return (lineById.get(lineId)?.findings ?? []).filter((f) => f.severity === 'leak' && !f.accepted);
}
