import { listLimits } from '@gewinde/core';
import { CsvError, parse } from 'csv-parse/sync';
import { AppError } from '../errors/app-error.js';

/** No list of parts has more, and some would keep everybody else waiting. */
const { lines: MOST_LINES, columns: MOST_COLUMNS, lettersOfCell: MOST_LETTERS } = listLimits;

export interface List {
  readonly headings: string[];
  readonly rows: string[][];
}

/** Headings and cells of a list; comma, semicolon or tab, whichever the first line has most of. @throws {AppError} list-unreadable */
export function readCsv(csv: string): List {
  refuseTooMany(csv.length, listLimits.letters, 'letters in the list');
  const firstLine = csv.slice(0, csv.search(/\r|\n|$/));
  refuseTooMany(firstLine.length, MOST_COLUMNS * 200, 'letters in the line of headings');
  const delimiter = [',', ';', '\t'].reduce((best, d) => (firstLine.split(d).length > firstLine.split(best).length ? d : best));
  let table: string[][];
  refuseTooMany(firstLine.split(delimiter).length, MOST_COLUMNS, 'columns');
  try {
    table = parse(csv, {
      bom: true,
      delimiter,
      relax_column_count: true,
      skip_empty_lines: false,
      trim: true,
      max_record_size: MOST_COLUMNS * 500,
      // one more than may be, so that it is told
      to: MOST_LINES + 2,
    });
  } catch (error) {
    if (!(error instanceof CsvError)) throw error;
    throw new AppError('list-unreadable', `This is not a CSV list: ${error.message}.`, { field: 'csv' });
  }
  const [headings, ...rows] = table;
  if (!headings || headings.every((h) => h === ''))
    throw new AppError('list-unreadable', 'The list is empty: its first line should be the headings.', { field: 'csv' });
  if (rows.length > MOST_LINES)
    throw new AppError('list-unreadable', `The list has more than ${MOST_LINES} lines. Split it.`, { field: 'csv' });
  for (const [i, row] of table.entries()) {
    refuseTooMany(row.length, MOST_COLUMNS, `columns in line ${i + 1}`);
    for (const cell of row) refuseTooMany(cell.length, MOST_LETTERS, `letters in a cell of line ${i + 1}`);
  }
  // a formula disarmed on the way out is taken as it was
  return { headings, rows: rows.map((row) => row.map((cell) => cell.replace(/^'(?=[=+\-@\t\r])/, ''))) };
}

function refuseTooMany(count: number, most: number, what: string): void {
  if (count > most) throw new AppError('list-unreadable', `${count} ${what}, and ${most} are the most.`, { field: 'csv' });
}
