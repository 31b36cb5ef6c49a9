import { pointAt } from './frame.js';
import type { BalloonShape, Point } from './shape.js';
import type { JointPlace } from './stretch.js';

export const BALLOON_RADIUS = 11;
const LEAST_DISTANCE = BALLOON_RADIUS * 2 + 5;

/** How the joint places come onto the sheet: scale and shift per joint. */
export interface OnSheet {
  readonly place: JointPlace;
  readonly map: (point: Point) => Point;
  readonly scale: number;
}

/**
 * Numbered balloons off the metal, each tied to its joint: straight above an axis that lies flat, square to one that is turned;
 * pushed apart until none touches another, and kept on the sheet.
 */
export function placeBalloons(
  joints: readonly OnSheet[],
  row: number,
  box: { left: number; top: number; right: number; bottom: number },
  held: ReadonlySet<string> = new Set(),
): BalloonShape[] {
  const balloons = joints.map(({ place, map }) => {
    const { frame, radius, joint } = place;
    const target = map(pointAt(frame, 0, radius));
    const normal = unit(map(pointAt(frame, 0, 0)), map(pointAt(frame, 0, 1)));
    const back = unit(map(pointAt(frame, 1, 0)), map(pointAt(frame, 0, 0)));
    const flat = normal[1] < -0.94;
    const at: [number, number] = flat
      ? [target[0], Math.min(row, target[1] - 20)]
      : [target[0] + normal[0] * 30 + back[0] * 14, target[1] + normal[1] * 30 + back[1] * 14];
    return { at, target, number: joint.number, tone: held.has(joint.id) && joint.state !== 'leaks' ? ('held' as const) : joint.state };
  });
  for (let round = 0; round < 60; round++) {
    for (const a of balloons)
      for (const b of balloons) {
        if (a === b) continue;
        const dx = b.at[0] - a.at[0] || 0.01;
        const dy = b.at[1] - a.at[1];
        const distance = Math.hypot(dx, dy);
        if (distance >= LEAST_DISTANCE) continue;
        const push = (LEAST_DISTANCE - distance) / 2 / distance;
        a.at[0] -= dx * push;
        a.at[1] -= dy * push * 0.3;
        b.at[0] += dx * push;
        b.at[1] += dy * push * 0.3;
      }
    for (const { at } of balloons) {
      at[0] = Math.min(box.right - BALLOON_RADIUS, Math.max(box.left + BALLOON_RADIUS, at[0]));
      at[1] = Math.min(box.bottom - BALLOON_RADIUS, Math.max(box.top + BALLOON_RADIUS, at[1]));
    }
  }
  return balloons.map((b): BalloonShape => ({ kind: 'balloon', at: [b.at[0], b.at[1]], target: b.target, number: b.number, tone: b.tone }));
}

function unit(from: Point, to: Point): Point {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  return [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
}
