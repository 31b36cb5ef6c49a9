import { parseThread } from './parse-thread.js';
import type { Thread } from './thread.js';
import { threadData } from './thread-data.js';
import { threadLimits } from './thread-limits.js';
import { threadSystem } from './thread-systems.js';

export interface ThreadFit {
  /** `same`: made for each other; `binds`: starts, then stops; `loose`: goes on and rocks or strips; `slides-in`: touches no thread; `no-entry`: does not start. */
  readonly verdict: 'same' | 'binds' | 'loose' | 'slides-in' | 'no-entry';
  /** Turns by hand before it stops; absent where it never starts or never stops. */
  readonly turnsToBind?: number;
  /** What uses the play up: the difference of the pitches, or the taper alone. */
  readonly bindsBy?: 'pitch' | 'taper';
  /** Play across the flanks at the first thread, on the diameter, in mm; negative where it does not start. */
  readonly playMm: number;
  /** How much of the hole's thread depth the outside thread reaches into, 0 to 1. */
  readonly engagement: number;
  /** Whether tightening tears the threads instead of holding. */
  readonly strips: boolean;
}

/** Fewest turns that count as having started. */
const STARTS_TURNS = 1 / 3;
/** More turns than a fitting has: it goes all the way. */
const ALL_THE_WAY_TURNS = 12;

const fits = new WeakMap<Thread, WeakMap<Thread, ThreadFit>>();

/**
 * What happens when an external thread is screwed into an internal one, computed from pitch diameters, pitches, flanks and taper.
 *
 * The play between the pitch diameters (mean of the tolerances of both) is used up by the pitch difference over the turns made
 * (cot of half the flank angle times it; ISO 965 and ASME B1.1 give the same rule for lead error) and by the taper of either.
 *
 * @throws {UnknownThreadError}
 * @example fit('3/4-16', 'M20×1.5').verdict // 'binds'
 */
export function fit(external: Thread | string, internal: Thread | string): ThreadFit {
  const outside = typeof external === 'string' ? parseThread(external) : external;
  const inside = typeof internal === 'string' ? parseThread(internal) : internal;
  let row = fits.get(outside);
  if (!row) fits.set(outside, (row = new WeakMap()));
  let found = row.get(inside);
  if (!found) row.set(inside, (found = compute(outside, inside)));
  return found;
}

function compute(external: Thread, internal: Thread): ThreadFit {
  const ext = threadData(external.designation);
  const int = threadData(internal.designation);
  const allowance = meanPlay(external, internal, ext.pitchDiameterMm, int.pitchDiameterMm);
  const depth = int.majorMm - int.minorInternalMm;
  if (areMadeForEachOther(external, internal)) return { verdict: 'same', playMm: allowance, engagement: 1, strips: false };
  const small =
    external.taperPerMm > 0 && internal.taperPerMm >= 0 ? (ext.smallEnd?.pitchDiameterMm ?? ext.pitchDiameterMm) : ext.pitchDiameterMm;
  const playMm = int.pitchDiameterMm - small + allowance;
  const overlap = external.majorMm - int.minorInternalMm;
  const engagement = Math.min(1, Math.max(0, overlap / depth));
  const whole = { playMm, engagement };
  if (playMm <= 0) return { ...whole, verdict: 'no-entry', strips: false };
  if (overlap <= 0) return { ...whole, verdict: 'slides-in', strips: false };
  const halfFlank = ((Math.min(external.flankAngleDeg, internal.flankAngleDeg) / 2) * Math.PI) / 180;
  const byPitch = Math.abs(ext.pitchMm - int.pitchMm) / Math.tan(halfFlank);
  const byTaper = Math.max(external.taperPerMm, internal.taperPerMm) * ext.pitchMm;
  const turns = byPitch + byTaper < 1e-9 ? Infinity : playMm / (byPitch + byTaper);
  if (turns < STARTS_TURNS) return { ...whole, verdict: 'no-entry', strips: false };
  if (turns > ALL_THE_WAY_TURNS || engagement < 0.1) return { ...whole, verdict: 'loose', strips: engagement < 0.6 };
  const bindsBy = byPitch > byTaper ? 'pitch' : 'taper';
  return { ...whole, verdict: 'binds', turnsToBind: turns, bindsBy, strips: bindsBy === 'pitch' && turns < 4 };
}

/** Pairs of systems of which the one screws into the other by design; their sizes must be equal besides. */
const PARTNERS: Readonly<Record<string, readonly string[]>> = {
  R: ['Rc', 'Rp'],
  NPT: ['NPT', 'NPTF'],
  NPTF: ['NPT', 'NPTF'],
  G: ['G', 'Rp'],
  keg: ['metric'],
};

/** Whether the standards make the two threads for one another. */
export function areMadeForEachOther(external: Thread, internal: Thread): boolean {
  if (external.designation === internal.designation && threadSystem(external.system).sides.length === 2) return true;
  const partners = PARTNERS[external.system]?.includes(internal.system) ?? false;
  return partners && Math.abs(external.majorMm - internal.majorMm) < 1e-6 && Math.abs(external.pitchMm - internal.pitchMm) < 1e-6;
}

/** Play the tolerances of both leave between their pitch diameters beyond the basic sizes, at their middle, mm. */
function meanPlay(external: Thread, internal: Thread, basicOutside: number, basicInside: number): number {
  const outside = threadLimits(external).external.pitch;
  const inside = threadLimits(internal).internal.pitch;
  return Math.max(0, (inside.min + inside.max) / 2 - basicInside + basicOutside - (outside.min + outside.max) / 2);
}
