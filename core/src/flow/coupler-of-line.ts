import { couplerHold, type CouplerVerdict } from './clamped-hose.js';
import type { LineSizing } from './size-line.js';

/** Pull of a T-bolt band at 8 N·m, N, and its width, mm. Common practice. */
const T_BOLT = { pullN: 4000, bandMm: 19 };

/** A coupler on one of the pipes of a charge-air line. */
export interface CouplerOfLine extends CouplerVerdict {
  readonly where: string;
  readonly beaded: boolean;
}

/** Whether the couplers of a charge-air line stay on their pipes, at either end; empty for other lines. */
export function couplersOfLine({ line, duty }: LineSizing): CouplerOfLine[] {
  const hose = line.pieces[0]?.hose;
  if (line.line.service !== 'charge-air' || !hose) return [];
  return [line.portA, line.portB].flatMap(({ port, component }) => {
    const { family } = port.connector ?? {};
    if (family !== 'barb' && family !== 'bead') return [];
    const beaded = family === 'bead';
    const verdict = couplerHold({
      pipeMm: hose.boreMm,
      insertedMm: 2 * T_BOLT.bandMm + 5,
      bandMm: T_BOLT.bandMm,
      bandPullN: T_BOLT.pullN,
      beaded,
      oily: true,
      boostBar: duty.pressure.value,
    });
    return [{ ...verdict, beaded, where: `${component.name}, ${port.label}` }];
  });
}
