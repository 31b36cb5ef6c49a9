import { fractionToNumber } from '../units/index.js';
import { nptSizes } from './npt-table.js';
import { UnknownThreadError, type Thread } from './thread.js';

const INCH_MM = 25.4;

/** Diameter and pitch pairs of the UNF series (ASME B1.1); the 12-thread sizes between them are the UN series. */
const UNF = new Set([
  '1/4-28',
  '5/16-24',
  '3/8-24',
  '7/16-20',
  '1/2-20',
  '9/16-18',
  '5/8-18',
  '3/4-16',
  '7/8-14',
  '1-12',
  '1 1/8-12',
  '1 1/4-12',
  '1 3/8-12',
  '1 1/2-12',
]);

/**
 * Reads a thread designation: `M14×1.5` (or `m14x1.5`), `9/16-18` with or without its series, `1/8-27 NPT` or `NPT 1/8`.
 * @throws {UnknownThreadError}
 */
export function parseThread(designation: string): Thread {
  const text = designation.trim().replace(/[×*]/g, 'x').replace(/\s+/g, ' ');
  const metric = /^m ?(\d+(?:[.,]\d+)?) ?x ?(\d+(?:[.,]\d+)?)$/i.exec(text);
  if (metric) return metricThread(decimal(metric[1]!), decimal(metric[2]!));
  const npt = /^(?:npt ?((?:\d+ )?\d+(?:\/\d+)?)|((?:\d+ )?\d+(?:\/\d+)?)-\d+(?:\.5)? ?npt)$/i.exec(text);
  if (npt) {
    const thread = nptThread(npt[1] ?? npt[2]!);
    if (thread) return thread;
  }
  const inch = /^((?:\d+ )?\d+(?:\/\d+)?)-(\d+)(?: ?un[fc]?)?$/i.exec(text);
  if (inch) return unThread(inch[1]!, Number(inch[2]));
  throw new UnknownThreadError(designation);
}

/** ISO metric thread of the given diameter and pitch. */
export function metricThread(diameterMm: number, pitchMm: number): Thread {
  if (!(diameterMm > 0) || !(pitchMm > 0) || pitchMm > diameterMm / 2) throw new UnknownThreadError(`M${diameterMm}×${pitchMm}`);
  return { designation: `M${diameterMm}×${pitchMm}`, system: 'metric', majorMm: diameterMm, pitchMm, flankAngleDeg: 60, taperPerMm: 0 };
}

/** Unified inch thread, for example `unThread('9/16', 18)`. */
export function unThread(diameter: string, tpi: number): Thread {
  const majorMm = safeFraction(diameter) * INCH_MM;
  if (!(majorMm > 0) || !(tpi >= 4 && tpi <= 80) || INCH_MM / tpi > majorMm / 2) throw new UnknownThreadError(`${diameter}-${tpi}`);
  const key = `${diameter}-${tpi}`;
  return {
    designation: `${key} ${UNF.has(key) ? 'UNF' : 'UN'}`,
    system: 'UN',
    majorMm,
    pitchMm: INCH_MM / tpi,
    flankAngleDeg: 60,
    taperPerMm: 0,
  };
}

/** American taper pipe thread; undefined for a size that does not exist. Major diameter at the hand-tight plane (ASME B1.20.1: E1 + 0.8 p). */
export function nptThread(size: string): Thread | undefined {
  const row = nptSizes.find((r) => r.size === size);
  if (!row) return undefined;
  const pitchIn = 1 / row.tpi;
  const majorMm = (nptPitchDiameterIn(row).e1 + 0.8 * pitchIn) * INCH_MM;
  return {
    designation: `${size}-${row.tpi} NPT`,
    system: 'NPT',
    majorMm,
    pitchMm: pitchIn * INCH_MM,
    flankAngleDeg: 60,
    taperPerMm: 1 / 16,
  };
}

/** Pitch diameters of an NPT size in inches, at the small end (E0) and at the hand-tight plane (E1). Source: ASME B1.20.1. */
export function nptPitchDiameterIn(row: (typeof nptSizes)[number]): { e0: number; e1: number } {
  const e0 = row.odIn - (0.05 * row.odIn + 1.1) / row.tpi;
  return { e0, e1: e0 + 0.0625 * row.l1In };
}

function safeFraction(text: string): number {
  try {
    return fractionToNumber(text);
  } catch {
    return NaN;
  }
}

function decimal(text: string): number {
  return Number(text.replace(',', '.'));
}
