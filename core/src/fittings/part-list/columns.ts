import { formatListed, pricesIn } from '../listed-price.js';
import { letters } from '../../schema/index.js';
import { Type, type Static } from 'typebox';
import { formatConnector } from '../../connectors/index.js';
import { fittingKinds, type FittingKindId } from '../fitting-kinds.js';
import { materials, type Fitting } from '../fitting.js';
import { rarities } from '../fitting-schema.js';
import { MOST_ENDS, type Body } from '../body-schema.js';
import { formatBody, formatPassages, formatPlaces, readBody, readPassages, readPlaces } from './body-notation.js';
import {
  readEnds,
  readLegs,
  readMass,
  readListed,
  readMoney,
  readOneOf,
  readQuantity,
  readWhole,
  readWords,
  readYes,
} from './read-cell.js';

/** One column of a part list: what it is called here and elsewhere, how a cell is read, how it is written. */
export interface PartColumn {
  readonly id: Exclude<keyof Fitting, 'body'>;
  /** The heading that is written, with its unit. */
  readonly name: string;
  /** Other headings that mean the same, in lower case. */
  readonly words: readonly string[];
  readonly example: string;
  readonly read: (text: string) => Fitting[keyof Fitting];
  readonly write: (fitting: Fitting) => string;
}

const column = <K extends PartColumn['id']>(
  id: K,
  name: string,
  words: string,
  example: string,
  read: (text: string) => Fitting[K],
  write: (value: NonNullable<Fitting[K]>) => string = String,
): PartColumn => ({
  id,
  name,
  words: words.split(',').map((word) => word.trim()),
  example,
  read,
  write: (fitting) => {
    const value = fitting[id];
    return value === undefined || value === null ? '' : write(value);
  },
});

const kindIds: readonly FittingKindId[] = fittingKinds.map((kind) => kind.id);
const yes = (value: boolean): string => (value ? 'yes' : '');

/** The columns of a part list, in the order in which they are written. */
export const partColumns: readonly PartColumn[] = [
  column('id', 'id', 'part id, our id', 'npt1/8m+an6m', readWords(letters.partId)),
  column('code', 'code', 'order code, article, article no, item, item no, part no, part number, sku', 'TW-2208', readWords(letters.code)),
  column('supplier', 'supplier', 'vendor, dealer, from', 'North Yard Supply', readWords(letters.supplier)),
  column('name', 'name', 'description, part, title, text', 'Adapter, npt 1/8 m to an6 m', readWords(letters.partName)),
  column('kind', 'kind', 'type, category, group', 'adapter', readOneOf(kindIds)),
  column('ends', 'ends', 'connectors, connections, threads, connection', 'npt 1/8 m + an6 m', readEnds, (ends) =>
    ends.map(formatConnector).join(' + '),
  ),
  column('angleDeg', 'angle °', 'angle, bend', '90', readQuantity('angle')),
  column('lengthMm', 'length mm', 'length, stack, stack length', '27.4', readQuantity('length')),
  column('legsMm', 'legs mm', 'legs, leg lengths', '20.6; 23.1', readLegs, (legs) => legs.join('; ')),
  column('hexMm', 'hex mm', 'hex, across flats, wrench, spanner', '15.9', readQuantity('length')),
  column('boreMm', 'bore mm', 'bore, inside diameter, id mm, through', '5.6', readQuantity('length')),
  column('massG', 'mass g', 'mass, weight, weight g', '14', readMass),
  column('material', 'material', 'metal', 'aluminium', readOneOf(materials)),
  column('rarity', 'rarity', 'availability, how common', 'by order', readOneOf(rarities)),
  column('maxBar', 'pressure bar', 'pressure, max pressure, working pressure', '175', readQuantity('pressure')),
  column('minTempC', 'least °C', 'min temperature, temperature from', '-54', readQuantity('temperature', -273)),
  column('maxTempC', 'most °C', 'max temperature, temperature, temperature to', '200', readQuantity('temperature', -273)),
  column('oneWay', 'one way', 'directional, direction', 'yes', readYes, yes),
  column('priceMinor', 'price', `net, net price, unit price, price each, cost, ${pricesIn.join(', ')}`, '8.40', readMoney, (minor) =>
    (minor / 100).toFixed(2),
  ),
  column('listed', 'listed price', 'price listed, foreign price', 'USD 9.10', readListed, formatListed),
  column('shelf', 'on shelf', 'shelf, stock, quantity, qty', '4', readWhole),
  column('leadDays', 'lead days', 'lead, lead time, delivery, delivery days', '5', readWhole),
  column('source', 'source', 'note, remark', 'measured', readWords(letters.partSource)),
];

