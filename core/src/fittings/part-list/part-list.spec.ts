import { formatListed, withListing } from '../listed-price.js';
import { inEuros } from './list-money.js';
import fc from 'fast-check';
import { parseConnector } from '../../connectors/index.js';
import {
  checkFitting,
  findParts,
  guessColumns,
  kindOf,
  materials,
  readParts,
  standardFittings,
  writeParts,
  type Fitting,
} from '../index.js';
import { CellError, readListed, readMass, readMoney, readOneOf, readQuantity, readWhole, readYes } from './read-cell.js';

const all = standardFittings();
const list = (csv: string) => {
  const [headings, ...rows] = csv.split('\n').map((line) => line.split(';'));
  return { mapping: guessColumns(headings!), rows };
};
const read = (csv: string, catalogue: readonly Fitting[] = all) => {
  const { mapping, rows } = list(csv);
  return readParts(rows, mapping, catalogue);
};

describe('a cell', () => {
  it.each([
    ['12.40', 1240],
    ['12,40 €', 1240],
    ['€ 8', 800],
    ['1.234,50', 123450],
    ['1,234.50', 123450],
    ["1'234.50", 123450],
    ['1.234.567', 123456700],
    ['0.5', 50],
    ['3.4567', 346],
  ])('of money reads %s', (text, minor) => expect(readMoney(text)).toBe(minor));

  it.each(['1.234', '12,345', 'cheap', '-4', '', '1..2', '$12.40', '12.40USD', '8 £', 'CHF 3.10', '40 dollars', '₹ 40', '12 kr'])(
    'of money refuses "%s"',
    (text) => expect(() => readMoney(text)).toThrow(CellError),
  );

  it.each([
    ['$12.40', 'USD', 1240],
    ['USD 12,40', 'USD', 1240],
    ['US$ 1,234.50', 'USD', 123450],
    ['£8', 'GBP', 800],
    ['SFr. 3.10', 'CHF', 310],
    ['12 kr', 'SEK', 1200],
    ['12,50 zł', 'PLN', 1250],
    ['9.99', 'USD', 999],
  ] as const)('of money in a list of another reads %s as %s', (text, currency, minor) => {
    expect(readMoney(text, currency)).toBe(minor);
    expect(readListed(formatListed({ currency, minor }))).toEqual({ currency, minor });
  });

  it.each([
    ['€ 8', 'USD'],
    ['£8', 'USD'],
    ['EUR 8', 'CHF'],
  ] as const)('of money refuses %s in a list that is in %s', (text, currency) =>
    expect(() => readMoney(text, currency)).toThrow(/the list is said to be/),
  );

  it('of any amount reads as it is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_999 }), (minor) => {
        expect(readMoney((minor / 100).toFixed(2))).toBe(minor);
        expect(readMoney((minor / 100).toFixed(2).replace('.', ','))).toBe(minor);
      }),
    );
  });

  it('of length takes any unit, of mass grams and others', () => {
    expect(readQuantity('length')('5/8 in')).toBeCloseTo(15.875, 3);
    expect(readQuantity('pressure')('100 psi')).toBeCloseTo(6.895, 3);
    expect([readMass('12'), readMass('0,4 kg'), readMass('1 oz')]).toEqual([12, 400, 28.3]);
    expect([readWhole('1 200'), readYes('x'), readYes('no'), readOneOf(materials)('Stainless steel')]).toEqual([
      1200,
      true,
      false,
      'stainless',
    ]);
  });

  it.each([
    [() => readQuantity('length')('long'), /not a number/],
    [() => readQuantity('length')('-3'), /less than 0/],
    [() => readMass('heavy'), /not a mass/],
    [() => readWhole('2.5'), /not a whole number/],
    [() => readYes('maybe'), /neither yes nor no/],
    [() => readOneOf(materials)('lead'), /none of aluminium/],
  ])('that cannot be read says why: %s', (attempt, words) => expect(attempt).toThrow(words));
});

