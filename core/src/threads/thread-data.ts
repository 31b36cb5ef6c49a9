import { parseThread } from './parse-thread.js';
import type { ThreadSystem } from './thread.js';

export interface ThreadData {
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly minorInternalMm: number;
  readonly pitchDiameterMm: number;
  readonly taperPerMm: number;
  readonly flankAngleDeg: number;
  readonly tapDrillMm: number;
  readonly standard: string;
}

const STANDARDS: Record<ThreadSystem, string> = { UN: 'ASME B1.1', metric: 'ISO 68-1, ISO 724', NPT: 'ASME B1.20.1' };

/**
 * Basic dimensions of a thread in mm, from the standards' formulas: for a 60° thread D2 = D − ¾H and D1 = D − 1¼H with
 * H = √3/2·P; an NPT thread has depth 0.8 P. Taper threads are given at the hand-tight plane. The tap drill is the minor
 * diameter rounded up to the next 0.1 mm (metric, UN: D − P), before reaming for a taper thread.
 *
 * @throws {UnknownThreadError}
 * @example threadData('M14×1.5').pitchDiameterMm // 13.026
 */
export function threadData(designation: string): ThreadData {
  const thread = parseThread(designation);
  const { majorMm, pitchMm } = thread;
  const h = (Math.sqrt(3) / 2) * pitchMm;
  const taper = thread.system === 'NPT';
  const pitchDiameterMm = taper ? majorMm - 0.8 * pitchMm : majorMm - 0.75 * h;
  const minorInternalMm = taper ? majorMm - 1.6 * pitchMm : majorMm - 1.25 * h;
  const drill = taper ? minorInternalMm : majorMm - pitchMm;
  return {
    majorMm,
    pitchMm,
    minorInternalMm,
    pitchDiameterMm,
    taperPerMm: thread.taperPerMm,
    flankAngleDeg: thread.flankAngleDeg,
    tapDrillMm: Math.round(drill * 10) / 10,
    standard: STANDARDS[thread.system],
  };
}
