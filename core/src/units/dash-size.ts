import { formatInches } from './format-quantity.js';

/** A dash size as it is written: `-10`. */
export function formatDash(dash: number): string {
  return `-${dash}`;
}

/** Tube outside diameter of a dash size in mm: sixteenths of an inch. `dashToMm(10)` is 15.875. */
export function dashToMm(dash: number): number {
  return (dash / 16) * 25.4;
}

/** The dash size as a fraction of an inch: `-10` is `5/8`, `-20` is `1 1/4`. */
export function dashToFraction(dash: number): string {
  return formatInches(dash / 16);
}
