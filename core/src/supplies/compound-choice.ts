import { fluidById, type FluidId } from '../fluids/index.js';
import { compounds, type Compound, type SealantPlace } from '../seals/index.js';
import { usualSealRules, type SealRules } from './seal-rules.js';
import { quantity, roundedDown, roundedUp } from '../units/index.js';

/** Where a seal sits: what it must bear. */
export interface SealUse {
  readonly fluid: FluidId;
  /** The hottest it gets, °C; what is usual for the fluid where it is not said. */
  readonly hotC?: number;
  /** At a cold start, °C, where that is said: what is stiff then lets by. */
  readonly coldC?: number;
  readonly place?: SealantPlace;
}

/** Compounds that the shop would have taken before the one that is taken, and why they will not do here. */
export interface Refused {
  readonly refused?: readonly { readonly name: string; readonly why: string }[];
}

/** The first compound of the shop's list that bears the fluid, its heat and the cold start. */
export function ringCompound(use: SealUse, rules: SealRules = usualSealRules): Compound | undefined {
  return listed(rules).find((c) => refusal(c, use) === undefined);
}

/** The hottest that a seal gets, °C. */
export function heatOf({ fluid, hotC }: SealUse): number {
  return hotC ?? fluidById(fluid).hotC;
}

/** What no compound bears, in words. */
export function noCompound(use: SealUse): string {
  const { vague } = fluidById(use.fluid);
  const cold = use.coldC === undefined ? '' : ` and ${quantity(use.coldC, '°C')}`;
  return `No ring compound that is known bears ${use.fluid} at ${quantity(heatOf(use), '°C')}${cold} for long: ${vague ?? 'ask the ring maker.'}`;
}

export function listed(rules: SealRules): Compound[] {
  return rules.rings.map((id) => compounds.find((c) => c.id === id)!);
}

/** Why a compound will not do; undefined where it will. */
export function refusal({ fluids, minC, maxC, note }: Compound, use: SealUse): string | undefined {
  const { fluid, coldC } = use;
  const hotC = heatOf(use);
  if (fluids[fluid] === 'never') return `${fluid} takes it apart`;
  if (fluids[fluid] === 'short') return `it does not last in ${fluid}: ${note.charAt(0).toLowerCase()}${note.slice(1).replace(/\.$/, '')}`;
  if (hotC > maxC) return `it bears ${roundedDown(maxC, '°C')}, and ${fluid} gets to ${roundedUp(hotC, '°C')} here`;
  return coldC !== undefined && coldC < minC
    ? `it is stiff below ${roundedUp(minC, '°C')}, and it is started at ${roundedDown(coldC, '°C')}`
    : undefined;
}

/** What stands before the one that is taken in the shop's list, with the reasons; all of it where none is. */
export function refusedBefore(taken: Compound | undefined, use: SealUse, rules: SealRules): Refused {
  const list = listed(rules);
  const before = taken ? list.slice(0, list.indexOf(taken)) : list;
  const refused = before.map((c) => ({ name: c.name, why: refusal(c, use)! }));
  return refused.length > 0 ? { refused } : {};
}

/** `FKM bears engine oil up to 200 °C`. */
export function bearsWords({ id, maxC }: Compound, { fluid }: SealUse): string {
  return `${id.toUpperCase()} bears ${fluid} up to ${quantity(maxC, '°C')}`;
}