describe('a part list', () => {
  it('comes back the same from what was written, whatever the parts', () => {
    const extra = fc.record(
      {
        code: fc.stringMatching(/^[A-Z]{2}-[0-9]{4}$/),
        supplier: fc.constantFrom('North Yard', 'South; Yard', 'He said "no"'),
        priceMinor: fc.nat(1_000_000),
        shelf: fc.nat(50),
        leadDays: fc.nat(60),
        oneWay: fc.constant(true as const),
      },
      { requiredKeys: [] },
    );
    const parts = fc.uniqueArray(fc.tuple(fc.constantFrom(...all.filter((f) => f.ends.length === 2)), extra), {
      minLength: 1,
      maxLength: 12,
      selector: ([f]) => f.id,
    });
    fc.assert(
      fc.property(parts, (drawn) => {
        const fittings = drawn.map(([f, more], i): Fitting => ({ ...f, ...more, ...(more.code ? { code: `${more.code}${i}` } : {}) }));
        const { headings, rows } = writeParts(fittings);
        const { added, errors } = readParts(rows, guessColumns(headings), []);
        expect(errors).toEqual([]);
        expect(added).toEqual(fittings.map((f) => ({ ...f, kind: kindOf(f) })));
        expect(readParts(rows, guessColumns(headings), added)).toMatchObject({ added: [], changed: [], unchanged: fittings.length });
      }),
      { numRuns: 60 },
    );
  });

  it('knows the words others use for its columns, and four columns of ends', () => {
    expect(guessColumns(['SKU', 'Item description', 'Description', 'End 1', 'end2', 'Net price (EUR)', 'Qty', 'colour'])).toEqual({
      code: 0,
      name: 2,
      'end 1': 3,
      'end 2': 4,
      priceMinor: 5,
      shelf: 6,
    });
  });

  it('makes whole parts of lines that say their ends, by common proportions', () => {
    const { added, errors } = read(
      'code;end 1;end 2;end 3;angle;length\nA-1;npt 1/8 m;an4 m;;90;60\nA-2;an6 m;an6 m;npt 1/8 f;;\nA-3;orb6 m;;;;',
    );
    expect(errors).toEqual([]);
    expect(added.map((f) => [f.id, f.kind])).toEqual([
      ['own-a-1', 'elbow'],
      ['own-a-2', 'tee'],
      ['own-a-3', 'plug'],
    ]);
    expect(added[0]!.legsMm![0]! + added[0]!.legsMm![1]!).toBeCloseTo(60, 0);
    for (const part of added) expect(checkFitting(part)).toEqual([]);
  });

  it('changes only the columns it has of a part that is known, by id or by code', () => {
    const catalogue = [{ ...all[0]!, code: 'X-9', priceMinor: 100, shelf: 2 }, all[1]!];
    expect(read('code;price\nx-9;3,50', catalogue).changed).toEqual([{ ...catalogue[0], code: 'x-9', priceMinor: 350 }]);
    expect(read(`id;lead days\n${all[1]!.id};4`, catalogue).changed).toEqual([{ ...all[1], leadDays: 4 }]);
  });

  it.each([
    ['code;ends\nA;wizard 6 m + an6 m', 2, 'ends', /not a word/],
    ['code;ends\n\nA;', 3, 'ends', /does not say its ends/],
    ['code;ends\nA;an6 m + an8 m\nA;an6 m + an4 m', 3, 'id', /on line 2 already/],
    ['code;ends;price\nA;an6 m + an8 m;free', 2, 'price', /not a price/],
    ['code;ends;kind\nA;an6 m + an8 m;tee', 2, 'kind', /3 ends/],
    [`code;ends\nA;${Array.from({ length: 13 }, () => 'an6 m').join('+')}`, 2, 'ends', /one to twelve/],
    ['code;ends;legs\nA;an6 m + an8 m;1;2', 2, 'legsMm', /1 legs for 2 ends/],
    [`id;code\n${all[1]!.id};X-1`, 2, 'code', /belongs to/],
  ])('names what is wrong by line: %j', (csv, line, column, words) => {
    const { added, changed, errors } = read(csv, [{ ...all[0]!, code: 'X-1' }, all[1]!]);
    expect(errors.find((e) => e.column === column)).toMatchObject({ line, message: expect.stringMatching(words) as string });
    expect(added.length + changed.length).toBeLessThan(2);
  });
});

