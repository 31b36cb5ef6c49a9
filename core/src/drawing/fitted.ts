import { boundsOf, placeShapes, type Drawing, type Shape } from './shape.js';

/** Fits shapes into a sheet, as large as it allows: from its left edge, in its middle, or in its middle on their axis. */
export function fitted(
  parts: readonly Shape[],
  width: number,
  height: number,
  title: string,
  largest: number,
  align: 'left' | 'middle' | 'on axis',
): Drawing {
  if (parts.length === 0) return { width, height, shapes: [], title };
  const bare = boundsOf(parts);
  const shapes: Shape[] =
    align !== 'on axis'
      ? [...parts]
      : [
          ...parts,
          {
            kind: 'line',
            points: [
              [bare.left - 3, 0],
              [bare.right + 3, 0],
            ],
            stroke: 'centre',
          },
        ];
  const box = boundsOf(shapes);
  const scale = Math.min(largest, (width - 6) / (box.right - box.left), (height - 6) / (box.bottom - box.top));
  const dx = align === 'left' ? 3 - box.left * scale : width / 2 - ((box.left + box.right) / 2) * scale;
  return { width, height, shapes: placeShapes(shapes, scale, dx, height / 2 - ((box.top + box.bottom) / 2) * scale), title };
}
