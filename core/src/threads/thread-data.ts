import { parseThread } from './parse-thread.js';
import { threadSystem } from './thread-systems.js';
import type { Thread } from './thread.js';

export interface ThreadData {
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly minorInternalMm: number;
  /** Minor diameter of the outside thread, at its basic root. */
  readonly minorExternalMm: number;
  readonly pitchDiameterMm: number;
  readonly taperPerMm: number;
  readonly flankAngleDeg: number;
  readonly tapDrillMm: number;
  readonly standard: string;
  /** Diameters of a taper thread at its small end, where its pitch diameter begins. */
  readonly smallEnd?: { readonly majorMm: number; readonly pitchDiameterMm: number };
}

const computed = new Map<string, ThreadData>();

/**
 * Basic dimensions of a thread in mm, from the standards' formulas: a 60° thread has H = √3/2·P, D2 = D − ¾H and D1 = D − 1¼H;
 * the outside thread is ⅓H deep below the pitch line on each side; a 55° thread is 0.640327 P deep each way; an NPT thread 0.8 P in all. Taper threads are given at
 * the hand-tight plane. The tap drill is D − P for a parallel 60° thread, else the minor diameter of the hole, before reaming for
 * a taper thread.
 *
 * @throws {UnknownThreadError}
 * @example threadData('M14×1.5').pitchDiameterMm // 13.026
 */
export function threadData(designation: string): ThreadData {
  let data = computed.get(designation);
  if (!data) {
    data = dataOf(parseThread(designation));
    if (computed.size < 5000) computed.set(designation, data);
  }
  return data;
}

function dataOf(thread: Thread): ThreadData {
  const { majorMm, pitchMm, taperPerMm, gaugeLengthMm } = thread;
  const system = threadSystem(thread.system);
  const pitchDiameterMm = majorMm - system.addendum * pitchMm;
  const minorInternalMm = pitchDiameterMm - system.dedendum * pitchMm;
  const byPitch = system.flankAngleDeg === 60 && taperPerMm === 0 && thread.system !== 'NPSM';
  return {
    majorMm,
    pitchMm,
    minorInternalMm,
    minorExternalMm: pitchDiameterMm - system.root * pitchMm,
    pitchDiameterMm,
    taperPerMm,
    flankAngleDeg: system.flankAngleDeg,
    tapDrillMm: Math.round((byPitch ? majorMm - pitchMm : minorInternalMm) * 10) / 10,
    standard: system.standard,
    ...(gaugeLengthMm === undefined
      ? {}
      : { smallEnd: { majorMm: majorMm - taperPerMm * gaugeLengthMm, pitchDiameterMm: pitchDiameterMm - taperPerMm * gaugeLengthMm } }),
  };
}
