import { cone24Sizes } from '../../connectors/index.js';

/** Dash sizes from small to large: a step is one along the row. */
export const DASH_ROW = [3, 4, 5, 6, 8, 10, 12, 14, 16, 20, 24] as const;

/** One end in one size, with the dash size that carries about the same flow. */
export interface SizedEnd {
  readonly notation: string;
  readonly dash: number;
}

/** Pipe by the dash size it is matched with. Common practice. */
const PIPES: readonly (readonly [size: string, dash: number])[] = [
  ['1/16', 3],
  ['1/8', 4],
  ['1/4', 6],
  ['3/8', 8],
  ['1/2', 10],
  ['3/4', 12],
  ['1', 16],
  ['1 1/4', 20],
  ['1 1/2', 24],
];
/** Metric ports of plumbing by the dash size they are matched with. Common practice. */
const METRICS: readonly (readonly [size: string, dash: number])[] = [
  ['m8x1', 3],
  ['m8x1.25', 3],
  ['m10x1', 4],
  ['m10x1.25', 4],
  ['m12x1', 5],
  ['m12x1.25', 5],
  ['m12x1.5', 5],
  ['m14x1.25', 6],
  ['m14x1.5', 6],
  ['m16x1.5', 8],
  ['m18x1.5', 8],
  ['m20x1', 10],
  ['m20x1.5', 10],
  ['m22x1.5', 10],
  ['m24x1.5', 12],
  ['m26x1.5', 12],
  ['m27x2', 14],
  ['m30x1.5', 16],
  ['m30x2', 16],
  ['m33x2', 16],
  ['m36x2', 20],
  ['m42x2', 24],
];
const METRIC_RINGS = ['m8x1', 'm10x1', 'm12x1.5', 'm14x1.5', 'm16x1.5', 'm18x1.5', 'm20x1.5', 'm22x1.5', 'm27x2', 'm33x2', 'm42x2'];
const BANJOS: readonly (readonly [size: string, dash: number])[] = [
  ['m8x1', 3],
  ['m10x1', 3],
  ['m10x1.25', 3],
  ['m12x1', 4],
  ['m12x1.25', 4],
  ['m12x1.5', 4],
  ['m14x1.5', 6],
  ['m16x1.5', 6],
  ['m18x1.5', 8],
  ['m22x1.5', 10],
  ['m20x1.5', 8],
  ['m24x1.5', 10],
  ['m26x1.5', 12],
  ['3/8-24', 3],
  ['7/16-20', 4],
  ['1/2-20', 5],
  ['9/16-18', 6],
];
/** Hose bores by the dash size they are: -6 goes on 3/8. */
const BORES: readonly (readonly [size: string, dash: number])[] = [
  ['3/16', 3],
  ['1/4', 4],
  ['5/16', 5],
  ['3/8', 6],
  ['1/2', 8],
  ['5/8', 10],
  ['3/4', 12],
  ['7/8', 14],
  ['1', 16],
  ['1 1/4', 20],
  ['1 1/2', 24],
];
const METRIC_BORES: readonly (readonly [size: string, dash: number])[] = [
  ['6mm', 4],
  ['8mm', 5],
  ['10mm', 6],
  ['13mm', 8],
  ['16mm', 10],
  ['19mm', 12],
  ['22mm', 14],
  ['25mm', 16],
  ['32mm', 20],
  ['38mm', 24],
];
/** Tubes of inverted flare, SAE J512. */
const TUBES: readonly (readonly [size: string, dash: number])[] = [
  ['3/16', 3],
  ['1/4', 4],
  ['5/16', 5],
  ['3/8', 6],
  ['1/2', 8],
];
const COUPLINGS: readonly (readonly [size: string, dash: number])[] = [
  ['1/4', 4],
  ['5/16', 5],
  ['3/8', 6],
  ['1/2', 8],
  ['5/8', 10],
  ['3/4', 12],
];
/** Two-bolt flanges of turbos and pans, mm between bolts and bore, by dash. Common practice: measure the one in hand. */
const FLANGES: readonly (readonly [size: string, dash: number])[] = [
  ['2x32 bore12', 8],
  ['2x38 bore14', 8],
  ['2x38 bore16', 10],
  ['2x40 bore14', 8],
  ['2x44 bore16', 10],
  ['2x44 bore18', 10],
  ['2x44 bore20', 12],
  ['2x50 bore20', 12],
  ['2x50.8 bore20', 12],
  ['2x52 bore20', 12],
  ['2x52 bore25', 16],
];

const ends = (rows: readonly (readonly [string, number])[], write: (size: string) => string): readonly SizedEnd[] =>
  rows.map(([size, dash]) => ({ notation: write(size), dash }));
