export interface Washer {
  readonly insideMm: number;
  readonly outsideMm: number;
  readonly thicknessMm: number;
  /** `14 × 18 × 1.5`. */
  readonly size: string;
}

type Row = readonly [inside: number, outside: number, thickness: number, goesOverMm?: number];

/** What a washer is wider than its nominal bolt, mm: a little more from 24 up. Source: DIN 7603, from memory. */
function goesOver([insideMm, , , most]: Row): number {
  return most ?? insideMm + (insideMm < 24 ? 0.2 : 0.3);
}
/** What an inch bolt of class 2A is smaller than its nominal diameter, mm, at the least. Source: ASME B1.1. */
const BELOW_NOMINAL_MM = 0.04;

/** Flat washers, inside × outside × thickness in mm. Source: DIN 7603 form A, from memory. */
const FLAT: readonly Row[] = [
  [5, 9, 1],
  [6, 10, 1],
  [8, 12, 1],
  [10, 14, 1],
  [12, 16, 1.5],
  // for 1/2 in bolts; G 1/4 by custom takes 14
  [13, 18, 1.5, 12.9],
  [14, 18, 1.5],
  [15, 19, 1.5],
  [16, 20, 1.5],
  [17, 21, 1.5],
  [18, 22, 1.5],
  [20, 24, 1.5],
  [21, 26, 1.5],
  [22, 27, 1.5],
  [24, 29, 2],
  [26, 31, 2],
  [27, 32, 2],
  [28, 33, 2],
  [30, 36, 2],
  [33, 39, 2],
  [36, 42, 2],
  [38, 44, 2],
  [40, 47, 2],
  [42, 49, 2],
  [45, 52, 2],
  [48, 55, 2],
  [60, 68, 2.5],
  [65, 74, 2.5],
];

/** The flat washer for a bolt of this major diameter, mm: the smallest that passes over its threads. */
export function washerFor(boltMm: number): Washer {
  return washer(FLAT.find((row) => goesOver(row) >= boltMm - BELOW_NOMINAL_MM) ?? FLAT[FLAT.length - 1]!);
}

/**
 * Bonded washers (metal ring, rubber lip) by the thread they go over: inside of the lip, outside, thickness in mm.
 * Source: common maker-independent sizes for metric and British parallel threads, from memory.
 */
const BONDED: Readonly<Record<string, Row>> = {
  M8: [8.7, 14, 1],
  M10: [10.7, 16, 1.5],
  M12: [12.7, 18, 1.5],
  M14: [14.7, 22, 1.5],
  M16: [16.7, 24, 1.5],
  M18: [18.7, 26, 1.5],
  M20: [20.7, 28, 1.5],
  M22: [22.7, 30, 2],
  M24: [24.7, 32, 2],
  M26: [26.7, 35, 2],
  M27: [27.7, 36, 2],
  M30: [31, 39, 2],
  M33: [34.3, 43, 2],
  M36: [37, 46, 2],
  M42: [43, 53, 3],
  M48: [49, 59, 3],
  'G 1/8': [10.4, 15.9, 2],
  'G 1/4': [13.7, 20.6, 2.1],
  'G 3/8': [17.3, 23.8, 2.1],
  'G 1/2': [21.5, 28.6, 2.5],
  'G 5/8': [23.5, 31.8, 2.5],
  'G 3/4': [27.1, 34.9, 2.5],
  'G 1': [33.9, 42.8, 3.4],
  'G 1 1/4': [42.9, 52.4, 3.4],
  'G 1 1/2': [48.4, 58.6, 3.4],
  'G 2': [60.6, 73, 3.4],
};

/** The bonded washer for a thread (`M14×1.5`, `G 1/4`); undefined where none is made. */
export function bondedWasherFor(designation: string): Washer | undefined {
  const row = BONDED[designation.split('×')[0]!];
  return row && washer(row);
}

/** Every flat washer there is, and every bonded one. */
export const flatWashers: readonly Washer[] = FLAT.map(washer);
export const bondedWashers: readonly Washer[] = Object.values(BONDED).map(washer);

function washer([insideMm, outsideMm, thicknessMm]: Row): Washer {
  return { insideMm, outsideMm, thicknessMm, size: `${insideMm} × ${outsideMm} × ${thicknessMm}` };
}
