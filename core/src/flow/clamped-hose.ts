import { FlowFigureError } from './viscosity.js';
import { quantity, roundedDown } from '../units/index.js';

/**
 * Worm-drive clamps by what they close on, mm. Source: DIN 3017-1, from memory.
 */
export const wormClamps: readonly (readonly [from: number, to: number])[] = [
  [8, 12],
  [10, 16],
  [12, 22],
  [16, 27],
  [20, 32],
  [25, 40],
  [32, 50],
  [40, 60],
  [50, 70],
  [60, 80],
  [70, 90],
  [80, 100],
  [90, 110],
  [100, 120],
];

export interface ClampChoice {
  readonly kind: 'screw band' | 'worm drive' | 'worm drive, lined' | 'T-bolt';
  /** What it closes on, mm. */
  readonly fromMm: number;
  readonly toMm: number;
  /** How tight, N·m; the clamp's own figure goes first. */
  readonly torqueNm: readonly [low: number, high: number];
  readonly why: string;
}

/** By kind, N·m; a worm drive of a narrow band takes less. Common practice, from memory. */
const TORQUES = {
  'screw band': [1, 1.5],
  'narrow worm drive': [2, 3],
  'worm drive': [4, 5],
  'worm drive, lined': [3, 4],
  'T-bolt': [7, 9],
} as const;
/** Up to this span a worm drive has a band of 9 mm. DIN 3017-1, from memory. */
const NARROW_TO_MM = 27;

/**
 * The clamp for a hose on its barb or bead: by the outside of the hose once it is pushed on, which is the barb and twice the wall.
 * @param boreMm and outsideMm of the hose as it is sold
 * @param overMm outside of the barb or bead; the bore where nothing is said
 */
export function clampFor(
  hose: { readonly boreMm: number; readonly outsideMm: number; readonly construction: string },
  overMm = hose.boreMm,
): ClampChoice {
  const wall = (hose.outsideMm - hose.boreMm) / 2;
  const outside = overMm + 2 * wall;
  if (!(wall > 0)) throw new FlowFigureError('A hose without a wall holds no clamp.', 'Look at its bore and its outside.');
  const { construction } = hose;
  if (construction === 'charge' && outside > 40)
    return {
      kind: 'T-bolt',
      torqueNm: TORQUES['T-bolt'],
      fromMm: Math.floor(outside - 3),
      toMm: Math.ceil(outside + 5),
      why: 'boost: a band pressed evenly all round, tightened again after the first heat',
    };
  if (outside < 12)
    return {
      kind: 'screw band',
      torqueNm: TORQUES['screw band'],
      fromMm: Math.floor(outside - 1),
      toMm: Math.ceil(outside + 1),
      why: 'too small for a worm drive to close round',
    };
  // in the middle of its span, so that it can be opened far enough to go on, and closed further once the hose settles
  const fits = wormClamps.filter(([from, to]) => outside >= from && outside <= to);
  const [fromMm, toMm] = fits.reduce(
    (best, span) => (Math.abs((span[0] + span[1]) / 2 - outside) < Math.abs((best[0] + best[1]) / 2 - outside) ? span : best),
    fits[0] ?? wormClamps[wormClamps.length - 1]!,
  );
  if (fits.length === 0)
    throw new FlowFigureError(`No worm-drive clamp closes on ${quantity(outside.toFixed(0), 'mm')}.`, 'Take a T-bolt band.');
  const soft = construction === 'silicone' || construction === 'charge' || construction === 'vacuum';
  return {
    kind: soft ? 'worm drive, lined' : 'worm drive',
    torqueNm: TORQUES[toMm <= NARROW_TO_MM ? 'narrow worm drive' : soft ? 'worm drive, lined' : 'worm drive'],
    fromMm,
    toMm,
    why: soft ? 'silicone is cut by the slots of a bare band' : 'the span whose middle is nearest to the hose on its barb',
  };
}

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