describe('a part that does not hold together', () => {
  const part = all.find((f) => f.id === 'npt1/4m+an6m@90')!;
  it.each([
    [{ ends: [{ family: 'npt', size: '1/8', gender: 'male', seat: 'washer' }] }, 'ends'],
    [{ kind: 'cross' as const }, 'kind'],
    [{ angleDeg: undefined }, 'angleDeg'],
    [{ boreMm: 300 }, 'boreMm'],
    [{ minTempC: 300, maxTempC: 20 }, 'maxTempC'],
    [{ ends: ['an6 m', 'an6 m', 'an6 m'].map(parseConnector), kind: 'tee' as const }, 'angleDeg'],
    [{ ends: [parseConnector('orb6 m')], kind: 'plug' as const, angleDeg: undefined, oneWay: true }, 'oneWay'],
  ])('is told by its field: %j', (change, field) =>
    expect(checkFitting({ ...part, ...change } as Fitting).map((p) => p.field)).toContain(field),
  );

  it('is none of the standard ones', () => expect(all.flatMap((f) => checkFitting(f))).toEqual([]));
});

describe('finding parts', () => {
  const catalogue = [...all, { ...all[0]!, id: 'old', retired: true }, { ...all[0]!, id: 'here', shelf: 3, supplier: 'North Yard' }];
  const find = (filter: Parameters<typeof findParts>[1]) => findParts(catalogue, filter);

  it('goes by every word, whatever their order', () => {
    expect(find({ words: 'an6 ELBOW 90' }).every((f) => f.name.startsWith('Elbow 90°'))).toBe(true);
    expect(find({ words: 'yard north' }).map((f) => f.id)).toEqual(['here']);
  });

  it('goes by an end that is there, or by what seals on it', () => {
    for (const f of find({ end: 'm14x1.5 m' })) expect(f.ends.some((e) => e.size === 'M14x1.5' && e.gender === 'male')).toBe(true);
    const fits = find({ end: 'rc 1/8 f', endMode: 'fits' });
    expect(fits.length).toBeGreaterThan(5);
    expect(fits.every((f) => f.ends.some((e) => e.family === 'r' && e.size === '1/8'))).toBe(true);
    expect(find({ end: 'm14x' }).length).toBeGreaterThan(find({ end: 'm14x1.5 m' }).length);
    expect(find({ end: 'rc 1/', endMode: 'fits' })).toEqual([]);
  });

  it('goes by kind, metal, shelf, and what is taken out', () => {
    expect(find({ kind: 'cross' }).every((f) => f.ends.length === 4)).toBe(true);
    expect(find({ material: 'steel' }).every((f) => f.material === 'steel')).toBe(true);
    expect(find({ onShelf: true }).map((f) => f.id)).toEqual(['here']);
    expect(find({ retired: true }).map((f) => f.id)).toEqual(['old']);
    expect(find({})).toHaveLength(all.length + 1);
  });
});

describe('a list in other money', () => {
  const usd = { currency: 'USD', euros: 0.9 } as const;

  it('becomes one in euros, with what it says beside each price', () => {
    const { rows, mapping, errors } = inEuros([['A', '$10.00'], ['B', ''], ['C', '€ 5'], ['D']], { code: 0, priceMinor: 1 }, usd);
    expect(rows).toEqual([['A', '9.00', '', 'USD 10.00'], ['B', ''], ['C', ''], ['D']]);
    expect(mapping).toEqual({ code: 0, priceMinor: 1, listed: 3 });
    expect(errors).toMatchObject([{ line: 4, column: 'price' }]);
    expect(inEuros([['A']], { code: 0 }, usd)).toEqual({ rows: [['A']], mapping: { code: 0 }, errors: [] });
  });

  it('rounds to the cent, whatever the rate', () => {
    fc.assert(
      fc.property(fc.nat(10_000_000), fc.double({ min: 0.01, max: 900, noNaN: true }), (minor, euros) => {
        const [row] = inEuros([[(minor / 100).toFixed(2)]], { priceMinor: 0 }, { ...usd, euros }).rows;
        expect(Math.abs(readMoney(row![0]!) - minor * euros)).toBeLessThanOrEqual(0.501);
        expect(readListed(row![2]!)).toEqual({ currency: 'USD', minor });
      }),
    );
  });

  it('is forgotten when another price is said without it, and stays otherwise', () => {
    const listed = { currency: 'USD', minor: 1000 } as const;
    const before = { priceMinor: 900, listed };
    expect(withListing(before, { priceMinor: 900 })).toEqual(before);
    expect(withListing(before, { ...before, priceMinor: 950 })).toEqual({ priceMinor: 950 });
    const anew = { priceMinor: 950, listed: { ...listed, minor: 1055 } };
    expect(withListing(before, anew)).toBe(anew);
  });
});
