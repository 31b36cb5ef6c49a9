import type { Body } from '../body-schema.js';
import { readPassages, readPlaces } from '../part-list/body-notation.js';
import type { Fitting } from '../fitting.js';
import type { FittingKindId } from '../fitting-kinds.js';
import { adapter, bodied, type Make } from './adapter.js';
import { commonBody } from './common-body.js';
import { readEnd } from './read-end.js';

/** What lies round posts of some threads: gasket of the filter, groove of a plate and plain land of a block, mm; filters by width and height. */
interface PostFaces {
  readonly posts: readonly string[];
  readonly gasket: string;
  readonly groove: string;
  readonly land: string;
  readonly canMm: number;
  readonly heightsMm: readonly number[];
  readonly ports: readonly string[];
}

/** Ports that lead the oil out beside the filter. */
const PORTS = [
  'orb8 f',
  'orb10 f',
  'orb12 f',
  'npt 3/8 f',
  'npt 1/2 f',
  'an8 m',
  'an10 m',
  'm18x1.5 f washer',
  'm22x1.5 f washer',
  'g 1/2 f',
];
const WIDE_PORTS = ['orb10 f', 'orb12 f', 'npt 1/2 f', 'npt 3/4 f', 'an10 m', 'an12 m', 'm22x1.5 f washer'];

/** Faces between filter, plate and block. Common practice: lay the gasket in hand on the face in hand. */
export const postFaces: readonly PostFaces[] = [
  {
    posts: ['m18x1.5', 'm20x1.5', '3/4-16'],
    gasket: '54x62',
    groove: '54x63x2.7',
    land: '48x70',
    canMm: 66,
    heightsMm: [65, 85],
    ports: ['orb8 f', 'orb10 f', 'npt 3/8 f', 'an8 m', 'an10 m', 'm18x1.5 f washer'],
  },
  {
    posts: ['m18x1.5', 'm20x1.5', 'm22x1.5', '3/4-16', '13/16-16'],
    gasket: '62x71',
    groove: '62x71x2.7',
    land: '56x84',
    canMm: 76,
    heightsMm: [76, 88, 100, 123],
    ports: PORTS,
  },
  {
    posts: ['m24x1.5', 'm26x1.5', 'm27x2', '1-12', '1-16', '1 1/8-16'],
    gasket: '88x98',
    groove: '88x97x2.7',
    land: '82x108',
    canMm: 108,
    heightsMm: [142, 172],
    ports: WIDE_PORTS,
  },
  { posts: ['1 1/2-16'], gasket: '98x110', groove: '93x102x2.7', land: '88x122', canMm: 118, heightsMm: [145, 200], ports: WIDE_PORTS },
];
/** Where a thermostat begins to open and is fully open, °C. Common practice. */
const THERMOSTATS = [
  [74, 86],
  [80, 92],
] as const;
const SPACERS_MM = [10, 12, 15, 18, 20, 25, 30, 40];
/** Reach that post bolts are made for beyond the post that is there, mm. */
const REACHES_MM = [12, 18, 25, 32, 40, 50, 60];
const WATER = ['barb 1/2', 'barb 5/8', 'barb 3/4'];
const STACKED_COOLERS_MM = [36, 52, 68];
const HEAD_PORTS = ['npt 3/8 f', 'npt 1/2 f', 'npt 3/4 f', 'orb8 f', 'orb10 f', 'orb12 f', 'an10 m', 'm22x1.5 f washer'];

/** Plates, spacers, coolers between block and filter, filters and their heads, post bolts. */
export function stackFittings(): Fitting[] {
  const posts = new Set(postFaces.flatMap((row) => row.posts));
  return [...postFaces.flatMap(roundPosts), ...[...posts].flatMap(postBolts)];
}

/** The faces of a part between block and filter, in notation, and what its name says of them. */
interface Between {
  readonly below: string;
  readonly above: string;
  readonly words: string;
  readonly post: string;
}

