import type { FluidId } from '../fluids/index.js';

export type { Hose, HoseEnd } from './hose-schema.js';

/** How a hose is built; a hose end fits one construction and one dash size, and no other. */
export interface Construction {
  readonly id: string;
  readonly name: string;
  /** What goes on it: `olive`, `cutter`, `push-on` ends, or a clamp over the cut hose itself. */
  readonly endStyle: 'olive' | 'cutter' | 'push-on' | 'clamp';
  /** What it is made for; all else it is not. */
  readonly fluids: readonly FluidId[];
  /** Why a shop takes it, and why another does not. */
  readonly school: string;
}

export const constructions: readonly Construction[] = [
  {
    id: 'ptfe',
    name: 'PTFE core, steel braid',
    endStyle: 'olive',
    fluids: ['engine oil', 'hot synthetic oil', 'petrol', 'petrol with alcohol', 'alcohol fuel', 'diesel', 'coolant', 'air', 'vacuum'],
    school: 'Heat and long life; stiffer, wider bends, dearer ends.',
  },
  {
    id: 'rubber',
    name: 'rubber core, steel braid',
    endStyle: 'cutter',
    fluids: ['engine oil', 'coolant', 'air'],
    school: 'Tighter bends and easy making; ages, less heat, sweats fuel vapour.',
  },
  {
    id: 'pushon',
    name: 'push-on rubber',
    endStyle: 'push-on',
    fluids: ['engine oil', 'coolant', 'air'],
    school: 'Quick and light for returns and breathers; no clamp, low pressure only.',
  },
  { id: 'coolant', name: 'coolant rubber', endStyle: 'clamp', fluids: ['coolant', 'air'], school: 'Cheap and known; never oil.' },
  {
    id: 'fuel',
    name: 'fuel rubber',
    endStyle: 'clamp',
    fluids: ['petrol', 'diesel', 'engine oil', 'air', 'vacuum'],
    school: 'Rated for fuel; soft lines and short links.',
  },
  {
    id: 'vacuum',
    name: 'vacuum silicone',
    endStyle: 'clamp',
    fluids: ['air', 'vacuum'],
    school: 'Air and vacuum only; oil and fuel soften it.',
  },
];

/** The construction with this id. @throws {RangeError} */
export function constructionById(id: string): Construction {
  const found = constructions.find((c) => c.id === id);
  if (!found) throw new RangeError(`No hose construction "${id}"`);
  return found;
}
