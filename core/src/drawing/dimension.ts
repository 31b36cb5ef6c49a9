import type { Point, Shape } from './shape.js';

const ARROW = 6;

/** A level dimension between two places at height y, with its extension lines; a figure too wide for it stands at the `spill` side. */
export function dimension(from: Point, to: Point, y: number, text: string, spill: 'left' | 'right' = 'right'): Shape[] {
  const [left, right] = from[0] <= to[0] ? [from, to] : [to, from];
  const width = right[0] - left[0];
  const outside = width < ARROW * 3;
  const arrow = (x: number, direction: 1 | -1): Shape => ({
    kind: 'area',
    points: [
      [x, y],
      [x + direction * ARROW, y - 2],
      [x + direction * ARROW, y + 2],
    ],
    fill: 'accent',
    stroke: 'none',
  });
  const line: Point[] = outside
    ? [
        [left[0] - ARROW * 2, y],
        [right[0] + ARROW * 2, y],
      ]
    : [
        [left[0], y],
        [right[0], y],
      ];
  const narrow = width < text.length * 6.2;
  return [
    ...[left, right].map((p): Shape => ({
      kind: 'line',
      points: [
        [p[0], p[1]],
        [p[0], y + 4],
      ],
      stroke: 'dimension',
    })),
    { kind: 'line', points: line, stroke: 'dimension' },
    arrow(left[0], outside ? -1 : 1),
    arrow(right[0], outside ? 1 : -1),
    {
      kind: 'text',
      at: narrow ? [spill === 'right' ? right[0] + ARROW * 2.4 : left[0] - ARROW * 2.4, y + 4] : [(left[0] + right[0]) / 2, y - 4],
      text,
      size: 14,
      anchor: narrow ? (spill === 'right' ? 'start' : 'end') : 'middle',
      role: 'dimension',
    },
  ];
}
