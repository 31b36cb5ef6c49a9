/** O-rings of the AS568-9xx boss series by dash size: inside diameter and section in mm. Source: AS568, from memory. */
export const bossRings: Readonly<Record<string, { id: string; insideMm: number; sectionMm: number }>> = Object.fromEntries(
  (
    [
      ['2', '902', 0.239, 0.064],
      ['3', '903', 0.301, 0.064],
      ['4', '904', 0.351, 0.072],
      ['5', '905', 0.414, 0.072],
      ['6', '906', 0.468, 0.078],
      ['8', '908', 0.644, 0.087],
      ['10', '910', 0.755, 0.097],
      ['12', '912', 0.924, 0.116],
      ['14', '914', 1.047, 0.116],
      ['16', '916', 1.171, 0.116],
      ['20', '920', 1.475, 0.118],
      ['24', '924', 1.72, 0.118],
      ['32', '932', 2.337, 0.118],
    ] as const
  ).map(([dash, number, inside, section]) => [dash, { id: `AS568-${number}`, insideMm: inside * 25.4, sectionMm: section * 25.4 }]),
);

/** O-rings of metric ports by thread diameter: inside diameter × section in mm. Source: ISO 6149-1, from memory. */
export const metricPortRings: Readonly<Record<string, { insideMm: number; sectionMm: number }>> = {
  '8': { insideMm: 6.1, sectionMm: 1.6 },
  '10': { insideMm: 8.1, sectionMm: 1.6 },
  '12': { insideMm: 9.3, sectionMm: 2.2 },
  '14': { insideMm: 11.3, sectionMm: 2.2 },
  '16': { insideMm: 13.3, sectionMm: 2.2 },
  '18': { insideMm: 15.3, sectionMm: 2.2 },
  '20': { insideMm: 17.3, sectionMm: 2.2 },
  '22': { insideMm: 19.3, sectionMm: 2.2 },
  '27': { insideMm: 23.6, sectionMm: 2.9 },
  '33': { insideMm: 29.6, sectionMm: 2.9 },
  '42': { insideMm: 38.6, sectionMm: 2.9 },
  '48': { insideMm: 44.6, sectionMm: 2.9 },
};

/** Flat washers by bolt diameter: inside × outside × thickness in mm. Source: DIN 7603 form A, from memory. */
const METRIC_WASHERS: readonly (readonly [bolt: number, outside: number, thickness: number])[] = [
  [8, 12, 1],
  [10, 14, 1],
  [12, 16, 1.5],
  [14, 18, 1.5],
  [16, 20, 1.5],
  [18, 22, 1.5],
  [20, 24, 1.5],
  [22, 27, 1.5],
  [24, 29, 2],
  [26, 31, 2],
  [27, 32, 2],
  [30, 36, 2],
  [33, 39, 2],
  [36, 42, 2],
  [42, 49, 2],
  [48, 55, 2],
];

export interface Washer {
  readonly insideMm: number;
  readonly outsideMm: number;
  readonly thicknessMm: number;
  /** `14 × 18 × 1.5`. */
  readonly size: string;
}

/** The flat washer for a bolt of this major diameter: the next size up that goes over it. */
export function washerFor(boltMm: number): Washer {
  const row = METRIC_WASHERS.find(([bolt]) => bolt >= boltMm - 0.35) ?? METRIC_WASHERS[METRIC_WASHERS.length - 1]!;
  const [insideMm, outsideMm, thicknessMm] = row;
  return { insideMm, outsideMm, thicknessMm, size: `${insideMm} × ${outsideMm} × ${thicknessMm}` };
}
