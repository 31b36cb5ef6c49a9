import { formatConnector } from '../../connectors/index.js';
import { kindOf, type Fitting } from '../fitting.js';
import { adapter } from './adapter.js';
import { branchingFittings } from './branching-fittings.js';
import { britishAndMetricAdapters } from './british-and-metric-adapters.js';
import { closingFittings } from './closing-fittings.js';
import { inlineFittings } from './inline-fittings.js';
import { standardAdapters } from './standard-adapters.js';

/**
 * The common fittings of the trade in all their sizes from -3 to -16, with dimensions from the end forms of the standards and
 * proportions, limits and masses by common practice: measure the parts in hand, keep to the maker's limits. They carry no price,
 * supplier or stock: those are a shop's.
 */
export function standardFittings(): Fitting[] {
  const plain = standardAdapters();
  const all = [
    ...plain,
    ...inSteel(plain),
    ...britishAndMetricAdapters(),
    ...branchingFittings(),
    ...closingFittings(),
    ...inlineFittings(),
  ];
  return [...new Map(all.map((f) => [f.id, f])).values()];
}

/** Straight pipe and flare adapters that are stocked in steel as well. */
function inSteel(plain: readonly Fitting[]): Fitting[] {
  return plain
    .filter((f) => !f.angleDeg && kindOf(f) !== 'banjo' && f.ends.every((e) => ['npt', 'flare37'].includes(e.family) && !e.swivel))
    .filter((f) => f.ends.some((e) => e.family === 'npt' && e.gender === 'male') && !formatConnector(f.ends[1]!).startsWith('npt'))
    .map((f) => adapter(f.ends[0]!, f.ends[1]!, 0, { material: 'steel' }));
}
