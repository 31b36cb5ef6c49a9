import { taperEngagement } from '../threads/index.js';
import { weakerOf, type Metal } from './metals.js';
import {
  banjoTorques,
  bossTorques,
  flareTorques,
  gasketBoltTorques,
  locknutTorques,
  portRingTorques,
  washerTorques,
  type TorqueChoice,
} from './torques.js';
import { quantity } from '../units/index.js';

export interface MakeUp {
  readonly kind: 'torque' | 'flats' | 'turns' | 'push' | 'clamp' | 'gap';
  /** Where it goes by metal: those for `metal`. */
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  readonly note?: string;
  /** The weaker of the two materials that meet, for which the figure holds. */
  readonly metal?: Metal;
  /** Torques by the weaker of the two; of a joint that goes by flats, its second school. */
  readonly torques?: readonly TorqueChoice[];
}

/**
 * A make-up between two materials: the figure is that of the weaker. No figure is known for plastic but its maker's: then there is none.
 */
export function makeUpBetween(makeUp: MakeUp, a: Metal, b: Metal): MakeUp | undefined {
  if (!makeUp.torques) return makeUp;
  const metal = weakerOf(a, b);
  if (metal === 'plastic') return makeUp.kind === 'torque' ? undefined : { ...makeUp, metal, torques: [] };
  const choice = torqueFor(makeUp, metal);
  if (makeUp.kind !== 'torque') return { ...makeUp, metal };
  return { ...makeUp, metal, low: choice.low, high: choice.high };
}

/** The torque where this metal is the weaker: brass takes that of aluminium, which it can bear. */
export function torqueFor({ torques = [] }: MakeUp, metal: Metal): TorqueChoice {
  return torques.find((t) => t.metal === metal) ?? torques[0]!;
}

/** By torque; the headline is aluminium's, for the joint whose metals are not said. */
function byTorque(torques: readonly TorqueChoice[], note?: string): MakeUp {
  const { low, high, metal } = torques[0]!;
  return { kind: 'torque', low, high, unit: 'N·m', metal, torques, ...(note ? { note } : {}) };
}

/** Flats from wrench resistance for a 37° swivel nut, by dash size. Source: SAE J514 practice, from memory. */
const FLARE_FLATS: Readonly<Record<string, readonly [number, number]>> = {
  '2': [1.5, 2],
  '3': [1.5, 2],
  '4': [1.5, 1.75],
  '5': [1.25, 1.75],
  '6': [1, 1.5],
  '8': [1, 1.5],
  '10': [1, 1.5],
  '12': [1, 1.25],
  '14': [1, 1.25],
  '16': [0.75, 1],
  '20': [0.75, 1],
  '24': [0.75, 1],
  '32': [0.75, 1],
};

/**
 * From finger tight a nut turns about a flat before the wrench meets resistance: the same joint read from another datum. Common practice.
 */
export const FLATS_TO_RESISTANCE = 1;

export function flareMakeUp(dash: string): MakeUp {
  const torques = flareTorques(dash);
  const [low, high] = FLARE_FLATS[dash]!;
  const flats = `${low + FLATS_TO_RESISTANCE} to ${high + FLATS_TO_RESISTANCE}`;
  return {
    kind: 'flats',
    low,
    high,
    unit: 'flats',
    metal: 'aluminium',
    torques,
    note: `From wrench resistance, with a second wrench on the adapter. From finger tight it is about ${flats}: one datum is not the other.`,
  };
}

const LOCKNUT = 'On the locknut, after aiming; back off at most one turn.';

export function bossMakeUp(dash: string, adjustable: boolean): MakeUp {
  return byTorque(bossTorques(dash), adjustable ? LOCKNUT : undefined);
}

export function portRingMakeUp(diameterMm: number, adjustable = false): MakeUp {
  return byTorque(portRingTorques(diameterMm), adjustable ? LOCKNUT : undefined);
}

export function washerMakeUp(boltMm: number): MakeUp {
  return byTorque(washerTorques(boltMm));
}

export function banjoMakeUp(boltMm: number): MakeUp {
  return byTorque(banjoTorques(boltMm), "Hollow bolt: it takes less than a solid one. The maker's figure goes first.");
}

export function locknutMakeUp(dash: string): MakeUp {
  return byTorque(locknutTorques(dash), 'On the locknut, with a second wrench: snug by the washers, on a flat sheet and a deburred hole.');
}

/** Bolts on a gasket, in turn. @param bolt `M6` or `M8`; where it is not said, the figure of the smaller */
export function flangeMakeUp(bolt: string | undefined): MakeUp {
  const how = 'in turn, a little at a time.';
  if (bolt) return byTorque(gasketBoltTorques(bolt), `${bolt} bolts, ${how} The maker's figure goes first.`);
  const { low, high } = gasketBoltTorques('M8')[0]!;
  return byTorque(
    gasketBoltTorques(),
    `For M6 bolts, ${how} If they are M8, say so: they take ${quantity(low, 'N·m', high)} in aluminium.`,
  );
}

/** Turns past finger tight for a taper thread, by size. Source: SAE J514 practice, from memory. */
export function taperMakeUp(designation: string): MakeUp {
  const turns = taperEngagement(designation)!.byWrenchTurns;
  return {
    kind: 'turns',
    ...turns,
    unit: 'turns',
    note: 'Past finger tight. Never back off to aim: go on, or start again. Not over-tight in aluminium.',
  };
}

export const clampMakeUp: MakeUp = {
  kind: 'clamp',
  low: 2,
  high: 4,
  unit: 'N·m',
  note: "By the clamp's own figure; behind the last ridge, not on it.",
};

/** A spin-on filter or plate on its gasket. Source: common practice; the filter maker's figure goes first. */
export const gasketMakeUp: MakeUp = {
  kind: 'turns',
  low: 0.75,
  high: 1,
  unit: 'turns',
  note: 'By hand after the gasket touches. A post bolt takes its torque by the plate maker; again after every filter change.',
};

/** Bolts round a gasket face, where which bolts they are is not said. Source: common practice; the maker's figure goes first. */
export const faceMakeUp: MakeUp = flangeMakeUp(undefined);

/** A face of which no bolts are said: it may be the neck under a cap. Source: common practice; the maker's figure goes first. */
export const faceOrCapMakeUp: MakeUp = { ...faceMakeUp, note: `A cap goes on by hand, to its stop. ${faceMakeUp.note ?? ''}` };

export const pushMakeUp: MakeUp = { kind: 'push', low: 0, high: 0, unit: '', note: 'Push until it clicks, then tug.' };

/** A cutting-ring joint: turns from finger tight. Source: ISO 8434-1 practice, from memory. */
export const cuttingRingMakeUp: MakeUp = {
  kind: 'turns',
  low: 1.25,
  high: 1.5,
  unit: 'turns',
  note: 'A new cutting ring; a ring made up before takes a quarter turn, an O-ring nose a third.',
};

/** An olive on plain tube: turns from finger tight. Source: SAE J512 practice, from memory. */
export const oliveMakeUp: MakeUp = {
  kind: 'turns',
  low: 1.25,
  high: 1.75,
  unit: 'turns',
  note: 'From finger tight, the tube pushed to its stop; an olive made up before takes a quarter turn.',
};

/** A swivel nut on a 30° or 60° cone: flats from wrench resistance. Source: common practice. */
export const coneMakeUp: MakeUp = {
  kind: 'flats',
  low: 1,
  high: 1.5,
  unit: 'flats',
  note: 'From wrench resistance, second wrench on the adapter.',
};
