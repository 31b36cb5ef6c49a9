import type { Fitting } from '../fitting.js';
import { readPassages, readPlaces } from '../part-list/body-notation.js';
import { adapter, bodied, branched, single, withBody, type Make } from './adapter.js';
import { commonBody } from './common-body.js';
import { readEnd } from './read-end.js';

/** Bores a restrictor is drilled to, mm. Common practice. */
const RESTRICTORS = [0.8, 0.9, 1, 1.2, 1.5, 2];
/** What a restrictor for a small line is screwed into. */
const RESTRICTED = ['m10x1 m washer', 'm12x1.5 m washer', 'm14x1.5 m washer', 'inverted 1/4 m'];
/** Adapters that no rule of sizes makes, and every shop asks for. Common practice. */
const ADAPTERS: readonly (readonly [a: string, b: string])[] = [
  ['orb8 m', 'npt 1/8 f'],
  ['orb10 m', 'npt 1/8 f'],
  ['orb12 m', 'npt 1/8 f'],
  ['g 5/8 m washer', 'an10 m'],
  ['g 5/8 m washer', 'an12 m'],
  ['m12x1.75 m washer', 'an6 m'],
  ['m12x1.75 m washer', 'an4 m'],
  ['1/2-20 m washer', 'an6 m'],
  ['1/2-20 m washer', 'an4 m'],
  ['5/8-18 m washer', 'an6 m'],
  ['5/8-18 m washer', 'an8 m'],
  ['npt 3/8 m', 'an4 m'],
  ['qc 1/4 f', 'an6 m'],
  ['qc 5/16 f', 'an8 m'],
  ['qc 3/8 f', 'an8 m'],
  ['bulkhead an4 m', 'npt 1/8 f'],
  ['bulkhead an6 m', 'npt 1/4 f'],
  ['bulkhead an8 m', 'npt 3/8 f'],
  ['bulkhead an10 m', 'npt 1/2 f'],
  ['bulkhead an6 m', 'barb 3/8'],
  ['bulkhead an8 m', 'barb 1/2'],
  ['bulkhead an10 m', 'barb 5/8'],
  ['bulkhead an12 m', 'barb 3/4'],
];
/** One thread on: what reaches past a neighbour. */
const EXTENDED = ['m10x1', 'm12x1.5', 'm14x1.5', 'm18x1.5'];
/** Barbs of vacuum and signal lines, and joiners of hoses that differ a little. */
const SMALL_BARBS = ['1/8', '5/32', '3mm', '4mm', '5mm'];
const JOINERS: readonly (readonly [a: string, b: string])[] = [
  ['16mm', '12mm'],
  ['13mm', '12mm'],
  ['12mm', '10mm'],
  ['19mm', '15mm'],
  ['20mm', '16mm'],
  ['25mm', '20mm'],
  ['4mm', '3mm'],
  ['5mm', '4mm'],
  ['6mm', '4mm'],
  ['6mm', '5mm'],
];
/** Pipes of charge air and radiators that join two hoses, inch. */
const JOINING_TUBES = ['1', '1 1/4', '1 1/2', '1 3/4', '2', '2 1/4', '2 1/2', '2 3/4', '3'];
/** A place for a sensor in the run of a hose. */
const TUBE_SENSORS = ['npt 1/8 f', 'npt 1/4 f', 'm12x1.5 f washer', 'm14x1.5 f washer'];
const DRAINED = [
  'm12x1.5 m washer',
  'm14x1.5 m washer',
  'm16x1.5 m washer',
  'm18x1.5 m washer',
  'm20x1.5 m washer',
  'm22x1.5 m washer',
  '1/2-20 m washer',
  'npt 1/4 m',
  'npt 3/8 m',
  'npt 1/2 m',
];
const DRAIN_PLUGS = [
  '1/2-20 m washer',
  '5/8-18 m washer',
  '3/4-16 m washer',
  'm12x1.25 m washer',
  'm12x1.75 m washer',
  'm14x1.25 m washer',
];
const NEEDLED = ['an3 m', 'an4 m', 'an6 m', 'npt 1/8 f', 'npt 1/4 f'];
/** A line that parts in two: into the block, and out of it. */
const Y_BLOCKS: readonly (readonly [into: string, out: string])[] = [
  ['an6 m', 'an4 m'],
  ['an6 m', 'an6 m'],
  ['an8 m', 'an6 m'],
  ['an8 m', 'an8 m'],
  ['an10 m', 'an8 m'],
  ['an10 m', 'an10 m'],
  ['an12 m', 'an10 m'],
  ['an12 m', 'an12 m'],
  ['orb8 f', 'orb6 f'],
  ['orb10 f', 'orb8 f'],
];
const INLINE_THERMOSTATS = ['orb8 f', 'orb10 f', 'an8 m', 'an10 m', 'an12 m', 'npt 1/2 f', 'm22x1.5 f washer'];
/** Begins to open, fully open, °C. Common practice. */
const OPENS = [
  [74, 86],
  [80, 92],
] as const;

