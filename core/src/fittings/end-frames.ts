import { bareConnector, endForm, shapeOf, type Connector } from '../connectors/index.js';
import type { Fitting } from './fitting-schema.js';

export type Vector = readonly [x: number, y: number, z: number];

/** Where an end is in the own space of its part: its plane, the way it looks (outwards), and what is "up" across it. mm, unit vectors. */
export interface EndFrame {
  readonly origin: Vector;
  readonly axis: Vector;
  readonly up: Vector;
}

/**
 * The frame of every end. Of a fitting, the crossing of its axes lies at the origin; the run comes in along x and turns towards y by its
 * angle; a third end branches off to y, a fourth the other way. Of a body, the middle of its bottom lies at the origin and its axis
 * along x; clock 0 is y, and goes on clockwise as seen from above, towards −z. An end lies where it meets its partner: the nose of a flare
 * stands out of the face that its place names.
 */
export function endFrames(fitting: Fitting): EndFrame[] {
  return fitting.body ? fitting.ends.map((_, end) => onBody(fitting, end)) : fitting.ends.map((_, end) => onFitting(fitting, end));
}

/** From the crossing of the axes of a fitting to the seat of an end, mm. */
export function legOf({ legsMm, lengthMm = 0 }: Pick<Fitting, 'legsMm' | 'lengthMm'>, end: number): number {
  return legsMm?.[end] ?? lengthMm / 2;
}

const UP: Vector = [0, 0, 1];

function onFitting(fitting: Fitting, end: number): EndFrame {
  const { ends, angleDeg = 0 } = fitting;
  const leg = legOf(fitting, end);
  const turned = radians(angleDeg);
  const axis: Vector =
    end === 0
      ? [-1, 0, 0]
      : end === 1
        ? ends.length > 2
          ? [1, 0, 0]
          : [Math.cos(turned), Math.sin(turned), 0]
        : [0, end === 2 ? 1 : -1, 0];
  return { origin: scaled(axis, leg), axis, up: UP };
}

function onBody({ body, ends }: Fitting, end: number): EndFrame {
  const { places, heightMm, acrossMm } = body!;
  const place = places[end]!;
  const clock = radians(place.clockDeg ?? 0);
  const radial: Vector = [0, Math.cos(clock), -Math.sin(clock)];
  const along = place.heightMm ?? { down: 0, up: heightMm, out: heightMm / 2 }[place.faces];
  const out = place.outMm ?? (place.faces === 'out' ? acrossMm / 2 : 0);
  const axis: Vector = place.faces === 'out' ? radial : [place.faces === 'up' ? 1 : -1, 0, 0];
  const up: Vector = place.faces === 'out' ? [1, 0, 0] : radial;
  const face = plus([along, 0, 0], scaled(radial, out));
  return { origin: plus(face, scaled(axis, standsOut(ends[end]!))), axis, up };
}

/** From the face of a body to where an end on it meets its partner, mm. */
function standsOut(end: Connector): number {
  const c = bareConnector(end);
  return c.gender === 'male' || shapeOf(c) === 'flare' ? endForm(c).reachMm : 0;
}

/** By how much a way through a part turns, degrees: from going in at the one end to going out at the other. */
export function turnBetween(fitting: Fitting, inEnd: number, outEnd: number): number {
  const frames = endFrames(fitting);
  const cosine = -dot(frames[inEnd]!.axis, frames[outEnd]!.axis);
  return Math.round((Math.acos(Math.max(-1, Math.min(1, cosine))) * 180_000) / Math.PI) / 1000;
}

/** Length of a way through a part from seat to seat, mm: along the axis it comes in on, and then across to where it goes out. */
export function lengthBetween(fitting: Fitting, inEnd: number, outEnd: number): number {
  const { legsMm, lengthMm = 0, body, ends } = fitting;
  if (!body) return ends.length < 3 || !legsMm ? lengthMm : legOf(fitting, inEnd) + legOf(fitting, outEnd);
  const frames = endFrames(fitting);
  const span = plus(frames[outEnd]!.origin, scaled(frames[inEnd]!.origin, -1));
  const along = -dot(span, frames[inEnd]!.axis);
  const across = Math.sqrt(Math.max(0, dot(span, span) - along ** 2));
  return Math.round((Math.abs(along) + across) * 100) / 100;
}

function radians(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

export function scaled([x, y, z]: Vector, by: number): Vector {
  return [x * by, y * by, z * by];
}

export function plus(a: Vector, b: Vector): Vector {
  return [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
}

export function dot(a: Vector, b: Vector): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

export function cross(a: Vector, b: Vector): Vector {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}
