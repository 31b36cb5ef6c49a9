import { formatInches, inHouseUnits, type PartsList } from '@gewinde/core';
import { stringify } from 'csv-stringify/sync';
import { written } from '../csv/written.js';

/** The parts list as CSV. */
export function partsCsv(list: PartsList): string {
  const rows = list.rows.map((row) => ({
    group: row.group,
    id: row.id,
    part: inHouseUnits(row.name, 'metric'),
    quantity: row.unit === 'mm' ? (row.quantity / 1000).toFixed(3) : String(row.quantity),
    unit: row.unit === 'mm' ? 'm' : row.unit,
    inches: row.unit === 'mm' ? formatInches(row.quantity / 25.4) : '',
    shelf: row.shelf === undefined ? '' : String(row.shelf),
    leadDays: row.leadDays === undefined ? '' : String(row.leadDays),
    unitPrice: money(row.unitPriceMinor),
    price: money(row.priceMinor),
    lines: [...row.lines.map((n) => `L${n}`), ...row.components].join(' '),
  }));
  return stringify(rows, {
    ...written,
    header: true,
    columns: {
      group: 'group',
      id: 'part id',
      part: 'part',
      quantity: 'quantity',
      unit: 'unit',
      inches: 'inches',
      shelf: 'on shelf',
      leadDays: 'lead days',
      unitPrice: 'price each',
      price: 'price',
      lines: 'lines',
    },
  });
}

function money(minor: number | undefined): string {
  return minor === undefined ? '' : (minor / 100).toFixed(2);
}
