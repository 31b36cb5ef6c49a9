import { formatConnector } from '../../connectors/index.js';
import { kindOf, type Fitting } from '../fitting.js';
import { adaptersByRule } from './adapter-rules.js';
import { adapter } from './adapter.js';
import { branchingFittings, furtherTees } from './branching-fittings.js';
import { britishAndMetricAdapters } from './british-and-metric-adapters.js';
import { closingFittings, furtherClosings } from './closing-fittings.js';
import { couplers, furtherInline, inlineFittings } from './inline-fittings.js';
import { stackFittings } from './stack-fittings.js';
import { standardAdapters } from './standard-adapters.js';
import { rarityOf } from './rarity.js';
import { tubeFittings } from './tube-fittings.js';
import { vesselFittings } from './vessel-fittings.js';
import { wantedFittings } from './wanted-fittings.js';

/**
 * The common fittings of the trade in all their sizes from -3 to -24, with dimensions from the end forms of the standards and
 * proportions, limits and masses by common practice: measure the parts in hand, keep to the maker's limits. They carry no price,
 * supplier or stock: those are a shop's.
 */
export function standardFittings(): Fitting[] {
  return [...(made ??= makeAll())];
}

let made: readonly Fitting[] | undefined;

/** The most usual of them, some thousand: those that every shop has. */
export function commonFittings(): Fitting[] {
  const plain = standardAdapters();
  return once([
    ...plain,
    ...inSteel(plain),
    ...britishAndMetricAdapters(),
    ...branchingFittings(),
    ...closingFittings(),
    ...inlineFittings(),
  ]);
}

function makeAll(): Fitting[] {
  const kept = commonFittings();
  const usual = new Set(kept.map(({ id }) => id));
  return once([
    ...kept,
    ...wantedFittings(),
    ...adaptersByRule(),
    ...furtherTees(),
    ...furtherClosings(),
    ...furtherInline(),
    ...couplers(),
    ...stackFittings(),
    ...vesselFittings(),
    ...tubeFittings(),
  ]).map((part) => {
    const rarity = rarityOf(part, usual.has(part.id));
    return rarity === 'common' ? part : { ...part, rarity };
  });
}

/** What was made by hand goes before what a rule makes. */
function once(all: readonly Fitting[]): Fitting[] {
  const byId = new Map<string, Fitting>();
  for (const part of all) if (!byId.has(part.id)) byId.set(part.id, part);
  return [...byId.values()];
}

/** Straight pipe and flare adapters that are stocked in steel as well. */
function inSteel(plain: readonly Fitting[]): Fitting[] {
  return plain
    .filter((f) => !f.angleDeg && kindOf(f) !== 'banjo' && f.ends.every((e) => ['npt', 'flare37'].includes(e.family) && !e.swivel))
    .filter((f) => f.ends.some((e) => e.family === 'npt' && e.gender === 'male') && !formatConnector(f.ends[1]!).startsWith('npt'))
    .map((f) => adapter(f.ends[0]!, f.ends[1]!, 0, { material: 'steel' }));
}
