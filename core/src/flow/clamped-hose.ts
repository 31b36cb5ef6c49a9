import { FlowFigureError } from './viscosity.js';
import { quantity, roundedDown } from '../units/index.js';

export interface CouplerJoint {
  /** Outside of the pipe, mm. */
  readonly pipeMm: number;
  /** How far the coupler goes over the pipe, mm. */
  readonly insertedMm: number;
  readonly bandMm: number;
  /** Pull of the band, N: about 2000 for a worm drive at 5 N·m, 4000 for a T-bolt at 8. Common practice. */
  readonly bandPullN: number;
  readonly beaded: boolean;
  /** A film of oil on the pipe. */
  readonly oily: boolean;
  readonly boostBar: number;
}

export interface CouplerVerdict {
  /** At which pressure it would be pushed off a pipe without a bead, bar. */
  readonly offBar: number;
  readonly holds: boolean;
  /** How far it must go over: the band, as much behind it, and 5 mm before. */
  readonly minInsertedMm: number;
  readonly words: string;
}

/** Silicone on metal, dry and with a film of oil. Common practice, on the safe side. */
const FRICTION = { dry: 0.2, oily: 0.06 };
/** Gusts of boost, heat and age. */
const SAFETY = 2;

/**
 * Whether a coupler stays on its pipe: boost pushes by its area, p·π/4·d²; the band holds by friction, μ·2π·T; a bead behind the band holds
 * what friction does not. Source: belt friction round a full turn.
 */
export function couplerHold({ pipeMm, insertedMm, bandMm, bandPullN, beaded, oily, boostBar }: CouplerJoint): CouplerVerdict {
  if (!(pipeMm > 0 && bandPullN > 0)) throw new FlowFigureError('A coupler needs its pipe and its band.', 'Say both in mm.');
  const holdN = FRICTION[oily ? 'oily' : 'dry'] * 2 * Math.PI * bandPullN;
  const offBar = holdN / ((Math.PI / 4) * (pipeMm / 1000) ** 2) / 1e5;
  const minInsertedMm = 2 * bandMm + 5;
  const deep = insertedMm >= minInsertedMm;
  const holds = deep && (beaded || offBar >= SAFETY * boostBar);
  return {
    offBar,
    holds,
    minInsertedMm,
    words: !deep
      ? `${quantity(insertedMm, 'mm')} over the pipe are too little: the band, as much behind it and ${quantity(5, 'mm')} make ${quantity(minInsertedMm, 'mm')}.`
      : beaded
        ? 'The bead holds it: band behind the bead, pipe and coupler wiped dry.'
        : holds
          ? `Without a bead it would come off at about ${roundedDown(offBar.toFixed(1), 'bar')}: more than twice the boost.`
          : `Without a bead it would come off at about ${roundedDown(offBar.toFixed(1), 'bar')}, and twice ${quantity(boostBar, 'bar')} are asked for: roll a bead on the pipe.`,
  };
}
