import type { Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';

/** What lines are made of: the adapters, hoses and hose ends the shop can get. */
export interface Catalogue {
  readonly fittings: readonly Fitting[];
  readonly hoses: readonly Hose[];
  readonly hoseEnds: readonly HoseEnd[];
}

/** Finds a hose end by what it goes on and its angle. */
export function findHoseEnd(catalogue: Catalogue, construction: string, dash: number, angleDeg: number): HoseEnd | undefined {
  return catalogue.hoseEnds.find((e) => e.construction === construction && e.dash === dash && e.angleDeg === angleDeg);
}

/** Finds a hose by construction and size. */
export function findHose(catalogue: Catalogue, construction: string, dash: number): Hose | undefined {
  return catalogue.hoses.find((h) => h.construction === construction && h.dash === dash);
}

const partsById = new WeakMap<readonly Fitting[], ReadonlyMap<string, Fitting>>();

/** Finds a fitting by its id, retired ones too. */
export function findFitting({ fittings }: Pick<Catalogue, 'fittings'>, id: string): Fitting | undefined {
  let known = partsById.get(fittings);
  if (!known) partsById.set(fittings, (known = new Map(fittings.map((f) => [f.id, f]))));
  return known.get(id);
}