const dashes = (write: (size: string) => string, made: readonly number[] = DASH_ROW): readonly SizedEnd[] =>
  ends(
    made.map((dash) => [String(dash), dash] as const),
    write,
  );
const cones = (series: 'l' | 's', write: (thread: string, tube: string) => string): readonly SizedEnd[] =>
  Object.entries(cone24Sizes).flatMap(([thread, tubes]) =>
    tubes
      .filter((tube) => tube.endsWith(series))
      .map((tube) => ({ notation: write(thread.toLowerCase(), tube), dash: dashOfTube(Number(tube.slice(0, -1))) })),
  );

/** The dash size next to a tube's outside diameter, mm. */
function dashOfTube(outsideMm: number): number {
  return DASH_ROW.reduce<number>(
    (best, dash) => (Math.abs((dash / 16) * 25.4 - outsideMm) < Math.abs((best / 16) * 25.4 - outsideMm) ? dash : best),
    3,
  );
}

/** Ends that parts are made with, each in every size of the trade. */
export const series = {
  'an m': dashes((d) => `an${d} m`),
  'an f': dashes((d) => `an${d} f`),
  'an swivel': dashes((d) => `an${d} f swivel`),
  'orb m': dashes((d) => `orb${d} m`),
  'orb swivel': dashes((d) => `orb${d} m swivel`),
  'orb adjustable': dashes((d) => `orb${d} m adjustable`),
  'orb f': dashes((d) => `orb${d} f`),
  'npt m': ends(PIPES, (p) => `npt ${p} m`),
  'npt f': ends(PIPES, (p) => `npt ${p} f`),
  'npsm swivel': ends(PIPES.slice(1), (p) => `npsm ${p} f swivel`),
  'r m': ends(PIPES, (p) => `r ${p} m`),
  'rc f': ends(PIPES, (p) => `rc ${p} f`),
  'g m': ends(PIPES.slice(1), (p) => `g ${p} m washer`),
  'g captive': ends(PIPES.slice(1), (p) => `g ${p} m captive`),
  'g f': ends(PIPES.slice(1), (p) => `g ${p} f`),
  'g swivel': ends(PIPES.slice(1), (p) => `g ${p} f swivel`),
  'metric m': ends(METRICS, (m) => `${m} m washer`),
  'metric f': ends(METRICS, (m) => `${m} f washer`),
  'metric ring m': ends(
    METRICS.filter(([m]) => METRIC_RINGS.includes(m)),
    (m) => `${m} m oring`,
  ),
  'metric ring f': ends(
    METRICS.filter(([m]) => METRIC_RINGS.includes(m)),
    (m) => `${m} f oring`,
  ),
  // with a locknut, aimed where it is to point
  'metric adjustable': ends(
    METRICS.filter(([m]) => METRIC_RINGS.includes(m)),
    (m) => `${m} m adjustable`,
  ),
  'g adjustable': ends(
    PIPES.filter(([p]) => ['1/8', '1/4', '3/8', '1/2', '3/4', '1'].includes(p)),
    (p) => `g ${p} m adjustable`,
  ),
  banjo: ends(BANJOS, (b) => `banjo ${b}`),
  'cone24 light': cones('l', (thread, tube) => `cone24 ${thread} m ${tube}`),
  'cone24 heavy': cones('s', (thread, tube) => `cone24 ${thread} m ${tube}`),
  'cone24 light swivel': cones('l', (thread, tube) => `cone24 ${thread} f ${tube} swivel`),
  'cone24 heavy swivel': cones('s', (thread, tube) => `cone24 ${thread} f ${tube} swivel`),
  'sae45 m': dashes((d) => `sae45-${d} m`, [3, 4, 5, 6, 8, 10, 12]),
  'sae45 swivel': dashes((d) => `sae45-${d} f swivel`, [3, 4, 5, 6, 8, 10, 12]),
  'inverted m': ends(TUBES, (t) => `inverted ${t} m`),
  'inverted f': ends(TUBES, (t) => `inverted ${t} f`),
  barb: ends(BORES, (b) => `barb ${b}`),
  'metric barb': ends(METRIC_BORES, (b) => `barb ${b}`),
  bead: ends(BORES.slice(1), (b) => `bead ${b}`),
  'qc f': ends(COUPLINGS, (c) => `qc ${c} f`),
  'qc m': ends(COUPLINGS, (c) => `qc ${c} m`),
  flange: ends(FLANGES, (f) => `flange ${f} m`),
} satisfies Readonly<Record<string, readonly SizedEnd[]>>;
export type Series = keyof typeof series;

/** Steps along the row of dash sizes from one end to the other; positive where the second is larger. */
export function stepsBetween(a: SizedEnd, b: SizedEnd): number {
  const at = ({ dash }: SizedEnd): number => (DASH_ROW as readonly number[]).indexOf(dash);
  return at(b) - at(a);
}
