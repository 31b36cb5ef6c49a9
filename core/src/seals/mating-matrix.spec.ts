import { connectorThread, formatConnector, parseConnector } from '../connectors/index.js';
import { matingMatrix } from './index.js';

describe('the mating matrix', () => {
  it.each(['9/16-18 UNF', 'M14×1.5', '1/8-27 NPT', 'G 1/2', '1 5/16-12 UN', 'M10×1'])(
    'round %s holds what is tried there, each once',
    (thread) => {
      const { males, females, cells } = matingMatrix(thread);
      const names = [...males, ...females].map(formatConnector);
      expect(new Set(names).size).toBe(names.length);
      expect(males.length).toBeGreaterThan(2);
      expect(cells).toHaveLength(males.length);
      expect(cells.every((row) => row.length === females.length)).toBe(true);
      // every family that is there in both genders seals with itself somewhere
      const sealed = males.filter((_, i) => cells[i]!.some((m) => m.outcome === 'seals'));
      expect(sealed.length).toBeGreaterThan(males.length / 2);
    },
  );

  it('brings the worlds together: inch, metric, American and British of about one size', () => {
    const { males, females } = matingMatrix('9/16-18 UNF');
    const names = [...males, ...females].map(formatConnector);
    expect(names).toEqual(
      expect.arrayContaining([
        'an6 m',
        'orb6 f',
        'm14x1.5 m washer',
        'npt 1/4 m',
        'r 1/4 m',
        'g 1/4 m washer',
        'banjo m14x1.5',
        'an6 f swivel',
      ]),
    );
    expect(names).not.toContain('m14x1.5 m');
    for (const c of males) expect(Math.abs(connectorThread(c)!.majorMm - 14.2875)).toBeLessThan(1.3);
  });

  it('has in its cells what the trade knows of the pairs', () => {
    const { males, females, cells } = matingMatrix('9/16-18 UNF');
    const cell = (male: string, female: string) =>
      cells[males.map(formatConnector).indexOf(male)]![females.map(formatConnector).indexOf(female)]!.outcome;
    expect([cell('an6 m', 'an6 f swivel'), cell('an6 m', 'orb6 f'), cell('npt 1/4 m', 'orb6 f')]).toEqual([
      'seals',
      'leaks',
      'does-not-join',
    ]);
  });

  it('starts with the nearest', () => {
    const { males } = matingMatrix('9/16-18 UNF');
    expect(connectorThread(males[0]!)!.designation).toBe('9/16-18 UNF');
    expect(connectorThread(parseConnector('an6 m'))).toBe(connectorThread(males[0]!));
  });

  it('refuses what is no thread', () => expect(() => matingMatrix('banana')).toThrow(/not a thread/));
});
