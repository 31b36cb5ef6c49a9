import { endForm } from '../connectors/index.js';
import { constructionById, isCutEnd, type Hose, type HoseEnd } from '../hose/index.js';
import { drawBody, type BodyStyle } from './body.js';
import type { Section } from './section.js';
import { drawBent, type DrawnPart } from './draw-adapter.js';
import { endSections } from './end-sections.js';
import { advance, bendFrames, pointAt, type Frame } from './frame.js';
import type { Shape } from './shape.js';
import { crossLines } from './surface.js';

/** Gap left between socket and collar when the end is made up, mm. */
const GAP = 1;

/**
 * A hose end from where the hose bottoms (the given frame) to its seat. Draw the hose first.
 * @param sense +1 bends towards the seen half, −1 the other way
 */
export function drawHoseEnd(frame: Frame, end: HoseEnd, hose: Hose | undefined, style: BodyStyle, sense: 1 | -1 = 1): DrawnPart {
  const endStyle = constructionById(end.construction).endStyle;
  // a cut hose closes round its barb, so its last stretch is drawn with the end, over the barb
  if (isCutEnd(end))
    return { shapes: hose ? [...drawHose(frame, -hose.boreMm * 1.3 - 14, hose, style), ...drawClamp(frame, hose)] : [], after: frame };
  if (endStyle === 'formed') return drawFormed(frame, end, style);
  const bore = end.boreMm / 2;
  const hoseBore = (hose?.boreMm ?? end.boreMm * 1.15) / 2;
  const hoseOutside = (hose?.outsideMm ?? end.socketMm * 0.8) / 2;
  const tube = Math.max(bore + 1, hoseBore * 0.95);
  const socket: Section[] =
    endStyle === 'push-on'
      ? [{ from: -end.socketLengthMm, to: 0, radius: hoseOutside * 1.12, bore: hoseOutside }]
      : [
          {
            from: -end.socketLengthMm,
            to: -end.socketLengthMm + 1.5,
            radius: end.socketMm / 2 - 0.8,
            radiusTo: end.socketMm / 2,
            bore: hoseOutside,
          },
          { from: -end.socketLengthMm + 1.5, to: -1.5, radius: end.socketMm / 2, bore: hoseOutside, surface: 'knurl' },
          { from: -1.5, to: 0, radius: end.socketMm / 2, radiusTo: end.socketMm / 2 - 0.8, bore: tube + 0.4 },
        ];
  const seat = end.angleDeg === 0 ? end.aMm : 0;
  const shank = shankLength(end);
  const collar: Section[] = [
    { from: -end.socketLengthMm * (endStyle === 'push-on' ? 6 : 0.92), to: 0, radius: Math.min(hoseBore, bore + 0.9), bore },
    { from: 0, to: GAP, radius: tube, bore },
    { from: GAP, to: shank * 0.62, radius: Math.max((end.hexMm / Math.sqrt(3)) * 0.9, tube + 1), bore, surface: 'hex' },
    { from: shank * 0.62, to: shank, radius: tube, bore },
  ];
  const made = endSections(end.connector, end.boreMm);
  const after = end.angleDeg === 0 ? advance(frame, seat) : seatFrame(frame, end, shank, sense);
  const shapes: Shape[] = [...drawBody(frame, collar, style), ...drawBody(frame, socket, { ...style, hatch: style.hatch + 60 })];
  if (endStyle === 'olive' && style.view === 'half') shapes.push(...olive(frame, hoseBore));
  if (end.angleDeg !== 0) {
    const bend = bendFrames(advance(frame, shank), end.bendRadiusMm, end.angleDeg * sense);
    const tail = endForm(end.connector).reachMm + 1.5;
    shapes.push(...drawBent([...bend, advance(after, -tail)], tube, bore, style));
  }
  shapes.push(...drawBody(after, made.body, style));
  if (made.nut) shapes.push(...drawBody(after, made.nut, { ...style, hatch: style.hatch + 105 }));
  return { shapes, after };
}

/** A flare with the nut behind it, or a bead: the tube itself goes on to its seat. */
function drawFormed(frame: Frame, end: HoseEnd, style: BodyStyle): DrawnPart {
  const after = advance(frame, end.aMm);
  const made = endSections(end.connector, end.boreMm);
  const shapes = drawBody(after, made.body, style);
  if (made.nut) shapes.push(...drawBody(after, made.nut, { ...style, hatch: style.hatch + 105 }));
  return { shapes, after };
}

/** A hose end that is met at its seat, by a walk along `frame`: where its hose bottoms, and its shapes. The hose goes on against `start`. */
export function drawHoseEndBackwards(
  frame: Frame,
  end: HoseEnd,
  hose: Hose | undefined,
  style: BodyStyle,
  sense: 1 | -1,
): { readonly start: Frame; readonly shapes: readonly Shape[] } {
  const side = (frame.side * -1) as 1 | -1;
  const heading = frame.heading + Math.PI + side * sense * ((end.angleDeg * Math.PI) / 180);
  const bottom: Frame = { x: 0, y: 0, heading, side };
  const { after } = drawHoseEnd(bottom, end, hose, style, sense);
  const start = { ...bottom, x: frame.x - after.x, y: frame.y - after.y };
  return { start, shapes: drawHoseEnd(start, end, hose, style, sense).shapes };
}

