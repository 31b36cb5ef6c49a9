import { startFrame, type Frame } from './frame.js';
import { boundsOf, type Point } from './shape.js';
import type { Stretch } from './stretch.js';

const MARGIN = 30;
export const BREAK_GAP = 44;
const LEAST_HOSE = 46;
const LARGEST_SCALE = 3.7;

/** A stretch in its place on the sheet. */
export interface PlacedStretch {
  readonly stretch: Stretch;
  readonly x: number;
  readonly y: number;
  readonly map: (point: Point) => Point;
}

/** The hose of a piece on the sheet: from where it leaves a stretch to where it comes into the next. */
export interface PlacedHose {
  /** Where its hose bottoms in the end on the left, heading out of the hose; level unless the end before it is turned up. */
  readonly left: Frame;
  readonly right: Frame;
}

export interface Layout {
  readonly scale: number;
  readonly stretches: readonly PlacedStretch[];
  readonly hoses: readonly PlacedHose[];
  /** Lowest axis of the line. */
  readonly axis: number;
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}
const EMPTY: Box = { left: 0, right: 0, top: -10, bottom: 10 };

/**
 * The largest scale at which all stretches fit side by side with some hose between them. A level stretch leaves the top to its balloons;
 * one that turns up may use it: below the title on the left, up to the frame on the right.
 */
export function layOut(stretches: readonly Stretch[], width: number, height: number, hoseOnly: boolean): Layout {
  const boxes = stretches.map(({ shapes }): Box => (shapes.length > 0 ? boundsOf(shapes) : EMPTY));
  const last = stretches.length - 1;
  const alone = last === 0 && stretches[0]!.port !== undefined;
  const down = Math.max(...boxes.map((box) => box.bottom));
  const bottom = hoseOnly ? height - 44 : height - 104;
  const tops = boxes.map((box, i) => (hoseOnly ? 12 : -box.top < down * 1.6 ? 124 : i === last && last > 0 ? 24 : 76));
  // from the left of the first to the right of the last; those between from hose to hose
  const spans = stretches.map((stretch, i) => {
    const box = boxes[i]!;
    if (alone) return box.right - box.left;
    if (i === 0) return Math.max(1, -box.left);
    return i === last ? Math.max(1, box.right) : spanOf(stretch, box);
  });
  const overhang = alone
    ? 0
    : Math.min(30, Math.max(0, ...boxes.flatMap((box, i) => [...(i === 0 ? [box.right] : []), ...(i > 0 ? [-box.left] : [])])));
  const pieces = alone ? 0 : last;
  const across = spans.reduce((sum, span) => sum + span, 0) + 2 * overhang * pieces;
  const acrossScale = (width - 2 * MARGIN - pieces * (BREAK_GAP + 2 * LEAST_HOSE)) / across;
  const upScale = Math.min(...boxes.map((box, i) => (bottom - tops[i]!) / (down - box.top)));
  const scale = Math.min(LARGEST_SCALE, acrossScale, upScale);
  const highest = Math.max(...boxes.map((box, i) => tops[i]! - box.top * scale));
  const axis = (highest + bottom - down * scale) / 2;
  return { scale, axis, ...placed(stretches, boxes, spans, scale, axis, width, alone) };
}

function placed(
  stretches: readonly Stretch[],
  boxes: readonly Box[],
  spans: readonly number[],
  scale: number,
  axis: number,
  width: number,
  alone: boolean,
): Pick<Layout, 'stretches' | 'hoses'> {
  const last = stretches.length - 1;
  const at = (stretch: Stretch, x: number, y: number): PlacedStretch => ({
    stretch,
    x,
    y,
    map: ([u, v]) => [u * scale + x, v * scale + y],
  });
  if (alone) {
    const box = boxes[0]!;
    return { stretches: [at(stretches[0]!, width / 2 - ((box.left + box.right) / 2) * scale, axis)], hoses: [] };
  }
  const xA = MARGIN - boxes[0]!.left * scale;
  const xB = width - MARGIN - boxes[last]!.right * scale;
  const between = spans.slice(1, -1).reduce((sum, span) => sum + span * scale, 0);
  const hose = (xB - xA - between) / Math.max(1, last);
  const list: PlacedStretch[] = [at(stretches[0]!, xA, axis)];
  const hoses: PlacedHose[] = [];
  let left: Frame = { ...startFrame(-1), x: xA, y: axis };
  let x = xA;
  for (let i = 1; i <= last; i++) {
    const stretch = stretches[i]!;
    x += hose;
    const y = isLevel(left) ? left.y : axis;
    const here = at(stretch, i === last ? xB : x, y);
    list.push(here);
    hoses.push({ left, right: { ...startFrame(1), x: here.x, y } });
    x += spans[i]! * scale;
    if (stretch.exit) {
      const [ex, ey] = here.map([stretch.exit.x, stretch.exit.y]);
      left = { ...stretch.exit, x: ex, y: ey };
    } else left = { ...startFrame(-1), x, y };
  }
  return { stretches: list, hoses };
}

/** From the hose it comes out of to the hose it goes into. */
function spanOf({ exit, gap }: Stretch, box: Box): number {
  if (exit && isLevel(exit)) return Math.max(1, exit.x);
  return exit || !gap ? Math.max(1, box.right) : Math.max(box.right, gap.x * 2);
}

/** The hose goes on to the right, on the level. */
export function isLevel({ heading }: Frame): boolean {
  return Math.cos(heading) < -0.99;
}
