import fc from 'fast-check';
import {
  convert,
  dashToFraction,
  dashToMm,
  formatBoth,
  formatDash,
  formatDecimal,
  formatQuantity,
  formatInches,
  fractionToNumber,
  houseUnits,
  unitBySymbol,
  units,
} from './index.js';

describe('units', () => {
  it('convert there and back to what they were', () => {
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.double({ min: -1e6, max: 1e6, noNaN: true }), (unit, value) => {
        for (const other of units.filter((u) => u.kind === unit.kind))
          expect(convert(convert(value, unit.symbol, other.symbol), other.symbol, unit.symbol)).toBeCloseTo(value, 5);
      }),
    );
  });

  it('do not convert into what they do not measure', () => {
    expect(() => convert(1, 'mm', 'bar')).toThrow(/do not measure the same/);
    expect(() => unitBySymbol('furlong')).toThrow(RangeError);
  });

  it('have one base a kind, and typed words that belong to one unit of a kind', () => {
    for (const kind of Object.keys(houseUnits.metric) as (keyof typeof houseUnits.metric)[]) {
      const base = unitBySymbol(houseUnits.metric[kind]);
      expect([base.factor, base.offset]).toEqual([1, 0]);
      const words = units.filter((u) => u.kind === kind).flatMap((u) => u.typed);
      expect(new Set(words).size).toBe(words.length);
    }
  });
});

describe('dash sizes', () => {
  it.each([
    [4, '-4', '1/4', 6.35],
    [6, '-6', '3/8', 9.525],
    [10, '-10', '5/8', 15.875],
    [16, '-16', '1', 25.4],
    [20, '-20', '1 1/4', 31.75],
    [32, '-32', '2', 50.8],
  ])('%d is %s, %s in, %d mm', (dash, written, fraction, mm) => {
    expect(formatDash(dash)).toBe(written);
    expect(dashToFraction(dash)).toBe(fraction);
    expect(dashToMm(dash)).toBeCloseTo(mm);
    expect(fractionToNumber(fraction) * 25.4).toBeCloseTo(mm);
  });
});

describe('figures', () => {
  it('drop what says nothing', () => {
    expect(formatDecimal(12.0, 2)).toBe('12');
    expect(formatDecimal(12.5, 2)).toBe('12.5');
    expect(formatDecimal(-0.001, 2)).toBe('0');
    expect(formatDecimal(-1.5, 1)).toBe('−1.5');
    expect(formatInches(-0.5)).toBe('−1/2');
    expect(formatInches(0)).toBe('0');
  });

  it('are given in both systems, the house first', () => {
    expect(formatBoth(25.4, 'length')).toBe('25.4\u2009mm (1\u2009in)');
    expect(formatBoth(25.4, 'length', 'inch')).toBe('1\u2009in (25.4\u2009mm)');
    expect(formatBoth(100, 'temperature')).toBe('100\u2009°C (212\u2009°F)');
  });

  it('are whole sixteenths at most half a sixteenth off', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 500, noNaN: true }), (inches) => {
        expect(Math.abs(fractionToNumber(formatInches(inches)) - inches)).toBeLessThanOrEqual(1 / 32 + 1e-9);
      }),
    );
  });

  it.each(['', '1/', '/2', '1/0', 'a', '1 2'])('refuse the fraction "%s"', (text) =>
    expect(() => fractionToNumber(text)).toThrow(RangeError),
  );
});

describe('inches as threads are measured', () => {
  it.each([
    [14, 4, '0.5512\u2009in'],
    [25.4, 4, '1\u2009in'],
    [-0.127, 3, '−0.005\u2009in'],
  ])('%d mm with %d places', (mm, inchDecimals, shown) => expect(formatQuantity(mm, 'length', 'inch', { inchDecimals })).toBe(shown));
  it('leaves millimetres alone', () => expect(formatQuantity(14, 'length', 'metric', { inchDecimals: 4 })).toBe('14\u2009mm'));
});
