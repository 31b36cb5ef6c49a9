import fc from 'fast-check';
import { everyConnector, parseConnector } from '../connectors/index.js';
import { endRating, isSpanner, partRating, spannerFor } from './index.js';

describe('what an end bears', () => {
  it('is a figure for every connector there is, in every metal, never more in a weaker one', () => {
    for (const end of everyConnector()) {
      const [steel, brass, aluminium] = ['steel', 'brass', 'aluminium'].map((metal) => endRating(end, metal));
      expect(steel!.maxBar).toBeGreaterThan(0);
      expect(steel!.maxBar).toBeLessThanOrEqual(345);
      expect(brass!.maxBar).toBeLessThanOrEqual(steel!.maxBar);
      expect(aluminium!.maxBar).toBeLessThanOrEqual(brass!.maxBar);
      expect(aluminium!.minTempC).toBeLessThan(aluminium!.maxTempC);
      expect(aluminium!.barBy.length).toBeGreaterThan(4);
    }
  });

  it('is that of aluminium where no metal is said', () =>
    expect(endRating(parseConnector('an8 m'), undefined).maxBar).toBe(endRating(parseConnector('an8 m'), 'aluminium').maxBar));

  it.each([
    ['orb6 m adjustable', 'orb6 m'],
    ['bung orb10 f', 'orb10 f'],
    ['rp 1/4 f', 'rc 1/4 f'],
  ])('is less for %s than for %s', (weak, strong) =>
    expect(endRating(parseConnector(weak), 'steel').maxBar).toBeLessThan(endRating(parseConnector(strong), 'steel').maxBar),
  );

  it.each([
    ['barb 3/8', 'the rubber of its hose', 125],
    ['qc 3/8 f', 'its own seals', 115],
    ['post 3/4-16 f', 'the gasket of the filter', 140],
    ['orb8 m', 'an FKM ring', 200],
  ])('%s is held back in heat by %s', (end, by, most) =>
    expect(endRating(parseConnector(end), 'steel')).toMatchObject({ heatBy: by, maxTempC: most }),
  );
});

describe('what a part bears', () => {
  it('is never more than any of its ends does', () => {
    const ends = fc.constantFrom(...everyConnector());
    fc.assert(
      fc.property(fc.array(ends, { minLength: 1, maxLength: 4 }), fc.constantFrom('steel', 'aluminium', 'brass'), (all, material) => {
        const part = partRating({ ends: all, material });
        const each = all.map((end) => endRating(end, material));
        expect(part.maxBar).toBe(Math.min(...each.map((r) => r.maxBar)));
        expect(part.maxTempC).toBe(Math.min(...each.map((r) => r.maxTempC)));
        expect(part.minTempC).toBe(Math.max(...each.map((r) => r.minTempC)));
        expect(each.map((r) => r.barBy)).toContain(part.barBy);
      }),
    );
  });
});

describe('what gives way before its joints', () => {
  it.each([
    ['cooler', 'orb10 f', 10, 'the core of the cooler'],
    ['spin-on filter', 'orb10 f', 14, 'the can of the filter'],
    ['tank', 'an10 m', 0.5, 'its thin walls; a tank is vented'],
    ['filler cap', 'an10 m', 0.5, 'the neck it sits on, which holds no pressure'],
  ] as const)('a %s with %s bears %d bar, by %s', (kind, end, maxBar, barBy) =>
    expect(partRating({ ends: [parseConnector(end), parseConnector(end)], kind, material: 'aluminium' })).toMatchObject({ maxBar, barBy }),
  );

  it('a moulded part bears the heat of its rubber, and a blank over a barb hardly any pressure', () => {
    const hose = parseConnector('hose 3/4');
    expect(partRating({ ends: [hose, hose], material: 'silicone' })).toMatchObject({ minTempC: -55, maxTempC: 175, heatBy: 'silicone' });
    expect(partRating({ ends: [hose, hose], material: 'rubber' }).maxTempC).toBe(125);
    expect(partRating({ ends: [hose], material: 'rubber' })).toMatchObject({ maxBar: 2, barBy: 'a blank of rubber' });
  });
});

describe('spanners', () => {
  it('go over what they are for, and are ones that exist', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 100, noNaN: true }), fc.constantFrom('metric', 'inch'), (across, row) => {
        const spanner = spannerFor(across, row as 'metric');
        expect(isSpanner(spanner)).toBe(true);
        expect(spanner).toBeGreaterThan(across - 0.08);
      }),
    );
  });
  it.each([13.3, 21.8, 27.2, 31, 34, 39, 42.5])('%d mm is none', (across) => expect(isSpanner(across)).toBe(false));
});
