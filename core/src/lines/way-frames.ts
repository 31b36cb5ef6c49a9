import { cross, dot, endFrames, plus, scaled, type EndFrame, type Vector } from '../fittings/index.js';
import { besides, jointId, type Line } from '../job/index.js';
import type { AssembledWay, PlacedFitting } from './assembled-line.js';

/** What a way begins on: its face at the origin, looking along x, "up" along z. */
const START: EndFrame = { origin: [0, 0, 0], axis: [1, 0, 0], up: [0, 0, 1] };

/**
 * The frame of every joint of a way, by the joint's id, in the space of what the way begins on. Each part is turned so that what is up on
 * it stays up: as it lies on the bench, before anything is aimed. A joint's frame lies where the two parts meet and looks on along the
 * way; that of a branch looks out of the fitting. Seals have no thickness here.
 */
export function wayFrames(line: Pick<Line, 'pieces'>, { at, fittings, kept }: AssembledWay): Map<string, EndFrame> {
  const frames = new Map<string, EndFrame>();
  if (!fittings) return frames;
  const [before, after] = besides(line, at);
  const keys = [before, ...fittings.map((p) => p.key), after];
  let here = START;
  frames.set(jointId(keys[0]!, keys[1]!), here);
  for (const [i, placed] of fittings.entries()) {
    const ends = placedEnds(here, placed);
    for (const branch of kept.chosen!.branches.filter((b) => b.at === i)) {
      const next = branch.fittings[0]?.key ?? (branch.to === 'sensor' ? 'sensor' : undefined);
      if (next) frames.set(jointId(`${placed.key}.${branch.end}`, next), ends[branch.end]!);
    }
    here = ends[placed.outEnd]!;
    frames.set(jointId(keys[i + 1]!, keys[i + 2]!), here);
  }
  return frames;
}

/** The frames of all ends of a part that is put on at a place: its inner end lies there and looks back. */
export function placedEnds(here: EndFrame, { fitting, inEnd }: PlacedFitting): EndFrame[] {
  const frames = endFrames(fitting);
  const inner = frames[inEnd]!;
  const from = basis({ ...inner, axis: scaled(inner.axis, -1) });
  const to = basis(here);
  const turn = (v: Vector): Vector => from.reduce<Vector>((sum, direction, i) => plus(sum, scaled(to[i]!, dot(v, direction))), [0, 0, 0]);
  return frames.map(({ origin, axis, up }) => ({
    origin: plus(here.origin, turn(plus(origin, scaled(inner.origin, -1)))),
    axis: turn(axis),
    up: turn(up),
  }));
}

function basis({ axis, up }: EndFrame): readonly [Vector, Vector, Vector] {
  return [axis, up, cross(axis, up)];
}
