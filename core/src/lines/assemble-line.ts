import { connectorName } from '../connectors/index.js';
import type { Catalogue, JobDocument, Line } from '../job/index.js';
import { fittingFluidProblem } from '../fittings/index.js';
import { fluidById } from '../fluids/index.js';
import { fluidOf } from '../job/index.js';
import { pieceParts, withCut } from './assemble-piece.js';
import { assembleWay } from './assemble-way.js';
import type { AssembledLine, AssembledPiece, AssembledWay, LineJoint, PortTerminal, Terminal } from './assembled-line.js';
import { changedSince, digestOf } from './digest.js';
import { drainFindings } from './drain-bore.js';
import { finding, holds, lineRules, type Finding } from './findings.js';
import { turningFindings } from './hose-turns.js';
import { lookupsIn, type Lookups } from './lookups.js';
import { numberJoints } from './number-joints.js';
import { beforeStart } from './before-start.js';
import { partPortFindings } from './part-ports.js';
import { sensorFindings } from './sensors.js';
import { uncertainFindings } from './uncertain-ports.js';

/**
 * Puts a line together from its job and the catalogue: the parts in order from port A to port B, every joint with its verdict, the cut
 * lengths with their arithmetic, and what is still open or wrong. Nothing is stored: a port that changes changes every line on it.
 *
 * @throws {RangeError} if the line names a port or component that is not in the document
 */
export function assembleLine(line: Line, document: JobDocument, catalogue: Catalogue): AssembledLine {
  return assembleFrom(line, lookupsIn(document, catalogue));
}

/** The same by what can be looked up: nothing else is known of the job and of the catalogue. */
export function assembleFrom(line: Line, around: Lookups): AssembledLine {
  const findings: Finding[] = [];
  const bare = line.pieces.map((piece) => pieceParts(line, piece, around, findings));
  const ports = [portTerminal(line, 'A', around), portTerminal(line, 'B', around)] as const;
  const { refused } = fluidById(fluidOf(line));
  if (refused) findings.push(finding('fluid-refused', { lineId: line.id }, refused));
  for (const port of ports) findings.push(...uncertainFindings(line, port));
  for (const port of ports) findings.push(...partPortFindings(line, port));
  for (const port of ports) checkOpenEnd(line, port, around, findings);
  const ways = line.ways.map((_, at) =>
    assembleWay(line, at, [terminal(bare[at - 1], 'B', ports[0]), terminal(bare[at], 'A', ports[1])], around, findings),
  );
  for (const port of ports) findings.push(...sensorFindings(line, port, around));
  const joints = numberJoints(ways, bare, new Set(line.made ?? []));
  findings.push(...joints.flatMap((joint) => leakOf(line, joint)));
  const pieces = bare.map((piece, i) => withCut(line, piece, [ways[i]!, ways[i + 1]!], findings));
  findings.push(...turningFindings(line, pieces, joints), ...drainFindings(line, ports, ways, pieces));
  findings.push(...beforeStart(line, joints, ways), ...fittingFluids(line, ways));
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
  const digest = digestOf(whole);
  const changed = line.checked ? changedSince(line.checked, digest, whole) : [];
  if (changed.length > 0)
    findings.push(finding('changed-since-checked', { lineId: line.id }, `Changed since it was checked: ${changed.join(', ')}.`));
  return { ...whole, findings, digest, state: stateOf(line, findings, changed) };
}

/** Parts that do not bear what runs in the line. A service that may be anything has no fluid until the line says it. */
function fittingFluids(line: Line, ways: readonly AssembledWay[]): Finding[] {
  if (line.service === 'other' && line.fluid === undefined) return [];
  return ways.flatMap(({ at, fittings = [] }) =>
    fittings.flatMap(({ fitting }) => {
      const problem = fittingFluidProblem(fitting, fluidOf(line));
      return problem ? [finding('fitting-not-for-fluid', { lineId: line.id, way: at }, `${problem}.`)] : [];
    }),
  );
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

function checkOpenEnd(line: Line, { port }: PortTerminal, around: Lookups, findings: Finding[]): void {
  if (!port.openEnd || around.isOpenEndOf(port.id)) return;
  findings.push(
    finding(
      'open-end-gone',
      { lineId: line.id, portId: port.id },
      `${port.label} stood for the open end of a tee that is no longer there.`,
    ),
  );
}

function leakOf(line: Line, { id, way, piece, number, mating, uncertain, connectors }: LineJoint): Finding[] {
  const at = { lineId: line.id, joint: id, ...(way === undefined ? {} : { way }), ...(piece === undefined ? {} : { piece }) };
  if (mating.outcome === 'seals')
    return mating.risk ? [finding('joint-at-risk', at, `Joint ${number} seals only at a risk: ${mating.risk}`)] : [];
  const leaks = mating.outcome === 'leaks';
  const does = uncertain ? (leaks ? 'may leak' : 'may not join') : leaks ? 'leaks' : 'does not join';
  const pair = uncertain && connectors ? ` (${connectors.map(connectorName).join(' with ')})` : '';
  return [
    finding(
      leaks ? 'joint-leaks' : 'joint-does-not-join',
      at,
      `Joint ${number} ${does}${pair}: ${mating.reason}`,
      way === undefined ? { hint: lineRules['end-off-hose'].hint } : {},
    ),
  ];
}

function boresOf(ways: readonly AssembledWay[], pieces: readonly AssembledPiece[]): number[] {
  return [
    ...ways.flatMap((way) => (way.fittings ?? []).map((p) => p.fitting.boreMm)),
    ...pieces.flatMap(({ hose, endA, endB }) => [hose?.boreMm, endA?.boreMm, endB?.boreMm]),
  ].filter((bore) => bore !== undefined);
}

function stateOf({ checked }: Line, findings: readonly Finding[], changed: readonly string[]): AssembledLine['state'] {
  if (findings.some((f) => f.severity === 'leak')) return 'leaks';
  if (findings.some(holds)) return 'open';
  return checked && changed.length === 0 ? 'checked' : 'seals';
}

/** Names both connectors of a joint for the inspector: `['O-ring boss -10, female', 'O-ring boss -10, male']`. */
export function jointNames(joint: LineJoint): readonly string[] {
  return joint.connectors ? joint.connectors.map(connectorName) : joint.parts;
}
