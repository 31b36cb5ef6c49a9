import type { Fitting } from '../fitting.js';
import { partColumns } from './columns.js';

/** Headings and cells of a part list; reading them again gives the same parts. */
export function writeParts(fittings: readonly Fitting[]): { readonly headings: string[]; readonly rows: string[][] } {
  return {
    headings: partColumns.map((column) => column.name),
    rows: fittings.map((fitting) => partColumns.map((column) => column.write(fitting))),
  };
}
