import type { Connector } from '../connectors/index.js';
import { kindOf, type Fitting } from '../fittings/index.js';
import { mate } from '../seals/index.js';

/** A way from one pipe to another of another size, each joint counted. */
export interface StepUp {
  readonly how: 'one coupler that steps' | 'two hoses and a reducer between';
  readonly part: Fitting;
  readonly joints: number;
}

/** Most ways told. */
const MOST = 6;

/**
 * How two pipes of different size are joined by hose: by a coupler that steps (two joints), or by two hoses with a reducer between (four).
 * The fewest joints first, then by price. Empty where both are of one size, or nothing is made.
 */
export function stepUps(a: Connector, b: Connector, fittings: readonly Fitting[]): StepUp[] {
  if (![a, b].every((c) => c.family === 'barb' || c.family === 'bead') || a.size === b.size) return [];
  const seals = (one: Connector, other: Connector): boolean => mate(one, other).outcome === 'seals';
  const way = (part: Fitting): StepUp[] => {
    const [one, other] = part.ends;
    if (part.retired || part.ends.length !== 2 || !one || !other) return [];
    if (kindOf(part) === 'coupler')
      return (seals(a, one) && seals(other, b)) || (seals(a, other) && seals(one, b))
        ? [{ how: 'one coupler that steps', part, joints: 2 }]
        : [];
    const sizes = [one.size, other.size];
    const barbs = [one, other].every((c) => (c.family === 'barb' || c.family === 'bead') && c.gender === 'male');
    return barbs && sizes.includes(a.size) && sizes.includes(b.size) ? [{ how: 'two hoses and a reducer between', part, joints: 4 }] : [];
  };
  return fittings
    .flatMap(way)
    .sort((x, y) => x.joints - y.joints || (x.part.priceMinor ?? Infinity) - (y.part.priceMinor ?? Infinity))
    .slice(0, MOST);
}