/** What shops ask for and the rules of sizes do not make. Common practice. */
export function wantedFittings(): Fitting[] {
  const join = (a: string, b: string, make: Make = {}, angle = 0): Fitting => adapter(readEnd(a), readEnd(b), angle, make);
  const restrictors = RESTRICTORS.flatMap((boreMm) => RESTRICTED.map((port) => join(port, 'an4 m', { kind: 'restrictor', boreMm })));
  const barbs = SMALL_BARBS.flatMap((size) => [
    join(`barb ${size}`, `barb ${size}`),
    branched([`barb ${size}`, `barb ${size}`, `barb ${size}`].map(readEnd)),
    join(`barb ${size}`, 'npt 1/8 m'),
    join(`barb ${size}`, 'm10x1 m washer'),
  ]);
  const tubes = JOINING_TUBES.flatMap((size) => {
    const end = `bead ${size}`;
    return [
      ...[0, 45, 90].map((angle) => join(end, end, {}, angle)),
      ...TUBE_SENSORS.map((sensor) => branched([end, end, sensor].map(readEnd))),
    ];
  });
  const named = (ends: readonly string[], called: string): Fitting => withBody(ends.map(readEnd), 'valve', { called });
  const drains = DRAINED.map((port) => named([port, 'barb 1/4'], `Drain valve, ${port} to barb 1/4`));
  const needles = NEEDLED.map((port) => named([port, port], `Needle valve, two ${port}`));
  const blocks = Y_BLOCKS.map(([into, out]) =>
    withBody([into, out, out].map(readEnd), 'manifold', { called: `Y-block, ${into} to two ${out}` }),
  );
  const bulkheadTees = [4, 6, 8, 10].map((d) => branched([`an${d} m`, `an${d} m`, `bulkhead an${d} m`].map(readEnd)));
  return [
    ...ADAPTERS.map(([a, b]) => join(a, b, a.startsWith('bulkhead') ? { kind: 'bulkhead' } : {})),
    ...EXTENDED.map((thread) => join(`${thread} m washer`, `${thread} f washer`)),
    ...[4, 6, 8, 10].map((dash) => join(`orb${dash} m`, `orb${dash} f`)),
    ...restrictors,
    ...barbs,
    ...JOINERS.map(([a, b]) => join(`barb ${a}`, `barb ${b}`)),
    ...tubes,
    ...drains,
    ...DRAIN_PLUGS.map((thread) => single(readEnd(thread), { kind: 'drain plug', material: 'steel', apart: 'with magnet' })),
    ...needles,
    ...blocks,
    ...bulkheadTees,
    ...INLINE_THERMOSTATS.flatMap((port) => OPENS.map(([opensC, fullOpenC]) => inlineThermostat(port, opensC, fullOpenC))),
  ];
}

/** Between engine and cooler in the lines themselves: short round while it is cold. */
function inlineThermostat(port: string, opensC: number, fullOpenC: number): Fitting {
  const ends = [port, port, port, port].map(readEnd);
  const body = {
    ...commonBody(ends, 'thermostat'),
    places: readPlaces('from engine: out 270° h20; to cooler: out 90° h20; from cooler: out 90° h60; to engine: out 270° h60'),
    passages: readPassages('1 > 2 when hot; 3 > 4 when hot; 1 > 4 when cold'),
    heightMm: 80,
    opensC,
    fullOpenC,
  };
  return bodied(ends, 'thermostat', body, { called: `Inline thermostat, four ${port}`, apart: `opens ${opensC} to ${fullOpenC} °C` });
}
