import { connectorName } from '../connectors/index.js';
import type { Catalogue, JobDocument, Line } from '../job/index.js';
import { pieceParts, withCut } from './assemble-piece.js';
import { assembleWay } from './assemble-way.js';
import type { AssembledLine, AssembledPiece, AssembledWay, LineJoint, PortTerminal, Terminal } from './assembled-line.js';
import { digestOf } from './digest.js';
import { lookupsIn, type Lookups } from './lookups.js';
import { numberJoints } from './number-joints.js';

/**
 * Puts a line together from its job and the catalogue: the parts in order from port A to port B, every joint with its verdict, the cut
 * lengths with their arithmetic. It says what is, and judges nothing. Nothing is stored: a port that changes changes every line on it.
 *
 * @throws {RangeError} if the line names a port or component that is not in the document
 */
export function assembleLine(line: Line, document: JobDocument, catalogue: Catalogue): AssembledLine {
  return assembleFrom(line, lookupsIn(document, catalogue));
}

/** The same by what can be looked up: nothing else is known of the job and of the catalogue. */
export function assembleFrom(line: Line, around: Lookups): AssembledLine {
  const bare = line.pieces.map((piece) => pieceParts(piece, around));
  const ports = [portTerminal(line, 'A', around), portTerminal(line, 'B', around)] as const;
  const ways = line.ways.map((_, at) =>
    assembleWay(line, at, [terminal(bare[at - 1], 'B', ports[0]), terminal(bare[at], 'A', ports[1])], around),
  );
  const joints = numberJoints(ways, bare, new Set(line.made ?? []));
  const pieces = bare.map(withCut);
  const bores = boresOf(ways, pieces);
  const whole = {
    line,
    portA: ports[0],
    portB: ports[1],
    ways,
    pieces,
    joints,
    ...(bores.length > 0 ? { leastBoreMm: Math.min(...bores) } : {}),
  };
  return { ...whole, digest: digestOf(whole) };
}

function portTerminal(line: Line, side: 'A' | 'B', around: Lookups): PortTerminal {
  const port = around.port(line[`port${side}`]);
  const component = port && around.component(port.componentId);
  if (!port || !component) throw new RangeError(`Line L${line.number} names a port that is not in the job`);
  const part = component.part ? around.fitting(component.part.id) : undefined;
  return { kind: 'port', side, component, port, ...(part ? { part } : {}) };
}

/** The end of a piece, or the port where there is no piece. */
function terminal(piece: AssembledPiece | undefined, side: 'A' | 'B', port: PortTerminal): Terminal {
  if (!piece) return port;
  const { hose } = piece;
  const hoseEnd = piece[`end${side}`];
  return { kind: 'hose end', piece: piece.piece, side, ...(hose ? { hose } : {}), ...(hoseEnd ? { hoseEnd } : {}) };
}

function boresOf(ways: readonly AssembledWay[], pieces: readonly AssembledPiece[]): number[] {
  return [
    ...ways.flatMap((way) => (way.fittings ?? []).map((p) => p.fitting.boreMm)),
    ...pieces.flatMap(({ hose, endA, endB }) => [hose?.boreMm, endA?.boreMm, endB?.boreMm]),
  ].filter((bore) => bore !== undefined);
}

/** Names both connectors of a joint for the inspector: `['O-ring boss -10, female', 'O-ring boss -10, male']`. */
export function jointNames(joint: LineJoint): readonly string[] {
  return joint.connectors ? joint.connectors.map(connectorName) : joint.parts;
}
