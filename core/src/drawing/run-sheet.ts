import type { AssembledLine, AssembledPiece } from '../lines/index.js';
import { formatQuantity, type UnitSystem } from '../units/index.js';
import { placeBalloons } from './balloons.js';
import { brokenHose } from './broken-hose.js';
import { pointAt, type Frame } from './frame.js';
import { placeShapes, type Drawing, type Point, type Shape } from './shape.js';
import { pieceDimensions, sheetDimensions } from './sheet-dimensions.js';
import { layOut, type Layout, type PlacedStretch } from './sheet-layout.js';
import { pieceInWords, sheetInWords, titles } from './sheet-words.js';
import { stretchesOf, stretchesOfPiece } from './stretches-of-line.js';

export interface RunSheetOptions {
  readonly width: number;
  readonly height: number;
  readonly jobNumber: string;
  readonly system: UnitSystem;
  /** Joints that seal and that something speaks against, by their ids. */
  readonly held?: ReadonlySet<string>;
  /** To be judged by who looks at it: nothing says which of its joints seal. */
  readonly unjudged?: boolean;
}

/** The line drawn to scale as it would lie on the bench, half in section, with balloons, dimensions and title block. */
export function runSheet(assembled: AssembledLine, options: RunSheetOptions): Drawing {
  const { width, height, system } = options;
  const layout = layOut(stretchesOf(assembled), width, height, false);
  const { stretches, scale } = layout;
  return {
    width,
    height,
    shapes: [
      ...bareLine(layout, assembled.pieces),
      ...sheetDimensions(assembled, layout, options),
      ...openPlaces(assembled, layout),
      ...stretches.flatMap((placed) => throatLabels(placed, scale, system, width)),
      ...(options.unjudged
        ? []
        : placeBalloons(
            stretches.flatMap(({ stretch, map }) => stretch.joints.map((place) => ({ place, map, scale }))),
            100,
            { left: 14, right: width - 14, top: 76, bottom: height - 70 },
            options.held,
          )),
      ...titles(assembled, options),
    ],
    title: sheetInWords(assembled, system, options.unjudged),
  };
}

/** One hose with its two ends, as it comes off the bench. */
export function pieceDrawing(assembled: AssembledLine, piece: AssembledPiece, options: Omit<RunSheetOptions, 'jobNumber'>): Drawing {
  const { width, height, system } = options;
  const layout = layOut(stretchesOfPiece(assembled, piece), width, height, true);
  const shapes = [...bareLine(layout, [piece]), ...pieceDimensions(piece, layout, height, system)];
  return { width, height, shapes, title: pieceInWords(piece, system) };
}

/** Parts, hoses and axes, without words. */
function bareLine({ stretches, hoses, scale }: Layout, pieces: readonly AssembledPiece[]): Shape[] {
  return [
    ...stretches.map((placed): Shape => ({ kind: 'line', points: axisOf(placed), stroke: 'centre' })),
    ...hoses.map(({ left, right }): Shape => ({
      kind: 'line',
      points: [
        [left.x, right.y],
        [right.x, right.y],
      ],
      stroke: 'centre',
    })),
    ...hoses.flatMap((place, i) => (pieces[i]?.hose ? brokenHose(pieces[i].hose, place, scale) : [])),
    ...stretches.flatMap(({ stretch, x, y }) => placeShapes(stretch.shapes, scale, x, y)),
  ];
}

/** From the hose out past the port; where the run is turned, at its far end alone. */
function axisOf({ stretch, map, x, y }: PlacedStretch): Point[] {
  const far = stretch.farPort ?? stretch.exit ?? stretch.seat;
  if (!far) return [[x, y], map([0, 0])];
  const past = map(pointAt(far, stretch.exit ? 0 : 6, 0));
  const flat = Math.abs(past[1] - y) < 0.01;
  const start: Point = stretch.port ? map(pointAt(stretch.port, -6, 0)) : [x, y];
  return flat ? [start, past] : [map(pointAt(far, stretch.exit ? 10 : -10, 0)), past];
}

/** The bore of each narrow fitting, written under it. */
function throatLabels({ stretch, map }: PlacedStretch, scale: number, system: UnitSystem, width: number): Shape[] {
  return stretch.throats.map(({ frame, boreMm, radius }): Shape => {
    // off the metal on the cut side, where nothing else is written
    const [x, y] = map(pointAt(frame, 0, -radius - 16 / scale));
    const words = `⌀ ${formatQuantity(boreMm, 'length', system, { decimals: 1, denominator: 64 })}`;
    const tilted = !level(frame);
    return {
      kind: 'text',
      at: [tilted ? Math.min(x + 6, width - 16 - words.length * 6.5) : x, y + 4],
      text: words,
      size: 13,
      anchor: tilted ? 'start' : 'middle',
      role: 'attention',
    };
  });
}

function level(frame: Frame): boolean {
  return Math.abs(Math.sin(frame.heading)) < 0.01;
}

function openPlaces({ pieces, ways }: AssembledLine, { stretches, hoses }: Layout): Shape[] {
  const word = (at: Point, text: string, size: number): Shape => ({ kind: 'text', at, text, size, anchor: 'middle', role: 'attention' });
  return [
    ...stretches.flatMap(({ stretch, map }, i) => {
      const ends = [ways[i]!.from, ways[i]!.to];
      if (!stretch.gap || ends.some((t) => t.kind === 'hose end' && !t.hose)) return [];
      const [x, y] = map([stretch.gap.x, stretch.gap.y]);
      return [word([x, y + 5], '?', 18)];
    }),
    ...hoses.flatMap(({ left, right }, i) =>
      pieces[i]!.hose ? [] : [word([(left.x + right.x) / 2, right.y - 12], 'Choose hose and size', 15)],
    ),
  ];
}