/** A, less what bend and tail take of it: the straight part after the socket. */
function shankLength(end: HoseEnd): number {
  if (end.angleDeg === 0) return end.aMm - endForm(end.connector).reachMm - 1.5;
  const angle = (end.angleDeg * Math.PI) / 180;
  return Math.max(4, end.aMm - end.bendRadiusMm * Math.sin(angle) - tailLength(end) * Math.cos(angle));
}

function tailLength(end: HoseEnd): number {
  return endForm(end.connector).reachMm + 4;
}

function seatFrame(frame: Frame, end: HoseEnd, shank: number, sense: 1 | -1): Frame {
  const bend = bendFrames(advance(frame, shank), end.bendRadiusMm, end.angleDeg * sense);
  return advance(bend[bend.length - 1]!, tailLength(end));
}

function olive(frame: Frame, hoseBore: number): Shape[] {
  return [
    {
      kind: 'area',
      points: [
        pointAt(frame, -5.5, -hoseBore - 0.2),
        pointAt(frame, -1.6, -hoseBore - 1.7),
        pointAt(frame, -0.6, -hoseBore - 1.7),
        pointAt(frame, -0.6, -hoseBore - 0.2),
      ],
      fill: 'copper',
      stroke: 'fine',
    },
  ];
}

function drawClamp(frame: Frame, hose: Hose): Shape[] {
  const r = hose.outsideMm / 2;
  const from = -14;
  const to = -5;
  const half = (sign: 1 | -1): Shape => ({
    kind: 'area',
    points: [
      pointAt(frame, from, sign * r),
      pointAt(frame, from, sign * (r + 1.2)),
      pointAt(frame, to, sign * (r + 1.2)),
      pointAt(frame, to, sign * r),
    ],
    fill: 'metal',
    stroke: 'outline',
  });
  const screw: Shape = {
    kind: 'area',
    points: [
      pointAt(frame, from + 1, r + 1.2),
      pointAt(frame, from + 1, r + 6),
      pointAt(frame, to - 1, r + 6),
      pointAt(frame, to - 1, r + 1.2),
    ],
    fill: 'metal',
    stroke: 'outline',
  };
  const bandSeen: Shape = {
    kind: 'area',
    points: [pointAt(frame, from, 0), pointAt(frame, from, r), pointAt(frame, to, r), pointAt(frame, to, 0)],
    fill: 'metal',
    stroke: 'outline',
  };
  return [bandSeen, half(1), half(-1), screw];
}

/** The hose from `from` to where it bottoms at u = 0: its cover above the axis, its wall with liner and braid below. */
export function drawHose(frame: Frame, from: number, hose: Hose, style: BodyStyle): Shape[] {
  const outside = hose.outsideMm / 2;
  const bore = hose.boreMm / 2;
  const liner = bore + (outside - bore) * (hose.construction.endsWith('ptfe') ? 0.45 : 0.6);
  const rect = (low: number, high: number) => [
    pointAt(frame, from, low),
    pointAt(frame, from, high),
    pointAt(frame, 0, high),
    pointAt(frame, 0, low),
  ];
  const ptfe = hose.construction.endsWith('ptfe');
  const tube = constructionById(hose.construction).endStyle === 'formed';
  const braided = ptfe || hose.construction === 'rubber';
  const spacing = Math.max(1.3, outside * 0.2);
  const cover = (low: number, high: number): Shape[] => [
    { kind: 'area', points: rect(low, high), fill: 'metal', stroke: 'none' },
    ...(braided
      ? crossLines(frame, from, 0, low, high, spacing)
      : (tube ? [] : [0.3, 0.62, 0.86]).map((share): Shape => ({
          kind: 'line',
          points: [pointAt(frame, from, share * (low + high)), pointAt(frame, 0, share * (low + high))],
          stroke: 'thread',
        }))),
  ];
  if (style.view !== 'half')
    return [
      ...cover(0, outside),
      ...cover(-outside, 0),
      { kind: 'line', points: rect(-outside, outside).slice(1, 3), stroke: 'outline' },
      { kind: 'line', points: [pointAt(frame, from, -outside), pointAt(frame, 0, -outside)], stroke: 'outline' },
    ];
  return [
    ...cover(0, outside),
    { kind: 'line', points: [pointAt(frame, from, outside), pointAt(frame, 0, outside), pointAt(frame, 0, 0)], stroke: 'outline' },
    { kind: 'area', points: rect(-liner, -bore), fill: tube ? 'metal' : ptfe ? 'liner' : 'rubber', stroke: tube ? 'none' : 'fine' },
    { kind: 'area', points: rect(-outside, -liner), fill: tube ? 'metal' : braided ? 'braid' : 'rubber', stroke: 'outline' },
  ];
}
