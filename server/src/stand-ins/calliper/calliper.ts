import type { MysteryFitting } from './mystery-tray.js';

export type Jaws = 'outside' | 'inside';
/**
 * Where the jaws are set: on the thread somewhere (`crest`), at its front or further back (two places along a taper), or from crest to
 * crest along it (`span`, for the pitch).
 */
export type Place = 'crest' | 'front' | 'back' | 'span';

/** One figure off the instrument. */
export interface Reading {
  readonly mm: number;
  readonly place: Place;
  /** Distance of `front` and `back` from one another, mm. */
  readonly apartMm?: number;
  /** Pitches between the two crests of a `span`. */
  readonly pitches?: number;
}

/** A calliper that sends its readings. Behind this stands an instrument, or the simulated one that ships. */
export interface Calliper {
  /** Half-width of its uncertainty, mm. */
  readonly uncertaintyMm: number;
  /** @throws {AppError} `wrong-jaws` where they do not reach */
  read(fitting: MysteryFitting, jaws: Jaws, place: Place): Reading;
}
