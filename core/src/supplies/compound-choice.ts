import type { FluidId } from '../fluids/index.js';
import { compounds, type Compound, type SealantPlace } from '../seals/index.js';
import { usualSealRules, type SealRules } from './seal-rules.js';
import { roundedDown, roundedUp } from '../units/index.js';

/** Where a seal sits: what it must bear. */
export interface SealUse {
  readonly fluid: FluidId;
  /** The hottest it gets, °C; what is usual for the fluid where it is not said. */
  readonly hotC?: number;
  readonly place?: SealantPlace;
}

/** Compounds that the shop would have taken before the one that is taken, and why they will not do here. */
export interface Refused {
  readonly refused?: readonly { readonly name: string; readonly why: string }[];
}

/** The first compound of the shop's list that bears the fluid at its heat. */
export function ringCompound(fluid: FluidId, hotC: number, rules: SealRules = usualSealRules): Compound | undefined {
  return listed(rules).find((c) => refusal(c, fluid, hotC) === undefined);
}

export function listed(rules: SealRules): Compound[] {
  return rules.rings.map((id) => compounds.find((c) => c.id === id)!);
}

/** Why a compound will not do; undefined where it will. */
export function refusal({ fluids, maxC, note }: Compound, fluid: FluidId, hotC: number): string | undefined {
  if (fluids[fluid] === 'never') return `${fluid} takes it apart`;
  if (fluids[fluid] === 'short') return `it does not last in ${fluid}: ${note.charAt(0).toLowerCase()}${note.slice(1).replace(/\.$/, '')}`;
  return hotC > maxC ? `it bears ${roundedDown(maxC, '°C')}, and ${fluid} gets to ${roundedUp(hotC, '°C')} here` : undefined;
}

/** What stands before the one that is taken in the shop's list, with the reasons; all of it where none is. */
export function refusedBefore(taken: Compound | undefined, fluid: FluidId, hotC: number, rules: SealRules): Refused {
  const list = listed(rules);
  const before = taken ? list.slice(0, list.indexOf(taken)) : list;
  const refused = before.map((c) => ({ name: c.name, why: refusal(c, fluid, hotC)! }));
  return refused.length > 0 ? { refused } : {};
}
