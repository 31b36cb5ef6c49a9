import fc from 'fast-check';
import { boreSizeMm, everyConnector, familyById, flangeFigures, meetInSize, parseConnector, sizeGroup } from './index.js';

const anyConnector = fc.constantFrom(...everyConnector());

describe('sizes that meet', () => {
  it('do so whichever comes first, always within one group, and are equal but for hose', () => {
    fc.assert(
      fc.property(anyConnector, anyConnector, (a, b) => {
        expect(meetInSize(a, b)).toBe(meetInSize(b, a));
        if (a.size !== b.size && meetInSize(a, b)) expect([sizeGroup(a), sizeGroup(b)]).toEqual(['hose', 'hose']);
      }),
      { numRuns: 2000 },
    );
  });

  it('are within four in a hundred, but for what is joined by custom', () => {
    const bores = familyById('barb').sizes.map((size) => parseConnector(`barb ${size}`));
    for (const a of bores)
      for (const b of bores) {
        const [small, large] = [boreSizeMm(a.size), boreSizeMm(b.size)].sort((x, y) => x - y) as [number, number];
        const custom = Math.abs(small - 9.525) < 0.01 && large === 10;
        expect(meetInSize(a, b)).toBe(large - small <= 0.04 * large || custom);
      }
  });

  it.each([
    ['2x44 bore20', { apartMm: 44, boreMm: 20 }],
    ['2x38 m6 bore14', { apartMm: 38, bolt: 'M6', boreMm: 14 }],
    ['2x38.1 m8 bore16.5', { apartMm: 38.1, bolt: 'M8', boreMm: 16.5 }],
  ])('of a flange are read: %s', (size, figures) => expect(flangeFigures(size)).toEqual(figures));
  it('of no flange are refused', () => expect(() => flangeFigures('2x44 m7 bore20')).toThrow(RangeError));
});
