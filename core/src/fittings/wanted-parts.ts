import { connectorKey, parseConnector } from '../connectors/index.js';
import type { FittingKindId } from './fitting-kinds.js';
import { kindOf, type Fitting } from './fitting.js';

/** A part that shops ask for by name: what it is, and one size of it by its ends. */
export interface WantedPart {
  readonly name: string;
  readonly kind: FittingKindId;
  readonly ends: readonly string[];
  readonly material?: string;
}

const wanted = (name: string, kind: FittingKindId, ends: string, material?: string): WantedPart => ({
  name,
  kind,
  ends: ends.split(' + '),
  ...(material ? { material } : {}),
});

/** What shops looked for, one row a family. Common practice. */
export const wantedParts: readonly WantedPart[] = [
  wanted('adjustable metric elbow', 'elbow', 'm14x1.5 m adjustable + an6 m'),
  wanted('adjustable G elbow', 'elbow', 'g 1/4 m adjustable + an6 m'),
  wanted('ORB -8 to 1/8 NPT', 'adapter', 'orb8 m + npt 1/8 f'),
  wanted('ORB -10 to 1/8 NPT', 'adapter', 'orb10 m + npt 1/8 f'),
  wanted('ORB -12 to 1/8 NPT', 'adapter', 'orb12 m + npt 1/8 f'),
  wanted('24° union', 'union', 'cone24 m16x1.5 m 10l + cone24 m16x1.5 m 10l', 'steel'),
  wanted('24° stud to G', 'adapter', 'cone24 m16x1.5 m 10l + g 1/4 m washer', 'steel'),
  wanted('feed plate before the filter', 'plate', 'post 3/4-16 f 62x71x2.7 + post 3/4-16 m 56x84 + an4 m'),
  wanted('plate with one gauge port', 'plate', 'post 3/4-16 f 62x71x2.7 + post 3/4-16 m 56x84 + orb10 f + orb10 f + npt 1/8 f'),
  wanted(
    'plate with two gauge ports',
    'plate',
    'post 3/4-16 f 62x71x2.7 + post 3/4-16 m 56x84 + orb10 f + orb10 f + npt 1/8 f + npt 1/8 f',
  ),
  wanted(
    'plate with three gauge ports, one at 45°',
    'plate',
    'post 3/4-16 f 62x71x2.7 + post 3/4-16 m 56x84 + orb10 f + orb10 f + npt 1/8 f + npt 1/8 f + npt 1/8 f',
  ),
  wanted('four-port inline thermostat', 'thermostat', 'orb10 f + orb10 f + orb10 f + orb10 f'),
  wanted('double filter head', 'filter head', 'npt 1/2 f + npt 1/2 f + post 3/4-16 m 56x84 + post 3/4-16 m 56x84'),
  wanted('centre bolt', 'post bolt', 'post 3/4-16 m bolt + post 3/4-16 m bolt'),
  wanted('drain flange 2 × 50.8', 'flange', 'flange 2x50.8 bore20 m + an10 m'),
  wanted('restrictor M10 to -4', 'restrictor', 'm10x1 m washer + an4 m'),
  wanted('restrictor M12 to -4', 'restrictor', 'm12x1.5 m washer + an4 m'),
  wanted('restrictor M14 to -4', 'restrictor', 'm14x1.5 m washer + an4 m'),
  wanted('restrictor 7/16-24 inverted to -4', 'restrictor', 'inverted 1/4 m + an4 m'),
  wanted('G 5/8 to -10', 'adapter', 'g 5/8 m washer + an10 m'),
  wanted('G 5/8 to -12', 'adapter', 'g 5/8 m washer + an12 m'),
  wanted('BSP union', 'union', 'g 1/4 m washer + g 1/4 m washer'),
  wanted('BSP swivel tail', 'adapter', 'g 1/2 f swivel + barb 1/2'),
  wanted('BSP tee', 'tee', 'rc 1/4 f + rc 1/4 f + rc 1/4 f'),
  wanted('vacuum joiner 1/8', 'union', 'barb 1/8 + barb 1/8'),
  wanted('vacuum tee 5/32', 'tee', 'barb 5/32 + barb 5/32 + barb 5/32'),
  wanted('vacuum tee 4 mm', 'tee', 'barb 4mm + barb 4mm + barb 4mm'),
  wanted('1/2-20 to -6', 'adapter', '1/2-20 m washer + an6 m'),
  wanted('5/8-18 to -8', 'adapter', '5/8-18 m washer + an8 m'),
  wanted('M12×1.75 to -6', 'adapter', 'm12x1.75 m washer + an6 m'),
  wanted('drain plug 1/2-20', 'drain plug', '1/2-20 m washer'),
  wanted('drain plug M12×1.75', 'drain plug', 'm12x1.75 m washer'),
  wanted('drain valve', 'valve', 'm14x1.5 m washer + barb 1/4'),
  wanted('needle valve', 'valve', 'an4 m + an4 m'),
  wanted('Y-block', 'manifold', 'an8 m + an6 m + an6 m'),
  wanted('bulkhead tee', 'tee', 'an6 m + an6 m + bulkhead an6 m'),
  wanted('bulkhead to NPT', 'bulkhead', 'bulkhead an6 m + npt 1/4 f'),
  wanted('bulkhead to barb', 'bulkhead', 'bulkhead an8 m + barb 1/2'),
  wanted('extension M12', 'union', 'm12x1.5 m washer + m12x1.5 f washer'),
  wanted('metric male union', 'union', 'm14x1.5 m washer + m14x1.5 m washer'),
  wanted('bung M10', 'bung', 'bung m10x1 f washer'),
  wanted('bung M16', 'bung', 'bung m16x1.5 f washer'),
  wanted('bung M20', 'bung', 'bung m20x1.5 f washer'),
  wanted('bung NPT 1/16', 'bung', 'bung npt 1/16 f'),
  wanted('beaded tube 1 1/2 with a sensor port', 'tee', 'bead 1 1/2 + bead 1 1/2 + npt 1/4 f'),
  wanted('joining tube 2 in', 'union', 'bead 2 + bead 2'),
  wanted('joining tube 3 in, 90°', 'elbow', 'bead 3 + bead 3'),
  wanted('NPT 3/8 to -4', 'adapter', 'npt 3/8 m + an4 m'),
  wanted('push-in 1/4 to -6', 'adapter', 'qc 1/4 f + an6 m'),
  wanted('compression fitting 1/4 to NPT 1/8', 'adapter', 'compression 1/4 f + npt 1/8 m', 'brass'),
  wanted('compression fitting 6 mm to M10', 'adapter', 'compression 6mm f + m10x1 m washer', 'brass'),
  wanted('O-ring stub 20 mm to barb', 'adapter', 'stub 20mm m + barb 3/4'),
  wanted('O-ring stub 20 mm to -10, 90°', 'elbow', 'stub 20mm m + an10 m'),
  wanted('push-in breather, 90°', 'elbow', 'stub 25mm m grommet + barb 5/8'),
  wanted('metric 60° cone to -6', 'adapter', 'cone60 m14x1.5 f swivel + an6 m', 'steel'),
  wanted('banjo M20', 'banjo', 'banjo m20x1.5 + an8 m'),
  wanted('banjo M24', 'banjo', 'banjo m24x1.5 + an10 m'),
  wanted('banjo 1/2-20', 'banjo', 'banjo 1/2-20 + an5 m'),
  wanted('joiner 16 to 12 mm', 'reducer', 'barb 16mm + barb 12mm'),
  wanted('cooler with G 1/2 ports on one side', 'cooler', 'g 1/2 f + g 1/2 f'),
];

/** The wanted parts that a list does not have, by their names. */
export function missingOf(fittings: readonly Fitting[], rows: readonly WantedPart[] = wantedParts): string[] {
  const key = (kind: string, ends: readonly string[]): string => `${kind} ${[...ends].sort().join(' ')}`;
  const made = new Map<string, Set<string>>();
  for (const fitting of fittings) {
    if (fitting.retired) continue;
    const at = key(kindOf(fitting), fitting.ends.map(connectorKey));
    if (!made.has(at)) made.set(at, new Set());
    made.get(at)!.add(fitting.material ?? '');
  }
  return rows
    .filter(({ kind, ends, material }) => {
      const found = made.get(
        key(
          kind,
          ends.map((end) => connectorKey(parseConnector(end))),
        ),
      );
      return !found || (material !== undefined && !found.has(material));
    })
    .map(({ name }) => name);
}
