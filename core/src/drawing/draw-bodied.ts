import { bareConnector, connectorThread, endForm, landOf, shapeOf, type Connector } from '../connectors/index.js';
import { dot, endFrames, fittingKind, kindOf, plus, scaled, type Fitting, type Passage, type Vector } from '../fittings/index.js';
import type { PlacedFitting } from '../lines/index.js';
import { drawBody, type BodyStyle } from './body.js';
import type { DrawnPart } from './draw-adapter.js';
import { endSections } from './end-sections.js';
import { pointAt, type Frame } from './frame.js';
import { placeOf, projectEnds, projectPart, projectUpright, towardsReader, type Projection } from './project-ends.js';
import { landMarks } from './land-marks.js';
import type { Point, Shape } from './shape.js';

/** An end that leaves the sheet by more than this is seen from its front. */
const IN_SHEET = 0.5;
const ROUND_STEPS = 48;
const WALL_MM = 3;
/** A threaded hole is drawn no deeper. */
const DEEPEST_MM = 24;

/** A part with a body on a walk: cut open along the way that leads through it. */
export function drawBodied(frame: Frame, placed: PlacedFitting, style: BodyStyle, sense: 1 | -1): DrawnPart {
  const { fitting, inEnd, outEnd } = placed;
  const projection = projectPart(frame, placed, sense);
  const ends = projectEnds(projection, fitting);
  const branches = new Map([...ends].filter(([end]) => end !== inEnd && end !== outEnd));
  return { shapes: bodySection(projection, fitting, style), after: ends.get(inEnd)!, branches };
}

/** A body from one of its ends, where it is met. */
export function bodyFrom(frame: Frame, fitting: Fitting, end: number, style: BodyStyle): Shape[] {
  return bodySection(projectPart(frame, { fitting, inEnd: end, outEnd: end }, 1), fitting, style);
}

/** A body as it stands, cut open, its ends numbered as its passages count them. */
export function bodyUpright(fitting: Fitting, style: BodyStyle, nameOf = (end: number): string => String(end + 1)): Shape[] {
  const projection = projectUpright(fitting);
  return [...bodySection(projection, fitting, style), ...endNumbers(projection, fitting, nameOf)];
}

/**
 * The plain section of a body: its ends where they are, its passages as open channels, or as lines through what is hollow. What does not
 * lie in the sheet is seen from its front, dashed where it is behind.
 */
function bodySection(projection: Projection, fitting: Fitting, style: BodyStyle): Shape[] {
  const ends = projectEnds(projection, fitting);
  const frames = endFrames(fitting);
  const cut = style.view === 'half';
  const hollow = fittingKind(kindOf(fitting)).hollow === true;
  const facing = (end: number): number => towardsReader(projection, frames[end]!.axis);
  const channels = cut ? fitting.body!.passages.map((passage) => channel(projection, fitting, passage, hollow)) : [];
  const drawn = [...ends].map(([end, at]) => ({ end, at, c: bareConnector(fitting.ends[end]!) }));
  return [
    {
      kind: 'area',
      points: outline(projection, fitting),
      fill: cut ? 'section' : 'metal',
      stroke: 'outline',
      ...(cut ? { hatch: style.hatch } : {}),
    },
    ...(cut && hollow ? [{ kind: 'area', points: outline(projection, fitting, WALL_MM), fill: 'paper', stroke: 'fine' } as const] : []),
    ...drawn.flatMap(({ end, at, c }) => (Math.abs(facing(end)) < IN_SHEET ? [] : fromFront(at, c, facing(end) < 0))),
    ...channels.flatMap(({ open }) => open),
    ...drawn.flatMap(({ end, at, c }) =>
      Math.abs(facing(end)) < IN_SHEET ? inSection(at, c, style, hollow ? WALL_MM * 2.5 : DEEPEST_MM) : [],
    ),
    ...channels.flatMap(({ marks }) => marks),
  ];
}

/** What is seen of the body: its side, or from above its top. */
function outline(projection: Projection, { body }: Fitting, wall = 0): Point[] {
  const { shape } = body!;
  const [acrossMm, heightMm] = [body!.acrossMm - 2 * wall, body!.heightMm - wall];
  const axis: Vector = [1, 0, 0];
  const fromAbove = Math.abs(towardsReader(projection, axis)) > IN_SHEET;
  const half = acrossMm / 2;
  if (fromAbove && shape === 'round')
    return Array.from({ length: ROUND_STEPS }, (_, i) => {
      const clock = (i * 2 * Math.PI) / ROUND_STEPS;
      return placeOf(projection, [heightMm / 2, half * Math.cos(clock), half * Math.sin(clock)]);
    });
  if (fromAbove)
    return [
      [1, 1],
      [1, -1],
      [-1, -1],
      [-1, 1],
    ].map(([y, z]) => placeOf(projection, [heightMm / 2, half * y!, half * z!]));
  // the direction across the body that lies in the sheet
  const { along, up } = projection;
  const other = Math.abs(dot(along, axis)) > Math.abs(dot(up, axis)) ? up : along;
  const square = plus(other, scaled(axis, -dot(other, axis)));
  const wide = scaled(square, half / Math.sqrt(dot(square, square)));
  const corner = (height: number, sign: number): Point => placeOf(projection, plus([height, 0, 0], scaled(wide, sign)));
  return [corner(wall, 1), corner(heightMm, 1), corner(heightMm, -1), corner(wall, -1)];
}

