import type { Connector } from '../../connectors/index.js';
import type { Mating } from '../mating.js';

/** One kind of joint that seals: when two connectors make it, and all that goes with it. */
export interface SealingPair {
  readonly male: string;
  readonly female: string;
  readonly when?: (male: Connector, female: Connector) => boolean;
  readonly joint: (male: Connector, female: Connector) => Omit<Mating, 'outcome'>;
}

export const DRY = 'Dry, or a drop of assembly oil. No tape, no sealant.';
export const RING_DRESSING = 'Oil the ring, dry threads. No tape, no sealant. New ring whenever opened.';
