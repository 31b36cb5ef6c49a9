import fc from 'fast-check';
import { formatInches, formatQuantity, parseQuantity, QuantitySyntaxError } from './index.js';

const mm = (text: string, options = {}) => parseQuantity(text, 'length', options).value;

describe('parseQuantity', () => {
  it.each([
    ['5/16', 7.9375],
    ['1 1/16', 26.9875],
    ['1-1/16', 26.9875],
    ['0.3125 in', 7.9375],
    ['7,94', 7.94],
    ['7.94 mm', 7.94],
    ['.5in', 12.7],
    ['2 ft 3 in', 685.8],
    ['5 ft 3', 1600.2],
    ['½', 12.7],
    ['26⅛', 663.575],
    ['2 ft 3 ½', 698.5],
    ['26 1/8"', 663.575],
    ['1.2 m', 1200],
    ['  664  ', 664],
    ['664 mm', 664],
  ])('reads %s', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9));

  it('takes a bare number in the house unit', () => {
    expect(mm('2', { system: 'inch' })).toBeCloseTo(50.8);
    expect(parseQuantity('40', 'pressure', { system: 'inch' }).unit).toBe('psi');
  });

  it('reads a dash size only where one is asked for', () => {
    expect(mm('-10', { dash: true })).toBeCloseTo(15.875);
    expect(mm('-10')).toBe(-10);
  });

  it('reads other kinds', () => {
    expect(parseQuantity('58 psi', 'pressure').value).toBeCloseTo(3.999, 3);
    expect(parseQuantity('18 lbf·ft', 'torque').value).toBeCloseTo(24.405, 3);
    expect(parseQuantity('-40 °F', 'temperature').value).toBeCloseTo(-40);
    expect(parseQuantity('45°', 'angle').value).toBe(45);
  });

  it.each([
    ['', 0, /Nothing typed/],
    ['abc', 0, /not a number/],
    ['12 furlongs', 3, /not a number/],
    ['12q', 2, /not a length unit/],
    ['1/0', 0, /0 below the line/],
    ['12 13', 3, /belong together/],
    ['-', 0, /sign with no number/],
  ])('points at the mistake in "%s"', (text, position, message) => {
    const error = (() => {
      try {
        mm(text);
      } catch (caught) {
        return caught as QuantitySyntaxError;
      }
      throw new Error('accepted');
    })();
    expect(error).toBeInstanceOf(QuantitySyntaxError);
    expect(error.message).toMatch(message);
    expect(error.position).toBe(position);
    expect(error.hint).toContain('5/16');
  });

  it('reads back what it shows, in both systems', () => {
    fc.assert(
      fc.property(fc.integer({ min: -200_000, max: 200_000 }), (tenths) => {
        const value = tenths / 10;
        expect(mm(formatQuantity(value, 'length'))).toBeCloseTo(value, 6);
        const inches = formatQuantity(value, 'length', 'inch', { denominator: 64 });
        expect(Math.abs(mm(inches, { system: 'inch' }) - value)).toBeLessThanOrEqual(25.4 / 128 + 1e-9);
      }),
    );
  });

  it('never throws anything but its own error', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        try {
          expect(Number.isFinite(mm(text))).toBe(true);
        } catch (error) {
          expect(error).toBeInstanceOf(QuantitySyntaxError);
        }
      }),
    );
  });
});

describe('formatQuantity', () => {
  it('uses a true minus, a thin space and shop fractions', () => {
    expect(formatQuantity(664, 'length')).toBe('664\u2009mm');
    expect(formatQuantity(-12.5, 'length')).toBe('−12.5\u2009mm');
    expect(formatQuantity(663.575, 'length', 'inch')).toBe('26 1/8\u2009in');
    expect(formatInches(0.3125)).toBe('5/16');
    expect(formatQuantity(45, 'angle')).toBe('45°');
  });
});
