import {
  guessColumns,
  readParts,
  writeParts as partList,
  type CataloguePart,
  type ColumnMapping,
  type ListPreview,
  type ShopChange,
} from '@gewinde/core';
import { CsvError, parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import type { Knex } from 'knex';
import type { Entity } from '../database/entities.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { changeRows } from '../history/change-rows.js';
import { asShopChange, type Sender } from '../history/change.js';
import { readCatalogue } from './catalogue-store.js';

/** Most lines of one list. */
export const MOST_LINES = 20_000;
/** Lines and errors shown in a preview. */
const SHOWN = 50;

/** What a list would do to the catalogue, without doing it. @throws {AppError} list-unreadable */
export async function previewList(db: Knex, csv: string, mapping?: ColumnMapping): Promise<ListPreview> {
  const { headings, rows } = readCsv(csv);
  const used = mapping ?? guessColumns(headings);
  const read = readParts(rows, used, (await readCatalogue(db)).fittings);
  return {
    headings,
    sample: rows.slice(0, 5),
    lines: rows.length,
    mapping: used,
    added: read.added.slice(0, SHOWN),
    changed: read.changed.slice(0, SHOWN),
    counts: { added: read.added.length, changed: read.changed.length, unchanged: read.unchanged, errors: read.errors.length },
    errors: read.errors.slice(0, SHOWN),
  };
}

/** Takes a list in, all of it or nothing. @throws {AppError} list-unreadable, list-errors */
export async function importList(db: Knex, csv: string, mapping: ColumnMapping, sender: Sender): Promise<ShopChange> {
  const { rows } = readCsv(csv);
  const change = await changeRows(db, 'shop', sender, async (trx) => {
    const read = readParts(rows, mapping, (await readCatalogue(trx)).fittings);
    const first = read.errors[0];
    if (first)
      throw new AppError('list-errors', `Line ${first.line}: ${first.message} Nothing was taken in.`, { field: first.column ?? 'csv' });
    const ids = read.changed.map((f) => f.id);
    const locked = await lockRows(trx, 'part', ids);
    const before = [...locked.values()];
    const row = (fitting: CataloguePart['fitting']): Entity => ({
      type: 'part',
      row: { id: fitting.id, fitting, version: (locked.get(fitting.id)?.version ?? 0) + 1, origin: 'import' },
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
      before: before.map((part): Entity => ({ type: 'part', row: part })),
      after: [...made, ...changed],
    };
  });
  return asShopChange(change);
}

/** The catalogue as CSV, without the retired parts; cells that a spreadsheet would take for a formula are disarmed. */
export async function exportList(db: Knex): Promise<string> {
  const { headings, rows } = partList((await readCatalogue(db)).fittings.filter((f) => !f.retired));
  return stringify([headings, ...rows], { bom: true, escape_formulas: true, record_delimiter: 'windows' });
}

/** Headings and cells of a list; comma, semicolon or tab, whichever the first line has most of. @throws {AppError} list-unreadable */
function readCsv(csv: string): { headings: string[]; rows: string[][] } {
  const firstLine = csv.slice(0, csv.search(/\r|\n|$/));
  const delimiter = [',', ';', '\t'].reduce((best, d) => (firstLine.split(d).length > firstLine.split(best).length ? d : best));
  let table: string[][];
  try {
    table = parse(csv, { bom: true, delimiter, relax_column_count: true, skip_empty_lines: false, trim: true });
  } catch (error) {
    if (!(error instanceof CsvError)) throw error;
    throw new AppError('list-unreadable', `This is not a CSV list: ${error.message}.`, { field: 'csv' });
  }
  const [headings, ...rows] = table;
  if (!headings || headings.every((h) => h === ''))
    throw new AppError('list-unreadable', 'The list is empty: its first line should be the headings.', { field: 'csv' });
  if (rows.length > MOST_LINES)
    throw new AppError('list-unreadable', `The list has ${rows.length} lines, and ${MOST_LINES} are the most. Split it.`, { field: 'csv' });
  // a formula disarmed on the way out is taken as it was
  return { headings, rows: rows.map((row) => row.map((cell) => cell.replace(/^'(?=[=+\-@\t\r])/, ''))) };
}
