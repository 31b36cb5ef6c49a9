import { endForm, shapeOf, type Connector } from '../connectors/index.js';
import type { Hose } from '../hose/index.js';
import type { AssembledEnd, LineJoint } from '../lines/index.js';
import type { BodyStyle } from './body.js';
import { drawAdapter, encloses } from './draw-adapter.js';
import { drawHoseEnd } from './draw-hose-end.js';
import { drawOnBranch } from './draw-on-branch.js';
import { drawPort } from './draw-port.js';
import { drawSeal, sealThickness } from './draw-seal.js';
import { advance, inclination, pointAt, startFrame, type Frame } from './frame.js';
import type { Shape } from './shape.js';

/** A joint's place on the drawing. */
export interface JointPlace {
  readonly joint: LineJoint;
  readonly frame: Frame;
  /** How far out of the axis its metal reaches. */
  readonly radius: number;
}

export interface Side {
  readonly shapes: readonly Shape[];
  readonly joints: readonly JointPlace[];
  /** Fittings that are narrower than their hose end by a good part: where, and how wide. */
  readonly throats: readonly { readonly frame: Frame; readonly boreMm: number; readonly radius: number }[];
  /** Where the hose end meets its partner. */
  readonly seat?: Frame;
  /** The plane of the port's face. */
  readonly port?: Frame;
  /** Middle of the place where a way is still to be chosen. */
  readonly gap?: Frame;
}

/** A fitting is drawn as a throat when it passes less than this share of its hose end. */
const THROAT = 0.85;

/** Room drawn between a hose end and its port while no way is chosen, mm. */
const OPEN_GAP = 22;

interface Layer {
  readonly level: number;
  readonly shapes: readonly Shape[];
}

/**
 * Walks from the hose to the port and draws every part on the way, in mm, the hose bottoming at the origin.
 * Parts that close round their neighbour are drawn over it, whichever comes first on the walk.
 */
export function drawSide(
  end: AssembledEnd,
  hose: Hose | undefined,
  side: 1 | -1,
  joints: readonly LineJoint[],
  view: BodyStyle['view'],
  withPort: boolean,
): Side {
  const layers: Layer[] = [];
  const seals: Shape[] = [];
  const places: JointPlace[] = [];
  const throats: Side['throats'][number][] = [];
  const run = joints.filter((joint) => !joint.branch);
  const walk = side === 1 ? run : run.reverse();
  const nextJoint = (frame: Frame, radius: number): LineJoint | undefined => {
    const joint = walk.shift();
    if (joint) places.push({ joint, frame, radius });
    return joint;
  };
  let frame = startFrame(side);
  let level = 0;
  let exposed: Connector | undefined;
  if (end.hoseEnd) {
    if (walk[0]?.title === 'Hose end to hose') nextJoint(advance(frame, -end.hoseEnd.socketLengthMm / 2), end.hoseEnd.socketMm / 2);
    const drawn = drawHoseEnd(frame, end.hoseEnd, hose, { hatch: 60, view });
    layers.push({ level, shapes: drawn.shapes });
    frame = drawn.after;
    exposed = end.hoseEnd.connector;
  }
  const seat = end.hoseEnd ? frame : undefined;
  if (!end.chain || !exposed) {
    const front = exposed ? advance(frame, endForm(exposed).lengthMm - endForm(exposed).reachMm) : frame;
    const gap = advance(front, OPEN_GAP / 2);
    if (withPort) layers.push({ level: -99, shapes: drawPort(advance(front, OPEN_GAP), end.port.connector, { hatch: 135, view }, true) });
    return { shapes: inOrder(layers), joints: places, throats, ...(seat ? { seat } : {}), gap };
  }
  const step = (partner: Connector): void => {
    const radius = outsideOf(exposed!, partner);
    const joint = nextJoint(frame, radius);
    const male = exposed!.gender === 'male' ? exposed! : partner;
    const towards = exposed!.gender === 'male' ? 1 : -1;
    const thickness = joint && joint.mating.outcome === 'seals' ? sealThickness(joint.mating, male) : 0;
    const plane = towards === 1 ? frame : advance(frame, thickness);
    if (joint && joint.mating.outcome === 'seals' && view === 'half')
      seals.push(...drawSeal(plane, joint.mating, male, towards, joint.number));
    frame = advance(frame, thickness);
    level += encloses(exposed!) ? -1 : 1;
  };
  for (const [i, placed] of [...end.chain].reverse().entries()) {
    const near = placed.fitting.ends[placed.outEnd]!;
    step(near);
    const angle = placed.fitting.angleDeg ?? 0;
    const sense = inclination(frame) + angle > 100 ? -1 : 1;
    const drawn = drawAdapter(frame, placed, { hatch: i % 2 === 0 ? 135 : 30, view }, sense);
    layers.push({ level, shapes: drawn.shapes });
    const { boreMm, lengthMm = 0 } = placed.fitting;
    if (boreMm !== undefined && boreMm < THROAT * end.hoseEnd!.boreMm) {
      throats.push({
        frame: advance(frame, (angle ? (placed.fitting.legsMm?.[placed.outEnd] ?? 0) : lengthMm) / 2),
        boreMm,
        radius: (placed.fitting.hexMm ?? 16) / 2,
      });
      if (!angle && view === 'half') layers.push({ level: 90, shapes: [throat(frame, lengthMm, boreMm)] });
    }
    const at = end.chain.length - 1 - i;
    for (const branch of end.branches.filter((b) => b.at === at)) {
      const start = drawn.branches?.get(branch.end);
      if (!start) continue;
      const mine = joints.filter((j) => j.branch?.at === at && j.branch.end === branch.end);
      // numbered from the port of its own end: on the far end of the line the joints come in the other order
      const outwards = end.side === 'B' ? [...mine].reverse() : mine;
      const standing = drawOnBranch(start, placed.fitting.ends[branch.end]!, branch, outwards, { hatch: 60, view });
      layers.push({ level: level + (encloses(placed.fitting.ends[branch.end]!) ? -0.5 : 0.5), shapes: standing.shapes });
      places.push(...standing.joints);
    }
    frame = drawn.after;
    exposed = placed.fitting.ends[placed.inEnd]!;
  }
  if (withPort) {
    step(end.port.connector);
    layers.push({ level: -99, shapes: drawPort(frame, end.port.connector, { hatch: 135, view }) });
  }
  return { shapes: [...inOrder(layers), ...seals], joints: places, throats, ...(seat ? { seat } : {}), port: frame };
}

function inOrder(layers: readonly Layer[]): Shape[] {
  return [...layers].sort((a, b) => a.level - b.level).flatMap((layer) => layer.shapes);
}

function outsideOf(a: Connector, b: Connector): number {
  return Math.max(endOutside(a), endOutside(b)) / 2;
}

function endOutside(c: Connector): number {
  return c.gender === 'female' && shapeOf(c) !== 'flare' ? 0 : endForm(c).outsideMm;
}

/** The bore of a narrow fitting, filled. */
function throat(frame: Frame, length: number, boreMm: number): Shape {
  const corner = (u: number, r: number) => pointAt(frame, u, r);
  return {
    kind: 'area',
    points: [corner(0, 0), corner(length, 0), corner(length, -boreMm / 2), corner(0, -boreMm / 2)],
    fill: 'throat',
    stroke: 'none',
  };
}
