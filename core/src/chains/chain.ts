import type { Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import type { Mating } from '../seals/index.js';
import type { ChainConstraints } from './chain-constraints.js';
import type { ChainLink } from './chain-link-schema.js';
import type { ChainWeights } from './chain-weights.js';

export type { ChainLink } from './chain-link-schema.js';

/** What an open end of a tee or cross is given to. */
export interface Branch {
  /** Which fitting of the chain, and which of its ends. */
  readonly at: number;
  readonly end: number;
  readonly to: 'plug' | 'sensor' | 'line';
  /** Index of the take-off it serves; absent for a plug, and for a port of a body that is left for a line. */
  readonly takeOff?: number;
  /** From the open end outwards; the last one of a plugged end is the plug. */
  readonly fittings: readonly ChainLink[];
  readonly joints: readonly Mating[];
}

export interface Chain {
  readonly fittings: readonly ChainLink[];
  /** Of the run: one more than fittings, from the first to the last; all of them seal. */
  readonly joints: readonly Mating[];
  readonly branches: readonly Branch[];
  /** Which of several goals it ends on. */
  readonly goal?: number;
  /** Of the run and its branches together: what the ranking counts. */
  readonly jointCount: number;
  readonly priceMinor: number;
  /** Price and all that the shop counts beside it, minor units. */
  readonly costMinor: number;
  /** Seat to seat, mm. */
  readonly lengthMm: number;
  /** Pieces that are not on the shelf, and the days until the last of them is there. */
  readonly toOrder: number;
  readonly leadDays: number;
}

/** Something that must be given an open end of a tee or cross: a sensor, or the hose end of another line. */
export interface TakeOff {
  readonly to: 'sensor' | 'line';
  readonly connector: Connector;
}

/** One of several things that a chain may end on, with what taking it costs, minor units. */
export interface ChainGoal {
  readonly connector: Connector;
  readonly costMinor: number;
}

export interface ChainQuery {
  readonly from: Connector;
  readonly to: Connector;
  /** Instead of `to` alone: any of these will do, and what each costs beside the fittings counts. `to` still says what kind of way is meant. */
  readonly goals?: readonly ChainGoal[];
  readonly fittings: readonly Fitting[];
  /** Most chains returned, 1…200; default 10. */
  readonly limit?: number;
  /** Most fittings in the run, 0…6; default 3. Fittings on branches come on top. */
  readonly maxFittings?: number;
  /** What counts after the joints; without it the price alone. */
  readonly weights?: ChainWeights;
  readonly constraints?: ChainConstraints;
  /** Bore the line asks for, mm; narrower ways through cost by their weight. */
  readonly needBoreMm?: number;
  readonly takeOffs?: readonly TakeOff[];
  /** Which way the oil goes, for parts that pass it one way only; without it they may stand either way. */
  readonly flow?: 'from-to' | 'to-from';
  /** Parts that are bought anyway: not charged as a further part to buy. */
  readonly usedElsewhere?: ReadonlySet<string>;
  /** `substance` leaves out chains that differ only in which make or metal of the same part they take; the default. */
  readonly distinct?: 'substance' | 'every part';
}
