import { connectorName } from '../connectors/index.js';
import { constructionById } from '../hose/index.js';
import type { AssembledLine } from '../lines/index.js';
import { formatDash, formatQuantity, type UnitSystem } from '../units/index.js';
import { placeBalloons, type OnSheet } from './balloons.js';
import { dimension } from './dimension.js';
import { drawHose } from './draw-hose-end.js';
import { pointAt, startFrame, type Frame } from './frame.js';
import { boundsOf, placeShapes, type Drawing, type Point, type Shape } from './shape.js';
import { drawSide, type Side } from './side.js';

export interface RunSheetOptions {
  readonly width: number;
  readonly height: number;
  readonly jobNumber: string;
  readonly system: UnitSystem;
  /** Leave ports and adapters away: the hose with its two ends, as it comes off the bench. */
  readonly hoseOnly?: boolean;
}

const MARGIN = 30;
const BREAK_GAP = 44;
const LEAST_HOSE = 46;
const LARGEST_SCALE = 3.7;

/** The line drawn to scale as it would lie on the bench, half in section, with balloons, dimensions and title block. */
export function runSheet(assembled: AssembledLine, options: RunSheetOptions): Drawing {
  const { width, height } = options;
  const withPort = !options.hoseOnly;
  const [endA, endB] = options.hoseOnly
    ? (assembled.ends.map((e) => ({ ...e, chain: undefined })) as unknown as AssembledLine['ends'])
    : assembled.ends;
  const of = (side: 'A' | 'B') =>
    options.hoseOnly
      ? assembled.joints.filter((j) => j.side === side && j.title === 'Hose end to hose')
      : assembled.joints.filter((j) => j.side === side);
  const a = drawSide(endA, assembled.hose, -1, of('A'), 'half', withPort);
  const b = drawSide(endB, assembled.hose, 1, of('B'), 'half', withPort);
  const layout = fit(a, b, width, height, options.hoseOnly ?? false);
  const shapes: Shape[] = [];
  const at =
    (side: 'A' | 'B') =>
    (point: Point): Point => [point[0] * layout.scale + (side === 'A' ? layout.xA : layout.xB), point[1] * layout.scale + layout.axis];
  shapes.push(
    { kind: 'line', points: axisLine(a, at('A'), layout.xA), stroke: 'centre' },
    { kind: 'line', points: axisLine(b, at('B'), layout.xB), stroke: 'centre' },
  );
  const middle = (layout.xA + layout.xB) / 2;
  shapes.push({
    kind: 'line',
    points: [
      [layout.xA, layout.axis],
      [layout.xB, layout.axis],
    ],
    stroke: 'centre',
  });
  if (assembled.hose) shapes.push(...brokenHose(assembled.hose, layout, middle));
  shapes.push(
    ...placeShapes(a.shapes, layout.scale, layout.xA, layout.axis),
    ...placeShapes(b.shapes, layout.scale, layout.xB, layout.axis),
  );
  shapes.push(...dimensions(assembled, a, b, at, layout, options));
  if (!options.hoseOnly) {
    shapes.push(...openPlaces(a, b, at, assembled, middle, layout.axis));
    for (const [side, drawn] of [
      ['A', a],
      ['B', b],
    ] as const)
      shapes.push(...throatLabels(drawn, at(side), layout.scale, options.system));
    const joints: OnSheet[] = [
      ...a.joints.map((place) => ({ place, map: at('A'), scale: layout.scale })),
      ...b.joints.map((place) => ({ place, map: at('B'), scale: layout.scale })),
    ];
    shapes.push(...placeBalloons(joints, 100, { left: 14, right: width - 14, top: 76, bottom: height - 70 }));
    shapes.push(...titles(assembled, options));
  }
  return { width, height, shapes, title: sheetInWords(assembled, options.system) };
}

interface Layout {
  readonly scale: number;
  readonly xA: number;
  readonly xB: number;
  readonly axis: number;
}

/**
 * The largest scale at which both sides fit. A level side leaves the top to its balloons; a side that turns up may use it: below
 * the title on the left, up to the frame on the right.
 */
function fit(a: Side, b: Side, width: number, height: number, hoseOnly: boolean): Layout {
  const empty = { left: 0, right: 0, top: -10, bottom: 10 };
  const boxes = [a, b].map((side) => (side.shapes.length > 0 ? boundsOf(side.shapes) : empty)) as [typeof empty, typeof empty];
  const [boxA, boxB] = boxes;
  const down = Math.max(boxA.bottom, boxB.bottom);
  const bottom = hoseOnly ? height - 44 : height - 104;
  const tops = boxes.map((box, i) => (hoseOnly ? 12 : -box.top < down * 1.6 ? 124 : i === 0 ? 70 : 24));
  const wide = Math.max(1, -boxA.left) + Math.max(1, boxB.right);
  const overhang = Math.min(30, Math.max(boxA.right, -boxB.left, 0));
  const acrossScale = (width - 2 * MARGIN - BREAK_GAP - 2 * LEAST_HOSE) / (wide + 2 * overhang);
  const upScale = Math.min(...boxes.map((box, i) => (bottom - tops[i]!) / (down - box.top)));
  const scale = Math.min(LARGEST_SCALE, acrossScale, upScale);
  const highest = Math.max(...boxes.map((box, i) => tops[i]! - box.top * scale));
  const lowest = bottom - down * scale;
  return { scale, xA: MARGIN - boxA.left * scale, xB: width - MARGIN - boxB.right * scale, axis: (highest + lowest) / 2 };
}

