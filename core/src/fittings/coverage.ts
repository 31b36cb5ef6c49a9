import { connectorKey, parseConnector, type Connector } from '../connectors/index.js';
import type { Fitting } from './fitting-schema.js';
import { series, stepsBetween, type Series, type SizedEnd } from './standard/series.js';

/** What makers commonly offer: from one kind of end to 37° flare, American pipe and a barb, in the sizes that must be there. */
export interface CoverageRow {
  readonly from: Series;
  readonly to: Series;
  /** Steps in size that must exist. */
  readonly steps: readonly [least: number, most: number];
  readonly angleDeg: number;
}
export interface Coverage extends CoverageRow {
  readonly wanted: number;
  /** `m14x1.5 m washer to an6 m`. */
  readonly missing: readonly string[];
}

const straight = (from: Series, to: Series, steps: CoverageRow['steps']): CoverageRow => ({ from, to, steps, angleDeg: 0 });
const square = (from: Series, to: Series): CoverageRow => ({ from, to, steps: [0, 0], angleDeg: 90 });
const NEAR: CoverageRow['steps'] = [-1, 1];
const SAME: CoverageRow['steps'] = [0, 0];

/** Families of the trade against flare, pipe and hose. Common practice: makers' common adapter lists. */
export const commonAdapters: readonly CoverageRow[] = [
  straight('an m', 'an m', [-2, 0]),
  square('an m', 'an m'),
  straight('an swivel', 'an m', [-2, 2]),
  square('an swivel', 'an m'),
  straight('an f', 'an m', NEAR),
  straight('orb m', 'an m', [-2, 2]),
  square('orb adjustable', 'an m'),
  straight('orb m', 'an swivel', SAME),
  straight('orb m', 'npt f', NEAR),
  straight('orb m', 'orb f', [-2, -1]),
  straight('npt m', 'an m', NEAR),
  square('npt m', 'an m'),
  straight('npt f', 'an m', NEAR),
  straight('npt m', 'an swivel', NEAR),
  straight('npt m', 'npt f', [-2, -1]),
  square('npt m', 'npt f'),
  straight('npt m', 'npsm swivel', SAME),
  straight('metric m', 'an m', NEAR),
  square('metric adjustable', 'an m'),
  straight('metric f', 'an m', SAME),
  straight('metric ring m', 'an m', NEAR),
  straight('metric m', 'npt f', NEAR),
  straight('r m', 'an m', NEAR),
  square('r m', 'an m'),
  straight('rc f', 'an m', SAME),
  straight('r m', 'npt f', SAME),
  straight('npt m', 'rc f', SAME),
  straight('g m', 'an m', NEAR),
  square('g adjustable', 'an m'),
  straight('g swivel', 'an m', SAME),
  straight('g m', 'npt f', SAME),
  square('banjo', 'an m'),
  square('banjo', 'barb'),
  straight('cone24 light', 'an m', SAME),
  straight('cone24 heavy', 'an m', SAME),
  straight('cone24 light swivel', 'an m', SAME),
  straight('sae45 swivel', 'an m', SAME),
  straight('inverted m', 'an m', SAME),
  straight('barb', 'an swivel', NEAR),
  square('barb', 'an swivel'),
  straight('barb', 'npt m', NEAR),
  square('barb', 'npt m'),
  straight('barb', 'orb m', SAME),
  straight('barb', 'metric m', SAME),
  straight('barb', 'r m', SAME),
  straight('barb', 'g m', SAME),
  straight('barb', 'barb', [-2, 0]),
  straight('metric barb', 'barb', SAME),
  straight('bead', 'an swivel', SAME),
  straight('bead', 'npt m', SAME),
  straight('qc f', 'an m', SAME),
  straight('qc f', 'barb', SAME),
  straight('flange', 'an m', NEAR),
  straight('flange', 'npt f', SAME),
  straight('flange', 'barb', SAME),
];

/** What of the common adapters a catalogue has, row by row, and what is missing. */
export function coverageOf(fittings: readonly Fitting[], rows: readonly CoverageRow[] = commonAdapters): Coverage[] {
  const made = new Set<string>();
  for (const { ends, angleDeg = 0, retired } of fittings)
    if (ends.length === 2 && !retired) made.add(keyOf(ends[0]!, ends[1]!, angleDeg)).add(keyOf(ends[1]!, ends[0]!, angleDeg));
  return rows.map((row) => {
    const wanted = wantedOf(row);
    const missing = wanted.filter(([a, b]) => !made.has(keyOf(parseConnector(a.notation), parseConnector(b.notation), row.angleDeg)));
    return { ...row, wanted: wanted.length, missing: missing.map(([a, b]) => `${a.notation} to ${b.notation}`) };
  });
}

function wantedOf({ from, to, steps: [least, most] }: CoverageRow): [SizedEnd, SizedEnd][] {
  const [one, other]: readonly (readonly SizedEnd[])[] = [series[from], series[to]];
  return one!.flatMap((a) =>
    other!.flatMap((b): [SizedEnd, SizedEnd][] => {
      const steps = stepsBetween(a, b);
      return steps < least || steps > most ? [] : [[a, b]];
    }),
  );
}

function keyOf(a: Connector, b: Connector, angleDeg: number): string {
  return `${connectorKey(a)} ${connectorKey(b)} ${angleDeg}`;
}