/** One column of a part list that says something of the body of a part. */
export interface BodyColumn {
  readonly id: 'body' | 'places' | 'passages' | 'opensC' | 'fullOpenC' | 'holdsL';
  readonly name: string;
  readonly words: readonly string[];
  readonly example: string;
  readonly read: (text: string) => Partial<Body>;
  readonly write: (body: Body) => string;
}

const celsius = readQuantity('temperature', -273);
const litres = readQuantity('volume');

/** The columns of what is more than its ends: plates, filters, coolers, valves. */
export const bodyColumns: readonly BodyColumn[] = [
  { id: 'body', name: 'body', words: ['body size'], example: 'round 90 x 32', read: readBody, write: formatBody },
  {
    id: 'places',
    name: 'places of its ends',
    words: ['places', 'end places'],
    example: 'block face: down; filter face: up; to cooler: out 90° h14',
    read: (text) => ({ places: readPlaces(text) }),
    write: ({ places }) => formatPlaces(places),
  },
  {
    id: 'passages',
    name: 'passages',
    words: ['inner passages'],
    example: '1 rim - 3; 4 - 2 rim; 1 core - 2 core',
    read: (text) => ({ passages: readPassages(text) }),
    write: ({ passages }) => formatPassages(passages),
  },
  {
    id: 'opensC',
    name: 'opens °C',
    words: ['opens', 'opening temperature', 'begins to open'],
    example: '80',
    read: (text) => ({ opensC: celsius(text) }),
    write: ({ opensC }) => String(opensC ?? ''),
  },
  {
    id: 'fullOpenC',
    name: 'fully open °C',
    words: ['fully open', 'full open'],
    example: '92',
    read: (text) => ({ fullOpenC: celsius(text) }),
    write: ({ fullOpenC }) => String(fullOpenC ?? ''),
  },
  {
    id: 'holdsL',
    name: 'holds L',
    words: ['holds', 'capacity', 'volume', 'litres'],
    example: '0.8',
    read: (text) => ({ holdsL: litres(text) }),
    write: ({ holdsL }) => String(holdsL ?? ''),
  },
];

/** The columns that may stand for `ends`, one end each. */
export const endColumns = Array.from({ length: MOST_ENDS }, (_, i) => `end ${i + 1}`);

const columnKeys: readonly string[] = [...partColumns, ...bodyColumns].map((c): string => c.id).concat(endColumns);

/** Which column of the file is which: an index for each column that is there. */
export const ColumnMappingSchema = Type.Unsafe<Readonly<Record<string, number>>>(
  Type.Object(Object.fromEntries(columnKeys.map((key) => [key, Type.Optional(Type.Integer({ minimum: 0, maximum: 200 }))])), {
    additionalProperties: false,
    title: 'ColumnMapping',
  }),
);
export type ColumnMapping = Static<typeof ColumnMappingSchema>;

/** Reads the headings of a file by their names and the words others use for them. */
export function guessColumns(headings: readonly string[]): ColumnMapping {
  const plain = headings.map((h) =>
    h
      .trim()
      .toLowerCase()
      .replace(/[_.]+/g, ' ')
      .replace(/\s*[([].*$/, '')
      .trim(),
  );
  const taken = new Set<number>();
  const find = (words: readonly string[]): number => {
    const at = plain.findIndex((heading, i) => !taken.has(i) && words.includes(heading));
    if (at >= 0) taken.add(at);
    return at;
  };
  const pairs: [string, number][] = [];
  for (const { id, name } of [...partColumns, ...bodyColumns]) pairs.push([id, find([name.toLowerCase(), id.toLowerCase()])]);
  for (const end of endColumns)
    pairs.push([end, find([end, end.replace(' ', ''), end.replace('end', 'connection'), end.replace('end', 'thread')])]);
  for (const { id, words } of [...partColumns, ...bodyColumns])
    if ((pairs.find(([key]) => key === id)?.[1] ?? -1) < 0) pairs.push([id, find(words)]);
  return Object.fromEntries(pairs.filter(([, at]) => at >= 0));
}