function axisLine(side: Side, map: (p: Point) => Point, x: number): Point[] {
  const end = side.port ?? side.seat ?? startFrame(1);
  const far = pointAt(end, 6, 0);
  const flat = Math.abs(far[1]) < 0.01;
  return flat ? [[x, map(far)[1]], map(far)] : [map(pointAt(end, -10, 0)), map(far)];
}

function brokenHose(hose: NonNullable<AssembledLine['hose']>, layout: Layout, middle: number): Shape[] {
  const style = { hatch: 45, view: 'half' as const };
  const lengthA = (middle - BREAK_GAP / 2 - layout.xA) / layout.scale;
  const lengthB = (layout.xB - middle - BREAK_GAP / 2) / layout.scale;
  const r = (hose.outsideMm / 2) * layout.scale;
  const edge = (x: number): Shape => ({
    kind: 'area',
    points: [
      ...Array.from({ length: 13 }, (_, i): Point => [
        x + Math.sin((i / 12) * Math.PI * 2) * 4,
        layout.axis - r - 1 + ((2 * r + 2) * i) / 12,
      ]),
      [x + (x < middle ? 9 : -9), layout.axis + r + 1],
      [x + (x < middle ? 9 : -9), layout.axis - r - 1],
    ],
    fill: 'paper',
    stroke: 'none',
  });
  const wave = (x: number): Shape => ({
    kind: 'line',
    points: Array.from({ length: 13 }, (_, i): Point => [x + Math.sin((i / 12) * Math.PI * 2) * 4, layout.axis - r + (2 * r * i) / 12]),
    stroke: 'outline',
  });
  const left = middle - BREAK_GAP / 2 - 3;
  const right = middle + BREAK_GAP / 2 + 3;
  const centre: Shape = {
    kind: 'line',
    points: [
      [left, layout.axis],
      [right, layout.axis],
    ],
    stroke: 'centre',
  };
  return [
    ...placeShapes(drawHose(startFrame(-1), -lengthA, hose, style), layout.scale, layout.xA, layout.axis),
    ...placeShapes(drawHose(startFrame(1), -lengthB, hose, style), layout.scale, layout.xB, layout.axis),
    edge(left),
    edge(right),
    wave(left),
    wave(right),
    centre,
  ];
}

function dimensions(
  assembled: AssembledLine,
  a: Side,
  b: Side,
  at: (side: 'A' | 'B') => (p: Point) => Point,
  layout: Layout,
  options: RunSheetOptions,
): Shape[] {
  const { cut, ends, hose } = assembled;
  const { height, system } = options;
  const rows = options.hoseOnly ? [height - 24, height - 24] : [height - 88, height - 66];
  const mm = (value: number): string => formatQuantity(value, 'length', system);
  const shapes: Shape[] = [];
  const below = ((hose?.outsideMm ?? 10) / 2) * layout.scale + 8;
  if (hose && ends[0].hoseEnd && ends[1].hoseEnd)
    shapes.push(
      ...dimension(
        [layout.xA, layout.axis + below],
        [layout.xB, layout.axis + below],
        rows[0]!,
        cut ? `cut ${mm(cut.cutMm)}` : 'cut length open',
      ),
    );
  if (options.hoseOnly) return shapes;
  for (const [side, drawn] of [
    ['A', a],
    ['B', b],
  ] as const) {
    if (!drawn.port || !drawn.seat || !level(drawn.port) || !level(drawn.seat)) continue;
    const stack = Math.abs(drawn.port.x - drawn.seat.x);
    if (stack < 1) continue;
    const drop = (frame: Frame): Point => [at(side)([frame.x, 0])[0], layout.axis + below];
    shapes.push(
      ...dimension(
        drop(drawn.port),
        drop(drawn.seat),
        rows[0]!,
        formatQuantity(stack, 'length', system, { bare: true }),
        side === 'A' ? 'left' : 'right',
      ),
    );
  }
  if (a.seat && b.seat && cut) {
    const drop = (side: 'A' | 'B', frame: Frame): Point => [at(side)([frame.x, 0])[0], layout.axis + below];
    for (const [side, frame] of [
      ['A', a.seat],
      ['B', b.seat],
    ] as const)
      if (!level(frame)) shapes.push({ kind: 'dot', at: at(side)([frame.x, frame.y]), radius: 2.5, fill: 'accent' });
    shapes.push(...dimension(drop('A', a.seat), drop('B', b.seat), rows[1]!, `assembly ${mm(cut.assemblyMm)} · taped ${mm(cut.tapedMm)}`));
  }
  return shapes;
}

