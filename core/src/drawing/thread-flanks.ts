import { threadData, threadSystem, type Thread } from '../threads/index.js';

/** A thread's profile as (u, r) pairs along its axis, r a radius in mm. */
export type Flanks = readonly (readonly [u: number, r: number])[];

interface Cut {
  readonly pitch: number;
  readonly crest: number;
  readonly root: number;
  /** Width of the flat at the crest. */
  readonly flat: number;
  /** Axial run of one flank. */
  readonly run: number;
  readonly slope: number;
}

/** Crest flats in pitches: ISO 68-1 and ASME B1.1 P/8; rounded crests of 55° threads and the narrow ones of taper pipe about P/12. */
function crestFlat(thread: Thread, outside: boolean): number {
  if (thread.flankAngleDeg === 55 || thread.taperPerMm > 0) return thread.pitchMm / 12;
  return thread.pitchMm / (outside ? 8 : 4);
}

function cutOf(thread: Thread, outside: boolean): Cut {
  const data = threadData(thread.designation);
  const half = ((threadSystem(thread.system).flankAngleDeg / 2) * Math.PI) / 180;
  const pitch = thread.pitchMm;
  const [crest, root] = outside ? [data.majorMm / 2, data.minorExternalMm / 2] : [data.minorInternalMm / 2, data.majorMm / 2];
  const flat = crestFlat(thread, outside);
  const run = Math.min(Math.abs(crest - root) * Math.tan(half), (pitch - flat) / 2 - 1e-3);
  return { pitch, crest, root, flat, run, slope: thread.taperPerMm / 2 };
}

/**
 * The outside thread from its leading end at `u = length` back to the mouth at 0. Its first groove takes the first crest of the hole.
 * @param length how far it has been screwed in, mm
 */
export function outsideFlanks(thread: Thread, length: number, from = -2 * thread.pitchMm): Flanks {
  const data = threadData(thread.designation);
  const cut = cutOf(thread, true);
  // a taper thread is smallest at its leading end
  const lift = (u: number): number => (thread.taperPerMm > 0 ? (data.smallEnd!.majorMm - data.majorMm) / 2 + cut.slope * (length - u) : 0);
  return trace(cut, from, length, cut.pitch / 2, lift);
}

/** The hole from its mouth at `u = 0` inwards; a taper hole narrows. */
export function insideFlanks(thread: Thread, length: number): Flanks {
  const cut = cutOf(thread, false);
  return trace(cut, 0, length, 0, (u) => -cut.slope * u);
}

/** Crest, flank, root, flank over and over; crests lie at whole pitches from `phase`. */
function trace(cut: Cut, from: number, to: number, phase: number, lift: (u: number) => number): Flanks {
  const { pitch, crest, root, flat, run } = cut;
  const points: [number, number][] = [];
  const add = (u: number, r: number): void => void points.push([u, r + lift(u)]);
  for (let n = Math.floor((from - phase) / pitch) - 1; phase + n * pitch <= to + pitch; n++) {
    const at = phase + n * pitch;
    add(at - flat / 2 - run, root);
    add(at - flat / 2, crest);
    add(at + flat / 2, crest);
    add(at + flat / 2 + run, root);
  }
  const clipped: [number, number][] = [[from, radiusAt(points, from)]];
  for (const point of points) if (point[0] > from && point[0] < to) clipped.push(point);
  clipped.push([to, radiusAt(points, to)]);
  return clipped;
}

/** The radius of a profile at a place along the axis. */
export function radiusAt(flanks: Flanks, u: number): number {
  for (let i = 1; i < flanks.length; i++) {
    const [a, b] = [flanks[i - 1]!, flanks[i]!];
    if (u <= b[0]) return b[0] - a[0] < 1e-9 ? b[1] : a[1] + ((b[1] - a[1]) * (u - a[0])) / (b[0] - a[0]);
  }
  return flanks[flanks.length - 1]![1];
}
