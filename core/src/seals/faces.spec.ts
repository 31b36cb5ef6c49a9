import * as fc from 'fast-check';
import {
  boltsOf,
  connectorName,
  ConnectorSyntaxError,
  counterpart,
  formatConnector,
  landOf,
  mate,
  parseConnector,
  ringInGroove,
  specify,
  standardSupplies,
} from '../index.js';
import { faceRings } from './o-rings.js';
import { inHouseUnits } from '../units/index.js';

const outcome = (a: string, b: string) => mate(parseConnector(a), parseConnector(b));
const refusal = (text: string): string => {
  try {
    parseConnector(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return `${error.message} ${error.hint}`;
  }
  throw new Error('read');
};

describe('two plain faces', () => {
  it('may be a cap on its neck where no bolts are said', () => {
    expect(outcome('land 30x38', 'land 30x38').makeUp!.note).toMatch(/^A cap goes on by hand/);
    expect(outcome('land 58x84 bolts 4x100', 'land 58x84 bolts 4x100').makeUp!.note).toMatch(/^For M6 bolts/);
  });
});

describe('a gasket face', () => {
  it.each([
    ['groove 62x71', 'groove 62x71', 'gasket face 62 to 71 mm, groove'],
    ['face 62 x 71 x 2.6 m', 'groove 62x71x2.6', 'gasket face 62 to 71 mm, groove 2.6 mm deep'],
    ['land 58×84 mm', 'land 58x84', 'gasket face 58 to 84 mm, plain'],
    ['LAND 58x84 bolts 4x100', 'land 58x84 bolts4x100', 'gasket face 58 to 84 mm, plain, 4 bolts on 100 mm'],
    ['post 3/4-16 m land 58x84', 'post 3/4-16 m 58x84', 'filter post 3/4-16, male, land 58 to 84 mm'],
    ['post m20x1.5 f gasket 62x71', 'post m20x1.5 f 62x71', 'filter post M20×1.5, female, gasket 62 to 71 mm'],
    ['post m 58x84 3/4-16', 'post 3/4-16 m 58x84', 'filter post 3/4-16, male, land 58 to 84 mm'],
    ['post 3/4-16 f groove 62x71x2.6', 'post 3/4-16 f 62x71x2.6', 'filter post 3/4-16, female, gasket 62 to 71 mm, groove 2.6 mm deep'],
    ['3/8 hose barb', 'barb 3/8', 'hose barb 3/8 in'],
  ])('%s is %s: %s', (typed, written, words) => {
    const c = parseConnector(typed);
    expect(formatConnector(c)).toBe(written);
    expect(parseConnector(written)).toEqual(c);
    expect(connectorName(c)).toBe(words);
  });

  it('tells its land and its bolts', () => {
    const c = parseConnector('groove 62x71x2.6 bolts 4x100');
    expect(landOf(c)).toEqual({ insideMm: 62, outsideMm: 71, depthMm: 2.6 });
    expect(boltsOf(c)).toEqual({ count: 4, circleMm: 100 });
    expect([landOf(parseConnector('post 3/4-16 m')), boltsOf(parseConnector('land 58x84')), landOf(parseConnector('an6 m'))]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });

  it.each([
    ['face 62x71', /Groove or land/],
    ['groove', /size is missing/],
    ['groove 71x62', /leaves no face/],
    ['groove 62x71x20', /holds no ring/],
    ['land 58x900', /not one of this trade/],
    ['groove 62x71 62x71', /second one/],
    ['groove 62x71 m14x1.5', /no thread/],
    ['land 58x84 f m', /both said/],
    ['groove 62x71 f', /groove is male/],
    ['orb10 f 62x71', /no land for a gasket/],
    ['groove 62x71 bolts 1x88', /do not hold a face/],
    ['post 3/4-16 m 58x84x2.6', /has no depth/],
    ['groove land 62x71 orb10', /Two families/],
  ])('%s is refused', (typed, words) => expect(refusal(typed)).toMatch(words));
});

describe('two faces on one another', () => {
  it.each([
    ['groove 62x71', 'land 58x84', 'seals', /lies on plain land/],
    ['groove 62x71', 'groove 62x71', 'leaks', /Two grooves/],
    ['groove 62x71', 'land 58x70', 'leaks', /hangs over the edge/],
    ['groove 62x71', 'land 64x84', 'leaks', /hangs into the hole/],
    ['land 40x60', 'land 44x70', 'seals', /flat gasket of 44 to 60/],
    ['land 40x60', 'land 56x70', 'leaks', /2.0 mm wide/],
    ['land 40x60', 'land 62x70', 'leaks', /not lie on one another/],
    ['groove 62x71 bolts 4x100', 'land 58x84 bolts 3x100', 'does-not-join', /3 bolts on 100 mm against 4/],
    ['groove 62x71 bolts 4x100', 'land 58x84', 'seals', /plain land/],
    ['post 3/4-16 f 62x71', 'post 3/4-16 m 58x84', 'seals', /62 to 71 mm\) lies on land all round \(58 to 84/],
    ['post 3/4-16 f 62x71', 'post 3/4-16 m 58x70', 'leaks', /hangs over the edge/],
    ['post 3/4-16 f', 'post 3/4-16 m 58x70', 'seals', /Lay it on the face first/],
    ['post 3/4-16 m 58x84', 'post m20x1.5 f 62x71', 'does-not-join', /3\/4-16/],
    ['groove 62x71', 'post 3/4-16 m', 'does-not-join', /nothing in common/],
    ['groove 62x71', 'flange 2x44 bore 20', 'does-not-join', /nothing in common/],
  ])('%s and %s: %s', (a, b, verdict, words) => {
    const found = outcome(a, b);
    expect(found.outcome).toBe(verdict);
    expect(inHouseUnits(found.reason, 'metric')).toMatch(words);
    expect(outcome(b, a)).toEqual(found);
  });

  it('name the usual partner', () =>
    expect(['groove 62x71', 'land 58x84', 'post 3/4-16 m 58x84'].map((c) => formatConnector(counterpart(parseConnector(c))!))).toEqual([
      'land 62x71',
      'groove 58x84',
      'post 3/4-16 f',
    ]));
});

describe('a ring in the groove of a face', () => {
  const ring = { insideMm: 61, sectionMm: 3.53 };

  it('is hardly stretched, squeezed enough, and has room to swell', () => {
    const lies = ringInGroove(ring, { insideMm: 62, outsideMm: 71, depthMm: 2.7 });
    expect(lies.problem).toBeUndefined();
    expect(lies.stretchPercent).toBeCloseTo(1.64, 1);
    expect(lies.squeezePercent).toBeCloseTo(23.5, 1);
    expect(lies.fillPercent).toBeCloseTo(80.6, 0);
  });

  it.each([
    [{ insideMm: 62, outsideMm: 68, depthMm: 2.7 }, /does not go into/],
    [{ insideMm: 66, outsideMm: 75, depthMm: 2.7 }, /stretched by 8 %/],
    [{ insideMm: 55, outsideMm: 65, depthMm: 2.7 }, /too large/],
    [{ insideMm: 62, outsideMm: 71, depthMm: 3.2 }, /squeezed by 9 % only/],
    [{ insideMm: 62, outsideMm: 71, depthMm: 2.2 }, /crushed by 38 %/],
    [{ insideMm: 61, outsideMm: 68.4, depthMm: 2.8 }, /fills 9\d %/],
    [{ insideMm: 62, outsideMm: 71 }, /depth of the groove is not said/],
  ])('does not seal in %j', (groove, words) => expect(ringInGroove(ring, groove).problem).toMatch(words));

  it('is named by the catalogue where one fits, in the compound of the shop, and doubted where none does', () => {
    const supplies = standardSupplies();
    const asked = (size: string) => specify({ item: 'face ring', size, quantity: 1 }, { fluid: 'engine oil' }, supplies);
    expect(asked('62x71x2.7')).toMatchObject({ name: 'O-ring FKM AS568-230', why: expect.stringMatching(/squeezed by 24 %/) as string });
    expect(asked('62x71').doubt).toMatch(/deep/);
    expect(asked('300x310x2.7').doubt).toMatch(/No ring/);
    expect(specify({ item: 'face ring', size: '62x71x2.7', quantity: 1 }, { fluid: 'brake fluid' }, supplies).name).not.toMatch(/FKM/);
  });

  it('every ring of the tables lies in the groove that is made for it', () =>
    fc.assert(
      fc.property(fc.constantFrom(...faceRings), ({ insideMm, sectionMm }) => {
        const groove = { insideMm, outsideMm: insideMm + 2 * sectionMm * 1.3, depthMm: sectionMm * 0.77 };
        expect(ringInGroove({ insideMm, sectionMm }, groove).problem).toBeUndefined();
      }),
    ));
});
