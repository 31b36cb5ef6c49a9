import fc from 'fast-check';
import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import { disarmed, written } from './written.js';

it.each([
  ['=cmd(1)', "'=cmd(1)"],
  ['+1+2', "'+1+2"],
  ['@sum', "'@sum"],
  ['-6 hose', "'-6 hose"],
  ['-54', '-54'],
  ['+1.5', "'+1.5"],
  ['-2,5', '-2,5'],
  ['an6', 'an6'],
])('%s is written as %s', (cell, said) => expect(disarmed(cell)).toBe(said));

it('a list is read as it was written, and no cell of it is a formula (property)', () => {
  const cell = fc.oneof(
    fc.string(),
    fc.string().map((text) => `=${text}`),
    fc.integer().map(String),
  );
  fc.assert(
    fc.property(fc.array(fc.array(cell, { minLength: 2, maxLength: 2 }), { minLength: 1, maxLength: 5 }), (rows) => {
      const read: string[][] = parse(stringify(rows, written), { bom: true });
      expect(read).toEqual(rows.map((row) => row.map(disarmed)));
      for (const one of read.flat()) expect(one).not.toMatch(/^[=@\t\r]/);
    }),
  );
});
