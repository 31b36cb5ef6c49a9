import { basicDiameter, parseThread, threadLimits, type Jaws, type Place, type Reading, type Thread } from '@gewinde/core';
import { AppError } from '../../errors/app-error.js';
import type { Calliper } from './calliper.js';
import type { MysteryFitting } from './mystery-tray.js';

/** Spread of a careful reading, mm. */
const SIGMA_MM = 0.012;
/** Share of readings taken with the jaws a little askew, and by how much they are out at most, mm. */
const ASKEW_SHARE = 0.05;
const ASKEW_MM = 0.12;
const RESOLUTION_MM = 0.01;
const APART_MM = 4;
/** Where the front place lies behind the first thread, mm. */
const FRONT_MM = 1;

/** A calliper that measures the fittings of the tray as a hand would: with noise, now and then askew. */
export class SimulatedCalliper implements Calliper {
  readonly uncertaintyMm = 0.05;

  /** @param chance uniform numbers of 0 to 1 */
  constructor(private readonly chance: () => number = Math.random) {}

  read(fitting: MysteryFitting, jaws: Jaws, place: Place): Reading {
    if (place !== 'span' && (jaws === 'outside') !== (fitting.side === 'external'))
      throw new AppError(
        'wrong-jaws',
        jaws === 'outside'
          ? 'The outside jaws do not go into the hole: take the inside ones.'
          : 'The inside jaws do not go round it: take the outside ones.',
        { field: 'jaws' },
      );
    const thread = parseThread(fitting.thread);
    if (place === 'span') {
      const pitches = Math.max(4, Math.min(10, Math.floor(12 / thread.pitchMm)));
      return { mm: this.shown(pitches * thread.pitchMm + this.noise()), place, pitches };
    }
    const askew = this.chance() < ASKEW_SHARE ? this.chance() * ASKEW_MM * (jaws === 'outside' ? 1 : -1) : 0;
    const mm = this.shown(this.diameter(thread, fitting, place) + this.noise() + askew);
    return { mm, place, ...(place === 'crest' ? {} : { apartMm: APART_MM }) };
  }

  /** The metal as it is at a place: the middle of its tolerance, less wear. */
  private diameter(thread: Thread, { side, wearMm }: MysteryFitting, place: Place): number {
    const outside = side === 'external';
    const basic = basicDiameter(thread, side);
    const worn = outside ? -wearMm : wearMm;
    if (thread.gaugeLengthMm === undefined) {
      const { external, internal } = threadLimits(thread);
      const limits = outside ? external.major : internal.minor;
      return (limits.min + limits.max) / 2 + worn;
    }
    const room = Math.max(APART_MM, thread.gaugeLengthMm);
    const depth = place === 'front' ? FRONT_MM : place === 'back' ? FRONT_MM + APART_MM : FRONT_MM + this.chance() * room * 0.8;
    // outside it grows from the small end, inside it narrows from the mouth
    const along = outside ? depth - thread.gaugeLengthMm : -depth;
    return basic + thread.taperPerMm * along + worn;
  }

  private noise(): number {
    // Box and Muller
    return SIGMA_MM * Math.sqrt(-2 * Math.log(1 - this.chance())) * Math.cos(2 * Math.PI * this.chance());
  }

  private shown(mm: number): number {
    return Math.round(mm / RESOLUTION_MM) / (1 / RESOLUTION_MM);
  }
}
