import { parseThread } from './parse-thread.js';

/** How far a taper thread goes in. */
export interface TaperEngagement {
  /** Turns by hand to the gauge plane. */
  readonly byHandTurns: number;
  /** Turns with the wrench beyond it. */
  readonly byWrenchTurns: { readonly low: number; readonly high: number };
  readonly gaugeLengthMm: number;
  readonly usefulLengthMm: number;
}

/**
 * Engagement of a taper pipe thread: by hand to its gauge plane, then by wrench. Sources: gauge lengths ASME B1.20.1, ISO 7-1, DIN 158;
 * wrench turns SAE J514 practice, from memory (1 in and larger take less).
 * Undefined for a parallel thread.
 * @throws {UnknownThreadError}
 */
export function taperEngagement(designation: string): TaperEngagement | undefined {
  const { gaugeLengthMm, usefulLengthMm, pitchMm, majorMm } = parseThread(designation);
  if (gaugeLengthMm === undefined || usefulLengthMm === undefined) return undefined;
  const large = majorMm > 32;
  return {
    byHandTurns: gaugeLengthMm / pitchMm,
    byWrenchTurns: large ? { low: 1.5, high: 2.5 } : { low: 2, high: 3 },
    gaugeLengthMm,
    usefulLengthMm,
  };
}

/** Taper over two places of a thread: change of diameter per mm of length. @throws {RangeError} without a distance between them */
export function taperBetween(firstMm: number, secondMm: number, apartMm: number): number {
  if (!(apartMm > 0)) throw new RangeError('The two places must lie apart.');
  return Math.abs(secondMm - firstMm) / apartMm;
}

/** A taper of 1 in 16 is told from a parallel thread at half of it. */
export function isTapered(taperPerMm: number): boolean {
  return taperPerMm > 1 / 32;
}
