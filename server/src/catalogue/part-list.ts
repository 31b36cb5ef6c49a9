import {
  entriesIn,
  fieldsOf,
  formatConnector,
  guessColumns,
  guessPlainColumns,
  headOf,
  inEuros,
  otherMoney,
  readParts,
  readPlainList,
  sectionOf,
  withShelves,
  writeParts as partList,
  writtenField,
  writePlainList,
  type Fitting,
  type LineError,
  type ListMoney,
  type ListPreview,
  type PartEntry,
  type PartSection,
  type ShopChange,
} from '@gewinde/core';
import { stringify } from 'csv-stringify/sync';
import type { Knex } from 'knex';
import type { Entity } from '../database/entities.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { changeRows } from '../history/change-rows.js';
import { asShopChange, type Sender } from '../history/change.js';
import { readCatalogue } from './catalogue-store.js';
import { readCsv, type List } from '../csv/read-csv.js';
import { written } from '../csv/written.js';

type Mapping = Readonly<Record<string, number>>;

/** Lines and errors shown in a preview. */
const SHOWN = 50;

interface Read {
  readonly added: readonly PartEntry[];
  readonly changed: readonly PartEntry[];
  readonly unchanged: number;
  readonly shelves: number;
  readonly errors: readonly LineError[];
}

/** The lines of a list as parts of its section. */
async function readList(
  db: Knex,
  list: List,
  section: PartSection,
  given: Mapping,
  money: ListMoney | undefined,
  counted: boolean,
): Promise<Read> {
  const catalogue = await readCatalogue(db);
  const { rows, mapping, errors: inOther } = money ? inEuros(list.rows, given, money) : { ...list, mapping: given, errors: [] };
  const errors = [...moneyOf(list.headings, given, money), ...inOther];
  if (section !== 'fitting') {
    const read = readPlainList(rows, mapping, section, entriesIn(catalogue, section));
    return left(read, entriesIn(catalogue, section), counted, [...errors, ...read.errors]);
  }
  const { added, changed, unchanged, errors: others } = readParts(rows, mapping, catalogue.fittings);
  const entry = (part: Fitting): PartEntry => ({ kind: 'fitting', part });
  const read = { added: added.map(entry), changed: changed.map(entry), unchanged };
  return left(read, catalogue.fittings.map(entry), counted, [...errors, ...others]);
}

/** With the shelves as they are to be. */
function left(
  { added, changed, unchanged }: Pick<Read, 'added' | 'changed' | 'unchanged'>,
  known: readonly PartEntry[],
  counted: boolean,
  errors: readonly LineError[],
): Read {
  const said = withShelves(changed, known, counted);
  return { added, changed: said.changed, unchanged: unchanged + said.unchanged, shelves: said.shelves, errors };
}

/** What is wrong where the heading over the prices names other money. */
function moneyOf(headings: readonly string[], { priceMinor }: Mapping, money?: ListMoney): LineError[] {
  const message = priceMinor === undefined ? undefined : otherMoney(headings[priceMinor] ?? '', money?.currency);
  return message === undefined ? [] : [{ line: 1, column: 'price', message }];
}

/** What a list would do to the catalogue, without doing it. @throws {AppError} list-unreadable */
export async function previewList(
  db: Knex,
  csv: string,
  section: PartSection = 'fitting',
  mapping?: Mapping,
  money?: ListMoney,
  counted = false,
): Promise<ListPreview> {
  const list = readCsv(csv);
  const { headings, rows } = list;
  const used = mapping ?? (section === 'fitting' ? guessColumns(headings) : guessPlainColumns(headings, section));
  const read = await readList(db, list, section, used, money, counted);
  return {
    headings,
    sample: rows.slice(0, 5),
    lines: rows.length,
    mapping: used,
    added: read.added.slice(0, SHOWN).map(listed),
    changed: read.changed.slice(0, SHOWN).map(listed),
    counts: {
      added: read.added.length,
      changed: read.changed.length,
      unchanged: read.unchanged,
      shelves: read.shelves,
      errors: read.errors.length,
    },
    errors: read.errors.slice(0, SHOWN),
  };
}

/** A part as a preview shows it: by its ends, or by the figures of its kind. */
function listed(entry: PartEntry): ListPreview['added'][number] {
  const { name, code, priceMinor } = headOf(entry);
  const ends =
    entry.kind === 'fitting'
      ? entry.part.ends.map(formatConnector)
      : entry.kind === 'hose end'
        ? [formatConnector(entry.part.connector)]
        : [];
  const says = fieldsOf(sectionOf(entry)).flatMap((field) => writtenField(entry, field) || []);
  return {
    name,
    ...(code ? { code } : {}),
    says: [...ends, ...says].join(entry.kind === 'fitting' ? ' + ' : ' · '),
    ...(priceMinor === undefined ? {} : { priceMinor }),
  };
}

/** Takes a list in, all of it or nothing. @throws {AppError} list-unreadable, list-errors */
export async function importList(
  db: Knex,
  csv: string,
  section: PartSection,
  mapping: Mapping,
  money: ListMoney | undefined,
  counted: boolean,
  sender: Sender,
): Promise<ShopChange> {
  const list = readCsv(csv);
  const change = await changeRows(db, 'shop', sender, async (trx) => {
    const read = await readList(trx, list, section, mapping, money, counted);
    const first = read.errors[0];
    if (first)
      throw new AppError('list-errors', `Line ${first.line}: ${first.message} Nothing was taken in.`, { field: first.column ?? 'csv' });
    const locked = await lockRows(
      trx,
      'part',
      [...read.changed, ...read.added].map(({ part }) => part.id),
    );
    const taken = read.added.find(({ part }) => locked.has(part.id));
    if (taken)
      throw new AppError('list-errors', `The id "${taken.part.id}" belongs to another kind of part. Nothing was taken in.`, {
        field: 'id',
      });
    const row = (entry: PartEntry): Entity => ({
      type: 'part',
      row: { id: entry.part.id, version: (locked.get(entry.part.id)?.version ?? 0) + 1, origin: 'import', ...entry },
    });
    const made = read.added.map(row);
    const changed = read.changed.map(row);
    await writeRows(trx, { made, changed, gone: [] }).catch((error: unknown) => {
      if ((error as { code?: string }).code !== 'ER_DUP_ENTRY') throw error;
      throw new AppError('list-errors', 'Two parts would have the same id or code but for case, accents or blanks. Nothing was taken in.', {
        field: 'csv',
      });
    });
    return {
      label: `Import a list: ${made.length} new, ${changed.length} changed`,
      before: [...locked.values()].map((part): Entity => ({ type: 'part', row: part })),
      after: [...made, ...changed],
    };
  });
  return asShopChange(change);
}

/** A section of the catalogue as CSV, without the retired parts. */
export async function exportList(db: Knex, section: PartSection = 'fitting'): Promise<string> {
  const catalogue = await readCatalogue(db);
  const { headings, rows } =
    section === 'fitting'
      ? partList(catalogue.fittings.filter((f) => !f.retired))
      : writePlainList(
          entriesIn(catalogue, section).filter(({ part }) => !part.retired),
          section,
        );
  return stringify([headings, ...rows], written);
}
