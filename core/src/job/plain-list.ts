import { letters } from '../schema/index.js';
import { formatConnector, type Connector } from '../connectors/index.js';
import {
  CellError,
  NamedOnce,
  readEnd,
  formatListed,
  pricesIn,
  readListed,
  readMoney,
  withListing,
  readOneOf,
  readQuantity,
  readWhole,
  readWords,
  type LineError,
} from '../fittings/index.js';
import { fluidIds } from '../fluids/index.js';
import type { PartField } from '../supplies/index.js';
import { checkPart, type PartEntry } from './catalogue-part.js';
import { entryFrom, fieldsOf, figuresIn, headOf, writtenField, type PartHead, type PartSection, cutToLength } from './part-sections.js';

export type PlainSection = Exclude<PartSection, 'fitting'>;
/** Which column of the file is which, by its id. */
export type PlainMapping = Readonly<Record<string, number>>;

/** One column of a list of hoses, ends or supplies. */
export interface PlainColumn {
  readonly id: string;
  /** The heading that is written, with its unit. */
  readonly name: string;
  readonly words: readonly string[];
  readonly read: (text: string) => unknown;
  readonly write: (entry: PartEntry) => string;
}

const UNITS: Partial<Record<PartField['type'], string>> = { mm: ' mm', bar: ' bar', celsius: ' °C' };

/** The columns of a list of a section, in the order in which they are written. */
export function plainColumns(section: PlainSection): PlainColumn[] {
  const head = (
    id: keyof PartHead,
    name: string,
    words: string,
    read: (text: string) => unknown,
    write: (value: never) => string = String,
  ): PlainColumn => ({
    id,
    name,
    words: words.split(', '),
    read,
    write: (entry) => {
      const value = headOf(entry)[id];
      return value === undefined ? '' : write(value as never);
    },
  });
  const connector: PlainColumn = {
    id: 'connector',
    name: 'connector',
    words: ['goes on with', 'end', 'thread'],
    read: readEnd,
    write: (entry) => (entry.kind === 'hose end' ? formatConnector(entry.part.connector) : ''),
  };
  return [
    head('id', 'id', 'part id, our id', readWords(letters.partId)),
    head('code', 'code', 'order code, article, article no, item, part no, part number, sku', readWords(letters.code)),
    head('supplier', 'supplier', 'vendor, dealer, from', readWords(letters.supplier)),
    head('name', 'name', 'description, part, title, text', readWords(letters.partName)),
    ...(section === 'hose end' ? [connector] : []),
    ...fieldsOf(section).map(fieldColumn),
    head(
      'priceMinor',
      cutToLength(section) ? 'price a metre' : 'price',
      `price, net, net price, unit price, cost, ${pricesIn.join(', ')}`,
      readMoney,
      (minor: number) => (minor / 100).toFixed(2),
    ),
    head('listed', 'listed price', 'price listed, foreign price', readListed, formatListed),
    // what is cut is kept by its lengths, and said on the rack
    ...(cutToLength(section) ? [] : [head('shelf', 'on shelf', 'shelf, stock, quantity, qty', readWhole)]),
    head('leadDays', 'lead days', 'lead, lead time, delivery, delivery days', readWhole),
    head('source', 'source', 'note, remark', readWords(letters.partSource)),
  ];
}

function fieldColumn(field: PartField): PlainColumn {
  const { name, label, type } = field;
  return {
    id: name,
    name: `${label.toLowerCase()}${UNITS[type] ?? ''}`,
    words: [label.toLowerCase(), name.toLowerCase()],
    read: readField(field),
    write: (entry) => writtenField(entry, field),
  };
}

function readField(field: PartField): (text: string) => unknown {
  const { type, choices = [], min = -Infinity, max = Infinity, whole } = field;
  const bounded = (value: number): number => {
    if (value < min || value > max) throw new CellError(`${value} does not lie between ${min} and ${max}.`);
    return value;
  };
  if (type === 'choice') return readOneOf(choices);
  if (type === 'text') return readWords(letters.figure);
  if (type === 'fluids')
    return (text) =>
      text
        .split(/[;|+]/)
        .filter((word) => word.trim() !== '')
        .map((word) => exactly(word.trim().toLowerCase(), fluidIds));
  if (type === 'number')
    return (text) => {
      const value = Number(text.trim().replace(',', '.'));
      if (!Number.isFinite(value) || (whole && !Number.isInteger(value)))
        throw new CellError(`"${text}" is not a ${whole ? 'whole ' : ''}number.`);
      return bounded(value);
    };
  const kind = ({ mm: 'length', bar: 'pressure', celsius: 'temperature' } as const)[type];
  return (text) => bounded(readQuantity(kind, -Infinity, 6)(text));
}

function exactly<T extends string>(word: string, values: readonly T[]): T {
  const found = values.find((value) => value.toLowerCase() === word);
  if (!found) throw new CellError(`"${word}" is none of ${values.join(', ')}.`);
  return found;
}

