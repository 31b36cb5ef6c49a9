import { connectorThread, endForm, shapeOf, type Connector } from '../connectors/index.js';
import { hexOf, legOf, turnBetween } from '../fittings/index.js';
import type { PlacedFitting } from '../lines/index.js';
import { washerFor } from '../seals/index.js';
import { drawBody, type BodyStyle } from './body.js';
import type { Section } from './section.js';
import { drawBodied } from './draw-bodied.js';
import { drawBranched } from './draw-branched.js';
import { endSections } from './end-sections.js';
import { advance, band, bendFrames, pointAt, turn, type Frame } from './frame.js';
import { projectEnds, projectPart } from './project-ends.js';
import type { Point, Shape } from './shape.js';

export interface DrawnPart {
  readonly shapes: readonly Shape[];
  /** Planes of the open ends of a tee or cross, by end, heading outwards. */
  readonly branches?: ReadonlyMap<number, Frame>;
  /** The plane where the next joint towards the port is made, heading at the port. */
  readonly after: Frame;
}

/**
 * An adapter from its hose-side seat (the given frame) to its port-side seat.
 * @param bendSense +1 turns an elbow towards the seen half, −1 the other way
 */
export function drawAdapter(frame: Frame, placed: PlacedFitting, style: BodyStyle, bendSense: 1 | -1): DrawnPart {
  const { fitting } = placed;
  const near = fitting.ends[placed.outEnd]!;
  const far = fitting.ends[placed.inEnd]!;
  const bore = fitting.boreMm ?? Math.min(endForm(near).boreMm, endForm(far).boreMm);
  const hex = hexOf(fitting);
  if (fitting.body) return drawBodied(frame, placed, style, bendSense);
  if (fitting.ends.length > 2) return drawBranched(frame, placed, style, bendSense, bore);
  if (shapeOf(far) === 'banjo') return drawBanjo(frame, placed, style, bendSense, bore);
  if (fitting.angleDeg) return drawElbow(frame, placed, style, bendSense, bore, hex);
  const { lengthMm: length = 0 } = fitting;
  const nearEnd = endSections(near, bore);
  const farEnd = endSections(far, bore);
  const nearBody = mirrored(nearEnd.body);
  const farBody = shifted(farEnd.body, length);
  const start = nearBody.length > 0 ? nearBody[nearBody.length - 1]!.to : 0;
  const end = farBody.length > 0 ? farBody[0]!.from : length;
  const middle: Section[] = end > start + 0.2 ? [{ from: start, to: end, radius: hex / Math.sqrt(3), bore: bore / 2, surface: 'hex' }] : [];
  return {
    shapes: [
      ...drawBody(frame, [...nearBody, ...middle, ...farBody], style),
      ...(nearEnd.nut ? drawBody(frame, mirrored(nearEnd.nut), { ...style, hatch: style.hatch + 75 }) : []),
      ...(farEnd.nut ? drawBody(frame, shifted(farEnd.nut, length), { ...style, hatch: style.hatch + 75 }) : []),
    ],
    after: projectEnds(projectPart(frame, placed, bendSense), fitting).get(placed.inEnd)!,
  };
}

function drawElbow(frame: Frame, placed: PlacedFitting, style: BodyStyle, sense: 1 | -1, bore: number, hex: number): DrawnPart {
  const { fitting } = placed;
  const angle = turnBetween(fitting, placed.inEnd, placed.outEnd) * sense;
  const nearEnd = endSections(fitting.ends[placed.outEnd]!, bore);
  const farEnd = endSections(fitting.ends[placed.inEnd]!, bore);
  const [nearLeg, farLeg] = [legOf(fitting, placed.outEnd), legOf(fitting, placed.inEnd)];
  const after = projectEnds(projectPart(frame, placed, sense), fitting).get(placed.inEnd)!;
  const nearFace = Math.max(0, -Math.min(0, ...nearEnd.body.map((s) => s.from)));
  const farFace = Math.max(0, -Math.min(0, ...farEnd.body.map((s) => s.from)));
  const room = Math.max(1, Math.min(nearLeg - nearFace, farLeg - farFace));
  const radius = room / Math.tan((Math.abs(angle) * Math.PI) / 360);
  const path = [advance(frame, nearFace), ...bendFrames(advance(frame, nearLeg - room), radius, angle), advance(after, -farFace)];
  return {
    shapes: [
      ...drawBent(path, Math.min(hex * 0.52, radius * 0.98), bore / 2, style),
      ...drawBody(frame, mirrored(nearEnd.body), style),
      ...drawBody(after, farEnd.body, style),
      ...(nearEnd.nut ? drawBody(frame, mirrored(nearEnd.nut), { ...style, hatch: style.hatch + 75 }) : []),
      ...(farEnd.nut ? drawBody(after, farEnd.nut, { ...style, hatch: style.hatch + 75 }) : []),
    ],
    after,
  };
}

