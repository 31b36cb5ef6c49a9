import type { Fitting, Material } from '../fitting.js';
import { adapter } from './adapter.js';
import { series, stepsBetween, type Series, type SizedEnd } from './series.js';
import { readEnd } from './read-end.js';

/** What a maker offers between two kinds of end. */
export interface AdapterRule {
  readonly a: Series;
  readonly b: Series;
  /** Steps in size between the two that are made, straight: from smaller to larger second end. */
  readonly steps: readonly [least: number, most: number];
  /** Angles besides straight; these are made to one step at the most. */
  readonly angles?: readonly number[];
  /** Metals besides aluminium; straight, to one step. */
  readonly metals?: readonly Material[];
  /** The largest that is made, by the dash size of its first end. */
  readonly upToDash?: number;
  /** Not made straight: an eye, an adjustable stud. */
  readonly neverStraight?: true;
}

const BOTH: readonly [number, number] = [-2, 2];
const NEAR: readonly [number, number] = [-1, 1];
const SAME: readonly [number, number] = [0, 0];
const ELBOWS = [45, 90];
const SQUARE = [90];
const STRONG: readonly Material[] = ['steel', 'stainless'];

/**
 * The common adapters by rule: each pair of ends that makers offer, the steps in size, the angles and metals. Common practice in what is
 * made; `npm run coverage` prints what it comes to.
 */
