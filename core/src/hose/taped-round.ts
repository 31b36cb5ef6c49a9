import type { HoseEnd } from './hose-schema.js';

/**
 * What a tape reads too long when it follows the bend of an end instead of running straight along the hose to the centreline of the port,
 * mm; 0 for a straight end. With its bend of radius r through θ and its tail t = (B − r·(1 − cos θ)) / sin θ, the way round is r·θ + t, the
 * straight one r·sin θ + t·cos θ. Undefined for an end of 180°, whose tail its A and B do not tell.
 *
 * @example roundMinusStraight(end of -10 at 90°) // 30.5
 */
export function roundMinusStraight({
  angleDeg,
  bMm,
  bendRadiusMm: r,
}: Pick<HoseEnd, 'angleDeg' | 'bMm' | 'bendRadiusMm'>): number | undefined {
  if (angleDeg === 0) return 0;
  if (angleDeg >= 180) return undefined;
  const angle = (angleDeg * Math.PI) / 180;
  const tail = Math.max(0, (bMm - r * (1 - Math.cos(angle))) / Math.sin(angle));
  return r * (angle - Math.sin(angle)) + tail * (1 - Math.cos(angle));
}

/** A length that was taped round the bends, as it is from seat centre to seat centre straight along the hose, mm; undefined for ends of 180°. */
export function straightened(tapedMm: number, endA: HoseEnd, endB: HoseEnd): number | undefined {
  const [a, b] = [roundMinusStraight(endA), roundMinusStraight(endB)];
  return a === undefined || b === undefined ? undefined : Math.round((tapedMm - a - b) * 10) / 10;
}
