import { newPart, parseConnector, readPassages, readPlaces, type Fitting, type GivenPart } from '../src/index.js';

const made = (id: string, kind: Fitting['kind'], ends: string[], body: [number, number, string, string?], more: GivenPart['body'] = {}) =>
  newPart({
    id,
    name: id,
    kind: kind!,
    ends: ends.map(parseConnector),
    body: {
      shape: 'round',
      acrossMm: body[0],
      heightMm: body[1],
      places: readPlaces(body[2]),
      ...(body[3] === undefined ? {} : { passages: readPassages(body[3]) }),
      ...more,
    },
  })!;

/** Between block and filter: out to a cooler and back, and a gauge. */
export const plate = made(
  'plate',
  'plate',
  ['post m20x1.5 f 62x71x2.7', 'post m20x1.5 m 56x84', 'orb10 f', 'orb10 f', 'npt 1/8 f'],
  [
    92,
    32,
    'block face: down; filter face: up; to cooler: out 0°; from cooler: out 40°; gauge: out 180°',
    '1 rim > 3; 4 > 2 rim; 2 core - 1 core; 1 rim - 5',
  ],
);
export const spacer = made(
  'spacer',
  'spacer',
  ['post m20x1.5 f 62x71', 'post m20x1.5 m 56x84'],
  [92, 18, 'down; up', '1 rim - 2 rim; 1 core - 2 core'],
);
export const filter = made('filter', 'spin-on filter', ['post m20x1.5 f 62x71'], [76, 88, 'down']);
/** Oil on the first two ends, water on the others. */
export const exchanger = made(
  'exchanger',
  'heat exchanger',
  ['orb10 f', 'orb10 f', 'barb 3/4', 'barb 3/4'],
  [90, 200, 'oil in: out 0° h30; oil out: out 0° h170; water in: down; water out: up'],
);
export const thermostat = made(
  'thermostat',
  'thermostat',
  ['orb10 f', 'orb10 f', 'orb10 f', 'orb10 f'],
  [
    60,
    80,
    'engine out: out 270° h20; cooler: out 90° h20; back: out 90° h60; engine in: out 270° h60',
    '1 > 2 when hot; 3 > 4 when hot; 1 > 4 when cold bore 9',
  ],
  { opensC: 80, fullOpenC: 92 },
);
export const bodies: readonly Fitting[] = [plate, spacer, filter, exchanger, thermostat];
