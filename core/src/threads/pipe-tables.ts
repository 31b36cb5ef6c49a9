/**
 * American pipe sizes: outside diameter of the pipe, threads per inch and hand-tight engagement L1, in inches.
 * Source: ASME B1.20.1, table of basic dimensions, from memory; all else follows from its formulas.
 */
export const nptSizes: readonly { size: string; odIn: number; tpi: number; l1In: number }[] = [
  { size: '1/16', odIn: 0.3125, tpi: 27, l1In: 0.16 },
  { size: '1/8', odIn: 0.405, tpi: 27, l1In: 0.1615 },
  { size: '1/4', odIn: 0.54, tpi: 18, l1In: 0.2278 },
  { size: '3/8', odIn: 0.675, tpi: 18, l1In: 0.24 },
  { size: '1/2', odIn: 0.84, tpi: 14, l1In: 0.32 },
  { size: '3/4', odIn: 1.05, tpi: 14, l1In: 0.339 },
  { size: '1', odIn: 1.315, tpi: 11.5, l1In: 0.4 },
  { size: '1 1/4', odIn: 1.66, tpi: 11.5, l1In: 0.42 },
  { size: '1 1/2', odIn: 1.9, tpi: 11.5, l1In: 0.42 },
  { size: '2', odIn: 2.375, tpi: 11.5, l1In: 0.436 },
];

/**
 * British pipe sizes: major diameter (at the gauge plane for the taper thread) in mm, threads per inch; for the taper thread also its
 * gauge length and useful thread in mm. Source: ISO 228-1 and ISO 7-1, tables, from memory.
 */
export const britishPipeSizes: readonly { size: string; majorMm: number; tpi: number; gaugeMm?: number; usefulMm?: number }[] = [
  { size: '1/16', majorMm: 7.723, tpi: 28, gaugeMm: 4, usefulMm: 6.5 },
  { size: '1/8', majorMm: 9.728, tpi: 28, gaugeMm: 4, usefulMm: 6.5 },
  { size: '1/4', majorMm: 13.157, tpi: 19, gaugeMm: 6, usefulMm: 9.7 },
  { size: '3/8', majorMm: 16.662, tpi: 19, gaugeMm: 6.4, usefulMm: 10.1 },
  { size: '1/2', majorMm: 20.955, tpi: 14, gaugeMm: 8.2, usefulMm: 13.2 },
  { size: '5/8', majorMm: 22.911, tpi: 14 },
  { size: '3/4', majorMm: 26.441, tpi: 14, gaugeMm: 9.5, usefulMm: 14.5 },
  { size: '7/8', majorMm: 30.201, tpi: 14 },
  { size: '1', majorMm: 33.249, tpi: 11, gaugeMm: 10.4, usefulMm: 16.8 },
  { size: '1 1/8', majorMm: 37.897, tpi: 11 },
  { size: '1 1/4', majorMm: 41.91, tpi: 11, gaugeMm: 12.7, usefulMm: 19.1 },
  { size: '1 1/2', majorMm: 47.803, tpi: 11, gaugeMm: 12.7, usefulMm: 19.1 },
  { size: '1 3/4', majorMm: 53.746, tpi: 11 },
  { size: '2', majorMm: 59.614, tpi: 11, gaugeMm: 15.9, usefulMm: 23.4 },
];

/** Short metric taper threads: gauge plane and useful length from the small end, by pitch, in mm. Source: DIN 158, from memory. */
export const kegLengths: Readonly<Record<string, { gaugeMm: number; usefulMm: number }>> = {
  '1': { gaugeMm: 2.5, usefulMm: 5.5 },
  '1.5': { gaugeMm: 3.5, usefulMm: 8.5 },
  '2': { gaugeMm: 4.5, usefulMm: 10.5 },
};
export const kegSizes = [
  '6x1',
  '8x1',
  '10x1',
  '12x1.5',
  '14x1.5',
  '16x1.5',
  '18x1.5',
  '20x1.5',
  '22x1.5',
  '24x1.5',
  '27x2',
  '30x2',
] as const;
