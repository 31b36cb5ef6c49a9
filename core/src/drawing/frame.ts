import type { Point } from './shape.js';

/**
 * A place on an axis with the direction the axis goes on. `u` runs along it, `r` across it; positive r is the half the eye sees,
 * negative r the half in section. `side` is +1 where the axis runs to the right of the sheet, −1 to the left, so that positive r
 * is upwards in both.
 */
export interface Frame {
  readonly x: number;
  readonly y: number;
  /** Heading in radians, y downwards. */
  readonly heading: number;
  readonly side: 1 | -1;
}

export function startFrame(side: 1 | -1): Frame {
  return { x: 0, y: 0, heading: side === 1 ? 0 : Math.PI, side };
}

/** The sheet point at `u` along and `r` across. */
export function pointAt(frame: Frame, u: number, r: number): Point {
  const cos = Math.cos(frame.heading);
  const sin = Math.sin(frame.heading);
  return [frame.x + u * cos + r * frame.side * sin, frame.y + u * sin - r * frame.side * cos];
}

export function advance(frame: Frame, u: number): Frame {
  const [x, y] = pointAt(frame, u, 0);
  return { ...frame, x, y };
}

/** Turns towards the seen half by an angle in degrees. */
export function turn(frame: Frame, degrees: number): Frame {
  return { ...frame, heading: frame.heading - frame.side * ((degrees * Math.PI) / 180) };
}

/** How far the axis is turned from horizontal, degrees, 0…180. */
export function inclination(frame: Frame): number {
  const base = frame.side === 1 ? 0 : Math.PI;
  const degrees = (Math.abs(frame.heading - base) * 180) / Math.PI;
  return degrees;
}

/** Frames along a bend of the given radius and angle, first and last included. */
export function bendFrames(start: Frame, radius: number, degrees: number, steps = Math.max(2, Math.ceil(Math.abs(degrees) / 6))): Frame[] {
  const direction = Math.sign(degrees) || 1;
  const centre = pointAt(start, 0, radius * direction);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const turned = turn(start, (degrees * i) / steps);
    // the point at distance `radius` below the centre, as seen from the turned frame
    const [x, y] = pointAt({ ...turned, x: centre[0], y: centre[1] }, 0, -radius * direction);
    return { ...turned, x, y };
  });
}

/** A band along frames between two distances from the axis, as a closed outline. */
export function band(frames: readonly Frame[], inner: number, outer: number): Point[] {
  return [...frames.map((f) => pointAt(f, 0, outer)), ...[...frames].reverse().map((f) => pointAt(f, 0, inner))];
}
