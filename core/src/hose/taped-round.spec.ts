import { convert } from '../units/index.js';
import { formatCut, hoseLimits, roundMinusStraight, standardHoseEnds, standardHoses, straightened } from './index.js';

const ends = standardHoseEnds();

describe('a length taped round a bend', () => {
  it('reads too long by more the more the end turns, and by nothing at a straight one', () => {
    for (const dash of [4, 6, 8, 10, 12, 16]) {
      const off = [0, 30, 45, 60, 90, 120, 150].map((angle) =>
        roundMinusStraight(ends.find((e) => e.id === `end-ptfe-${dash}-${angle}`)!)!,
      );
      expect(off[0]).toBe(0);
      expect(off).toEqual([...off].sort((a, b) => a - b));
    }
  });

  it('is the same whichever end is which, and never longer than it was taped', () => {
    const [a, b] = ['end-ptfe-8-45', 'end-ptfe-8-120'].map((id) => ends.find((e) => e.id === id)!);
    expect(straightened(800, a!, b!)).toBe(straightened(800, b!, a!));
    expect(straightened(800, a!, b!)).toBeLessThan(800);
  });
});

describe('a length to cut to', () => {
  it('is never short, in inches either', () => {
    for (let mm = 100; mm < 700; mm++) {
      const text = formatCut(mm, 'inch', true);
      const [, whole = '0', top = '0', bottom = '1'] = /^(?:(\d+)(?: |$))?(?:(\d+)\/(\d+))?$/.exec(text)!;
      const cut = convert(Number(whole) + Number(top) / Number(bottom), 'in', 'mm');
      expect(cut).toBeGreaterThan(mm - 0.01);
      expect(cut).toBeLessThan(mm + 1.6);
    }
    expect(formatCut(514.39, 'inch')).toBe('20 5/16\u2009in');
  });
});

it('says what a hose bears in the units of the house', () => {
  const hose = standardHoses().find((h) => h.id === 'hose-ptfe-10')!;
  expect(hoseLimits(hose)).toBe('up to 55\u2009bar, −54 to 204\u2009°C, bends at 165\u2009mm');
  expect(hoseLimits(hose, 'inch')).toMatch(/psi, .*°F, bends at 6 1\/2/);
});