export const adapterRules: readonly AdapterRule[] = [
  // American pipe
  { a: 'npt m', b: 'an m', steps: BOTH, angles: ELBOWS, metals: STRONG },
  { a: 'npt f', b: 'an m', steps: BOTH, angles: SQUARE },
  { a: 'npt m', b: 'an swivel', steps: BOTH, angles: ELBOWS },
  { a: 'npt f', b: 'an swivel', steps: NEAR },
  { a: 'npt m', b: 'an f', steps: NEAR },
  { a: 'npt m', b: 'npt f', steps: [-3, 1], angles: ELBOWS, metals: ['steel', 'brass'] },
  { a: 'npt m', b: 'npt m', steps: [-2, 0], angles: SQUARE, metals: ['steel', 'brass'] },
  { a: 'npt f', b: 'npt f', steps: [-2, 0], angles: SQUARE, metals: ['brass'] },
  { a: 'npt m', b: 'npsm swivel', steps: NEAR, angles: SQUARE, metals: ['steel'] },
  { a: 'an m', b: 'npsm swivel', steps: NEAR, angles: SQUARE },
  // O-ring boss
  { a: 'orb m', b: 'an m', steps: [-3, 3], metals: STRONG },
  { a: 'orb adjustable', b: 'an m', steps: NEAR, angles: ELBOWS, neverStraight: true },
  { a: 'orb m', b: 'an swivel', steps: BOTH },
  { a: 'orb adjustable', b: 'an swivel', steps: SAME, angles: ELBOWS, neverStraight: true },
  { a: 'orb m', b: 'orb f', steps: [-3, 0], metals: ['steel'] },
  { a: 'orb adjustable', b: 'orb f', steps: SAME, angles: SQUARE, neverStraight: true },
  { a: 'orb m', b: 'orb m', steps: [-2, 0] },
  { a: 'orb m', b: 'npt f', steps: BOTH, metals: ['steel'] },
  { a: 'orb adjustable', b: 'npt f', steps: NEAR, angles: SQUARE, neverStraight: true },
  { a: 'orb m', b: 'npt m', steps: NEAR },
  { a: 'orb m', b: 'metric f', steps: NEAR, upToDash: 8 },
  { a: 'orb m', b: 'g f', steps: NEAR },
  { a: 'orb f', b: 'an m', steps: SAME },
  // 37° flare
  { a: 'an m', b: 'an m', steps: [-3, 0], angles: ELBOWS, metals: STRONG },
  { a: 'an swivel', b: 'an m', steps: [-3, 3], angles: [30, 45, 60, 90], metals: ['steel'] },
  { a: 'an swivel', b: 'an swivel', steps: [-1, 0], angles: ELBOWS },
  { a: 'an f', b: 'an m', steps: BOTH },
  { a: 'an f', b: 'an f', steps: SAME },
  // metric
  { a: 'metric m', b: 'an m', steps: BOTH, metals: STRONG },
  { a: 'metric adjustable', b: 'an m', steps: BOTH, angles: ELBOWS, neverStraight: true },
  { a: 'metric adjustable', b: 'an swivel', steps: SAME, angles: ELBOWS, neverStraight: true },
  { a: 'metric adjustable', b: 'barb', steps: SAME, angles: SQUARE, neverStraight: true },
  { a: 'metric m', b: 'metric m', steps: [-2, 0] },
  { a: 'metric m', b: 'an swivel', steps: NEAR },
  { a: 'metric f', b: 'an m', steps: NEAR },
  { a: 'metric f', b: 'an swivel', steps: SAME },
  { a: 'metric m', b: 'npt f', steps: BOTH },
  { a: 'metric m', b: 'npt m', steps: SAME },
  { a: 'metric m', b: 'orb f', steps: NEAR },
  { a: 'metric m', b: 'rc f', steps: NEAR },
  { a: 'metric m', b: 'metric f', steps: [-3, -1] },
  { a: 'npt m', b: 'metric f', steps: BOTH },
  { a: 'r m', b: 'metric f', steps: NEAR },
  { a: 'metric ring m', b: 'an m', steps: BOTH, metals: ['steel'] },
  { a: 'metric ring m', b: 'an swivel', steps: NEAR },
  { a: 'metric ring m', b: 'npt f', steps: NEAR },
  { a: 'metric ring m', b: 'metric ring f', steps: [-2, -1] },
  // British pipe
  { a: 'r m', b: 'an m', steps: BOTH, angles: ELBOWS, metals: ['steel'] },
  { a: 'r m', b: 'an swivel', steps: NEAR },
  { a: 'rc f', b: 'an m', steps: NEAR },
  { a: 'r m', b: 'npt f', steps: NEAR },
  { a: 'npt m', b: 'rc f', steps: NEAR },
  { a: 'r m', b: 'rc f', steps: [-3, 1], angles: SQUARE, metals: ['brass'] },
  { a: 'r m', b: 'r m', steps: SAME },
  { a: 'g m', b: 'an m', steps: BOTH, metals: ['steel'] },
  { a: 'g adjustable', b: 'an m', steps: BOTH, angles: ELBOWS, neverStraight: true },
  { a: 'g adjustable', b: 'barb', steps: SAME, angles: SQUARE, neverStraight: true },
  { a: 'g m', b: 'g m', steps: [-2, 0] },
  { a: 'g swivel', b: 'g swivel', steps: SAME },
  { a: 'g swivel', b: 'r m', steps: NEAR },
  { a: 'g swivel', b: 'barb', steps: NEAR, angles: SQUARE },
  { a: 'g m', b: 'an swivel', steps: NEAR },
  { a: 'g captive', b: 'an m', steps: NEAR },
  { a: 'g swivel', b: 'an m', steps: NEAR, angles: SQUARE },
  { a: 'g swivel', b: 'npt m', steps: SAME },
  { a: 'g f', b: 'an m', steps: NEAR },
  { a: 'g m', b: 'npt f', steps: NEAR },
  { a: 'g m', b: 'npt m', steps: SAME },
  { a: 'g m', b: 'g f', steps: [-3, 0] },
  { a: 'g m', b: 'metric f', steps: SAME },
  // banjos
  { a: 'banjo', b: 'an m', steps: NEAR, angles: SQUARE, neverStraight: true },
  { a: 'banjo', b: 'an swivel', steps: NEAR, angles: SQUARE, neverStraight: true },
  { a: 'banjo', b: 'barb', steps: [-1, 2], angles: SQUARE, neverStraight: true },
  { a: 'banjo', b: 'npt f', steps: SAME, angles: SQUARE, neverStraight: true },
  // 24°, 45° and inverted flare
  { a: 'cone24 light', b: 'cone24 light', steps: [-1, 0], angles: SQUARE },
  { a: 'cone24 heavy', b: 'cone24 heavy', steps: [-1, 0] },
  { a: 'cone24 light', b: 'g m', steps: NEAR },
  { a: 'cone24 light', b: 'metric adjustable', steps: SAME, angles: SQUARE, neverStraight: true },
  { a: 'cone24 light', b: 'an m', steps: NEAR },
  { a: 'cone24 heavy', b: 'an m', steps: NEAR },
  { a: 'cone24 light swivel', b: 'an m', steps: NEAR, angles: SQUARE },
  { a: 'cone24 heavy swivel', b: 'an m', steps: NEAR },
  { a: 'cone24 light', b: 'metric m', steps: NEAR },
  { a: 'cone24 light', b: 'npt m', steps: NEAR },
  { a: 'cone24 light', b: 'r m', steps: NEAR },
  { a: 'sae45 m', b: 'an swivel', steps: SAME },
  { a: 'sae45 swivel', b: 'an m', steps: NEAR },
  { a: 'sae45 m', b: 'npt m', steps: NEAR, angles: SQUARE, metals: ['brass'] },
  { a: 'inverted m', b: 'an m', steps: NEAR },
  { a: 'inverted f', b: 'an m', steps: NEAR },
  // hose over a barb or bead
  { a: 'barb', b: 'npt m', steps: BOTH, angles: ELBOWS, metals: ['brass'] },
  { a: 'barb', b: 'npt f', steps: NEAR, metals: ['brass'] },
  { a: 'barb', b: 'an swivel', steps: BOTH, angles: ELBOWS },
  { a: 'barb', b: 'an m', steps: NEAR, angles: SQUARE },
  { a: 'barb', b: 'orb m', steps: NEAR },
  { a: 'barb', b: 'orb adjustable', steps: SAME, angles: SQUARE, neverStraight: true },
  { a: 'barb', b: 'metric m', steps: NEAR },
  { a: 'barb', b: 'r m', steps: NEAR, angles: SQUARE },
  { a: 'barb', b: 'g m', steps: NEAR },
  { a: 'barb', b: 'barb', steps: [-3, 0], angles: SQUARE, metals: ['brass'] },
  { a: 'metric barb', b: 'an swivel', steps: SAME },
  { a: 'metric barb', b: 'npt m', steps: NEAR },
  { a: 'metric barb', b: 'metric m', steps: NEAR },
  { a: 'metric barb', b: 'g m', steps: NEAR },
  { a: 'metric barb', b: 'metric barb', steps: [-3, 0], angles: SQUARE },
  { a: 'metric barb', b: 'barb', steps: BOTH },
  { a: 'bead', b: 'an swivel', steps: NEAR },
  { a: 'bead', b: 'an m', steps: NEAR },
  { a: 'bead', b: 'orb m', steps: NEAR },
  { a: 'bead', b: 'npt m', steps: NEAR },
  { a: 'bead', b: 'bead', steps: [-2, 0], angles: SQUARE },
  // push-in
  { a: 'qc f', b: 'an m', steps: NEAR, angles: SQUARE },
  { a: 'qc f', b: 'barb', steps: NEAR, angles: SQUARE },
  { a: 'qc m', b: 'an swivel', steps: NEAR },
  { a: 'qc m', b: 'orb m', steps: NEAR },
  { a: 'qc m', b: 'barb', steps: SAME },
  // flanges
  { a: 'flange', b: 'an m', steps: BOTH, angles: SQUARE },
  { a: 'flange', b: 'npt f', steps: NEAR },
  { a: 'flange', b: 'barb', steps: NEAR, angles: SQUARE },
];

