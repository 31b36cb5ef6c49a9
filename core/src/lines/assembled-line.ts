import type { Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import type { Component, Line, Port } from '../job/index.js';
import type { Mating } from '../seals/index.js';

/** A fitting in its place in a chain, seen from the port: it meets the port side with `inner`, the hose side with `outer`. */
export interface PlacedFitting {
  readonly fitting: Fitting;
  readonly inEnd: number;
  readonly outEnd: number;
}

/** An open end with what stands on it. */
export interface AssembledBranch {
  /** Which fitting of the chain, and which of its ends. */
  readonly at: number;
  readonly end: number;
  readonly to: 'plug' | 'sensor' | 'line';
  readonly fittings: readonly PlacedFitting[];
  readonly sensor?: { readonly name: string; readonly connector: Connector };
  /** Number of the line that starts here. */
  readonly lineNumber?: number;
}

export interface AssembledEnd {
  readonly side: 'A' | 'B';
  readonly component: Component;
  readonly port: Port;
  /** From the port to the hose end; undefined while no way is chosen. */
  readonly chain?: readonly PlacedFitting[];
  /** What the open ends of its tees and crosses are given to. */
  readonly branches: readonly AssembledBranch[];
  readonly hoseEnd?: HoseEnd;
}

/** `sealed`: nothing is added. `needs`: it seals with a washer, ring or sealant that must be there. `made`: made up on the engine. */
export type JointState = 'sealed' | 'needs' | 'leaks' | 'made';

export interface LineJoint {
  /** The same as long as the same two parts meet here. */
  readonly key: string;
  readonly state: JointState;
  /** The open end it belongs to; absent for joints of the run. */
  readonly branch?: { readonly at: number; readonly end: number };
  /** Balloon number, from port A to port B. */
  readonly number: number;
  readonly side: 'A' | 'B';
  /** `port to adapter`, `adapter to hose end`, `hose end to hose`. */
  readonly title: string;
  readonly parts: readonly [string, string];
  /** The two connectors; absent for a hose end on its hose. */
  readonly connectors?: readonly [Connector, Connector];
  readonly mating: Mating;
}

/** The cut length with every step of its arithmetic, mm. */
export interface CutArithmetic {
  readonly tapedMm: number;
  readonly endAMm: number;
  readonly endBMm: number;
  readonly freeMm: number;
  readonly slackPercent: number;
  readonly slackMm: number;
  /** Rounded up to the full millimetre. */
  readonly cutMm: number;
  /** Seat to seat as it will be made. */
  readonly assemblyMm: number;
}

export interface LineProblem {
  readonly code:
    'hose-open' | 'end-not-made' | 'way-open' | 'joint' | 'length-open' | 'length' | 'fluid' | 'part-missing' | 'branch' | 'sensor';
  readonly severity: 'open' | 'attention' | 'leak';
  readonly side?: 'A' | 'B';
  readonly message: string;
  readonly hint: string;
}

export interface AssembledLine {
  readonly line: Line;
  readonly ends: readonly [AssembledEnd, AssembledEnd];
  readonly hose?: Hose;
  readonly joints: readonly LineJoint[];
  readonly cut?: CutArithmetic;
  readonly problems: readonly LineProblem[];
  readonly leastBoreMm?: number;
  readonly state: 'open' | 'leaks' | 'seals' | 'checked';
}