/** Reads the headings of a file by their names and the words others use for them. */
export function guessPlainColumns(headings: readonly string[], section: PlainSection): PlainMapping {
  const plain = headings.map((h) => h.trim().toLowerCase());
  const bare = plain.map((h) =>
    h
      .replace(/[_.]+/g, ' ')
      .replace(/\s*[([].*$/, '')
      .trim(),
  );
  const taken = new Set<number>();
  const pairs = new Map<string, number>();
  const look = (id: string, words: readonly string[]): void => {
    if (pairs.has(id)) return;
    const at = plain.findIndex((heading, i) => !taken.has(i) && (words.includes(heading) || words.includes(bare[i]!)));
    if (at < 0) return;
    taken.add(at);
    pairs.set(id, at);
  };
  const columns = plainColumns(section);
  for (const { id, name } of columns) look(id, [name, id.toLowerCase()]);
  for (const { id, words } of columns) look(id, words);
  return Object.fromEntries(pairs);
}

export interface ReadPlainList {
  readonly added: readonly PartEntry[];
  readonly changed: readonly PartEntry[];
  readonly unchanged: number;
  readonly errors: readonly LineError[];
}

/**
 * Reads a list of hoses, ends or supplies. A line whose id or code the section has changes that part, in the columns the file has; any
 * other line is a new part and must say its name and all that its kind needs. A line either makes a whole part or an error.
 */
export function readPlainList(
  rows: readonly (readonly string[])[],
  mapping: PlainMapping,
  section: PlainSection,
  known: readonly PartEntry[],
): ReadPlainList {
  const byId = new Map(known.map((entry) => [entry.part.id, entry]));
  const named = new NamedOnce(known.map(({ part }) => part));
  const columns = plainColumns(section);
  const result = { added: [] as PartEntry[], changed: [] as PartEntry[], unchanged: 0, errors: [] as LineError[] };
  for (const [i, row] of rows.entries()) {
    const line = i + 2;
    if (row.every((cell) => cell.trim() === '')) continue;
    const problems: LineError[] = [];
    const said = readRow(row, mapping, columns, (column, message) => problems.push({ line, column, message }));
    const before = byId.get(named.meant(said)?.id ?? '');
    const entry =
      problems.length > 0 ? undefined : made(section, said, before, (column, message) => problems.push({ line, column, message }));
    if (entry) {
      for (const { field, message } of checkPart(entry)) problems.push({ line, column: field, message });
      for (const problem of named.problems(line, entry.part, before !== undefined)) problems.push({ line, ...problem });
    }
    result.errors.push(...problems);
    if (!entry || problems.length > 0) continue;
    if (!before) result.added.push(entry);
    else if (asText(before) === asText(entry)) result.unchanged += 1;
    else result.changed.push(entry);
  }
  return result;
}

/** Headings and cells of a list; reading them again gives the same parts. */
export function writePlainList(
  entries: readonly PartEntry[],
  section: PlainSection,
): { readonly headings: string[]; readonly rows: string[][] } {
  const columns = plainColumns(section);
  return { headings: columns.map((c) => c.name), rows: entries.map((entry) => columns.map((c) => c.write(entry))) };
}

type Say = (column: string, message: string) => void;

function readRow(row: readonly string[], mapping: PlainMapping, columns: readonly PlainColumn[], say: Say): Record<string, unknown> {
  const said: Record<string, unknown> = {};
  for (const { id, name, read } of columns) {
    const at = mapping[id];
    const text = at === undefined ? '' : (row[at] ?? '').trim();
    if (text === '') continue;
    try {
      said[id] = read(text);
    } catch (error) {
      if (!(error instanceof CellError)) throw error;
      say(name, error.message);
    }
  }
  return said;
}

/** The whole part of a line: what it says over what is known; undefined, and told, where something it needs is said nowhere. */
function made(section: PlainSection, said: Record<string, unknown>, before: PartEntry | undefined, say: Say): PartEntry | undefined {
  const headFields = ['id', 'name', 'code', 'supplier', 'priceMinor', 'listed', 'shelf', 'leadDays', 'source'];
  const fields = fieldsOf(section);
  const was = before ? figuresIn(before) : {};
  const figures = Object.fromEntries(
    fields.flatMap(({ name }) => ((said[name] ?? was[name]) === undefined ? [] : [[name, said[name] ?? was[name]]])),
  );
  const headBefore = before ? headOf(before) : {};
  const saidAnew: Partial<PartHead> = Object.fromEntries(headFields.flatMap((f) => (said[f] === undefined ? [] : [[f, said[f]]])));
  const head = withListing<Partial<PartHead>>(headBefore, { ...headBefore, ...saidAnew });
  const connector = (said['connector'] ?? (before?.kind === 'hose end' ? before.part.connector : undefined)) as Connector | undefined;
  const missing = [
    ...(head.name ? [] : ['name']),
    ...(section === 'hose end' && !connector ? ['connector'] : []),
    ...fields.filter((f) => f.required && figures[f.name] === undefined).map((f) => f.label.toLowerCase()),
  ];
  if (missing.length > 0) {
    say(missing[0]!, `The part is not in the catalogue, and the line does not say: ${missing.join(', ')}.`);
    return undefined;
  }
  const id = before?.part.id ?? head.id ?? `own-${(head.code ?? head.name!).toLowerCase().replace(/[^a-z0-9.]+/g, '-')}`;
  return entryFrom(section, { ...head, id, name: head.name! }, figures, connector);
}

function asText(value: unknown): string {
  const sorted = (v: unknown): unknown =>
    typeof v === 'object' && v !== null && !Array.isArray(v)
      ? Object.entries(v)
          .sort(([a], [b]) => a.localeCompare(b, 'en'))
          .map(([key, inner]) => [key, sorted(inner)])
      : typeof v === 'number'
        ? Math.round(v * 1e6) / 1e6
        : v;
  return JSON.stringify(sorted(value));
}
