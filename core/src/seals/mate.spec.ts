import fc from 'fast-check';
import { families, parseConnector, type Connector } from '../connectors/index.js';
import { formatMakeUp, mate, washerFor } from './index.js';

const joint = (a: string, b: string) => mate(parseConnector(a), parseConnector(b));

const anyConnector: fc.Arbitrary<Connector> = fc
  .constantFrom(...families)
  .chain((family) =>
    fc
      .record({
        size: fc.constantFrom(...family.sizes),
        gender: fc.constantFrom(...family.genders),
        seat: fc.constantFrom(undefined, ...family.seats),
      })
      .map(({ size, gender, seat }): Connector => ({ family: family.id, size, gender, ...(seat && seat !== 'fixed' ? { seat } : {}) })),
  );

describe('mate', () => {
  it.each([
    ['an6 m', 'an6 f swivel', 'cone', []],
    ['orb10 m', 'orb10 f', 'o-ring', [{ item: 'O-ring FKM', size: 'AS568-910', quantity: 1 }]],
    ['npt 1/8 m', 'npt 1/8 f', 'taper', [{ item: 'thread sealant', size: 'NPT 1/8', quantity: 1 }]],
    ['m14x1.5 m washer', 'm14x1.5 f washer', 'washer', [{ item: 'copper washer', size: '14 × 18 × 1.5', quantity: 1 }]],
    ['m14x1.5 m oring', 'm14x1.5 f oring', 'o-ring', [{ item: 'O-ring FKM', size: '11.3 × 2.2', quantity: 1 }]],
    ['banjo m12x1.5', 'm12x1.5 f washer', 'two-washers', [{ item: 'copper washer', size: '12 × 16 × 1.5', quantity: 2 }]],
    ['barb 3/8', 'hose 3/8', 'clamp', [{ item: 'hose clamp', size: 'for 3/8 in hose', quantity: 1 }]],
  ])('%s and %s seal by %s', (a, b, kind, consumables) => {
    const found = joint(a, b);
    expect(found.outcome).toBe('seals');
    expect(found.kind).toBe(kind);
    expect(found.seal?.consumables).toEqual(consumables);
    expect(found.makeUp).toBeDefined();
  });

  it.each([
    ['an6 m', 'orb6 f', /never reaches a seat/],
    ['orb6 m', 'an6 f swivel', /no spot face/],
    ['m14x1.5 m washer', 'm14x1.5 f oring', /chamfered/],
    ['m14x1.5 m oring', 'm14x1.5 f washer', /flat face/],
    ['m14x1.5 m', 'm14x1.5 f washer', /say what the seat is/],
    ['banjo m12x1.5', 'm12x1.5 f oring', /lower washer/],
    ['banjo 9/16-18', 'orb6 f', /chamfer/],
  ])('%s into %s screws in and leaks', (a, b, reason) => {
    const found = joint(a, b);
    expect(found.outcome).toBe('leaks');
    expect(found.reason).toMatch(reason);
    expect(found.seal).toBeUndefined();
  });

  it.each([
    ['an6 m', 'an6 m', /Both are male/],
    ['npt 1/8 f', 'orb4 f', /Both are female/],
    ['an6 m', 'an8 f swivel', /./],
    ['m14x1.5 m washer', 'orb6 f', /starts, .*binds/],
    ['npt 1/8 m', 'm10x1 f washer', /./],
    ['barb 3/8', 'hose 1/2', /barb's size/],
    ['barb 3/8', 'npt 1/8 f', /no thread in common/],
    ['banjo m12x1.5', 'm14x1.5 f washer', /./],
  ])('%s and %s do not join', (a, b, reason) => {
    const found = joint(a, b);
    expect(found.outcome).toBe('does-not-join');
    expect(found.reason).toMatch(reason);
  });

  it('gives one verdict whichever comes first, always with a reason, and seals only what has a method', () => {
    fc.assert(
      fc.property(anyConnector, anyConnector, (a, b) => {
        const found = mate(a, b);
        expect(mate(b, a)).toEqual(found);
        expect(found.reason.length).toBeGreaterThan(10);
        expect(found.seal !== undefined).toBe(found.outcome === 'seals');
        if (found.outcome === 'seals') expect(a.gender).not.toBe(b.gender);
      }),
      { numRuns: 1000 },
    );
  });

  it('seals every family with itself in every size', () => {
    for (const family of families.filter((f) => f.genders.length === 2))
      for (const size of family.sizes) {
        const seat = family.id === 'metric' ? { seat: 'washer' } : {};
        expect(
          mate({ family: family.id, size, gender: 'male', ...seat }, { family: family.id, size, gender: 'female', ...seat }).outcome,
        ).toBe('seals');
      }
  });
});

describe('seal data', () => {
  it('takes the washer that goes over the bolt', () => {
    expect(washerFor(14).size).toBe('14 × 18 × 1.5');
    expect(washerFor(14.2875).size).toBe('14 × 18 × 1.5');
    expect(washerFor(11.1).size).toBe('12 × 16 × 1.5');
  });

  it('says make-up in house units', () => {
    expect(formatMakeUp(joint('an6 m', 'an6 f').makeUp!)).toBe('1–1½ flats');
    expect(formatMakeUp(joint('m14x1.5 m washer', 'm14x1.5 f washer').makeUp!)).toBe('25–35\u2009N·m');
    expect(formatMakeUp(joint('m14x1.5 m washer', 'm14x1.5 f washer').makeUp!, 'inch')).toBe('18–26\u2009lbf·ft');
    expect(formatMakeUp(joint('npt 1/8 m', 'npt 1/8 f').makeUp!)).toBe('2–3 turns');
  });
});
