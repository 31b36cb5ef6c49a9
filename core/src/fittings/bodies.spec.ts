import * as fc from 'fast-check';
import { bodies, exchanger, filter, plate, spacer, thermostat } from '../../testing/sample-bodies.js';
import {
  checkFitting,
  circuitsInside,
  dot,
  endFacings,
  endFrames,
  formatPassages,
  formatPlaces,
  isClosing,
  isPlain,
  joinsInside,
  leadsTo,
  lengthBetween,
  newPart,
  parseConnector,
  passageWays,
  positionsOf,
  readPassages,
  readParts,
  readPlaces,
  guessColumns,
  standardFittings,
  turnBetween,
  writeParts,
  type EndPlace,
  type Fitting,
  type Passage,
} from '../index.js';
import { inHouseUnits } from '../units/index.js';

const problems = (fitting: Fitting): string[] => checkFitting(fitting).map((p) => p.message);
const inBody = (fitting: Fitting, body: Partial<NonNullable<Fitting['body']>>): Fitting => ({
  ...fitting,
  body: { ...fitting.body!, ...body },
});

describe('a part with a body', () => {
  it('holds together, is asked for by name, and a filter closes its post', () => {
    for (const part of bodies) {
      expect(problems(part)).toEqual([]);
      expect(isPlain(part)).toBe(false);
    }
    expect(bodies.filter(isClosing)).toEqual([filter]);
  });

  it('joins inside what its passages join, in their direction', () => {
    expect(leadsTo(plate, 0, 2)).toBe(true);
    expect(leadsTo(plate, 2, 0)).toBe(false);
    expect(joinsInside(plate, 2, 0)).toBe(true);
    expect(joinsInside(plate, 2, 3)).toBe(false);
    expect(leadsTo(plate, 0, 1)).toBe(true);
    expect(circuitsInside(exchanger)).toEqual([
      [0, 1],
      [2, 3],
    ]);
    expect(joinsInside(exchanger, 0, 2)).toBe(false);
    expect(positionsOf(thermostat)).toEqual(['hot', 'cold']);
    expect(positionsOf(plate)).toEqual([]);
  });

  it('adds its height to a stack, and turns the flow to where its ends look', () => {
    expect([lengthBetween(plate, 0, 1), turnBetween(plate, 0, 1), plate.lengthMm]).toEqual([32, 0, 32]);
    expect([lengthBetween(plate, 0, 2), turnBetween(plate, 0, 2)]).toEqual([16 + 46, 90]);
    expect(turnBetween(plate, 2, 3)).toBeCloseTo(140);
    expect([lengthBetween(exchanger, 0, 1), turnBetween(exchanger, 0, 1)]).toEqual([140, 180]);
    expect(spacer.lengthMm).toBe(18);
    expect(filter.lengthMm).toBe(88);
  });

  it.each<[string, Fitting, RegExp]>([
    ['no body where its kind has one', { ...plate, body: undefined as never }, /have a body/],
    ['a body where its kind has none', { ...filter, kind: 'cap' }, /no body of their own/],
    ['fewer places than ends', inBody(plate, { places: plate.body!.places.slice(1) }), /4 places for 5 ends/],
    ['an end that looks out anywhere', inBody(filter, { places: [{ faces: 'out' }] }), /at which angle/],
    ['an end above its body', inBody(spacer, { places: [{ faces: 'down' }, { faces: 'up', heightMm: 40 }] }), /40 mm up/],
    ['an end beside its body', inBody(filter, { places: [{ faces: 'down', outMm: 300 }] }), /300 mm off/],
    ['a passage to an end it has not', inBody(spacer, { passages: readPassages('1 - 3') }), /has 2 ends/],
    ['a passage into itself', inBody(spacer, { passages: readPassages('1 - 1') }), /leads back/],
    ['a passage twice', inBody(spacer, { passages: readPassages('1 - 2; 2 - 1') }), /twice/],
    ['a rim without a post', inBody(exchanger, { passages: readPassages('1 rim - 2; 3 - 4') }), /only a filter post/],
    ['an end that leads nowhere', inBody(exchanger, { passages: readPassages('1 - 2; 1 - 3') }), /End 4 leads nowhere/],
    ['a thermostat that never opens', { ...thermostat, body: { ...thermostat.body!, opensC: undefined as never } }, /begins to open/],
    ['one that is open before it begins', inBody(thermostat, { fullOpenC: 70 }), /other way round/],
    ['an angle of its own', { ...spacer, angleDeg: 90 }, /leave the angle empty/],
  ])('is refused with %s', (_, part, words) => expect(inHouseUnits(problems(part).join(' '), 'metric')).toMatch(words));

  it('gets a body by common proportions where none is said', () => {
    const ends = ['orb8 f', 'orb8 f', 'orb8 f', 'orb8 f', 'npt 1/8 f'].map(parseConnector);
    const manifold = newPart({ ends })!;
    expect(manifold.kind).toBe('manifold');
    expect(problems(manifold)).toEqual([]);
    for (const kind of ['cooler', 'valve', 'heat exchanger', 'tank', 'canister'] as const)
      expect(problems(newPart({ ends: ends.slice(0, 4), kind })!)).toEqual([]);
    expect(problems(newPart({ ends: [parseConnector('groove 62x71'), parseConnector('land 58x84')], kind: 'spacer' })!)).toEqual([]);
  });
});

