import type { AssembledLine, AssembledPiece } from '../lines/index.js';
import { formatCut } from '../hose/index.js';
import { formatQuantity, type UnitSystem } from '../units/index.js';
import { dimension } from './dimension.js';
import type { Frame } from './frame.js';
import type { RunSheetOptions } from './run-sheet.js';
import type { Point, Shape } from './shape.js';
import type { Layout, PlacedHose, PlacedStretch } from './sheet-layout.js';

/** Below the sheet's parts: cut lengths and stacks in the upper row, assembly lengths in the lower. */
export function sheetDimensions(assembled: AssembledLine, layout: Layout, { height, system }: RunSheetOptions): Shape[] {
  const { stretches, hoses, scale } = layout;
  const rows = [height - 88, height - 66] as const;
  const several = assembled.pieces.length > 1;
  const shapes: Shape[] = [];
  assembled.pieces.forEach((piece, i) => {
    const below = belowHose(piece, scale);
    shapes.push(...cutDimension(piece, hoses[i]!, rows[0], below, system));
    shapes.push(...assemblyDimension(piece, stretches[i]!, stretches[i + 1]!, rows[1], below, system, several));
  });
  const below = Math.max(18, ...assembled.pieces.map((piece) => belowHose(piece, scale)));
  stretches.forEach((placed, i) => shapes.push(...stackDimension(placed, rows[0], below, i === 0 ? 'left' : 'right', system)));
  return shapes;
}

/** The cut alone, for one piece. */
export function pieceDimensions(piece: AssembledPiece, { hoses, scale }: Layout, height: number, system: UnitSystem): Shape[] {
  return cutDimension(piece, hoses[0]!, height - 24, belowHose(piece, scale), system);
}

function belowHose({ hose }: AssembledPiece, scale: number): number {
  return ((hose?.outsideMm ?? 10) / 2) * scale + 8;
}

function cutDimension(
  { hose, endA, endB, cut }: AssembledPiece,
  { left, right }: PlacedHose,
  row: number,
  below: number,
  system: UnitSystem,
): Shape[] {
  if (!hose || !endA || !endB) return [];
  const words = cut ? `cut ${formatCut(cut.cutMm, system)}` : 'cut length open';
  return dimension([left.x, right.y + below], [right.x, right.y + below], row, words);
}

/** Seat to seat of what stands in a stretch, where both lie on the level. */
function stackDimension(
  { stretch, map, y }: PlacedStretch,
  row: number,
  below: number,
  spill: 'left' | 'right',
  system: UnitSystem,
): Shape[] {
  const near = stretch.seat ?? stretch.port;
  const far = stretch.farPort ?? stretch.farSeat;
  if (!near || !far || !level(near) || !level(far) || stretch.gap) return [];
  const stack = Math.abs(far.x - near.x);
  // no more than a gasket
  if (stack < 2) return [];
  const drop = (frame: Frame): Point => [map([frame.x, 0])[0], y + below];
  return dimension(drop(far), drop(near), row, formatQuantity(stack, 'length', system, { bare: true }), spill);
}

/** From the seat before the hose to the seat after it; a seat that is turned up is marked. */
function assemblyDimension(
  { cut }: AssembledPiece,
  before: PlacedStretch,
  after: PlacedStretch,
  row: number,
  below: number,
  system: UnitSystem,
  several: boolean,
): Shape[] {
  const from = before.stretch.exit ? before.stretch.farSeat : before.stretch.seat;
  const to = after.stretch.seat;
  if (!from || !to || !cut) return [];
  const mm = (value: number): string => formatQuantity(value, 'length', system);
  const seats = [
    [before, from],
    [after, to],
  ] as const;
  const drop = ({ map, y }: PlacedStretch, frame: Frame): Point => [map([frame.x, 0])[0], y + below];
  const given = several || cut.as !== 'taped' ? '' : ` · taped ${mm(cut.givenMm)}`;
  return [
    ...seats.flatMap(([{ map }, frame]): Shape[] =>
      level(frame) ? [] : [{ kind: 'dot', at: map([frame.x, frame.y]), radius: 2.5, fill: 'accent' }],
    ),
    ...dimension(drop(before, from), drop(after, to), row, `assembly ${mm(cut.assemblyMm)}${given}`),
  ];
}

function level(frame: Frame): boolean {
  return Math.abs(Math.sin(frame.heading)) < 0.01;
}
