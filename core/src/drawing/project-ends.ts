import { dot, endFrames, plus, scaled, type Fitting, type Vector } from '../fittings/index.js';
import type { PlacedFitting } from '../lines/index.js';
import { pointAt, type Frame } from './frame.js';

/** How the space of a part lies on the sheet: where it is met, and which of its directions run along the sheet's axis and up from it. */
export interface Projection {
  readonly frame: Frame;
  readonly origin: Vector;
  readonly along: Vector;
  readonly up: Vector;
}

/**
 * Lays a part on the sheet: its near end at the frame, going into the part along its heading, and its far end turned in the plane of the
 * sheet.
 *
 * @param sense +1 turns the far end towards the seen half, −1 the other way
 */
export function projectPart(frame: Frame, { fitting, inEnd, outEnd }: PlacedFitting, sense: 1 | -1): Projection {
  const frames = endFrames(fitting);
  const near = frames[outEnd]!;
  const along = scaled(near.axis, -1);
  const far = frames[inEnd]!.axis;
  const across = plus(far, scaled(along, -dot(far, along)));
  const size = Math.sqrt(dot(across, across));
  const up = size > 0.01 ? scaled(across, sense / size) : upright(fitting, along);
  return { frame, origin: near.origin, along, up };
}

/** Of a part that runs straight: the way its first branch goes, or its body stands. */
function upright(fitting: Fitting, along: Vector): Vector {
  if (fitting.body) return Math.abs(along[0]) < 0.9 ? [1, 0, 0] : acrossBody(fitting);
  return endFrames(fitting)[2]?.axis ?? [0, 1, 0];
}

/** Across a body: the way its first end looks that does not look along it. */
function acrossBody(fitting: Fitting): Vector {
  return endFrames(fitting).find(({ axis }) => Math.abs(axis[0]) < 0.01)?.axis ?? [0, 1, 0];
}

/** A body as it stands: its axis upwards, its first end that looks out to the right. */
export function projectUpright(fitting: Fitting): Projection {
  const frame: Frame = { x: 0, y: 0, heading: -Math.PI / 2, side: -1 };
  return { frame, origin: [0, 0, 0], along: [1, 0, 0], up: acrossBody(fitting) };
}

/** A place of the part's own space on the sheet. */
export function placeOf({ frame, origin, along, up }: Projection, at: Vector): readonly [number, number] {
  const span = plus(at, scaled(origin, -1));
  return pointAt(frame, dot(span, along), dot(span, up));
}

/** The planes of all ends on the sheet, by end, each heading outwards. */
export function projectEnds(projection: Projection, fitting: Fitting): Map<number, Frame> {
  const { frame, along, up } = projection;
  return new Map(
    endFrames(fitting).map(({ origin, axis }, end) => {
      const [x, y] = placeOf(projection, origin);
      const turned = Math.atan2(dot(axis, up), dot(axis, along));
      return [end, { x, y, heading: frame.heading - frame.side * turned, side: frame.side }];
    }),
  );
}

/** How far an end looks out of the sheet: 1 at the reader, −1 away from him, 0 along the sheet. */
export function towardsReader({ frame, along, up }: Projection, axis: Vector): number {
  const out: Vector = [along[1] * up[2] - along[2] * up[1], along[2] * up[0] - along[0] * up[2], along[0] * up[1] - along[1] * up[0]];
  return dot(axis, out) * frame.side;
}
