import { formatQuantity, type UnitSystem } from '../units/index.js';
import type { Thread } from './thread.js';
import type { ThreadData } from './thread-data.js';

export interface TapDrill {
  readonly mm: number;
  /** Smaller, for a hole that is reamed 1 in 16 before it is tapped. */
  readonly reamedMm?: number;
}

/**
 * Drills of pipe taps that a shop buys, mm. Sources: common tap-maker tables for ISO 228-1, ISO 7-1 and ASME B1.20.1, from memory; each
 * parallel one lies between the limits of its minor diameter.
 */
const PARALLEL: Readonly<Record<string, number>> = {
  '1/16': 6.8,
  '1/8': 8.8,
  '1/4': 11.8,
  '3/8': 15.25,
  '1/2': 19,
  '5/8': 21,
  '3/4': 24.5,
  '7/8': 28.25,
  '1': 30.75,
  '1 1/8': 35.5,
  '1 1/4': 39.5,
  '1 1/2': 45.25,
  '1 3/4': 51,
  '2': 57,
};
const BRITISH_TAPER: Readonly<Record<string, number>> = {
  '1/16': 6.3,
  '1/8': 8.4,
  '1/4': 11.2,
  '3/8': 14.75,
  '1/2': 18.25,
  '3/4': 23.75,
  '1': 30,
  '1 1/4': 38.5,
  '1 1/2': 44.5,
  '2': 56,
};
/** Without a reamer, and with it. */
const AMERICAN_TAPER: Readonly<Record<string, readonly [plain: number, reamed: number]>> = {
  '1/16': [6.3, 6],
  '1/8': [8.6, 8.4],
  '1/4': [11.1, 10.7],
  '3/8': [14.7, 14.3],
  '1/2': [18.3, 17.9],
  '3/4': [23.4, 23],
  '1': [29.4, 28.6],
  '1 1/4': [38.1, 37.3],
  '1 1/2': [44.1, 43.6],
  '2': [56, 55.5],
};

/**
 * The tap drill of a thread: from the tables for pipe; diameter less pitch for metric and unified threads (common practice), to a
 * twentieth of a millimetre. For a thread that is always outside, the drill of the hole it goes into.
 *
 * @param minorInternalMm least minor diameter of the hole
 */
export function tapDrillOf(thread: Thread, minorInternalMm: number): TapDrill {
  const { system, designation, majorMm, pitchMm } = thread;
  switch (system) {
    case 'G':
    case 'Rp':
      return { mm: PARALLEL[sizeOf(designation)]! };
    case 'R':
    case 'Rc':
      return { mm: BRITISH_TAPER[sizeOf(designation)]! };
    case 'NPT':
    case 'NPTF': {
      const [mm, reamedMm] = AMERICAN_TAPER[sizeOf(designation)]!;
      return { mm, reamedMm };
    }
    case 'NPSM':
      return { mm: upToTenth(minorInternalMm) };
    case 'metric':
    case 'UN':
    case 'keg':
      return { mm: twentieth(majorMm - pitchMm) };
  }
}

/** The drill as a shop asks for it: `18.3 mm, or 17.9 mm and ream`. */
export function drillInWords({ tapDrillMm, reamedDrillMm }: ThreadData, system: UnitSystem = 'metric'): string {
  const mm = (value: number): string => formatQuantity(value, 'length', system, { decimals: 2, inchDecimals: 3 });
  return reamedDrillMm === undefined ? mm(tapDrillMm) : `${mm(tapDrillMm)}, or ${mm(reamedDrillMm)} and ream`;
}

/** `1/8` of `R 1/8` and of `1/8-27 NPT`. */
function sizeOf(designation: string): string {
  return designation.replace(/^(?:Rc|Rp|R|G) /, '').replace(/-[\d.]+ .*$/, '');
}

function twentieth(mm: number): number {
  return Math.round(mm * 20) / 20;
}

function upToTenth(mm: number): number {
  return Math.ceil(mm * 10 - 1e-6) / 10;
}
