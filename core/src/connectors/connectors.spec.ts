import fc from 'fast-check';
import {
  ConnectorSyntaxError,
  connectorName,
  describeConnector,
  endForm,
  connectorsWithThread,
  everyConnector,
  formatConnector,
  isMetInPlumbing,
  parseConnector,
} from './index.js';

const all = everyConnector();

function mistake(text: string): ConnectorSyntaxError {
  try {
    parseConnector(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return error;
  }
  throw new Error(`"${text}" was accepted`);
}

describe('notation', () => {
  it('reads back every connector of the library', () => {
    expect(all.length).toBeGreaterThan(1000);
    for (const connector of all) expect(parseConnector(formatConnector(connector))).toEqual(connector);
  });

  it('does not care about case, blanks and the order of words', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.boolean(), fc.integer({ min: 0, max: 5 }), (connector, upper, turn) => {
        const words = formatConnector(connector)
          .replace(/(\d) (\d+\/)/, '$1_$2')
          .split(' '); // '1 1/4' is one size
        const shift = turn % words.length;
        const text = [...words.slice(shift), ...words.slice(0, shift)].join('  ').replace('_', ' ');
        expect(parseConnector(upper ? ` ${text.toUpperCase()} ` : text)).toEqual(connector);
      }),
    );
  });

  it.each([
    ['-6 AN male', 'an6 m'],
    ['jic 6 m', 'an6 m'],
    ['an-6 female swivel', 'an6 f swivel'],
    ['an6 swivel', 'an6 f swivel'],
    ['1/8 npt f', 'npt 1/8 f'],
    ['npt 1/8-27 fem', 'npt 1/8 f'],
    ['npt 1-1/4 m', 'npt 1 1/4 m'],
    ['M14 × 1,5 female crush washer'.replace('crush ', ''), 'm14x1.5 f washer'],
    ['m18x1.5 f o-ring', 'm18x1.5 f oring'],
    ['-10 orb f', 'orb10 f'],
    ['orb6 m adj', 'orb6 m adjustable'],
    ['banjo 7/16-20', 'banjo 7/16-20'],
    ['m12x1.5 banjo bolt', 'banjo m12x1.5'],
    ['barb 10 mm', 'barb 10mm'],
    ['barb -6', 'barb 3/8'],
    ['hose 3/8"', 'hose 3/8'],
  ])('reads "%s" as %s', (text, canonical) => expect(formatConnector(parseConnector(text))).toBe(canonical));

  it.each([
    ['', 0, /Nothing typed/, undefined],
    ['ntp 1/8 f', 0, /not a word/, 'npt 1/8 f'],
    ['npt 1/8 femlae', 8, /not a word/, 'npt 1/8 f'],
    ['npt 5/8 f', 4, /no size 5\/8/, undefined],
    ['npt 1/8', 7, /Male or female/, 'npt 1/8 f'],
    ['an7 m', 2, /no size -7/, undefined],
    ['npt f', 5, /size is missing/, 'npt 1/8 f'],
    ['1/8 f', 0, /family is missing/, undefined],
    ['-6 m', 0, /family is missing/, undefined],
    ['m14 f washer', 0, /more than one pitch/, undefined],
    ['an6 m f', 6, /both said/, undefined],
    ['an6 8 m', 4, /Two sizes/, undefined],
    ['npt orb 6 m', 4, /Two families/, undefined],
    ['npt 1/8 f washer', 10, /has no "washer"/, undefined],
    ['orb6 f adjustable', 7, /male O-ring boss/, undefined],
    ['npt 1/4 m swivel', 10, /swivels/, undefined],
    ['m16x1.5 m cone', 10, /24° or of 60°/, undefined],
    ['banjo m12x1.5 f', 14, /is male/, undefined],
    ['an6 m !', 6, /no meaning/, undefined],
  ])('points at the mistake in "%s"', (text, position, message, suggestion) => {
    const error = mistake(text);
    expect(error.position).toBe(position);
    expect(error.message).toMatch(message);
    expect(error.hint.length).toBeGreaterThan(5);
    expect(error.suggestion).toBe(suggestion);
  });

  it.each(Object.getOwnPropertyNames(Object.prototype))('takes %s for no word of its own', (word) => {
    for (const text of [`an6 ${word}`, `npt 1/8 f ${word}`, `${word} 6 m`])
      expect(() => parseConnector(text)).toThrow(ConnectorSyntaxError);
  });

  it('throws nothing but its own error, with a place inside the text', () => {
    const word = fc.constantFrom('an', 'orb', 'npt', 'm14x1.5', 'm', 'f', '1/8', '-6', '6', 'washer', 'x', '/', 'banjo', '10mm', '½');
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(word, { maxLength: 6 }).map((w) => w.join(' ')),
        ),
        (text) => {
          try {
            const connector = parseConnector(text);
            expect(parseConnector(formatConnector(connector))).toEqual(connector);
          } catch (error) {
            expect(error).toBeInstanceOf(ConnectorSyntaxError);
            expect((error as ConnectorSyntaxError).position).toBeLessThanOrEqual(text.length);
          }
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('describeConnector', () => {
  it('says a port in full words with its thread', () => {
    const port = describeConnector(parseConnector('orb10 f'));
    expect(port.name).toBe('O-ring boss -10, female');
    expect(port.designation).toBe('7/8-14 UNF');
    expect(port.thread?.majorMm).toBeCloseTo(22.225);
    expect(port.sealsOn).toContain('O-ring');
  });

  it('names what has no thread', () => expect(connectorName(parseConnector('barb 10mm'))).toBe('hose barb 10 mm'));
});

describe('endForm', () => {
  it('gives every connector a body that can be drawn', () => {
    for (const connector of all) {
      const form = endForm(connector);
      expect(form.lengthMm).toBeGreaterThan(2);
      expect(form.boreMm).toBeGreaterThan(0.5);
      expect(form.outsideMm).toBeGreaterThan(form.boreMm);
    }
  });
});

describe('every family', () => {
  it.each([
    ['sae45-6 m', 'sae45-6 m', '45° flare -6, male', '5/8-18 UNF'],
    ['bspt 1/8 m', 'r 1/8 m', 'British taper pipe 1/8, male', 'R 1/8'],
    ['r 1/8 f', 'rc 1/8 f', 'British taper pipe 1/8, female', 'Rc 1/8'],
    ['rc1/8', 'rc 1/8 f', 'British taper pipe 1/8, female', 'Rc 1/8'],
    ['rp 1/4', 'rp 1/4 f', 'British parallel hole for a taper male 1/4', 'Rp 1/4'],
    ['bspp 1/4 bonded washer m', 'g 1/4 m washer', 'British parallel pipe 1/4, male, washer', 'G 1/4'],
    ['g 3/8 swivel', 'g 3/8 f swivel', 'British parallel pipe 3/8, female swivel', 'G 3/8'],
    ['keg m10x1', 'keg m10x1 m', 'metric taper M10×1', 'M10×1 keg'],
    ['cone24 m16x1.5 m 10 L', 'cone24 m16x1.5 m 10l', '24° cone M16×1.5, male, tube 10 mm light', 'M16×1.5'],
    ['npsm 1/4 swivel', 'npsm 1/4 f swivel', 'American parallel pipe 1/4, female swivel', '1/4-18 NPSM'],
    ['post 3/4-16 f', 'post 3/4-16 f', 'filter post 3/4-16, female', '3/4-16 UNF'],
    ['9/16-18 washer f', '9/16-18 f washer', 'inch parallel 9/16-18, female, washer', '9/16-18 UNF'],
    ['1-12 f washer', '1-12 f washer', 'inch parallel 1-12, female, washer', '1-12 UNF'],
    ['flange bore 20 mm 2 x 44', 'flange 2x44 bore20 f', 'two-bolt flange, bolts 44 mm apart, bore 20 mm', undefined],
    ['dry-break an10', 'drybreak an10 f', 'dry-break coupling -10, female', undefined],
    ['an10 bulkhead male', 'bulkhead an10 m', 'bulkhead -10, male', '7/8-14 UNF'],
    ['bulkhead -10 f', 'bulkhead an10 f', 'drilled hole for bulkhead -10', undefined],
    ['weld bung orb10 f', 'bung orb10 f', 'weld bung, O-ring boss -10, female', '7/8-14 UNF'],
    ['bung m18x1.5 f washer', 'bung m18x1.5 f washer', 'weld bung, metric parallel M18×1.5, female, washer', 'M18×1.5'],
    ['bead 1 1/4', 'bead 1 1/4', 'beaded tube 1 1/4 in', undefined],
    ['qc 3/8 m', 'qc 3/8 m', 'push-in quick connector 3/8 in, male', undefined],
  ])('%s is %s', (text, canonical, name, designation) => {
    const connector = parseConnector(text);
    expect(formatConnector(connector)).toBe(canonical);
    expect(connectorName(connector)).toBe(name);
    expect(describeConnector(connector).designation).toBe(designation);
  });

  it.each([
    ['rc 1/8 m', /is female/],
    ['cone24 m16x1.5 m 12l', /not made for "12l"/],
    ['flange 2x44', /bore is missing/],
    ['flange bore 20', /bolts are missing/],
    ['flange 2x44 bore 50', /does not go between/],
    ['flange 2x400 bore 20', /not a flange of this trade/],
    ['flange 3/8 bore 20', /not a pair of bolts/],
    ['an6 m bore 20', /Only a flange/],
    ['bung 1/4', /What does the bung carry/],
    ['bung post 3/4-16 f', /What does the bung carry/],
    ['bung an6 f swivel', /does not swivel/],
    ['drybreak orb6', /sized by its 37° flare/],
    ['bung drybreak an10', /Two of them/],
    ['3/8-30 f washer', /has no size 3\/8-30/],
    ['flange 2x44 bore 20 bore 22', /second bore/],
    ['g 1/4 m washer oring', /second seat/],
    ['g 1/4 f washer swivel', /swivel nut has no "washer"/],
  ])('%s is refused: %s', (text, message) => expect(mistake(text).message).toMatch(message));

  it('is found by the thread it carries', () => {
    const found = (designation: string, side: 'external' | 'internal') => connectorsWithThread(designation, side).map(formatConnector);
    expect(found('9/16-18 UNF', 'internal')).toEqual(expect.arrayContaining(['an6 f swivel', 'orb6 f', '9/16-18 f washer']));
    expect(found('M14×1.5', 'external')).toEqual(expect.arrayContaining(['m14x1.5 m washer', 'banjo m14x1.5', 'cone24 m14x1.5 m 8l']));
    expect(found('Rc 1/8', 'internal')).toEqual(['rc 1/8 f']);
    expect(found('G 1/4', 'internal')).toEqual(expect.arrayContaining(['g 1/4 f', 'rp 1/4 f']));
    expect(found('M10×1', 'internal')).toContain('m10x1 f washer');
    expect(['M14×1.5', '9/16-18 UNF', 'R 1/8', '1/4-18 NPT'].map(isMetInPlumbing)).toEqual([true, true, true, true]);
    expect(['3/4-18 UNS', '9/16-24 UNEF', 'M39×4'].map(isMetInPlumbing)).toEqual([false, false, false]);
  });
});
