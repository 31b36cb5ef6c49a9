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
