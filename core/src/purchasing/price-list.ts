import { CellError, readMoney, readWhole, type LineError } from '../fittings/index.js';
import { findEntry, soldByLength, type Catalogue, type PartEntry } from '../job/index.js';
import { folded } from '../schema/index.js';
import { offerProblem, type OfferRow, type SupplierRow } from '../stock/index.js';

/** The columns of a supplier's price list, by the words suppliers use. */
export const priceColumns: readonly { readonly id: string; readonly name: string; readonly words: readonly string[] }[] = [
  {
    id: 'code',
    name: 'code',
    words: ['order code', 'article', 'article no', 'item', 'item no', 'part number', 'part no', 'sku', 'number'],
  },
  { id: 'part', name: 'part id', words: ['our part', 'our id', 'id', 'our part id'] },
  { id: 'pack', name: 'pack', words: ['pack size', 'per pack', 'pieces', 'unit', 'quantity', 'qty', 'length', 'metres', 'meters'] },
  { id: 'price', name: 'price', words: ['net', 'net price', 'unit price', 'pack price', 'cost', 'price 1'] },
  ...[2, 3, 4].flatMap((n) => [
    { id: `from${n}`, name: `from ${n}`, words: [`from packs ${n}`, `qty ${n}`, `break ${n}`] },
    { id: `price${n}`, name: `price ${n}`, words: [`net ${n}`, `break price ${n}`] },
  ]),
  { id: 'lead', name: 'lead days', words: ['lead', 'lead time', 'delivery', 'delivery days', 'days'] },
];

type Mapping = Readonly<Record<string, number>>;
type Fields = Omit<OfferRow, 'id' | 'version'>;

