/** Spanners that a shop has, mm. Source: ISO 272 and what is sold, common practice. */
const METRIC = [
  6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26, 27, 28, 30, 32, 36, 38, 41, 46, 50, 55, 60, 65, 70, 75,
  80, 85, 90, 95, 100, 105, 110, 120, 130,
];
/** In sixteenths of an inch: each to 1 1/2, then those that are sold. */
const SIXTEENTHS = [
  ...Array.from({ length: 20 }, (_, i) => i + 5),
  26,
  27,
  28,
  29,
  30,
  32,
  33,
  34,
  36,
  38,
  40,
  42,
  44,
  46,
  48,
  50,
  52,
  56,
  60,
  64,
  68,
  72,
  80,
];
const INCH = SIXTEENTHS.map((n) => (n / 16) * 25.4);

/** The spanner that goes over at least this much, mm: of the metric row or the inch row. */
export function spannerFor(acrossMm: number, row: 'metric' | 'inch'): number {
  const sizes = row === 'metric' ? METRIC : INCH;
  const found = sizes.find((size) => size >= acrossMm - 0.06) ?? sizes[sizes.length - 1]!;
  return Math.round(found * 100) / 100;
}

/** Whether a spanner of either row fits: within what its tolerance lets turn, mm. */
export function isSpanner(acrossMm: number): boolean {
  return [...METRIC, ...INCH].some((size) => Math.abs(size - acrossMm) < 0.06);
}