/** Every adapter that the rules make, each once; one that is turned round is the same part. */
export function adaptersByRule(): Fitting[] {
  const made = new Map<string, Fitting>();
  for (const rule of adapterRules)
    for (const { a, b, angles, metals } of pairsOf(rule))
      for (const angle of angles)
        for (const material of [undefined, ...(angle === 0 ? metals : [])]) {
          const as = `${angle} ${material ?? ''}`;
          if (made.has(`${b.notation}+${a.notation} ${as}`) || made.has(`${a.notation}+${b.notation} ${as}`)) continue;
          const kind = rule.a === 'flange' ? 'flange' : undefined;
          const part = adapter(readEnd(a.notation), readEnd(b.notation), angle, {
            ...(material ? { material } : {}),
            ...(kind ? { kind } : {}),
          });
          made.set(`${a.notation}+${b.notation} ${as}`, part);
        }
  return [...made.values()];
}

export interface RulePair {
  readonly a: SizedEnd;
  readonly b: SizedEnd;
  readonly angles: readonly number[];
  readonly metals: readonly Material[];
}

/** The pairs of sizes that a rule makes, with their angles and further metals. */
export function pairsOf({
  a,
  b,
  steps: [least, most],
  angles = [],
  metals = [],
  neverStraight,
  upToDash = Infinity,
}: AdapterRule): RulePair[] {
  const [one, other]: readonly (readonly SizedEnd[])[] = [series[a], series[b]];
  return one!
    .filter(({ dash }) => dash <= upToDash)
    .flatMap((end) =>
      other!.flatMap((far): RulePair[] => {
        const steps = stepsBetween(end, far);
        // a thread made into itself is no adapter, but for an elbow
        const idle = angles.length === 0 && end.notation.replace(/ m\b/, ' f') === far.notation && end.notation !== far.notation;
        if (steps < least || steps > most || idle) return [];
        const near = Math.abs(steps) <= 1;
        return [{ a: end, b: far, angles: [...(neverStraight ? [] : [0]), ...(near ? angles : [])], metals: near ? metals : [] }];
      }),
    );
}
