import { newPart, parseConnector, readBody, readPassages, readPlaces, type Fitting, type FittingKindId } from '@gewinde/core';

interface Row {
  readonly id: string;
  readonly kind: FittingKindId;
  readonly name: string;
  /** Ends in notation, with ` + ` between. */
  readonly ends: string;
  readonly body: string;
  readonly places: string;
  readonly passages: string;
  readonly heat?: readonly [opensC: number, fullOpenC: number];
  readonly euros: number;
  readonly maxBar: number;
  readonly shelf?: number;
}

/** Invented plates, filters, coolers and valves: what no standard says. Sample data. */
const rows: readonly Row[] = [
  {
    id: 'sample-plate-34',
    kind: 'plate',
    name: 'Sandwich plate 3/4-16, two -10 ports and a gauge port',
    ends: 'post 3/4-16 f 62x71x2.7 + post 3/4-16 m 56x84 + orb10 f + orb10 f + npt 1/8 f',
    body: 'round 92 x 32',
    places: 'block face: down; filter face: up; to cooler: out 0°; from cooler: out 42°; gauge: out 180°',
    passages: '1 rim > 3; 4 > 2 rim; 2 core - 1 core; 1 rim - 5',
    euros: 79,
    maxBar: 14,
  },
  {
    id: 'sample-plate-m20-thermostat',
    kind: 'thermostat',
    name: 'Thermostatic plate M20×1.5, two -10 ports',
    ends: 'post m20x1.5 f 62x71x2.7 + post m20x1.5 m 56x84 + orb10 f + orb10 f',
    body: 'round 96 x 38',
    places: 'block face: down; filter face: up; to cooler: out 0°; from cooler: out 60°',
    passages: '1 rim > 3 when hot; 4 > 2 rim when hot; 1 rim > 2 rim when cold; 2 core - 1 core',
    heat: [80, 92],
    euros: 129,
    maxBar: 14,
    shelf: 1,
  },
  {
    id: 'sample-spacer-m20',
    kind: 'spacer',
    name: 'Spacer M20×1.5, 18 mm',
    ends: 'post m20x1.5 f 62x71x2.7 + post m20x1.5 m 56x84',
    body: 'round 90 x 18',
    places: 'block face: down; filter face: up',
    passages: '1 rim - 2 rim; 1 core - 2 core',
    euros: 34,
    maxBar: 14,
  },
  {
    id: 'sample-filter-34',
    kind: 'spin-on filter',
    name: 'Spin-on filter 3/4-16, 88 mm',
    ends: 'post 3/4-16 f 62x71',
    body: 'round 76 x 88',
    places: 'face: down',
    passages: '',
    euros: 11,
    maxBar: 14,
    shelf: 3,
  },
  {
    id: 'sample-filter-m20',
    kind: 'spin-on filter',
    name: 'Spin-on filter M20×1.5, 76 mm',
    ends: 'post m20x1.5 f 62x71',
    body: 'round 76 x 76',
    places: 'face: down',
    passages: '',
    euros: 9,
    maxBar: 14,
    shelf: 2,
  },
  {
    id: 'sample-head-npt',
    kind: 'filter head',
    name: 'Remote filter head 3/4-16, 1/2 NPT ports and a gauge port',
    ends: 'npt 1/2 f + npt 1/2 f + npt 1/8 f + post 3/4-16 m 56x84',
    body: 'square 112 x 50',
    places: 'in: out 180° h26; out: out 0° h26; gauge: up; filter: down',
    passages: '1 > 4 rim; 4 core > 2; 3 - 4 core',
    euros: 58,
    maxBar: 14,
  },
  {
    id: 'sample-cooler-19',
    kind: 'cooler',
    name: 'Oil cooler, 19 rows, -10 ports',
    ends: 'orb10 f + orb10 f',
    body: 'square 330 x 150',
    places: 'in: out 0° h128; out: out 180° h128',
    passages: '1 - 2',
    euros: 148,
    maxBar: 12,
  },
  {
    id: 'sample-exchanger',
    kind: 'heat exchanger',
    name: 'Oil-to-water cooler, -10 oil ports, 3/4 in water',
    ends: 'orb10 f + orb10 f + barb 3/4 + barb 3/4',
    body: 'round 90 x 210',
    places: 'oil in: out 0° h35; oil out: out 0° h175; water in: down; water out: up',
    passages: '1 - 2; 3 - 4',
    euros: 189,
    maxBar: 12,
  },
  {
    id: 'sample-thermostat-inline',
    kind: 'thermostat',
    name: 'Inline thermostat, four -10 ports',
    ends: 'orb10 f + orb10 f + orb10 f + orb10 f',
    body: 'square 64 x 84',
    places: 'from engine: out 180° h22; to cooler: out 0° h22; from cooler: out 0° h62; to engine: out 180° h62',
    passages: '1 > 2 when hot; 3 > 4 when hot; 1 > 4 when cold bore 10',
    heat: [82, 95],
    euros: 96,
    maxBar: 14,
  },
  {
    id: 'sample-canister',
    kind: 'canister',
    name: 'Bypass filter canister, 1/4 NPT ports',
    ends: 'npt 1/4 f + npt 1/4 f + npt 1/8 f',
    body: 'round 110 x 190',
    places: 'in: out 0° h30; out: out 180° h30; drain: down',
    passages: '1 > 2 bore 1.6; 1 - 3',
    euros: 164,
    maxBar: 10,
  },
  {
    id: 'sample-valve',
    kind: 'valve',
    name: 'Ball valve, 1/2 NPT both ends',
    ends: 'npt 1/2 f + npt 1/2 f',
    body: 'round 34 x 62',
    places: 'down; up',
    passages: '1 - 2 when open',
    euros: 22,
    maxBar: 40,
    shelf: 1,
  },
  {
    id: 'sample-manifold',
    kind: 'manifold',
    name: 'Feed manifold, one -6 port to five -4 ports',
    ends: 'orb6 f + orb4 f + orb4 f + orb4 f + orb4 f + orb4 f',
    body: 'square 40 x 132',
    places: 'in: down; one: out 0° h22; two: out 0° h44; three: out 0° h66; four: out 0° h88; five: out 0° h110',
    passages: '1 > 2; 1 > 3; 1 > 4; 1 > 5; 1 > 6',
    euros: 44,
    maxBar: 60,
  },
];

/** The invented parts with bodies, with prices. */
export function sampleBodies(): Fitting[] {
  return rows.map(({ id, kind, name, ends, body, places, passages, heat, euros, maxBar, shelf = 0 }, i) => {
    const made = newPart({
      id,
      kind,
      name,
      ends: ends.split(' + ').map(parseConnector),
      body: {
        ...readBody(body),
        places: readPlaces(places),
        passages: readPassages(passages),
        ...(heat ? { opensC: heat[0], fullOpenC: heat[1] } : {}),
      },
      maxBar,
      priceMinor: euros * 100,
      supplier: 'Ninefold Parts (sample)',
      code: `NF-B${String(11 + i)}`,
      shelf,
      leadDays: 10,
      source: 'invented: sample data',
    });
    return made!;
  });
}
