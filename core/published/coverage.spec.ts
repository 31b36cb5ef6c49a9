import {
  counterpart,
  formatConnector,
  coverageOf,
  missingOf,
  wantedParts,
  isClosing,
  isSpanner,
  kindOf,
  mate,
  parseConnector,
  partRating,
  standardFittings,
  threadData,
  bareConnector,
  connectorThread,
  endForm,
} from '../src/index.js';

const all = standardFittings();
const byId = new Map(all.map((f) => [f.id, f]));

describe("makers' common adapters (common practice): each family of the trade to 37° flare, American pipe and a barb, every size step", () => {
  it.each(coverageOf(all).map((row) => [`${row.from} to ${row.to}${row.angleDeg ? `, ${row.angleDeg}°` : ''}`, row] as const))(
    '%s',
    (_, row) => {
      expect(row.wanted).toBeGreaterThan(2);
      expect(row.missing).toEqual([]);
    },
  );

  it.each([
    'an8 m',
    'an8 f swivel',
    'orb8 f',
    'orb8 m',
    'npt 3/8 f',
    'npt 3/8 m',
    'npsm 3/8 f swivel',
    'r 1/8 m',
    'rc 1/8 f',
    'g 1/4 f',
    'g 1/4 m washer',
    'g 1/4 f swivel',
    'm14x1.5 f washer',
    'm14x1.5 f oring',
    'cone24 m16x1.5 m 10l',
    'cone24 m16x1.5 f 10l swivel',
    'sae45-6 m',
    'sae45-6 f swivel',
    'inverted 3/16 f',
    'inverted 3/16 m',
    '9/16-18 f washer',
    'barb 3/8',
    'barb 10mm',
    'bead 3/4',
    'hose 3/8',
    'qc 3/8 m',
    'qc 3/8 f',
    'flange 2x44 bore 20',
    'post 3/4-16 m',
  ])('something closes %s, properly', (notation) => {
    const open = parseConnector(notation);
    const closing = all.filter((f) => f.ends.length === 1 && isClosing(f));
    expect(closing.some((f) => mate(open, f.ends[0]!).outcome === 'seals' && !mate(open, f.ends[0]!).risk)).toBe(true);
  });

  it('has what shops ask for by name', () => expect([missingOf(all), missingOf([]).length]).toEqual([[], wantedParts.length]));

  it.each([
    ['m18x1.5mwasher+an8m@90', 'an elbow under a fixed shoulder'],
    ['an6f+an6m@90', 'an elbow with a rigid female flare'],
    ['orb12m+m27x2fwasher', 'a boss made into a large metric port'],
    ['an24m+an24m#checkvalve', 'a check valve of -24'],
    ['m14x1.5fwasher', 'a cap for a metric male'],
  ])('has no %s: nobody makes %s', (id) => expect(byId.has(id)).toBe(false));

  it('says how easily a part is had: what every shop keeps, what is ordered, what is seldom made', () => {
    const rarity = (id: string): string => byId.get(id)!.rarity ?? 'common';
    expect([rarity('npt1/8m+an4m'), rarity('orb6m+an6m'), rarity('m14x1.5mwasher+an6m')]).toEqual(['common', 'common', 'common']);
    expect([rarity('orb5m+an5m'), rarity('npt1/8m+an4m#stainless')]).toEqual(['by order', 'by order']);
    expect([rarity('npt1/8m+an4f'), rarity('an6f+an6m')]).toEqual(['rarely', 'rarely']);
  });

  it('tells what a thinner catalogue lacks', () => {
    const thin = coverageOf(all.filter((f) => !/^m14x1\.5mwasher\+an6m(#|$)/.test(f.id)));
    expect(thin.flatMap((row) => row.missing)).toEqual(['m14x1.5 m washer to an6 m']);
  });

  it.each([
    'm14x1.25mwasher+an6m',
    'm24x1.5mwasher+an12m',
    'm30x1.5mwasher+an16m',
    'm30x2mwasher+an16m',
    'm8x1.25mwasher+an3m',
    'm14x1.5mwasher+an10m',
    'm16x1.5mwasher+an10m',
    'm18x1.5madjustable+an8m@90',
    'g1/4madjustable+an6m@90',
    'm18x1.5fwasher+an8m',
    'g1/4fswivel+an6m',
    'm14x1.5mwasher+npt1/4f',
    'orb6m+m14x1.5fwasher',
    'orb6m+orb6m',
    'an8m+an8m@45',
    'an8fswivel+an4m',
    'an14fswivel+an14m',
    'an20m+an20m',
    'an24m+an24m@90',
    'r1/2m+rc1/4f',
    'sae45-6fswivel+an6m',
    'inverted3/16m+an3m',
    'banjom22x1.5+an10m@90',
    'banjom16x1.5+barb3/8@90',
    'qc3/4f+barb3/4',
    'barb10mm+barb8mm',
    'barb3/4+barb5/8',
    'barb19mm+barb3/4',
    'an6f+an4m',
    'm20x1mwasher+an10m',
    'banjom12x1.5+an3m@90',
    'flange2x44bore20m+npt1/2f',
    'barb1/2+npt1/2f',
    'flange2x38bore14m+an8m@90',
    'npt1/4f+npt1/4f+npt1/8f',
    'an16fswivel+an16m+npt1/8f',
    'barb3/8+barb3/8+barb1/4',
  ])('has %s, which shops missed', (id) => expect(byId.has(id)).toBe(true));
});

describe('pressure of parts: what the weakest joint bears', () => {
  it.each([
    // SAE J514, ISO 8434-2: 37° flare in steel, bar (from memory)
    ['an4 m', 'steel', 345],
    ['an6 m', 'steel', 345],
    ['an8 m', 'steel', 310],
    ['an10 m', 'steel', 241],
    ['an12 m', 'steel', 241],
    ['an16 m', 'steel', 207],
  ])('%s in %s: %d bar', (end, material, bar) => expect(partRating({ ends: [parseConnector(end)], material }).maxBar).toBe(bar));

  it('is less in aluminium, and a few bar where a hose is clamped, a gasket squeezed or a coupling pushed in (common practice)', () => {
    const bar = (end: string, material?: string): number =>
      partRating({ ends: [parseConnector(end)], ...(material ? { material } : {}) }).maxBar;
    for (const end of ['an6 m', 'orb8 m', 'npt 1/4 m', 'm14x1.5 m washer']) expect(bar(end)).toBeLessThan(bar(end, 'steel'));
    for (const end of ['barb 3/8', 'bead 1', 'flange 2x44 bore 20 m', 'qc 3/8 f', 'drybreak an10 m'])
      expect(bar(end, 'steel')).toBeLessThanOrEqual(16);
    expect(Math.max(...all.filter((f) => f.material === 'brass').map((f) => f.maxBar!))).toBeLessThan(200);
  });

  it('says what it is limited by, and the heat by the seals of a coupling (−40 to 115 °C)', () => {
    expect(partRating(byId.get('npt1/4m+an6m')!)).toMatchObject({ maxBar: 110, barBy: 'American taper pipe npt 1/4 in aluminium' });
    for (const f of all.filter((part) => part.ends.some((e) => ['qc', 'drybreak'].includes(e.family))))
      expect([f.id, f.minTempC! >= -40, f.maxTempC]).toEqual([f.id, true, 115]);
  });
});

describe('dimensions of parts', () => {
  it('are turned by spanners that exist (ISO 272 and inch sizes)', () => {
    expect(all.filter(({ hexMm }) => hexMm !== undefined && !isSpanner(hexMm)).map((f) => f.id)).toEqual([]);
  });

  it('have metal round every inside thread of a tee or cross, and are never thinner than a thread they carry', () => {
    const branched = all.filter((part) => ['tee', 'cross'].includes(kindOf(part)));
    const thin = branched.filter((f) =>
      f.ends.some((end) => {
        const thread = connectorThread(end);
        return thread && !end.swivel && f.hexMm! <= thread.majorMm * (end.gender === 'female' ? 1.1 : 0.99);
      }),
    );
    expect([branched.length > 100, thin.map((f) => f.id)]).toEqual([true, []]);
  });

  it.each([
    // weighed, g (common practice)
    ['orb10m', 20, 30],
    ['barb3/4+npt3/4m', 42, 58],
    ['flange2x44bore20m+an10m', 58, 80],
  ])('%s weighs about what it does on the scale, with what is inside the joint: %d to %d g', (id, low, high) => {
    expect(byId.get(id)!.massG).toBeGreaterThanOrEqual(low);
    expect(byId.get(id)!.massG).toBeLessThanOrEqual(high);
  });

  it('leave a bore through both ends', () => {
    const bored = all.filter((part) => part.ends.length === 2 && part.boreMm !== undefined);
    const wide = bored.filter((f) => f.ends.some((end) => f.boreMm! > endForm(bareConnector(end)).boreMm + 0.06));
    expect([bored.length > 1000, wide.map((f) => f.id)]).toEqual([true, []]);
    expect(threadData('NPT 1/8').majorMm).toBeGreaterThan(10);
  });

  it('seal on something: every end has a partner, but that of a bolt, which only holds', () => {
    const ends = new Map(all.flatMap((f) => f.ends.filter((end) => end.seat !== 'bolt')).map((end) => [formatConnector(end), end]));
    expect([...ends].flatMap(([notation, end]) => (counterpart(end) === undefined ? [notation] : []))).toEqual([]);
  });
});
