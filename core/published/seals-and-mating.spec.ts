import { mate, metricPortRings, parseConnector, washerFor } from '../src/index.js';

const outcome = (a: string, b: string) => mate(parseConnector(a), parseConnector(b)).outcome;

describe('which faces seal with which (SAE J514, SAE J1926, ASME B1.20.1, ISO 9974, ISO 6149; common practice)', () => {
  const males = [
    'an6 m',
    'orb6 m',
    'npt 1/4 m',
    'm14x1.5 m washer',
    'm14x1.5 m oring',
    'banjo m14x1.5',
    'barb 3/8',
    'r 1/4 m',
    'g 1/4 m washer',
    'g 1/4 m cone',
    'cone24 m14x1.5 m',
    'keg m14x1.5 m',
  ];
  const females = [
    'an6 f swivel',
    'orb6 f',
    'npt 1/4 f',
    'm14x1.5 f washer',
    'm14x1.5 f oring',
    'hose 3/8',
    'rc 1/4 f',
    'rp 1/4 f',
    'g 1/4 f',
    'g 1/4 f swivel',
    'cone24 m14x1.5 f swivel',
  ];
  /** s seals, l leaks, x does not join; a row a male, in the order above. */
  const table = [
    'slxxxxxxxxx',
    'lsxxxxxxxxx',
    'xxsxxxxxxxx',
    'xxxslxxxxxl',
    'xxxlsxxxxxl',
    'xxxslxxxxxl',
    'xxxxxsxxxxx',
    'xxlxxxssllx',
    'xxxxxxllslx',
    'xxxxxxlllsx',
    'xxxllxxxxxs',
    'xxxslxxxxxl',
  ];

  for (const [i, male] of males.entries())
    for (const [j, female] of females.entries())
      it(`${male} into ${female}`, () =>
        expect(outcome(male, female)).toBe({ s: 'seals', l: 'leaks', x: 'does-not-join' }[table[i]![j] as 's' | 'l' | 'x']));
});

describe('look-alikes a shop meets (common practice), found by computing the fit', () => {
  it.each([
    ['orb8 m', 'm20x1.5 f washer', '3/4-16 in M20×1.5'],
    ['m14x1.5 m washer', 'orb6 f', 'M14×1.5 in 9/16-18'],
    ['m26x1.5 m washer', 'orb12 f', 'M26×1.5 in 1 1/16-12'],
    ['m33x2 m washer', 'orb16 f', 'M33×2 in 1 5/16-12'],
    ['npt 1/4 m', 'orb6 f', '1/4 NPT in 9/16-18'],
  ])('%s and %s start and do not belong together: %s', (male, female) => {
    const found = mate(parseConnector(male), parseConnector(female));
    expect(found.outcome).toBe('does-not-join');
    expect(found.reason).toMatch(/starts|goes in/);
  });
});

describe('DIN 7603 form A: flat washers, inside × outside × thickness, mm (from memory)', () => {
  it.each([
    [10, '10 × 14 × 1'],
    [12, '12 × 16 × 1.5'],
    [14, '14 × 18 × 1.5'],
    [16, '16 × 20 × 1.5'],
    [18, '18 × 22 × 1.5'],
    [22, '22 × 27 × 1.5'],
    [27, '27 × 32 × 2'],
    [33, '33 × 39 × 2'],
  ])('M%d', (bolt, size) => expect(washerFor(bolt).size).toBe(size));
});

describe('ISO 6149-1: port O-rings, inside diameter × section, mm (from memory)', () => {
  it.each([
    ['M10x1', 8.1, 1.6],
    ['M14x1.5', 11.3, 2.2],
    ['M18x1.5', 15.3, 2.2],
    ['M22x1.5', 19.3, 2.2],
    ['M27x2', 23.6, 2.9],
    ['M33x2', 29.6, 2.9],
  ])('%s', (thread, insideMm, sectionMm) => expect(metricPortRings[thread]).toEqual({ insideMm, sectionMm }));

  it('are made for one pitch a size, and for no other', () => {
    expect(Object.keys(metricPortRings)).toHaveLength(13);
    for (const size of ['m10x1.25', 'm14x2', 'm27x1.5']) expect(outcome(`${size} m oring`, `${size} f oring`)).toBe('leaks');
    for (const size of Object.keys(metricPortRings)) expect(outcome(`${size} m oring`, `${size} f oring`)).toBe('seals');
  });

  it('sit under the thread they seal: the ring is smaller than the thread, by less than the thread is deep twice over', () => {
    for (const [thread, { insideMm }] of Object.entries(metricPortRings)) {
      const major = Number(/\d+/.exec(thread)![0]);
      expect(insideMm).toBeLessThan(major);
      expect(major - insideMm).toBeLessThan(4);
    }
  });
});
