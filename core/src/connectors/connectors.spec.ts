import fc from 'fast-check';
import {
  ConnectorSyntaxError,
  connectorName,
  describeConnector,
  endForm,
  families,
  formatConnector,
  parseConnector,
  type Connector,
} from './index.js';

const everyConnector: Connector[] = families.flatMap((family) =>
  family.sizes.flatMap((size) =>
    family.genders.flatMap((gender): Connector[] => {
      const plain: Connector = { family: family.id, size, gender };
      const seats = family.seats
        .filter((seat) => seat !== 'fixed' && !(seat === 'adjustable' && gender === 'female'))
        .map((seat): Connector => ({ ...plain, seat }));
      const swivel: Connector[] = family.maySwivel && gender === 'female' ? [{ ...plain, swivel: true }] : [];
      return [plain, ...seats, ...swivel];
    }),
  ),
);

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
    expect(everyConnector.length).toBeGreaterThan(200);
    for (const connector of everyConnector) expect(parseConnector(formatConnector(connector))).toEqual(connector);
  });

  it('does not care about case, blanks and the order of words', () => {
    fc.assert(
      fc.property(fc.constantFrom(...everyConnector), fc.boolean(), fc.integer({ min: 0, max: 5 }), (connector, upper, turn) => {
        const words = formatConnector(connector).split(' ');
        const whole = /^\d+ \d+\//.test(words.slice(1).join(' ')); // '1 1/4' is one size
        const shift = whole ? 0 : turn % words.length;
        const text = [...words.slice(shift), ...words.slice(0, shift)].join('  ');
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
    ['1/8 f', 0, /family is missing/, 'npt 1/8 f'],
    ['-6 m', 0, /family is missing/, 'an6 m'],
    ['m14 f washer', 0, /more than one pitch/, undefined],
    ['an6 m f', 6, /twice/, undefined],
    ['an6 8 m', 4, /second size/, undefined],
    ['an orb 6 m', 3, /Two families/, undefined],
    ['npt 1/8 f washer', 10, /has no "washer"/, 'npt 1/8 f'],
    ['orb6 f adjustable', 7, /male boss/, 'orb6 f'],
    ['orb6 m swivel', 7, /swivels/, 'orb6 m'],
    ['banjo m12x1.5 f', 14, /is male/, undefined],
    ['an6 m !', 6, /no meaning/, undefined],
  ])('points at the mistake in "%s"', (text, position, message, suggestion) => {
    const error = mistake(text);
    expect(error.position).toBe(position);
    expect(error.message).toMatch(message);
    expect(error.hint.length).toBeGreaterThan(5);
    expect(error.suggestion).toBe(suggestion);
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
    for (const connector of everyConnector) {
      const form = endForm(connector);
      expect(form.lengthMm).toBeGreaterThan(2);
      expect(form.boreMm).toBeGreaterThan(0.5);
      expect(form.outsideMm).toBeGreaterThan(form.boreMm);
    }
  });
});
