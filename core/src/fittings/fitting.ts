import type { Connector } from '../connectors/index.js';

/** An adapter, elbow or union: two or more connector ends on one piece of metal. Lengths in mm, money in minor units. */
export interface Fitting {
  readonly id: string;
  readonly name: string;
  readonly ends: readonly Connector[];
  /** Angle between the axes of the first two ends; 0 or absent is straight, 90 an elbow or a banjo. */
  readonly angleDeg?: number;
  /** From seat to seat along the axes: what it adds to a stack. */
  readonly lengthMm?: number;
  /** Of an angled fitting: from the crossing of the axes to the seat of each end. */
  readonly legsMm?: readonly number[];
  /** Across flats of its body. */
  readonly hexMm?: number;
  /** The narrowest way through. */
  readonly boreMm?: number;
  readonly material?: string;
  readonly priceMinor?: number;
  /** Where its dimensions come from, in words. */
  readonly source?: string;
}