/** Which heading is which column. */
export function guessPriceColumns(headings: readonly string[]): Mapping {
  const plain = headings.map((h) =>
    folded(h)
      .trim()
      .replace(/[_.]+/g, ' ')
      .replace(/\s*[([].*$/, '')
      .trim(),
  );
  const taken = new Set<number>();
  return Object.fromEntries(
    priceColumns.flatMap(({ id, name, words }) => {
      const at = plain.findIndex((h, i) => !taken.has(i) && (h === name || words.includes(h)));
      if (at < 0) return [];
      taken.add(at);
      return [[id, at]];
    }),
  );
}

export interface ReadPrices {
  readonly added: readonly Fields[];
  readonly changed: readonly { readonly before: OfferRow; readonly offer: Fields }[];
  readonly unchanged: number;
  readonly errors: readonly LineError[];
}

/**
 * Reads a supplier's price list, in its own money. A line is matched by the supplier's code, else by the id of the part, else by the code the catalogue
 * has for it; one without a code by the offer of its part that has none. Each line is an offer that is new, changed or as it was, or an error that says why.
 */
export function readPriceList(
  rows: readonly (readonly string[])[],
  mapping: Mapping,
  supplier: SupplierRow,
  offers: readonly OfferRow[],
  catalogue: Catalogue,
  byCode: ReadonlyMap<string, PartEntry>,
): ReadPrices {
  const own = offers.filter((o) => o.supplierId === supplier.id);
  const offered = new Map(own.flatMap((o) => (o.code ? [[folded(o.code), o] as const] : [])));
  const codeless = new Map(own.flatMap((o) => (!o.code && o.holds.length === 1 ? [[o.holds[0]!.part, o] as const] : [])));
  const result = { added: [] as Fields[], changed: [] as { before: OfferRow; offer: Fields }[], unchanged: 0, errors: [] as LineError[] };
  const seen = new Map<string, number>();
  if (mapping['price'] === undefined || (mapping['code'] === undefined && mapping['part'] === undefined))
    return {
      ...result,
      errors: [
        { line: 1, column: 'price', message: 'A price list has a column of codes or part ids, and one of prices. Say which they are.' },
      ],
    };
  rows.forEach((row, i) => {
    const line = i + 2;
    if (row.every((cell) => cell.trim() === '')) return;
    const problems: LineError[] = [];
    const cell = (id: string): string => (mapping[id] === undefined ? '' : (row[mapping[id]] ?? '').trim());
    const read = <T>(id: string, how: (text: string) => T): T | undefined => {
      if (cell(id) === '') return undefined;
      try {
        return how(cell(id));
      } catch (error) {
        if (!(error instanceof CellError)) throw error;
        problems.push({ line, column: id, message: error.message });
        return undefined;
      }
    };
    const code = cell('code');
    const before = code ? offered.get(folded(code)) : codeless.get(cell('part'));
    const entry = cell('part') ? findEntry(catalogue, cell('part')) : before ? undefined : byCode.get(folded(code));
    if (before && before.holds.length > 1)
      return void result.errors.push({ line, column: 'code', message: `"${code}" is a kit: its price is changed in the offer itself.` });
    const part = entry?.part.id ?? before?.holds[0]?.part;
    const held = before?.holds[0]?.part;
    if (part !== undefined && held !== undefined && part !== held)
      return void result.errors.push({
        line,
        column: 'part',
        message: `"${code}" is offered as ${findEntry(catalogue, held)?.part.name ?? held}: which part it is, is changed in the offer itself.`,
      });
    if (part === undefined) {
      const what = cell('part') ? `part "${cell('part')}"` : `code "${code}"`;
      return void result.errors.push({
        line,
        column: cell('part') ? 'part' : 'code',
        message: `The catalogue has no ${what}: add the part, or give its id in a column of its own.`,
      });
    }
    const key = folded(code) || part;
    if (seen.has(key))
      return void result.errors.push({ line, column: 'code', message: `"${code || part}" stands in line ${seen.get(key)} already.` });
    seen.set(key, line);
    const long = soldByLength(entry ?? findEntry(catalogue, part)!);
    const pack = read('pack', long ? readMetres : (text) => readWhole(text.replace(/\s*(pcs?|pieces|st|x)\.?$/i, '')));
    const money = (text: string): number => readMoney(text, supplier.currency);
    const price = read('price', money);
    const lead = read('lead', (text) => readWhole(text.replace(/\s*(d|days?|tage?)$/i, '')));
    const breaks = [2, 3, 4].flatMap((n) => {
      const [fromPacks, packMinor] = [read(`from${n}`, readWhole), read(`price${n}`, money)];
      if ((fromPacks === undefined) !== (packMinor === undefined) && problems.length === 0)
        problems.push({ line, column: `price${n}`, message: 'A price break has both: from how many, and how much.' });
      return fromPacks === undefined || packMinor === undefined ? [] : [{ fromPacks, packMinor }];
    });
    if (price === undefined && problems.length === 0) problems.push({ line, column: 'price', message: `"${code || part}" has no price.` });
    if (pack !== undefined && pack < 1) problems.push({ line, column: 'pack', message: 'A pack holds something.' });
    const offer: Fields = {
      supplierId: supplier.id,
      ...(code ? { code } : {}),
      ...(before?.name ? { name: before.name } : {}),
      holds: [{ part, quantity: pack ?? before?.holds[0]?.quantity ?? (long ? 1000 : 1) }],
      prices: [{ fromPacks: 1, packMinor: price ?? 0 }, ...breaks],
      ...((lead ?? before?.leadDays) === undefined ? {} : { leadDays: lead ?? before!.leadDays! }),
      ...((before?.oneLength ?? (long && pack === undefined)) ? { oneLength: true as const } : {}),
    };
    const problem = problems.length === 0 ? offerProblem(offer) : undefined;
    if (problem) problems.push({ line, column: 'price', message: problem.message });
    if (problems.length > 0) return void result.errors.push(...problems);
    if (!before) result.added.push(offer);
    else if (told(before) === told(offer)) result.unchanged += 1;
    else result.changed.push({ before, offer });
  });
  return result;
}

const told = ({ code, holds, prices, leadDays, oneLength }: Fields): string => JSON.stringify([code, holds, prices, leadDays, oneLength]);

/** Metres of a pack: `5`, `5 m`, `2,5 m`, `500 mm`; in millimetres. */
function readMetres(text: string): number {
  const found = /^(\d+(?:[.,]\d+)?)\s*(mm|cm|m|ft)?$/i.exec(text.trim());
  if (!found) throw new CellError(`"${text}" is no length. Type it as 5 m.`);
  const mm = Number(found[1]!.replace(',', '.')) * { mm: 1, cm: 10, m: 1000, ft: 304.8 }[(found[2] ?? 'm').toLowerCase()]!;
  return Math.round(mm);
}
