import { parseThread } from './parse-thread.js';
import { threadSystem } from './thread-systems.js';
import { tapDrillOf } from './tap-drills.js';
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
  /** For a taper hole, without a reamer. */
  readonly tapDrillMm: number;
  /** The smaller drill of a taper hole that is reamed before it is tapped. */
  readonly reamedDrillMm?: number;
  readonly standard: string;
  /** Diameters of a taper thread at its small end, where its pitch diameter begins. */
  readonly smallEnd?: { readonly majorMm: number; readonly pitchDiameterMm: number };
}

const computed = new Map<string, ThreadData>();

/**
 * Basic dimensions of a thread in mm, from the standards' formulas: a 60° thread has H = √3/2·P, D2 = D − ¾H and D1 = D − 1¼H;
 * the outside thread is ⅓H deep below the pitch line on each side; a 55° thread is 0.640327 P deep each way; an NPT thread 0.8 P in all. Taper threads are given at
 * the hand-tight plane. The tap drill is what a shop buys ({@link tapDrillOf}).
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
  const drill = tapDrillOf(thread, minorInternalMm);
  return {
    majorMm,
    pitchMm,
    minorInternalMm,
    minorExternalMm: pitchDiameterMm - system.root * pitchMm,
    pitchDiameterMm,
    taperPerMm,
    flankAngleDeg: system.flankAngleDeg,
    tapDrillMm: drill.mm,
    ...(drill.reamedMm === undefined ? {} : { reamedDrillMm: drill.reamedMm }),
    standard: system.standard,
    ...(gaugeLengthMm === undefined
      ? {}
      : { smallEnd: { majorMm: majorMm - taperPerMm * gaugeLengthMm, pitchDiameterMm: pitchDiameterMm - taperPerMm * gaugeLengthMm } }),
  };
}
