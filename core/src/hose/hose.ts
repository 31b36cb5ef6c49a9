export type { Hose, HoseEnd } from './hose-schema.js';

/** How a hose is built; a hose end fits one construction and one dash size, and no other. */
export interface Construction {
  readonly id: string;
  readonly name: string;
  /** What goes on it: `olive`, `cutter`, `push-on` ends, or a clamp over the cut hose itself. */
  readonly endStyle: 'olive' | 'cutter' | 'push-on' | 'clamp';
  readonly fluids: readonly string[];
  /** Why a shop takes it, and why another does not. */
  readonly school: string;
}

export const constructions: readonly Construction[] = [
  {
    id: 'ptfe',
    name: 'PTFE core, steel braid',
    endStyle: 'olive',
    fluids: ['oil', 'fuel', 'coolant'],
    school: 'Heat and long life; stiffer, wider bends, dearer ends.',
  },
  {
    id: 'rubber',
    name: 'rubber core, steel braid',
    endStyle: 'cutter',
    fluids: ['oil', 'coolant'],
    school: 'Tighter bends and easy making; ages, less heat, sweats fuel vapour.',
  },
  {
    id: 'pushon',
    name: 'push-on rubber',
    endStyle: 'push-on',
    fluids: ['oil', 'coolant'],
    school: 'Quick and light for returns and breathers; no clamp, low pressure only.',
  },
  { id: 'coolant', name: 'coolant rubber', endStyle: 'clamp', fluids: ['coolant'], school: 'Cheap and known; never oil.' },
  { id: 'fuel', name: 'fuel rubber', endStyle: 'clamp', fluids: ['fuel', 'oil'], school: 'Rated for fuel; soft lines and short links.' },
  { id: 'vacuum', name: 'vacuum silicone', endStyle: 'clamp', fluids: ['air'], school: 'Air and vacuum only; oil and fuel soften it.' },
];

/** The construction with this id. @throws {RangeError} */
export function constructionById(id: string): Construction {
  const found = constructions.find((c) => c.id === id);
  if (!found) throw new RangeError(`No hose construction "${id}"`);
  return found;
}
