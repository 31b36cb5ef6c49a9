import type { Options } from 'csv-stringify/sync';

/**
 * How lists are written: RFC 4180, UTF-8 with a byte order mark, so that a spreadsheet reads the signs. A cell that it would take for a
 * formula gets an apostrophe before it (OWASP: CSV Injection); a number, or a dash size like -6, is what it says.
 */
export const written: Options = { bom: true, record_delimiter: 'windows', cast: { string: disarmed } };

export function disarmed(cell: string): string {
  return /^[=+\-@\t\r]/.test(cell) && !/^-\d+([.,]\d+)?$/.test(cell) ? `'${cell}` : cell;
}