/** The bore of each narrow fitting, written under it. */
function throatLabels(side: Side, map: (p: Point) => Point, scale: number, system: UnitSystem): Shape[] {
  return side.throats.map(({ frame, boreMm, radius }): Shape => {
    // off the metal on the cut side, where nothing else is written
    const [x, y] = map(pointAt(frame, 0, -radius - 16 / scale));
    const words = `⌀ ${formatQuantity(boreMm, 'length', system, { decimals: 1, denominator: 64 })}`;
    const tilted = !level(frame);
    return {
      kind: 'text',
      at: [x + (tilted ? 6 : 0), y + 4],
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

function openPlaces(
  a: Side,
  b: Side,
  at: (side: 'A' | 'B') => (p: Point) => Point,
  assembled: AssembledLine,
  middle: number,
  axis: number,
): Shape[] {
  const shapes: Shape[] = [];
  for (const [side, drawn] of [
    ['A', a],
    ['B', b],
  ] as const) {
    if (!drawn.gap || !assembled.hose) continue;
    const [x, y] = at(side)([drawn.gap.x, drawn.gap.y]);
    shapes.push({ kind: 'text', at: [x, y + 5], text: '?', size: 18, anchor: 'middle', role: 'attention' });
  }
  if (!assembled.hose)
    shapes.push({ kind: 'text', at: [middle, axis - 12], text: 'Choose hose and size', size: 15, anchor: 'middle', role: 'attention' });
  return shapes;
}

function titles(assembled: AssembledLine, { width, height, jobNumber }: RunSheetOptions): Shape[] {
  const { line, ends, joints, hose } = assembled;
  const hoseWords = hose ? `${formatDash(hose.dash)} ${constructionById(hose.construction).name}` : 'no hose yet';
  const sealed = joints.filter((j) => j.mating.outcome === 'seals').length;
  const boxWidth = 164;
  const left = width - 8 - boxWidth;
  const top = height - 8 - 48;
  const text = (
    x: number,
    y: number,
    words: string,
    size: number,
    role: 'title' | 'text' | 'quiet' | 'figure' | 'leak',
    anchor: 'start' | 'end' = 'start',
  ): Shape => ({ kind: 'text', at: [x, y], text: words, size, anchor, role });
  return [
    {
      kind: 'area',
      points: [
        [8, 8],
        [width - 8, 8],
        [width - 8, height - 8],
        [8, height - 8],
      ],
      fill: 'none',
      stroke: 'frame',
    },
    text(24, 36, `L${line.number} · ${line.name}`, 21, 'title'),
    text(
      24,
      56,
      clipped(`${hoseWords} · ${ends[0].component.name}, ${ends[0].port.label} to ${ends[1].component.name}, ${ends[1].port.label}`, width),
      13,
      'quiet',
    ),
    {
      kind: 'area',
      points: [
        [left, top],
        [width - 8, top],
        [width - 8, height - 8],
        [left, height - 8],
      ],
      fill: 'paper',
      stroke: 'frame',
    },
    {
      kind: 'line',
      points: [
        [left, top + 21],
        [width - 8, top + 21],
      ],
      stroke: 'frame',
    },
    {
      kind: 'line',
      points: [
        [left + boxWidth / 2, top + 21],
        [left + boxWidth / 2, height - 8],
      ],
      stroke: 'frame',
    },
    text(left + 8, top + 15, `${jobNumber} · L${line.number}`, 13, 'figure'),
    text(width - 16, top + 15, `rev ${line.version}`, 12, 'quiet', 'end'),
    text(left + 8, height - 15, 'joints', 11, 'quiet'),
    text(left + boxWidth / 2 - 8, height - 14, String(joints.length), 16, 'figure', 'end'),
    text(left + boxWidth / 2 + 8, height - 15, 'seal', 11, 'quiet'),
    text(width - 16, height - 14, String(sealed), 16, sealed < joints.length ? 'leak' : 'figure', 'end'),
  ];
}

function clipped(text: string, width: number): string {
  const most = Math.floor((width - 48) / 6.3);
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}

/** The drawing in words: parts in order, joints, lengths. */
function sheetInWords({ line, ends, joints, cut, hose }: AssembledLine, system: UnitSystem): string {
  const port = (i: 0 | 1) => `${ends[i].component.name}, ${ends[i].port.label} (${connectorName(ends[i].port.connector)})`;
  const chain = (i: 0 | 1) => ends[i].chain?.map((p) => p.fitting.name).join(', ') ?? 'way not chosen';
  const sealed = joints.filter((j) => j.mating.outcome === 'seals').length;
  return [
    `Line L${line.number}, ${line.name}: ${port(0)}; ${chain(0) || 'no adapter'}; ${ends[0].hoseEnd?.name ?? 'no hose end'}; ${hose?.name ?? 'no hose'}`,
    `${ends[1].hoseEnd?.name ?? 'no hose end'}; ${chain(1) || 'no adapter'}; ${port(1)}.`,
    `${joints.length} joints, ${sealed} seal. ${cut ? `Cut length ${formatQuantity(cut.cutMm, 'length', system)}.` : 'Cut length open.'}`,
  ].join('; ');
}
