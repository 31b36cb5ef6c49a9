import type { Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import { portCases, type Component, type Line, type LineWay, type Piece, type Port } from '../job/index.js';
import type { Mating, Metal } from '../seals/index.js';

/** A fitting in its place: it meets what comes before with the one end, what comes after with the other. */
export interface PlacedFitting {
  readonly fitting: Fitting;
  readonly inEnd: number;
  readonly outEnd: number;
}
/** One that is in a line, from port A to port B. */
export interface KeyedFitting extends PlacedFitting {
  readonly key: string;
}

/** An open end with what stands on it. */
export interface AssembledBranch {
  /** Which fitting of the way, and which of its ends. */
  readonly at: number;
  readonly end: number;
  readonly to: 'plug' | 'sensor' | 'line';
  readonly fittings: readonly PlacedFitting[];
  readonly sensor?: { readonly name: string; readonly connector: Connector };
  /** Number of the line that starts here. */
  readonly lineNumber?: number;
}

/** What a way begins or ends on. */
export interface PortTerminal {
  readonly kind: 'port';
  readonly side: 'A' | 'B';
  readonly component: Component;
  readonly port: Port;
  /** The part of the catalogue that its component is. */
  readonly part?: Fitting;
}
export interface HoseTerminal {
  readonly kind: 'hose end';
  readonly piece: Piece;
  /** Which end of the piece. */
  readonly side: 'A' | 'B';
  readonly hose?: Hose;
  readonly hoseEnd?: HoseEnd;
}
export type Terminal = PortTerminal | HoseTerminal;

export interface AssembledWay {
  /** Which way of the line, from port A. */
  readonly at: number;
  readonly kept: LineWay;
  readonly from: Terminal;
  readonly to: Terminal;
  /** Undefined while no way is chosen, or while a part of it is nowhere known. */
  readonly fittings?: readonly KeyedFitting[];
  /** What the open ends of its tees and crosses are given to. */
  readonly branches: readonly AssembledBranch[];
}

/** One hose with its ends, as far as they are chosen and known. */
export interface AssembledPiece {
  readonly piece: Piece;
  readonly hose?: Hose;
  readonly endA?: HoseEnd;
  readonly endB?: HoseEnd;
  readonly cut?: CutArithmetic;
  /** Why it has no cut length, although both ends and a length are given. */
  readonly cutProblem?: { readonly message: string; readonly hint: string };
}

/** `sealed`: nothing is added. `needs`: it seals with a washer, ring or sealant that must be there. `made`: made up on the engine. */
export type JointState = 'sealed' | 'needs' | 'leaks' | 'made';

export interface LineJoint {
  /** The keys of the two things that meet: the same whatever changes elsewhere in the line. */
  readonly id: string;
  readonly state: JointState;
  /** Balloon number, from port A to port B. */
  readonly number: number;
  /** The way it is in; absent for a hose end on its hose. */
  readonly way?: number;
  /** The piece whose end it is; absent between fittings. */
  readonly piece?: string;
  /** The open end it belongs to; absent for joints of the run. */
  readonly branch?: { readonly at: number; readonly end: number };
  /** `Port to adapter`, `Adapter to hose end`, `Hose end to hose`. */
  readonly title: string;
  readonly parts: readonly [string, string];
  /** The two connectors; absent for a hose end on its hose. */
  readonly connectors?: readonly [Connector, Connector];
  /** Where a port may be several: the worst of the verdicts. */
  readonly mating: Mating;
  /** What the two sides are made of, as far as tightening goes; aluminium where it is not said. */
  readonly metals?: readonly [Metal, Metal];
  /** The verdict holds for what a port may be, not for what it is known to be. */
  readonly uncertain?: boolean;
}

/** The cut length with every step of its arithmetic, mm. */
export interface CutArithmetic {
  /** The length as it was given, and what as. */
  readonly givenMm: number;
  readonly as: 'taped' | 'assembly' | 'cut';
  readonly endAMm: number;
  readonly endBMm: number;
  /** Hose between the ends before slack. */
  readonly freeMm: number;
  readonly slackPercent: number;
  readonly slackMm: number;
  /** Rounded up to the full millimetre. */
  readonly cutMm: number;
  /** Seat to seat as it will be made. */
  readonly assemblyMm: number;
  /** To be taken off a hose that is kept, mm. */
  readonly shortenMm?: number;
}

export interface AssembledLine {
  readonly line: Line;
  readonly portA: PortTerminal;
  readonly portB: PortTerminal;
  /** One more than pieces. */
  readonly ways: readonly AssembledWay[];
  readonly pieces: readonly AssembledPiece[];
  readonly joints: readonly LineJoint[];
  readonly leastBoreMm?: number;
  /** A hash of each thing that is looked at when the line is checked. */
  readonly digest: Readonly<Record<string, string>>;
}

/** `Turbo, oil inlet`, or `the hose end`. */
export function terminalName(terminal: Terminal): string {
  return terminal.kind === 'port' ? `${terminal.component.name}, ${terminal.port.label}` : 'the hose end';
}

/** What a terminal offers to the way, or may: several where a port is not certain, none where it is not known or not chosen. */
export function terminalCases(terminal: Terminal): readonly Connector[] {
  if (terminal.kind === 'port') return portCases(terminal.port);
  return terminal.hoseEnd ? [terminal.hoseEnd.connector] : [];
}
