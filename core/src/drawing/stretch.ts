import { endForm, shapeOf, type Connector } from '../connectors/index.js';
import { hexOf, legOf, type Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import type { AssembledBranch, LineJoint, PlacedFitting } from '../lines/index.js';
import type { BodyStyle } from './body.js';
import { bodyFrom } from './draw-bodied.js';
import { drawAdapter, encloses } from './draw-adapter.js';
import { drawHoseEnd, drawHoseEndBackwards } from './draw-hose-end.js';
import { drawOnBranch } from './draw-on-branch.js';
import { drawPort, drawUnknownPort } from './draw-port.js';
import { drawSeal, gasketOn, sealThickness } from './draw-seal.js';
import { advance, inclination, pointAt, startFrame, turn, type Frame } from './frame.js';
import type { Shape } from './shape.js';

/** A joint's place on the drawing. */
export interface JointPlace {
  readonly joint: LineJoint;
  readonly frame: Frame;
  /** How far out of the axis its metal reaches. */
  readonly radius: number;
}

/** What a stretch begins or ends with: a port, or a hose end on its hose. Nothing of what is undefined is drawn. */
export interface StretchEnd {
  readonly port?: Connector;
  /** The body that the port is an end of. */
  readonly body?: { readonly fitting: Fitting; readonly end: number };
  /** A port, of which the thread is not known. */
  readonly unknown?: boolean;
  readonly hoseEnd?: HoseEnd;
  readonly hose?: Hose;
  /** Of the hose end on its hose. */
  readonly joint?: LineJoint;
}

/** All that is drawn in one go: from a hose or port over a way to the next hose or port. */
export interface StretchToDraw {
  readonly start: StretchEnd;
  readonly finish: StretchEnd;
  /** As they are met on the walk, each with the end it is met at as `outEnd`; undefined while no way is chosen. */
  readonly fittings: readonly PlacedFitting[] | undefined;
  /** By the place of their fitting on the walk. */
  readonly branches: readonly AssembledBranch[];
  /** Of the run, as they are met. */
  readonly joints: readonly LineJoint[];
  /** On a branch: of the fitting at this place of the walk, at this end. */
  readonly branchJoints?: (at: number, end: number) => readonly LineJoint[];
}

export interface Stretch {
  readonly shapes: readonly Shape[];
  readonly joints: readonly JointPlace[];
  /** Fittings that are narrower than their hose end by a good part: where, and how wide. */
  readonly throats: readonly { readonly frame: Frame; readonly boreMm: number; readonly radius: number }[];
  /** Where the hose end at the start meets its partner, and the one at the finish. */
  readonly seat?: Frame;
  readonly farSeat?: Frame;
  /** The plane of the port's face, at the start and at the finish. */
  readonly port?: Frame;
  readonly farPort?: Frame;
  /** Where the hose at the finish bottoms; it goes on against this frame. */
  readonly exit?: Frame;
  /** Middle of the place where a way is still to be chosen. */
  readonly gap?: Frame;
}

/** A fitting is drawn as a throat when it passes less than this share of its hose end. */
const THROAT = 0.85;

/** Room drawn while no way is chosen, mm. */
const OPEN_GAP = 22;

interface Layer {
  readonly level: number;
  readonly shapes: readonly Shape[];
}

/**
 * Walks from the start to the finish and draws every part on the way, in mm; the hose bottoms, or the port's face lies, at the origin.
 * Parts that close round their neighbour are drawn over it, whichever comes first on the walk.
 *
 * @param side +1 walks to the right, −1 to the left
 * @param withPorts false to leave the ports themselves away
 */
export function drawStretch(
  { start, finish, fittings, branches, joints, branchJoints }: StretchToDraw,
  side: 1 | -1,
  view: BodyStyle['view'],
  withPorts = true,
): Stretch {
  const layers: Layer[] = [];
  const seals: Shape[] = [];
  const places: JointPlace[] = [];
  const throats: Stretch['throats'][number][] = [];
  const walk = [...joints];
  let frame = startFrame(side);
  let level = 0;
  let exposed: Connector | undefined;
  let seat: Frame | undefined;
  let port: Frame | undefined;
  if (start.hoseEnd) {
    if (start.joint) places.push(onHose(start, frame));
    const drawn = drawHoseEnd(frame, start.hoseEnd, start.hose, { hatch: 60, view });
    layers.push({ level, shapes: drawn.shapes });
    frame = seat = drawn.after;
    exposed = start.hoseEnd.connector;
  } else if (start.port) {
    if (withPorts)
      layers.push({
        level: portLevel(start.port, fittings?.[0], 0),
        shapes: portOf(turned(frame), start, { hatch: 135, view }, !fittings),
      });
    port = frame;
    exposed = start.port;
  } else if (start.unknown) {
    layers.push({ level: -99, shapes: [drawUnknownPort(turned(frame))] });
    port = frame;
  }
  const base = { joints: places, throats, ...(seat ? { seat } : {}), ...(port ? { port } : {}) };
  const goal = finish.port ?? finish.hoseEnd?.connector;
  if (!fittings || !(exposed ?? start.unknown)) {
    const front = exposed ? advance(frame, standsOut(exposed)) : frame;
    const open = advance(front, OPEN_GAP);
    const gap = advance(front, OPEN_GAP / 2);
    if (finish.port) layers.push({ level: -99, shapes: portOf(open, finish, { hatch: 135, view }, true) });
    if (finish.unknown) layers.push({ level: -99, shapes: [drawUnknownPort(open)] });
    const ending = finish.hoseEnd ? finishHose(advance(open, standsOut(finish.hoseEnd.connector)), finish, layers, places, 0, view) : {};
    return { ...base, ...ending, shapes: inOrder(layers), gap };
  }
  let exposedBody = false;
  const step = (partner: Connector, partnerBody = false): void => {
    if (!exposed) return;
    const radius = outsideOf(exposed, partner);
    const joint = walk.shift();
    if (joint) places.push({ joint, frame, radius });
    const male = exposed.gender === 'male' ? exposed : partner;
    const towards = exposed.gender === 'male' ? 1 : -1;
    const thickness = joint && joint.mating.outcome === 'seals' ? sealThickness(joint.mating, male) : 0;
    const plane = towards === 1 ? frame : advance(frame, thickness);
    if (joint && joint.mating.outcome === 'seals' && view === 'half')
      seals.push(...drawSeal(plane, joint.mating, gasketOn(exposed, partner) ?? male, towards, joint.number));
    frame = advance(frame, thickness);
    level += over(exposed, exposedBody, partner, partnerBody) ? 1 : -1;
  };
  const needBore = Math.min(start.hoseEnd?.boreMm ?? Infinity, finish.hoseEnd?.boreMm ?? Infinity);
  for (const [i, placed] of fittings.entries()) {
    const { fitting } = placed;
    step(fitting.ends[placed.outEnd]!, fitting.body !== undefined);
    const angle = fitting.angleDeg ?? 0;
    const drawn = drawAdapter(frame, placed, { hatch: i % 2 === 0 ? 135 : 30, view }, inclination(frame) + angle > 100 ? -1 : 1);
    layers.push({ level, shapes: drawn.shapes });
    const { boreMm, lengthMm = 0 } = fitting;
    if (boreMm !== undefined && needBore !== Infinity && boreMm < THROAT * needBore) {
      const along = (angle ? legOf(fitting, placed.outEnd) : lengthMm) / 2;
      throats.push({ frame: advance(frame, along), boreMm, radius: hexOf(fitting) / 2 });
      if (!angle && view === 'half') layers.push({ level: 90, shapes: [throat(frame, lengthMm, boreMm)] });
    }
    for (const branch of branches.filter((b) => b.at === i)) {
      const from = drawn.branches?.get(branch.end);
      if (!from) continue;
      const open = fitting.ends[branch.end]!;
      const standing = drawOnBranch(from, open, branch, branchJoints?.(i, branch.end) ?? [], { hatch: 60, view });
      layers.push({ level: level + (encloses(open, fitting.body !== undefined) ? -0.5 : 0.5), shapes: standing.shapes });
      places.push(...standing.joints);
    }
    frame = drawn.after;
    exposed = fitting.ends[placed.inEnd]!;
    exposedBody = fitting.body !== undefined;
  }
  if (goal) step(goal);
  if (finish.port)
    layers.push({
      level: finish.body ? -100 : portLevel(finish.port, fittings[fittings.length - 1], level),
      shapes: portOf(frame, finish, { hatch: 135, view }),
    });
  if (finish.unknown) layers.push({ level: -99, shapes: [drawUnknownPort(frame)] });
  const ending = finish.hoseEnd ? finishHose(frame, finish, layers, places, level, view) : {};
  return { ...base, ...ending, shapes: [...inOrder(layers), ...seals], ...(finish.hoseEnd ? {} : { farPort: frame }) };
}

/** A port lies under what is screwed into it or over it; but its stud stands before a body that is cut open. */
function portLevel(port: Connector, beside: PlacedFitting | undefined, level: number): number {
  return port.gender === 'male' && beside?.fitting.body ? level + 0.5 : -99;
}

/** A port as a cut piece of its component; or the body that it is an end of, cut open. */
function portOf(frame: Frame, { port, body }: StretchEnd, style: BodyStyle, empty = false): Shape[] {
  return body ? bodyFrom(frame, body.fitting, body.end, style) : drawPort(frame, port!, style, empty);
}

/** Draws the hose end that the walk ends on, from its seat back to its hose: it turns the run level again where it can. */
function finishHose(
  seat: Frame,
  finish: StretchEnd,
  layers: Layer[],
  places: JointPlace[],
  level: number,
  view: BodyStyle['view'],
): Pick<Stretch, 'exit' | 'farSeat'> {
  const { start, shapes } = drawHoseEndBackwards(seat, finish.hoseEnd!, finish.hose, { hatch: 60, view }, inclination(seat) > 5 ? -1 : 1);
  layers.push({ level, shapes });
  if (finish.joint) places.push(onHose(finish, start));
  return { exit: start, farSeat: seat };
}

/** Whether the next part is drawn over what stands there: it closes round it, or is screwed into a body that is cut open. */
function over(exposed: Connector, exposedBody: boolean, partner: Connector, partnerBody: boolean): boolean {
  if (exposed.gender === 'female') return !encloses(exposed, exposedBody);
  return encloses(partner, partnerBody) || partner.gender === 'male';
}

function onHose({ hoseEnd, joint }: StretchEnd, frame: Frame): JointPlace {
  return { joint: joint!, frame: advance(frame, -hoseEnd!.socketLengthMm / 2), radius: hoseEnd!.socketMm / 2 };
}

/** The same place, seen the other way, its seen half still upwards. */
function turned(frame: Frame): Frame {
  return { ...turn(frame, 180), side: (frame.side * -1) as 1 | -1 };
}

function standsOut(c: Connector): number {
  return endForm(c).lengthMm - endForm(c).reachMm;
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
