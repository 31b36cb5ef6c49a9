import { connectorName, type Connector } from '../connectors/index.js';
import { partsOfWay, portCases, type Catalogue } from '../job/index.js';
import type { AssembledWay, Terminal } from './assembled-line.js';
import { gapOf, type Gap } from './gap.js';
import { waysAcross, type Way, type WaysAnswer, type WaysOptions } from './ways.js';

/** One of the things that the ports beside a way may be. */
export interface GapCase {
  readonly gap: Gap;
  /** What each port that is not certain is taken for. */
  readonly taken: readonly { readonly portId: string; readonly connector: Connector }[];
  /** `NPT 1/8, female`. */
  readonly words: string;
}

/** Ways of a case that are compared with those of the others. */
const WAYS_COMPARED = 40;

/** The cases of a way whose ports are not certain; none where they are, or where a side is not known or not chosen at all. */
export function gapsByCase({ from, to }: Pick<AssembledWay, 'from' | 'to'>): GapCase[] {
  const [starts, finishes] = [settled(from), settled(to)];
  if (starts.length * finishes.length < 2) return [];
  return starts.flatMap((a) =>
    finishes.flatMap((b) => {
      const gap = gapOf({ from: a.terminal, to: b.terminal });
      const taken = [...a.taken, ...b.taken];
      return gap ? [{ gap, taken, words: taken.map(({ connector }) => connectorName(connector)).join('; ') }] : [];
    }),
  );
}

function settled(terminal: Terminal): { readonly terminal: Terminal; readonly taken: GapCase['taken'] }[] {
  if (terminal.kind !== 'port' || terminal.port.connector) return [{ terminal, taken: [] }];
  const { maybe: _maybe, said: _said, ...port } = terminal.port;
  return portCases(terminal.port).map((connector) => ({
    terminal: { ...terminal, port: { ...port, connector } },
    taken: [{ portId: port.id, connector }],
  }));
}

/** A case with its ways, and the parts that its best way needs beyond those that every case needs. */
export interface CaseWays {
  readonly case: GapCase;
  readonly answer: WaysAnswer;
  readonly beyond: readonly string[];
}

export interface CasesAnswer {
  readonly cases: readonly CaseWays[];
  /** Ways that seal whichever it is, the best first. */
  readonly serving: readonly Way[];
  /** Parts that the best way of every case has: bought whichever it is, by id. */
  readonly either: readonly string[];
}

/** Solves every case of a way, and says what they share, what differs, and what would seal whichever it is. */
export function waysByCase(cases: readonly GapCase[], catalogue: Catalogue, options: WaysOptions = {}): CasesAnswer {
  const solved = cases.map((gapCase) => ({
    case: gapCase,
    answer: waysAcross(gapCase.gap, catalogue, { ...options, limit: WAYS_COMPARED, bare: options.bare ?? true, ownEnd: true }),
  }));
  const parts = solved.map(({ answer }) => (answer.ways[0] ? partsOfWay(answer.ways[0]).map((link) => link.id) : []));
  const either = parts.length > 0 ? parts.reduce(both) : [];
  const [first, ...others] = solved;
  const keys = others.map(({ answer }) => new Set(answer.ways.map(keyOf)));
  return {
    cases: solved.map((one, i) => ({ ...one, beyond: without(parts[i]!, either) })),
    serving: (first?.answer.ways ?? []).filter((way) => keys.every((set) => set.has(keyOf(way)))),
    either,
  };
}

function keyOf({ fittings, branches }: Way): string {
  return JSON.stringify([fittings.map((f) => [f.id, f.inEnd, f.outEnd]), branches]);
}

/** What is in both lists, as often as it is in both. */
function both(a: readonly string[], b: readonly string[]): string[] {
  const left = [...b];
  return a.filter((id) => {
    const at = left.indexOf(id);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
}

function without(list: readonly string[], taken: readonly string[]): string[] {
  const left = [...taken];
  return list.filter((id) => {
    const at = left.indexOf(id);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}
