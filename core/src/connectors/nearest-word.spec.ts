import fc from 'fast-check';
import { editDistance, nearestWord } from './nearest-word.js';
import { scanNotation } from './scan-notation.js';

const word = fc.stringMatching(/^[a-z]{0,8}$/);

describe('editDistance', () => {
  it('is a distance: none to itself, the same both ways, no more than the longer word', () => {
    fc.assert(
      fc.property(word, word, (a, b) => {
        expect(editDistance(a, a)).toBe(0);
        expect(editDistance(a, b)).toBe(editDistance(b, a));
        expect(editDistance(a, b)).toBeLessThanOrEqual(Math.max(a.length, b.length));
        expect(editDistance(a, b)).toBeGreaterThanOrEqual(Math.abs(a.length - b.length));
      }),
    );
  });

  it('counts two letters swapped as one slip', () => expect(editDistance('npt', 'ntp')).toBe(1));
});

describe('nearestWord', () => {
  it('guesses what is close and keeps silent about what is not', () => {
    const known = ['npt', 'orb', 'female', 'washer'];
    expect(nearestWord('ntp', known)).toBe('npt');
    expect(nearestWord('femlae', known)).toBe('female');
    expect(nearestWord('wascher', known)).toBe('washer');
    expect(nearestWord('xyz', known)).toBeUndefined();
  });
});

describe('scanNotation', () => {
  it('covers the text: tokens in order, each at its place, nothing lost but gaps', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        let end = 0;
        for (const token of scanNotation(text)) {
          expect(text.slice(token.position, token.position + token.text.length)).toBe(token.text);
          expect(text.slice(end, token.position)).toMatch(/^[\s,;()[\].°-]*$/);
          end = token.position + token.text.length;
        }
        expect(text.slice(end)).toMatch(/^[\s,;()[\].°-]*$/);
      }),
    );
  });

  it.each([
    ['m14x1.5', ['metric']],
    ['m 14 x 1.5', ['metric']],
    ['an m 6', ['word', 'word', 'number']],
    ['npt m 1/8', ['word', 'word', 'fraction']],
    ['9/16-18', ['inch-thread']],
    ['1 1/16-12', ['inch-thread']],
    ['1-1/4', ['fraction']],
    ['-10', ['dash']],
    ['#6', ['dash']],
    ['10mm', ['millimetres']],
  ])('takes %s apart as %j', (text, kinds) => expect(scanNotation(text).map((t) => t.kind)).toEqual(kinds));
});
