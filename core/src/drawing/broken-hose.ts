import type { Hose } from '../hose/index.js';
import { drawHose } from './draw-hose-end.js';
import { pointAt, type Frame } from './frame.js';
import { BREAK_GAP, isLevel, type PlacedHose } from './sheet-layout.js';
import { placeShapes, type Shape } from './shape.js';

const STUB = 40;
const WAVES = 12;

/** A hose too long for the sheet: both its halves, with a break between them. A half that leaves a turned end is a stub along it. */
export function brokenHose(hose: Hose, { left, right }: PlacedHose, scale: number): Shape[] {
  const level = isLevel(left);
  const middle = level ? (left.x + right.x) / 2 : right.x - STUB - BREAK_GAP / 2;
  const leftLength = level ? middle - BREAK_GAP / 2 - left.x : STUB;
  const rightLength = right.x - middle - BREAK_GAP / 2;
  return [...half(hose, left, leftLength, scale), ...half(hose, right, rightLength, scale), ...(level ? [centre(middle, left.y)] : [])];
}

/** From where the hose bottoms outwards, and the break at its end. The frame heads out of the hose, so the hose lies behind it. */
function half(hose: Hose, frame: Frame, length: number, scale: number): Shape[] {
  const local = { ...frame, x: 0, y: 0 };
  const r = (hose.outsideMm / 2) * scale;
  const wave = (i: number): number => -length - 3 - Math.sin((i / WAVES) * Math.PI * 2) * 4 * frame.side;
  const edge = Array.from({ length: WAVES + 1 }, (_, i) => pointAt(frame, wave(i) + 0, r - (2 * r * i) / WAVES));
  const beyond = (sign: 1 | -1) => pointAt(frame, -length - 12, sign * (r + 1));
  const outer = [pointAt(frame, wave(0), r + 1), ...edge, pointAt(frame, wave(WAVES), -r - 1)];
  return [
    ...placeShapes(drawHose(local, -(length + 6) / scale, hose, { hatch: 45, view: 'half' }), scale, frame.x, frame.y),
    { kind: 'area', points: [...outer, beyond(-1), beyond(1)], fill: 'paper', stroke: 'none' },
    { kind: 'line', points: edge, stroke: 'outline' },
  ];
}

function centre(middle: number, y: number): Shape {
  return {
    kind: 'line',
    points: [
      [middle - BREAK_GAP / 2 - 3, y],
      [middle + BREAK_GAP / 2 + 3, y],
    ],
    stroke: 'centre',
  };
}
