import { formatListed, type ListMoney } from '../listed-price.js';
import { CellError, readMoney } from './read-cell.js';

interface Priced {
  readonly rows: readonly (readonly string[])[];
  readonly mapping: Readonly<Record<string, number>>;
}

/**
 * The rows of a list in other money as rows in euros, each with what the list says beside it. A price that is not in the money of the list
 * stays as it is, with a word about it.
 *
 * @param mapping which column is which; nothing changes where no prices are taken
 */
export function inEuros<M extends Priced['mapping']>(
  rows: Priced['rows'],
  mapping: M,
  { currency, euros }: ListMoney,
): {
  readonly rows: string[][];
  readonly mapping: M;
  readonly errors: { readonly line: number; readonly column: string; readonly message: string }[];
} {
  const at = mapping['priceMinor'];
  const errors: { line: number; column: string; message: string }[] = [];
  if (at === undefined) return { rows: rows.map((row) => [...row]), mapping, errors };
  const beside = Math.max(at, ...rows.map((row) => row.length), ...Object.values(mapping)) + 1;
  const next = rows.map((row, i) => {
    const cells = [...row];
    const text = (row[at] ?? '').trim();
    if (text === '') return cells;
    try {
      const minor = readMoney(text, currency);
      cells[at] = (Math.round(minor * euros) / 100).toFixed(2);
      while (cells.length < beside) cells.push('');
      cells[beside] = formatListed({ currency, minor });
    } catch (error) {
      if (!(error instanceof CellError)) throw error;
      errors.push({ line: i + 2, column: 'price', message: error.message });
      cells[at] = '';
    }
    return cells;
  });
  return { rows: next, mapping: { ...mapping, listed: beside }, errors };
}
