import type { Fitting } from '../fitting.js';
import { bodyColumns, partColumns } from './columns.js';

/** Headings and cells of a part list; reading them again gives the same parts. */
export function writeParts(fittings: readonly Fitting[]): { readonly headings: string[]; readonly rows: string[][] } {
  // a list of plain fittings needs no columns for what none of them has
  const bodies = fittings.some((fitting) => fitting.body) ? bodyColumns : [];
  return {
    headings: [...partColumns, ...bodies].map((column) => column.name),
    rows: fittings.map((fitting) => [
      ...partColumns.map((column) => column.write(fitting)),
      ...bodies.map((column) => (fitting.body ? column.write(fitting.body) : '')),
    ]),
  };
}
