import { Type, type Static } from 'typebox';
import { formatConnector, type Connector } from '../../connectors/index.js';
import type { Frozen } from '../../schema/index.js';
import type { Body } from '../body-schema.js';
import { checkFitting } from '../check-fitting.js';
import { lengthBetween } from '../end-frames.js';
import { fittingKind } from '../fitting-kinds.js';
import { withListing } from '../listed-price.js';
import { kindOf, type Fitting } from '../fitting.js';
import { commonBody } from '../standard/common-body.js';
import { adapter, branched, single } from '../standard/adapter.js';
import { bodyColumns, endColumns, partColumns, type ColumnMapping } from './columns.js';
import { NamedOnce } from './named-once.js';
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
  const named = new NamedOnce(catalogue);
  const added: Fitting[] = [];
  const changed: Fitting[] = [];
  const errors: LineError[] = [];
  let unchanged = 0;
  for (const [i, row] of rows.entries()) {
    const line = i + 2;
    if (row.every((cell) => cell.trim() === '')) continue;
    const problems: LineError[] = [];
    const given = readRow(row, mapping, (column, message) => problems.push({ line, column, message }));
    const known = named.meant(given);
    const next = problems.length > 0 ? undefined : known ? changedPart(known, given) : newPart(given);
    if (problems.length === 0 && !next)
      problems.push({ line, column: 'ends', message: 'The part is not in the catalogue, and the line does not say its ends.' });
    if (next) {
      for (const problem of checkFitting(next)) problems.push({ line, column: problem.field, message: problem.message });
      for (const problem of named.problems(line, next, known !== undefined)) problems.push({ line, ...problem });
    }
    errors.push(...problems);
    if (problems.length > 0 || !next) continue;
    if (!known) added.push(next);
    else if (JSON.stringify(sorted(known)) === JSON.stringify(sorted(next))) unchanged += 1;
    else changed.push(next);
  }
  return { added, changed, unchanged, errors };
}

function readRow(row: readonly string[], mapping: ColumnMapping, say: (column: string, message: string) => void): GivenPart {
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
  let body: Partial<Body> | undefined;
  for (const { id, name, read } of bodyColumns) {
    const at = mapping[id];
    const text = at === undefined ? '' : (row[at] ?? '').trim();
    if (text !== '') attempt(name, () => (body = { ...body, ...read(text) }));
  }
  if (body) given['body'] = body;
  const ends: Connector[] = [];
  for (const end of endColumns) {
    const at = mapping[end];
    const text = at === undefined ? '' : (row[at] ?? '').trim();
    if (text !== '') attempt(end, () => ends.push(readEnd(text)));
  }
  if (ends.length > 0 && given['ends'] === undefined) given['ends'] = ends;
  return given;
}

/** What is said of a part; of its body perhaps only some. */
export type GivenPart = Omit<Partial<Fitting>, 'body'> & { readonly body?: Partial<Body> };

/** A part the catalogue has, in what is said of it anew. */
function changedPart(known: Fitting, given: GivenPart): Fitting {
  const { body: said, ...rest } = given;
  const part = withListing(known, { ...known, ...rest, id: known.id });
  if (!said) return part;
  return withBody(part, { ...(known.body ?? commonBody(part.ends, part.kind ?? kindOf(part))), ...said });
}

/** A new part: what is said of it, the rest by common proportions; undefined without ends. */
export function newPart(given: GivenPart): Fitting | undefined {
  const { ends, body: said, ...rest } = given;
  if (!ends || ends.length === 0) return undefined;
  const kind = given.kind ?? (said || ends.length > 4 ? 'manifold' : undefined);
  if (kind && fittingKind(kind).bodied) {
    const name = `${capital(kind)}, ${ends.map(formatConnector).join(', ')}`;
    const bare: Fitting = { id: '', name, source: PROPORTIONS, ...rest, ends, kind };
    // two plates may have the same ends: they are told apart by their names
    const slug = `${kind} ${rest.name ?? ends.map(formatConnector).join('+')}`.replace(/\s+/g, '-').slice(0, 80);
    return withBody({ ...bare, id: given.id ?? ownId(given) ?? slug }, { ...commonBody(ends, kind), ...said });
  }
  const [a, b] = ends;
  const angle = given.angleDeg ?? 0;
  const proportions = ends.length === 1 ? single(a!) : ends.length === 2 ? adapter(a!, b!, angle) : branched(ends);
  const { kind: _kind, name: _name, source: _source, hexMm, ...sizes } = proportions;
  // no spanner goes on a piece of hose
  const figures = { ...sizes, ...(given.kind === 'coupler' || hexMm === undefined ? {} : { hexMm }) };
  // a length that is measured is right, legs that only follow from proportions then are not
  const legs =
    given.lengthMm !== undefined && given.legsMm === undefined && figures.legsMm ? scaledLegs(figures.legsMm, given.lengthMm) : undefined;
  const part: Fitting = {
    ...figures,
    name: ends.map(formatConnector).join(' to '),
    source: PROPORTIONS,
    ...(legs ? { legsMm: legs } : {}),
    ...rest,
    ends,
    id: given.id ?? ownId(given) ?? proportions.id,
  };
  const whole = { ...part, kind: part.kind ?? kindOf(part) };
  // a body on what has none is told by the check, not dropped
  return said ? { ...whole, body: { ...commonBody(ends, whole.kind), ...said } } : whole;
}

const PROPORTIONS = 'ends by their standards, the rest by common proportions';

function ownId({ code }: GivenPart): string | undefined {
  return code ? `own-${code.toLowerCase().replace(/[^a-z0-9.]+/g, '-')}` : undefined;
}

/** A part with its body; what it adds to a stack is what lies between its first two ends. */
function withBody(part: Fitting, body: Body): Fitting {
  const whole = { ...part, body };
  const placed = body.places.length === part.ends.length;
  return { ...whole, lengthMm: placed && part.ends.length > 1 ? lengthBetween(whole, 0, 1) : body.heightMm };
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function scaledLegs(legs: readonly number[], length: number): number[] {
  const share = length / (legs[0]! + legs[1]!);
  return legs.map((leg) => Math.round(leg * share * 10) / 10);
}

function sorted(fitting: Fitting): object {
  return Object.entries(fitting).sort(([a], [b]) => a.localeCompare(b));
}