/** An end whose axis lies in the sheet: a hole cut into the body, or what stands out of it. */
function inSection(at: Frame, c: Connector, style: BodyStyle, deepest: number): Shape[] {
  const form = endForm(c);
  const cut = style.view === 'half';
  const land = landOf(c);
  const shapes: Shape[] = [];
  if (land && cut) shapes.push(...landMarks(at, c));
  if (shapeOf(c) === 'face') return [...shapes, ...(cut ? [hole(at, land!.insideMm * 0.35, 4)] : [])];
  if (c.gender === 'male' || shapeOf(c) === 'flare') {
    const { body, nut } = endSections(c, form.boreMm);
    shapes.push(...drawBody(at, body, style));
    if (nut) shapes.push(...drawBody(at, nut, style));
  } else if (cut) {
    const radius = (connectorThread(c)?.majorMm ?? form.boreMm) / 2;
    const depth = Math.min(form.lengthMm, deepest);
    shapes.push(hole(at, radius, depth));
    const lines = [1, -1].map((sign): Shape => ({
      kind: 'line',
      points: [pointAt(at, 0, sign * radius * 0.86), pointAt(at, -depth, sign * radius * 0.86)],
      stroke: 'thread',
    }));
    if (connectorThread(c)) shapes.push(...lines);
  }
  return shapes;
}

/** From the face inwards, open. */
function hole(at: Frame, radius: number, depth: number): Shape {
  return {
    kind: 'area',
    points: [pointAt(at, 0, radius), pointAt(at, -depth, radius), pointAt(at, -depth, -radius), pointAt(at, 0, -radius)],
    fill: 'paper',
    stroke: 'outline',
  };
}

/** An end seen along its axis: its outside and its bore. */
function fromFront(at: Frame, c: Connector, behind: boolean): Shape[] {
  const { outsideMm, boreMm } = endForm(c);
  return [Math.min(outsideMm, (connectorThread(c)?.majorMm ?? outsideMm) * 1.15) / 2, boreMm / 2].map((radius, i): Shape => {
    const points = Array.from({ length: 33 }, (_, k): Point => [
      at.x + radius * Math.cos((k * Math.PI) / 16),
      at.y + radius * Math.sin((k * Math.PI) / 16),
    ]);
    return behind
      ? { kind: 'line', points, stroke: 'hidden' }
      : { kind: 'area', points, fill: i === 0 ? 'metal' : 'paper', stroke: 'outline' };
  });
}

interface Channel {
  readonly open: readonly Shape[];
  /** Its direction and its gate, over everything else. */
  readonly marks: readonly Shape[];
}

/** A passage as a channel from end to end, square where it turns; with its direction where it has one. */
function channel(projection: Projection, fitting: Fitting, passage: Passage, hollow: boolean): Channel {
  const { from, fromBy, to, toBy, boreMm, oneWay, when } = passage;
  if (from === to) return { open: [], marks: [] };
  const forms = [from, to].map((end) => endForm(bareConnector(fitting.ends[end]!)));
  const wide = Math.min(boreMm ?? Infinity, ...forms.map((f) => f.boreMm * 0.85), 14) / 2;
  const path = pathInside(projection, fitting, [from, fromBy], [to, toBy]);
  const frames = endFrames(fitting);
  // what leads out of the sheet is only hinted at
  if ([from, to].some((end) => Math.abs(towardsReader(projection, frames[end]!.axis)) >= IN_SHEET))
    return { open: [{ kind: 'line', points: path, stroke: 'hidden' }], marks: [] };
  const last = path.length - 2;
  const strips = path.slice(1).map((b, i) => strip(path[i]!, b, wide, i > 0, i < last));
  const walls = strips.flatMap(([p, q, r, s]): Shape[] => [
    { kind: 'line', points: [p!, q!], stroke: 'outline' },
    { kind: 'line', points: [r!, s!], stroke: 'outline' },
  ]);
  const open: Shape[] = hollow
    ? [{ kind: 'line', points: path, stroke: 'dimension' }]
    : [...walls, ...strips.map((points): Shape => ({ kind: 'area', points, fill: 'paper', stroke: 'none' }))];
  const { at: mid, heading } = midway(path);
  const tip = (u: number, r: number): Point => [
    mid[0] + u * Math.cos(heading) - r * Math.sin(heading),
    mid[1] + u * Math.sin(heading) + r * Math.cos(heading),
  ];
  const size = Math.max(1.6, wide * 0.8);
  // what is open in one position only has a gate across it
  const gate: Shape[] = when ? [{ kind: 'line', points: [tip(-size * 1.8, -wide), tip(-size * 1.8, wide)], stroke: 'dimension' }] : [];
  const arrow: Shape[] = oneWay
    ? [{ kind: 'area', points: [tip(size, 0), tip(-size, size), tip(-size, -size)], fill: 'accent', stroke: 'none' }]
    : [];
  return { open, marks: [...gate, ...arrow] };
}

