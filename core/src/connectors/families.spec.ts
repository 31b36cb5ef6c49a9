import {
  connectorKey,
  connectorName,
  describeConnector,
  endForm,
  families,
  familyById,
  inchStraightThreads,
  parseConnector,
  sameConnector,
} from './index.js';

describe('the families', () => {
  it('are each told apart by their words', () => {
    const words = families.flatMap((f) => f.words);
    expect(new Set(words).size).toBe(words.length);
    expect(() => familyById('bayonet')).toThrow(RangeError);
  });

  it('have a thread for every size, but for what a hose, a gasket or a weld holds', () => {
    const smooth = ['barb', 'bead', 'qc', 'compression', 'stub', 'flange', 'face', 'drybreak', 'bung'];
    for (const family of families)
      for (const size of family.sizes) expect(family.thread(size, family.genders[0]!) === undefined).toBe(smooth.includes(family.id));
  });

  it('name their standard and say what they seal on, for every seat', () => {
    for (const family of families) {
      expect(family.standard.length).toBeGreaterThan(5);
      for (const gender of family.genders)
        for (const seat of [undefined, ...family.seats]) expect(family.sealsOn(gender, seat, false).length).toBeGreaterThan(5);
    }
  });

  it('share one thread between flare and boss of a size', () => {
    for (const size of Object.keys(inchStraightThreads))
      expect(familyById('flare37').thread(size, 'male')).toEqual(familyById('orb').thread(size, 'female'));
  });
});

describe('a connector', () => {
  it.each([
    ['an6 m', '37° flare -6, male', '9/16-18 UNF'],
    ['an6 f swivel', '37° flare -6, female swivel', '9/16-18 UNF'],
    ['orb12 f', 'O-ring boss -12, female', '1 1/16-12 UN'],
    ['orb6 m adjustable', 'O-ring boss -6, male, adjustable', '9/16-18 UNF'],
    ['npt 1/2 m', 'American taper pipe 1/2, male', '1/2-14 NPT'],
    ['m18x1.5 f oring', 'metric parallel M18×1.5, female, O-ring', 'M18×1.5'],
    ['banjo m12x1.5', 'banjo bolt M12×1.5 with its eye', 'M12×1.5'],
    ['barb 3/8', 'hose barb 3/8 in', undefined],
    ['hose 10mm', 'hose bore 10 mm', undefined],
    ['7/16-24 inverted flare f', 'inverted flare 1/4 in, female', '7/16-24 UNS'],
  ])('%s is %s', (notation, name, designation) => {
    const described = describeConnector(parseConnector(notation));
    expect(described.name).toBe(name);
    expect(described.designation).toBe(designation);
    expect(connectorName(parseConnector(notation))).toBe(name);
  });

  it('is the same as another only in everything', () => {
    const six = parseConnector('an6 f');
    expect(sameConnector(six, parseConnector('-6 an female'))).toBe(true);
    for (const other of ['an6 m', 'an8 f', 'an6 f swivel', 'orb6 f']) expect(sameConnector(six, parseConnector(other))).toBe(false);
    expect(connectorKey(parseConnector('m14x1.5 f washer'))).not.toBe(connectorKey(parseConnector('m14x1.5 f')));
  });
});

describe('the metal of an end', () => {
  const form = (notation: string) => endForm(parseConnector(notation));

  it('grows with the size', () => {
    for (const family of ['an', 'orb']) {
      const hexes = ['4', '6', '8', '10', '12', '16'].map((s) => form(`${family}${s} m`).hexMm);
      expect(hexes).toEqual([...hexes].sort((a, b) => a - b));
      const bores = ['4', '6', '8', '10', '12', '16'].map((s) => form(`${family}${s} m`).boreMm);
      expect(bores).toEqual([...bores].sort((a, b) => a - b));
    }
  });

  it('reaches out where it stands proud, and not where it goes in', () => {
    expect(form('an6 m').reachMm).toBeGreaterThan(10);
    expect(form('orb6 m').reachMm).toBe(0);
    expect(form('m14x1.5 m washer').reachMm).toBe(0);
    expect(form('npt 1/4 m').reachMm).toBeLessThan(form('npt 1/4 m').lengthMm / 2);
    expect(form('barb 3/8').reachMm).toBe(0);
  });
});