/** A round part along a curved axis: seen half above the axis, cut wall below. */
export function drawBent(path: readonly Frame[], radius: number, bore: number, style: BodyStyle): Shape[] {
  const edge = (r: number): Point[] => path.map((f) => pointAt(f, 0, r));
  const shapes: Shape[] = [
    { kind: 'area', points: band(path, 0, radius), fill: style.fill ?? 'metal', stroke: 'none' },
    { kind: 'line', points: [pointAt(path[0]!, 0, 0), ...edge(radius), pointAt(path[path.length - 1]!, 0, 0)], stroke: 'outline' },
  ];
  if (style.view !== 'half')
    return [
      ...shapes,
      { kind: 'area', points: band(path, -radius, 0), fill: style.fill ?? 'metal', stroke: 'none' },
      { kind: 'line', points: [pointAt(path[0]!, 0, 0), ...edge(-radius), pointAt(path[path.length - 1]!, 0, 0)], stroke: 'outline' },
    ];
  return [...shapes, { kind: 'area', points: band(path, -radius, -bore), fill: 'section', stroke: 'outline', hatch: style.hatch }];
}

function drawBanjo(frame: Frame, placed: PlacedFitting, style: BodyStyle, sense: 1 | -1, bore: number): DrawnPart {
  const { fitting } = placed;
  const bolt = fitting.ends[placed.inEnd]!;
  const hoseSide = fitting.ends[placed.outEnd]!;
  const form = endForm(bolt);
  const washer = washerFor(connectorThread(bolt)!.majorMm);
  const major = connectorThread(bolt)!.majorMm / 2;
  const pitch = connectorThread(bolt)!.pitchMm;
  const eye = form.reachMm * 2;
  const nearLeg = legOf(fitting, placed.outEnd);
  const centre = turn(advance(frame, nearLeg), 90 * sense);
  const after = projectEnds(projectPart(frame, placed, sense), fitting).get(placed.inEnd)!;
  const near = mirrored(endSections(hoseSide, bore).body);
  const face = near.length > 0 ? near[near.length - 1]!.to : 0;
  const t = washer.thicknessMm;
  const head = form.hexMm * 0.42;
  const eyeBody: Section[] = [{ from: -eye / 2, to: eye / 2, radius: form.outsideMm / 2, bore: major * 1.02 }];
  const boltBody: Section[] = [
    { from: -eye / 2 - t - head, to: -eye / 2 - t, radius: form.hexMm / Math.sqrt(3), bore: 0.01, surface: 'hex' },
    { from: -eye / 2 - t, to: -eye * 0.2, radius: major * 0.94, bore: 0.01 },
    { from: -eye * 0.2, to: eye / 2 + t, radius: major * 0.94, bore: bore / 2 },
    { from: eye / 2 + t, to: eye / 2 + t + form.lengthMm, radius: major, bore: bore / 2, surface: 'thread', pitch },
  ];
  const ring = (u: number): Shape[] =>
    [1, -1].map((sign): Shape => ({
      kind: 'area',
      points: [
        [u, washer.insideMm / 2],
        [u, washer.outsideMm / 2],
        [u + t, washer.outsideMm / 2],
        [u + t, washer.insideMm / 2],
      ].map(([a, r]) => pointAt(centre, a!, r! * sign)),
      fill: 'copper',
      stroke: 'fine',
    }));
  return {
    shapes: [
      ...drawBody(
        frame,
        [...near, { from: face, to: nearLeg - form.outsideMm * 0.4, radius: hexOf(fitting) * 0.42, bore: bore / 2 }],
        style,
      ),
      ...drawBody(centre, eyeBody, style),
      ...drawBody(centre, boltBody, { ...style, hatch: style.hatch + 75 }),
      ...drawBody(centre, eyeBody, { ...style, view: style.view === 'whole' ? 'whole' : 'upper' }),
      ...ring(-eye / 2 - t),
    ],
    after,
  };
}

/** Sections of the end that faces the hose: `s` runs against `u`. */
export function mirrored(sections: readonly Section[]): Section[] {
  return [...sections]
    .reverse()
    .map((s) => ({
      ...s,
      from: -s.to,
      to: -s.from,
      radius: s.radiusTo ?? s.radius,
      radiusTo: s.radius,
      bore: s.boreTo ?? s.bore,
      boreTo: s.bore,
    }));
}

function shifted(sections: readonly Section[], by: number): Section[] {
  return sections.map((s) => ({ ...s, from: s.from + by, to: s.to + by }));
}

/**
 * True where the connector closes round its partner and so is drawn over it. A body is cut open: what is screwed into it is drawn over
 * it, and it does not close round anything.
 */
export function encloses(c: Connector, ofBody = false): boolean {
  return c.gender === 'female' && !ofBody;
}
