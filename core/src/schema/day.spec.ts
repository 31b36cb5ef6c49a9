import fc from 'fast-check';
import { Check } from 'typebox/value';
import { Day } from './day.js';

describe('a day', () => {
  it('is one of the calendar, whichever day of it, and no other', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: 0, max: 13 }),
        fc.integer({ min: 0, max: 32 }),
        (year, month, day) => {
          const text = [String(year).padStart(4, '0'), ...[month, day].map((n) => String(n).padStart(2, '0'))].join('-');
          const date = new Date(`${text}T00:00:00Z`);
          // a date that the calendar does not have is another one there, or none
          expect(Check(Day, text)).toBe(!Number.isNaN(date.getTime()) && date.toISOString().slice(0, 10) === text);
        },
      ),
      { numRuns: 3000 },
    );
  });

  it.each(['2024-02-29', '2000-02-29', '2026-11-30'])('is %s', (text) => expect(Check(Day, text)).toBe(true));
  it.each(['2026-02-29', '1900-02-29', '2026-02-31', '2026-04-31', '2026-11-26 ', '26-11-2026', ''])('is not "%s"', (text) =>
    expect(Check(Day, text)).toBe(false),
  );
});
