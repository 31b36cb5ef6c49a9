import { kegLengths } from './pipe-tables.js';
import { UnknownThreadError, type Thread } from './thread.js';

/** ISO metric thread of the given diameter and pitch. @throws {UnknownThreadError} for a thread that cannot be */
export function metricThread(diameterMm: number, pitchMm: number): Thread {
  if (!(diameterMm > 0) || !(pitchMm > 0) || pitchMm > diameterMm / 2) throw new UnknownThreadError(`M${diameterMm}×${pitchMm}`);
  return { designation: `M${diameterMm}×${pitchMm}`, system: 'metric', majorMm: diameterMm, pitchMm, flankAngleDeg: 60, taperPerMm: 0 };
}

/** Metric taper outside thread; its hole is the parallel metric thread. Undefined for a pitch that is not made. Source: DIN 158. */
export function kegThread(diameterMm: number, pitchMm: number): Thread | undefined {
  const lengths = kegLengths[String(pitchMm)];
  if (!lengths) return undefined;
  const { designation, ...rest } = metricThread(diameterMm, pitchMm);
  return {
    ...rest,
    designation: `${designation} keg`,
    system: 'keg',
    taperPerMm: 1 / 16,
    gaugeLengthMm: lengths.gaugeMm,
    usefulLengthMm: lengths.usefulMm,
  };
}