type Leg = readonly [end: number, by: Passage['fromBy']];

/** Along the axis of the one end, across, and along the axis of the other. */
function pathInside(projection: Projection, fitting: Fitting, from: Leg, to: Leg): Point[] {
  const frames = endFrames(fitting);
  const middle: Vector = [fitting.body!.heightMm / 2, 0, 0];
  const starts = ([from, to] as const).map(([end, by], i) => {
    const { origin, axis } = frames[end]!;
    if (by !== 'rim') return origin;
    // round the post: on the side of the other end
    const other = plus(frames[(i === 0 ? to : from)[0]]!.origin, scaled(origin, -1));
    const side = plus(other, scaled(axis, -dot(other, axis)));
    const length = Math.sqrt(dot(side, side));
    const radial = length > 0.01 ? scaled(side, 1 / length) : frames[end]!.up;
    return plus(origin, scaled(radial, rimRadius(fitting.ends[end]!)));
  });
  const [a, b] = starts as [Vector, Vector];
  // two ends that look the same way are joined before the middle, where other passages cross
  const share = dot(frames[from[0]]!.axis, frames[to[0]]!.axis) > 0.5 ? 0.6 : 1;
  const inward = (start: Vector, end: number, goal: Vector): Vector => {
    const axis = scaled(frames[end]!.axis, -1);
    const depth = Math.max(3, dot(plus(goal, scaled(start, -1)), axis) * share);
    return plus(start, scaled(axis, depth));
  };
  const square = Math.abs(dot(frames[from[0]]!.axis, frames[to[0]]!.axis)) < 0.5;
  // two ends that look the same way, or opposite ways, meet across the middle
  const corners = square ? [inward(a, from[0], b)] : [inward(a, from[0], middle), inward(b, to[0], middle)];
  return [a, ...corners, b].map((at) => placeOf(projection, at));
}

/** Between post and gasket. */
function rimRadius(c: Connector): number {
  const post = connectorThread(c)!.majorMm / 2;
  const inside = (landOf(c)?.insideMm ?? post * 4) / 2;
  return (post + inside) / 2;
}

/** A band between two points; at a corner it reaches over by half its width, so that the corner is filled. */
function strip([ax, ay]: Point, [bx, by]: Point, half: number, overA: boolean, overB: boolean): Point[] {
  const length = Math.hypot(bx - ax, by - ay) || 1;
  const [ux, uy] = [((bx - ax) / length) * half, ((by - ay) / length) * half];
  const [a, b] = [overA ? 1 : 0, overB ? 1 : 0];
  return [
    [ax - a * ux - uy, ay - a * uy + ux],
    [bx + b * ux - uy, by + b * uy + ux],
    [bx + b * ux + uy, by + b * uy - ux],
    [ax - a * ux + uy, ay - a * uy - ux],
  ];
}

/** The place half along a path, and where it leads there. */
function midway(path: readonly Point[]): { readonly at: Point; readonly heading: number } {
  const legs = path.slice(1).map((b, i) => ({ a: path[i]!, b, length: Math.hypot(b[0] - path[i]![0], b[1] - path[i]![1]) }));
  let left = legs.reduce((sum, leg) => sum + leg.length, 0) / 2;
  const { a, b, length } = legs.find((leg) => (left -= leg.length) <= 0) ?? legs[0]!;
  const share = length > 0 ? 1 + left / length : 0;
  return { at: [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share], heading: Math.atan2(b[1] - a[1], b[0] - a[0]) };
}

/** Numbers beside the ends; on those that are seen from the front or the back, in their middle. */
function endNumbers(projection: Projection, fitting: Fitting, nameOf: (end: number) => string): Shape[] {
  const frames = endFrames(fitting);
  const { acrossMm, heightMm } = fitting.body!;
  // figures keep their size on the sheet, whatever the scale
  const away = 3 + 0.075 * Math.max(acrossMm, heightMm);
  return [...projectEnds(projection, fitting)].flatMap(([end, at]): Shape[] => {
    const c = bareConnector(fitting.ends[end]!);
    const { lengthMm, reachMm } = endForm(c);
    const seen = Math.abs(towardsReader(projection, frames[end]!.axis)) < IN_SHEET;
    const beyond = !seen ? 0 : (c.gender === 'male' ? lengthMm - reachMm : 0) + away;
    const [x, y] = pointAt(at, beyond, 0);
    if (nameOf(end) === '') return [];
    return [
      { kind: 'text', at: [x, y + 1.5], text: nameOf(end), size: 14, anchor: 'middle', role: 'figure' },
      ...(seen ? [{ kind: 'line', points: [pointAt(at, beyond, 0), pointAt(at, beyond + away, 0)], stroke: 'none' } as const] : []),
    ];
  });
}
