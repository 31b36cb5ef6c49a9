import type { UnitSystem } from '../units/index.js';
import { fit } from './fit.js';
import { howToTell } from './how-to-tell.js';
import { threadLibrary, type Side } from './thread-library.js';
import { threadSystem } from './thread-systems.js';
import type { Thread } from './thread.js';

export interface LookAlike {
  readonly designation: string;
  readonly howToTell: string;
}

/** The least share of the thread depth that must touch for a wrong thread to be taken for the right one. */
const CONVINCING_ENGAGEMENT = 0.15;
/** A wrong thread that rocks by more than about its own pitch is noticed at once. */
const NOTICED_PLAY_PITCHES = 1.05;

/**
 * Whether two threads are taken for one another: one goes into the other for at least a third of a turn, touching enough to
 * convince, without having been made for it.
 */
export function areLookAlikes(a: Thread, b: Thread): boolean {
  return a.designation !== b.designation && (deceives(a, b) || deceives(b, a));
}

function deceives(external: Thread, internal: Thread): boolean {
  if (!threadSystem(external.system).sides.includes('external') || !threadSystem(internal.system).sides.includes('internal')) return false;
  if (external.majorMm > internal.majorMm + 2 || external.majorMm < internal.majorMm - 3) return false;
  const { verdict, playMm, engagement } = fit(external, internal);
  if (verdict !== 'binds' && verdict !== 'loose') return false;
  return engagement >= CONVINCING_ENGAGEMENT && playMm <= NOTICED_PLAY_PITCHES * external.pitchMm;
}

const found = new Map<string, readonly Thread[]>();

/** All threads of the library that are taken for this one, nearest first. */
export function lookAlikesOf(thread: Thread): readonly Thread[] {
  let list = found.get(thread.designation);
  if (!list) {
    list = threadLibrary
      .filter((other) => areLookAlikes(thread, other))
      .sort((a, b) => distance(thread, a) - distance(thread, b) || a.designation.localeCompare(b.designation));
    found.set(thread.designation, list);
  }
  return list;
}

/** The look-alikes with the bench test that settles each; of one side only where it is given. */
export function lookAlikesInWords(thread: Thread, side?: Side, limit = Infinity, system: UnitSystem = 'metric'): LookAlike[] {
  return lookAlikesOf(thread)
    .filter((other) => side === undefined || threadSystem(other.system).sides.includes(side))
    .slice(0, limit)
    .map((other) => ({ designation: other.designation, howToTell: howToTell(thread, other, side ?? 'external', system) }));
}

/** How far apart two threads are to hand and eye: diameters in mm, pitches weighted by what they add up to over ten threads. */
function distance(a: Thread, b: Thread): number {
  return Math.abs(a.majorMm - b.majorMm) + 4 * Math.abs(a.pitchMm - b.pitchMm);
}
