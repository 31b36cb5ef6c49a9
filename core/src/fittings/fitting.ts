import { fittingKind, type FittingKindId } from './fitting-kinds.js';
import type { Fitting } from './fitting-schema.js';

export type { Fitting } from './fitting-schema.js';

export const materials = ['aluminium', 'steel', 'stainless', 'brass'] as const;
export type Material = (typeof materials)[number];

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
