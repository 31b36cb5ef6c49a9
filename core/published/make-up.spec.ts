import { cone24Sizes, flareTorques, mate, parseConnector, taperEngagement, torqueFor, washerFor } from '../src/index.js';

const makeUp = (a: string, b: string) => mate(parseConnector(a), parseConnector(b)).makeUp!;

/** Values are from memory of the sources named. */
describe('SAE J514 practice: flats from wrench resistance of a 37° nut (from memory)', () => {
  it.each([
    ['4', 1.5, 1.75],
    ['6', 1, 1.5],
    ['8', 1, 1.5],
    ['12', 1, 1.25],
    ['16', 0.75, 1],
  ])('-%s', (dash, low, high) => expect(makeUp(`an${dash} m`, `an${dash} f`)).toMatchObject({ kind: 'flats', low, high, unit: 'flats' }));
});

describe('FAA AC 43.13-1B: aluminium flare nuts, lbf·in (from memory)', () => {
  it.each([
    ['4', 50, 65],
    ['6', 75, 125],
    ['8', 150, 250],
    ['10', 200, 350],
    ['12', 300, 500],
    ['16', 500, 700],
  ])('-%s', (dash, low, high) => {
    const aluminium = flareTorques(dash).find((t) => t.metal === 'aluminium')!;
    const inch = 0.112985; // N·m
    const [printed = aluminium] = aluminium.readings ?? [];
    expect(printed.low / (low * inch)).toBeCloseTo(1, 1);
    expect(printed.high / (high * inch)).toBeCloseTo(1, 1);
  });

  // another handbook, lbf·in (from memory): what both allow comes first
  it.each([
    ['6', 110, 130, 12.5, 14],
    ['8', 230, 260, 26, 28],
    ['10', 330, 360, 37.5, 40],
    ['12', 460, 500, 52, 56],
  ])('-%s: %d to %d by another, and %d to %d N·m are what both allow', (dash, low, high, from, to) => {
    const aluminium = flareTorques(dash).find((t) => t.metal === 'aluminium')!;
    const other = aluminium.readings![1]!;
    // rounded inwards
    expect(other.low).toBeGreaterThanOrEqual(low * 0.112985 - 0.05);
    expect(other.high).toBeLessThanOrEqual(high * 0.112985 + 0.05);
    expect([aluminium.low, aluminium.high]).toEqual([from, to]);
  });
});

describe('steel boss studs, N·m: SAE J1926-2, heavy duty, and J1926-3, light duty (from memory)', () => {
  it.each([
    ['4', 20, 20],
    ['6', 33, 33],
    ['8', 65, 50],
    ['10', 100, 60],
    ['12', 170, 95],
    ['16', 270, 150],
    ['20', 285, 200],
    ['24', 370, 230],
  ])('-%s takes about %d by the one, %d by the other, and the lower comes first', (dash, heavy, light) => {
    const figure = torqueFor(makeUp(`orb${dash} m`, `orb${dash} f`), 'steel');
    const [one = figure, other = figure] = figure.readings ?? [];
    expect([one.low <= light, one.high >= light, other.low <= heavy, other.high >= heavy]).toEqual([true, true, true, true]);
    expect(figure.high).toBe(one.high);
    // an aluminium thread is given a share of the light-duty stud, never the whole of it
    expect(torqueFor(makeUp(`orb${dash} m`, `orb${dash} f`), 'aluminium').high).toBeLessThanOrEqual(Math.round(light * 0.7));
  });
});

describe('ISO 6149-3 light series: steel studs in O-ring ports, N·m at the most (from memory)', () => {
  it.each([
    ['m10x1', 15],
    ['m12x1.5', 25],
    ['m14x1.5', 35],
    ['m16x1.5', 40],
    ['m18x1.5', 45],
    ['m22x1.5', 60],
    ['m27x2', 100],
    ['m33x2', 160],
  ])('%s', (size, most) => expect(torqueFor(makeUp(`${size} m oring`, `${size} f oring`), 'steel').high).toBe(most));
});

describe('banjo bolts and flanges in aluminium, N·m (common practice)', () => {
  it.each([
    ['banjo m10x1', 'm10x1 f washer', 10, 15],
    ['banjo m12x1.5', 'm12x1.5 f washer', 20, 25],
    ['flange 2x38 m6 bore 14 m', 'flange 2x38 m6 bore 14', 8, 10],
    ['flange 2x44 m8 bore 20 m', 'flange 2x44 m8 bore 20', 15, 22],
  ])('%s', (male, female, low, high) => expect(makeUp(male, female)).toMatchObject({ metal: 'aluminium', low, high }));
});

describe('taper pipe: turns past finger tight (SAE J514 practice, from memory)', () => {
  it.each(['1/8', '1/4', '3/8', '1/2', '3/4'])('%s takes two to three', (size) => {
    expect(makeUp(`npt ${size} m`, `npt ${size} f`)).toMatchObject({ kind: 'turns', low: 2, high: 3 });
    expect(makeUp(`r ${size} m`, `rc ${size} f`)).toMatchObject({ kind: 'turns', low: 2, high: 3 });
  });
  it('and the gauge length of NPT 1/2 is four and a half turns by hand (ASME B1.20.1)', () =>
    expect(taperEngagement('1/2-14 NPT')!.byHandTurns).toBeCloseTo(4.48, 2));
});

describe('ISO 8434-1: tube and thread of the 24° cone, light and heavy series (from memory)', () => {
  it.each([
    ['M12x1.5', ['6l']],
    ['M16x1.5', ['10l', '8s']],
    ['M18x1.5', ['12l', '10s']],
    ['M22x1.5', ['15l', '14s']],
    ['M26x1.5', ['18l']],
    ['M30x2', ['22l', '20s']],
    ['M36x2', ['28l', '25s']],
    ['M45x2', ['35l']],
  ])('%s', (thread, tubes) => expect(cone24Sizes[thread]).toEqual(tubes));

  it('so that one thread serves two tubes, which do not seal with one another', () => {
    for (const [thread, tubes] of Object.entries(cone24Sizes)) {
      if (tubes.length < 2) continue;
      const [light, heavy] = tubes;
      const size = thread.toLowerCase();
      expect(mate(parseConnector(`cone24 ${size} m ${light}`), parseConnector(`cone24 ${size} f ${heavy} swivel`)).outcome).toBe('leaks');
      expect(mate(parseConnector(`cone24 ${size} m ${light}`), parseConnector(`cone24 ${size} f ${light} swivel`)).outcome).toBe('seals');
    }
  });
});

describe('DIN 7603 washers for British threads, mm (from memory)', () => {
  it.each([
    [9.728, '10 × 14 × 1'],
    [13.157, '14 × 18 × 1.5'],
    [16.662, '17 × 21 × 1.5'],
    [20.955, '21 × 26 × 1.5'],
    [26.441, '27 × 32 × 2'],
    [33.249, '33 × 39 × 2'],
  ])('over %d mm', (bolt, size) => expect(washerFor(bolt).size).toBe(size));
});
