import { Type, type Static } from 'typebox';
import { formatConnector, type Connector } from '../../connectors/index.js';
import type { Frozen } from '../../schema/index.js';
import { checkFitting } from '../check-fitting.js';
import { kindOf, type Fitting } from '../fitting.js';
import { adapter, branched, single } from '../standard/adapter.js';
import { endColumns, partColumns, type ColumnMapping } from './columns.js';
import { CellError, readEnd } from './read-cell.js';

/** What is wrong in one line of the file. Lines are counted as a spreadsheet does: the headings are line 1. */
export const LineErrorSchema = Type.Object(
  { line: Type.Integer(), column: Type.Optional(Type.String()), message: Type.String() },
  { title: 'LineError' },
);
export type LineError = Frozen<Static<typeof LineErrorSchema>>;

export interface ReadParts {
  /** Parts the catalogue does not have. */
  readonly added: readonly Fitting[];
  /** Parts it has, as they will be. */
  readonly changed: readonly Fitting[];
  readonly unchanged: number;
  readonly errors: readonly LineError[];
}

/**
 * Reads a supplier's list into parts. A line whose id or code the catalogue has changes that part, in the columns the file has; any
 * other line is a new part and must say its ends. What a new part leaves out is taken from its ends by common proportions. Nothing is
 * read in part: a line either makes a whole part or an error.
 *
 * @param rows the lines below the headings, cell by cell
 */
export function readParts(rows: readonly (readonly string[])[], mapping: ColumnMapping, catalogue: readonly Fitting[]): ReadParts {
  const byId = new Map(catalogue.map((f) => [f.id, f]));
  const byCode = new Map(catalogue.flatMap((f) => (f.code ? [[f.code.toLowerCase(), f] as const] : [])));
  const added: Fitting[] = [];
  const changed: Fitting[] = [];
  const errors: LineError[] = [];
  const lineOf = new Map<string, number>();
  let unchanged = 0;
  for (const [i, row] of rows.entries()) {
    const line = i + 2;
    if (row.every((cell) => cell.trim() === '')) continue;
    const problems: LineError[] = [];
    const given = readRow(row, mapping, (column, message) => problems.push({ line, column, message }));
    const known = (given.id && byId.get(given.id)) || (given.code && byCode.get(given.code.toLowerCase())) || undefined;
    const next = problems.length > 0 ? undefined : known ? { ...known, ...given, id: known.id } : newPart(given);
    if (problems.length === 0 && !next)
      problems.push({ line, column: 'ends', message: 'The part is not in the catalogue, and the line does not say its ends.' });
    if (next) {
      for (const problem of checkFitting(next)) problems.push({ line, column: problem.field, message: problem.message });
      for (const [what, value] of [
        ['id', next.id],
        ['code', next.code?.toLowerCase()],
      ] as const) {
        if (value === undefined) continue;
        const before = lineOf.get(`${what} ${value}`);
        if (before !== undefined)
          problems.push({ line, column: what, message: `The ${what} "${next[what]}" is on line ${before} already.` });
        else lineOf.set(`${what} ${value}`, line);
      }
      const owner = next.code && byCode.get(next.code.toLowerCase());
      if (owner && owner.id !== next.id)
        problems.push({ line, column: 'code', message: `The code "${next.code}" belongs to ${owner.name}.` });
    }
    errors.push(...problems);
    if (problems.length > 0 || !next) continue;
    if (!known) added.push(next);
    else if (JSON.stringify(sorted(known)) === JSON.stringify(sorted(next))) unchanged += 1;
    else changed.push(next);
  }
  return { added, changed, unchanged, errors };
}

function readRow(row: readonly string[], mapping: ColumnMapping, say: (column: string, message: string) => void): Partial<Fitting> {
  const given: Record<string, unknown> = {};
  const attempt = (column: string, read: () => void): void => {
    try {
      read();
    } catch (error) {
      if (!(error instanceof CellError)) throw error;
      say(column, error.message);
    }
  };
  for (const { id, name, read } of partColumns) {
    const at = mapping[id];
    const text = at === undefined ? '' : (row[at] ?? '').trim();
    if (text !== '') attempt(name, () => (given[id] = read(text)));
  }
  const ends: Connector[] = [];
  for (const end of endColumns) {
    const at = mapping[end];
    const text = at === undefined ? '' : (row[at] ?? '').trim();
    if (text !== '') attempt(end, () => ends.push(readEnd(text)));
  }
  if (ends.length > 0 && given['ends'] === undefined) given['ends'] = ends;
  return given;
}

/** A new part: what the line says, the rest by common proportions; undefined without ends. */
export function newPart(given: Partial<Fitting>): Fitting | undefined {
  const { ends } = given;
  if (!ends || ends.length === 0) return undefined;
  const [a, b] = ends;
  const angle = given.angleDeg ?? 0;
  const proportions = ends.length === 1 ? single(a!) : ends.length === 2 ? adapter(a!, b!, angle) : branched(ends);
  const { kind: _kind, name: _name, source: _source, ...figures } = proportions;
  // a length that is measured is right, legs that only follow from proportions then are not
  const legs =
    given.lengthMm !== undefined && given.legsMm === undefined && figures.legsMm ? scaledLegs(figures.legsMm, given.lengthMm) : undefined;
  const part: Fitting = {
    ...figures,
    name: ends.map(formatConnector).join(' to '),
    source: 'ends by their standards, the rest by common proportions',
    ...(legs ? { legsMm: legs } : {}),
    ...given,
    id: given.id ?? (given.code ? `own-${given.code.toLowerCase().replace(/[^a-z0-9.]+/g, '-')}` : proportions.id),
  };
  return { ...part, kind: part.kind ?? kindOf(part) };
}

function scaledLegs(legs: readonly number[], length: number): number[] {
  const share = length / (legs[0]! + legs[1]!);
  return legs.map((leg) => Math.round(leg * share * 10) / 10);
}

function sorted(fitting: Fitting): object {
  return Object.entries(fitting).sort(([a], [b]) => a.localeCompare(b));
}