function roundPosts({ posts, gasket, groove, land, canMm, heightsMm, ports }: PostFaces): Fitting[] {
  return posts.flatMap((post) => {
    const between: Between = { below: `post ${post} f ${groove}`, above: `post ${post} m ${land}`, words: `${post} (${gasket})`, post };
    const { below, above, words } = between;
    const withPorts = (port: string): Fitting =>
      make([below, port, port], 'plate', 'block face: down; to filter: out 0°; from filter: out 60°', '1 rim > 2; 3 > 1 core', {
        called: `Take-off plate ${words}, two ${port}, no filter on it`,
      });
    return [
      ...heightsMm.map((heightMm) => can(post, gasket, canMm, heightMm)),
      ...SPACERS_MM.map((heightMm) => spacer(between, heightMm)),
      ...ports.flatMap((port) => plates(between, port)),
      ...['npt 1/8 f', 'm10x1 f washer'].map((gauge) =>
        make([below, above, gauge, gauge], 'plate', `${BOTH_FACES}; gauge: out 0°; gauge: out 180°`, `${THROUGH}; 1 rim - 3; 1 rim - 4`, {
          called: `Gauge plate ${words}, two ${gauge}`,
        }),
      ),
      ...['an4 m', 'an6 m', 'npt 1/4 f'].map((feed) =>
        make([below, above, feed], 'plate', `${BOTH_FACES}; filtered feed: out 0°`, `${THROUGH}; 2 core > 3`, {
          called: `Feed plate ${words}, ${feed} behind the filter`,
        }),
      ),
      ...['an4 m', 'an6 m', 'npt 1/8 f', 'npt 1/4 f'].map((feed) =>
        make([below, above, feed], 'plate', `${BOTH_FACES}; unfiltered feed: out 0°`, `${THROUGH}; 1 rim > 3`, {
          called: `Feed plate ${words}, ${feed} before the filter`,
        }),
      ),
      ...STACKED_COOLERS_MM.flatMap((heightMm) => WATER.map((water) => stackedCooler(between, water, heightMm))),
      ...ports.map(withPorts),
      ...HEAD_PORTS.flatMap((port) => heads(post, land, port)),
    ];
  });
}

const BOTH_FACES = 'block face: down; filter face: up';
const THROUGH = '1 rim > 2 rim; 2 core > 1 core';

function can(post: string, gasket: string, acrossMm: number, heightMm: number): Fitting {
  const body: Body = { shape: 'round', acrossMm, heightMm, places: readPlaces('face: down'), passages: [] };
  const called = `Spin-on filter ${post} (${gasket})`;
  return bodied([readEnd(`post ${post} f ${gasket}`)], 'spin-on filter', body, {
    material: 'steel',
    called,
    apart: `${acrossMm} × ${heightMm} mm`,
  });
}

function spacer({ below, above, words }: Between, heightMm: number): Fitting {
  const more = { called: `Spacer ${words}`, apart: `${heightMm} mm` };
  return make([below, above], 'spacer', BOTH_FACES, '1 rim - 2 rim; 1 core - 2 core', more, { heightMm });
}

/** With its two ports; with a gauge port as well; with a thermostat. */
const TRUCK_POSTS = ['1-12', '1-16', '1 1/8-16', '1 1/2-16', 'm24x1.5', 'm26x1.5', 'm27x2'];

