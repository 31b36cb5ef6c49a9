import type { Jaws, Place, Reading } from '@gewinde/core';
import type { MysteryFitting } from './mystery-tray.js';

/** A calliper that sends its readings. Behind this stands an instrument, or the simulated one that ships. */
export interface Calliper {
  /** Half-width of its uncertainty, mm. */
  readonly uncertaintyMm: number;
  /** @throws {AppError} `wrong-jaws` where they do not reach */
  read(fitting: MysteryFitting, jaws: Jaws, place: Place): Reading;
}
