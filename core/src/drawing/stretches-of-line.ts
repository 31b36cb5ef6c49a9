import { hoseJointId, portCases } from '../job/index.js';
import type { AssembledLine, AssembledPiece, AssembledWay, LineJoint, PlacedFitting, PortTerminal, Terminal } from '../lines/index.js';
import { drawStretch, type Stretch, type StretchEnd, type StretchToDraw } from './stretch.js';

/**
 * A line in stretches from hose to hose, left to right. The first is walked from its hose to port A, all others to the right; a line
 * without hose is one stretch from port to port.
 */
export function stretchesOf(assembled: AssembledLine): Stretch[] {
  return assembled.ways.map((way) => drawWay(way, assembled.joints, 'half'));
}

/** The two ends of one piece, as it comes off the bench. */
export function stretchesOfPiece({ joints }: AssembledLine, piece: AssembledPiece): [Stretch, Stretch] {
  const end = (side: 'A' | 'B'): Stretch => {
    const start = hoseSide(piece.hose, piece[`end${side}`], piece.piece.key, side, joints);
    return drawStretch({ start, finish: {}, fittings: undefined, branches: [], joints: [] }, side === 'A' ? -1 : 1, 'half');
  };
  return [end('A'), end('B')];
}

function drawWay(way: AssembledWay, all: readonly LineJoint[], view: 'half' | 'whole'): Stretch {
  const { from, to } = way;
  const mine = all.filter((j) => j.way === way.at);
  const run = mine.filter((j) => !j.branch);
  const backwards = from.kind === 'port' && to.kind === 'hose end';
  const side = (t: Terminal): StretchEnd =>
    t.kind === 'port' ? asPort(t, from.kind === to.kind) : hoseSide(t.hose, t.hoseEnd, t.piece.key, t.side, all);
  const walk = onWalk(way, backwards);
  const last = (way.fittings?.length ?? 0) - 1;
  return drawStretch(
    {
      ...walk,
      start: side(backwards ? to : from),
      finish: side(backwards ? from : to),
      joints: backwards ? [...run].reverse() : run,
      branchJoints: (at, end) => mine.filter((j) => j.branch?.at === (backwards ? last - at : at) && j.branch.end === end),
    },
    backwards ? -1 : 1,
    view,
  );
}

/**
 * A port that may be several is drawn as the first of them; one that is not known as a dashed block. In a stack, where
 * no hose takes the room, a port that is the end of a body is drawn with its body.
 */
function asPort({ port, part }: PortTerminal, stacked: boolean): StretchEnd {
  const [connector] = portCases(port);
  if (!connector) return { unknown: true };
  const end = stacked && port.end !== undefined && part?.body && part.ends[port.end] ? { body: { fitting: part, end: port.end } } : {};
  return { port: connector, ...end };
}

/** A way as it is met on the walk: against the order of the line for the first one. */
export function onWalk(
  { fittings, branches }: { readonly fittings?: readonly PlacedFitting[]; readonly branches: AssembledWay['branches'] },
  backwards: boolean,
): Pick<StretchToDraw, 'fittings' | 'branches'> {
  if (!fittings) return { fittings: undefined, branches: [] };
  if (!backwards) return { fittings: fittings.map((p) => ({ ...p, inEnd: p.outEnd, outEnd: p.inEnd })), branches };
  return { fittings: [...fittings].reverse(), branches: branches.map((b) => ({ ...b, at: fittings.length - 1 - b.at })) };
}

function hoseSide(
  hose: AssembledPiece['hose'],
  hoseEnd: AssembledPiece['endA'],
  key: string,
  side: 'A' | 'B',
  joints: readonly LineJoint[],
): StretchEnd {
  const joint = joints.find((j) => j.id === hoseJointId(key, side));
  return { ...(hose ? { hose } : {}), ...(hoseEnd ? { hoseEnd } : {}), ...(joint ? { joint } : {}) };
}
