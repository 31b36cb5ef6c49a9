import fc from 'fast-check';
import { labelCode, readLabelCode } from './index.js';

describe('the code of a label', () => {
  it('reads back what it says, whatever the job is called', () => {
    const job = fc.stringMatching(/^[A-Za-z0-9][A-Za-z0-9 .-]{0,10}$/).filter((s) => !/-L\d/i.test(s) && s.trim() === s);
    fc.assert(
      fc.property(
        job,
        fc.integer({ min: 1, max: 999 }),
        fc.option(fc.integer({ min: 1, max: 6 }), { nil: undefined }),
        fc.constantFrom('A' as const, 'B' as const),
        (number, line, piece, end) => {
          const ticket = `${number}-L${line}${piece === undefined ? '' : `/${piece}`}`;
          expect(readLabelCode(labelCode(ticket, end))).toEqual({ job: number, line, ...(piece === undefined ? {} : { piece }), end });
        },
      ),
    );
  });
  it('is read without its first sign and its end, and nothing else is', () => {
    expect(readLabelCode('2403-l4')).toEqual({ job: '2403', line: 4 });
    expect(['2403', '#', 'oil inlet', '-L4'].map(readLabelCode)).toEqual([undefined, undefined, undefined, undefined]);
  });
});
