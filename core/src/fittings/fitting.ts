import type { Connector } from '../connectors/index.js';
import { fittingKind, type FittingKindId } from './fitting-kinds.js';

export const materials = ['aluminium', 'steel', 'stainless', 'brass'] as const;
export type Material = (typeof materials)[number];

/**
 * One part with connector ends: adapter, elbow, tee, plug, valve. Lengths in mm, mass in g, pressure in bar, temperature in °C, money
 * in minor units. The first two ends are the run; a third and fourth branch off it.
 */
export interface Fitting {
  readonly id: string;
  readonly name: string;
  readonly ends: readonly Connector[];
  readonly kind?: FittingKindId;
  /** Angle between the axes of the first two ends; 0 or absent is straight, 90 an elbow or a banjo. */
  readonly angleDeg?: number;
  /** From seat to seat along the axes of the run: what it adds to a stack. */
  readonly lengthMm?: number;
  /** Of an angled or branched fitting: from the crossing of the axes to the seat of each end. */
  readonly legsMm?: readonly number[];
  /** Across flats of its body. */
  readonly hexMm?: number;
  /** The narrowest way through. */
  readonly boreMm?: number;
  readonly massG?: number;
  readonly material?: string;
  readonly maxBar?: number;
  readonly minTempC?: number;
  readonly maxTempC?: number;
  /** Flow passes from the first end to the second only. */
  readonly oneWay?: boolean;
  readonly priceMinor?: number;
  readonly supplier?: string;
  /** The supplier's order code; no two parts of a catalogue share one. */
  readonly code?: string;
  /** Pieces on the shelf. */
  readonly shelf?: number;
  /** Days until it arrives when ordered. */
  readonly leadDays?: number;
  /** Taken out of the catalogue: kept so that what uses it can still be drawn, never offered again. */
  readonly retired?: boolean;
  /** Where its dimensions come from, in words. */
  readonly source?: string;
}

/** The kind of a fitting, read off its ends where it is not said. */
export function kindOf(fitting: Fitting): FittingKindId {
  if (fitting.kind) return fitting.kind;
  const [a, b] = fitting.ends;
  if (fitting.ends.length === 1) return a!.family === 'bung' ? 'bung' : a!.gender === 'male' ? 'plug' : 'cap';
  if (fitting.ends.length > 2) return fitting.ends.length === 3 ? 'tee' : 'cross';
  if (fitting.ends.some((e) => e.family === 'banjo')) return 'banjo';
  if (fitting.angleDeg) return 'elbow';
  if (a!.family !== b!.family) return 'adapter';
  return a!.size === b!.size ? (a!.swivel && b!.swivel ? 'swivel' : 'union') : 'reducer';
}

/** By how much a way through a fitting turns, degrees: the angle of its run, or square off into a branch. */
export function turnBetween(fitting: Fitting, inEnd: number, outEnd: number): number {
  const run = inEnd < 2 && outEnd < 2;
  const across = inEnd >= 2 && outEnd >= 2;
  return run ? (fitting.angleDeg ?? 0) : across ? 0 : 90;
}

/** Length of a way through a fitting from seat to seat, mm. */
export function lengthBetween(fitting: Fitting, inEnd: number, outEnd: number): number {
  const { legsMm, lengthMm = 0 } = fitting;
  if (fitting.ends.length < 3 || !legsMm) return lengthMm;
  return (legsMm[inEnd] ?? lengthMm / 2) + (legsMm[outEnd] ?? lengthMm / 2);
}

/** Ends that a way through the fitting leaves open. */
export function openEnds(fitting: Fitting, inEnd: number, outEnd: number): number[] {
  return fitting.ends.map((_, i) => i).filter((i) => i !== inEnd && i !== outEnd);
}

/** May stand in a chain without having been asked for. */
export function isPlain(fitting: Fitting): boolean {
  const kind = fittingKind(kindOf(fitting));
  return !kind.function && !kind.welded;
}

/** Closes an open end: a plug or a cap. */
export function isClosing(fitting: Fitting): boolean {
  return fittingKind(kindOf(fitting)).closes === true;
}