describe('the frame of an end', () => {
  it('looks outwards, square to its "up", and agrees with what a way through adds and turns', () => {
    for (const part of [...standardFittings().filter((_, i) => i % 17 === 0), ...bodies]) {
      const frames = endFrames(part);
      for (const { axis, up } of frames) {
        expect(dot(axis, axis)).toBeCloseTo(1);
        expect(dot(axis, up)).toBeCloseTo(0);
      }
      if (frames.length < 2 || part.body) continue;
      expect(turnBetween(part, 0, 1)).toBeCloseTo(part.angleDeg ?? 0, 3);
      const [a, b] = [frames[0]!, frames[1]!].map(({ origin }) => Math.hypot(...origin));
      expect(a! + b!).toBeCloseTo(lengthBetween(part, 0, 1), 1);
    }
  });
});

describe('how a body is written into a list', () => {
  const place = fc.record(
    {
      name: fc.stringMatching(/^[a-z]+( [a-z]+)?$/).filter((s) => s.length <= 40),
      faces: fc.constantFrom(...endFacings),
      clockDeg: fc.integer({ min: 0, max: 359 }),
      heightMm: fc.integer({ min: 0, max: 400 }).map((n) => n / 4),
      outMm: fc.integer({ min: 0, max: 400 }).map((n) => n / 4),
    },
    { requiredKeys: ['faces'] },
  ) as fc.Arbitrary<EndPlace>;
  const passage = fc.record(
    {
      from: fc.integer({ min: 0, max: 11 }),
      fromBy: fc.constantFrom(...passageWays),
      to: fc.integer({ min: 0, max: 11 }),
      toBy: fc.constantFrom(...passageWays),
      oneWay: fc.constant(true as const),
      when: fc.constantFrom('hot', 'cold', 'half open'),
      boreMm: fc.integer({ min: 1, max: 200 }).map((n) => n / 4),
    },
    { requiredKeys: ['from', 'to'] },
  ) as fc.Arbitrary<Passage>;

  it('reads again as the same', () => {
    fc.assert(fc.property(fc.array(place, { minLength: 1, maxLength: 12 }), (all) => expect(readPlaces(formatPlaces(all))).toEqual(all)));
    fc.assert(fc.property(fc.array(passage, { maxLength: 20 }), (all) => expect(readPassages(formatPassages(all))).toEqual(all)));
  });

  it('comes back from a part list unchanged, and a changed body alone changes the part', () => {
    const { headings, rows } = writeParts(bodies);
    const mapping = guessColumns(headings);
    expect(readParts(rows, mapping, bodies)).toMatchObject({ added: [], changed: [], unchanged: bodies.length, errors: [] });
    expect(readParts(rows, mapping, []).added.map((p) => p.body)).toEqual(bodies.map((p) => p.body));
    const higher = readParts([['spacer', 'round 92 x 25']], guessColumns(['id', 'body']), bodies).changed;
    expect(higher).toEqual([{ ...spacer, body: { ...spacer.body!, heightMm: 25 }, lengthMm: 25 }]);
    expect(writeParts(standardFittings().slice(0, 2)).headings).not.toContain('body');
  });

  it.each([
    ['places of its ends', 'sideways', /down, up or out/],
    ['places of its ends', 'out 90° 14 mm', /no meaning/],
    ['passages', '1 to 2', /not a passage/],
    ['body', 'round', /round 90 x 32/],
  ])('names what cannot be read in %s', (column, cell, words) => {
    const { errors } = readParts([['spacer', cell]], guessColumns(['id', column]), bodies);
    expect(errors[0]).toMatchObject({ line: 2, column, message: expect.stringMatching(words) as string });
  });
});