function plates({ below, above, words, post }: Between, port: string): Fitting[] {
  const places = `${BOTH_FACES}; to cooler: out 0°; from cooler: out 60°`;
  const led = '1 rim > 3; 4 > 2 rim; 2 core > 1 core';
  const held = '1 rim > 3 when hot; 4 > 2 rim when hot; 1 rim > 2 rim when cold; 2 core > 1 core';
  const called = `Sandwich plate ${words}, two ${port}`;
  return [
    make([below, above, port, port], 'plate', places, led, { called }),
    // gauges beside the ports: one before the filter, a second behind the cooler, a third at 45°
    ...[1, 2, 3].map((count) =>
      make(
        [below, above, port, port, ...Array.from({ length: count }, () => 'npt 1/8 f')],
        'plate',
        [places, 'gauge: out 180°', 'gauge, back: out 225°', 'gauge, 45°: out 135°'].slice(0, count + 1).join('; '),
        [led, '1 rim - 5', '4 - 6', '1 rim - 7'].slice(0, count + 1).join('; '),
        { called: `${called}, ${count === 1 ? 'gauge' : `${count} gauges`} npt 1/8 f` },
      ),
    ),
    // nobody makes them for the posts of trucks
    ...(TRUCK_POSTS.includes(post) ? [] : THERMOSTATS).map(([opensC, fullOpenC]) =>
      make(
        [below, above, port, port],
        'thermostat',
        places,
        held,
        { called: `Thermostat plate ${words}, two ${port}`, apart: `opens ${opensC} to ${fullOpenC} °C` },
        { opensC, fullOpenC },
      ),
    ),
  ];
}

function stackedCooler({ below, above, words }: Between, water: string, heightMm: number): Fitting {
  return make(
    [below, above, water, water],
    'heat exchanger',
    `${BOTH_FACES}; water in: out 0°; water out: out 40°`,
    '1 rim > 2 rim; 2 core > 1 core; 3 - 4',
    { called: `Oil-to-water cooler ${words}, water ${water}`, apart: `${heightMm} mm` },
    { heightMm },
  );
}

function heads(post: string, land: string, port: string): Fitting[] {
  const ends = [port, port, `post ${post} m ${land}`];
  const places = 'in: out 180°; out: out 0°; filter: down';
  const led = '1 > 3 rim; 3 core > 2';
  const called = `Filter head ${post} (${land}), two ${port}`;
  return [
    make(ends, 'filter head', places, led, { called }),
    make(
      [port, port, `post ${post} m ${land}`, `post ${post} m ${land}`],
      'filter head',
      'in: out 180°; out: out 0°; filter: down; second filter: down',
      '1 > 3 rim; 3 core > 2; 1 > 4 rim; 4 core > 2',
      { called: `Double filter head ${post} (${land}), two ${port}` },
    ),
    make([...ends, 'npt 1/8 f'], 'filter head', `${places}; gauge: up`, `${led}; 4 - 3 core`, { called: `${called}, gauge npt 1/8 f` }),
  ];
}

/** Hollow bolts that carry a post on through what is put under the filter: onto the post that is there, or into a boss. */
function postBolts(post: string): Fitting[] {
  const bolt = (inner: 'm' | 'f', reachMm: number): Fitting =>
    adapter(readEnd(`post ${post} ${inner} bolt`), readEnd(`post ${post} m bolt`), 0, {
      kind: 'post bolt',
      material: 'steel',
      bodyMm: reachMm,
      called: inner === 'f' ? `Post extension ${post}` : `Post bolt ${post}, both ends male`,
      apart: `for ${reachMm} mm`,
    });
  return REACHES_MM.flatMap((reachMm) => [bolt('f', reachMm), bolt('m', reachMm)]);
}

/** Places and passages that were read; many parts have the same. */
const leads = new Map<string, Pick<Body, 'places' | 'passages'>>();

/** A part of common proportions whose ends are where they are said to be. */
function make(
  ends: readonly string[],
  kind: FittingKindId,
  places: string,
  passages: string,
  more: Make = {},
  figures: Partial<Pick<Body, 'heightMm' | 'opensC' | 'fullOpenC'>> = {},
): Fitting {
  const connectors = ends.map(readEnd);
  let led = leads.get(`${places}|${passages}`);
  if (!led) leads.set(`${places}|${passages}`, (led = { places: readPlaces(places), passages: readPassages(passages) }));
  const body: Body = { ...commonBody(connectors, kind), ...led, ...figures };
  return bodied(connectors, kind, body, more);
}
