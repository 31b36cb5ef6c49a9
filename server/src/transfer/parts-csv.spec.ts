import type { PartRow, PartsList } from '@gewinde/core';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { partsCsv } from './parts-csv.js';

const list = (rows: PartRow[]): PartsList => ({ rows, totalMinor: 0, unpriced: 0, incomplete: [] });
const row = (change: Partial<PartRow>): PartRow => ({
  group: 'hose',
  id: 'hose-ptfe-6',
  name: 'PTFE hose, -6',
  quantity: 629,
  unit: 'mm',
  unitPriceMinor: 1470,
  priceMinor: 925,
  shelf: 6,
  leadDays: 2,
  lines: [4, 7],
  components: [],
  ...change,
});

describe('partsCsv', () => {
  it('gives hose in metres and in inches, money with two decimals, lines by their number', () => {
    expect(partsCsv(list([row({})])).split('\r\n')[1]).toBe('hose,hose-ptfe-6,"PTFE hose, -6",0.629,m,24 3/4,6,2,14.70,9.25,L4 L7');
  });

  it('leaves prices that are not known empty', () => {
    const seal: PartRow = { group: 'seals', id: 'ring', name: 'O-ring', quantity: 3, unit: 'pc', lines: [1], components: ['Plate'] };
    expect(partsCsv(list([seal])).split('\r\n')[1]).toBe('seals,ring,O-ring,3,pc,,,,,,L1 Plate');
  });

  it('never lets a name become a formula, and leaves a number what it is', () => {
    fc.assert(
      fc.property(fc.constantFrom('=', '+', '-', '@', '\t'), fc.string({ maxLength: 20 }), (sign, rest) => {
        const lines: string[][] = parse(partsCsv(list([row({ name: `${sign}${rest}` })])), { bom: true });
        const cell = lines[1]![2]!;
        if (!/^-\d+([.,]\d+)?$/.test(cell)) expect(cell).toMatch(/^'/);
      }),
    );
  });
});
