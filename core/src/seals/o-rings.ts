export interface ORing {
  readonly id: string;
  readonly insideMm: number;
  readonly sectionMm: number;
}

/**
 * O-rings of the AS568-9xx boss series: the number after 9 is the tube size in sixteenths; inside diameter and section in inches as
 * the standard gives them. Source: AS568, from memory.
 */
const BOSS_SERIES: readonly (readonly [tube: number, insideIn: number, sectionIn: number])[] = [
  [1, 0.185, 0.056],
  [2, 0.239, 0.064],
  [3, 0.301, 0.064],
  [4, 0.351, 0.072],
  [5, 0.414, 0.072],
  [6, 0.468, 0.078],
  [7, 0.53, 0.082],
  [8, 0.644, 0.087],
  [9, 0.706, 0.097],
  [10, 0.755, 0.097],
  [11, 0.863, 0.116],
  [12, 0.924, 0.116],
  [13, 0.986, 0.116],
  [14, 1.047, 0.116],
  [16, 1.171, 0.116],
  [18, 1.355, 0.116],
  [20, 1.475, 0.118],
  [24, 1.72, 0.118],
  [28, 2.09, 0.118],
  [32, 2.337, 0.118],
];

/** Boss rings by dash size, in mm. */
export const bossRings: Readonly<Record<string, ORing>> = Object.fromEntries(
  BOSS_SERIES.map(([tube, inside, section]) => [
    String(tube),
    { id: `AS568-9${String(tube).padStart(2, '0')}`, insideMm: inside * 25.4, sectionMm: section * 25.4 },
  ]),
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

/**
 * O-rings of British parallel studs by thread size: inside diameter × section in mm. Common sizes of studs with a retaining ring, from
 * memory: the stud in hand goes first.
 */
export const studRings: Readonly<Record<string, { insideMm: number; sectionMm: number }>> = {
  '1/8': { insideMm: 8, sectionMm: 1.88 },
  '1/4': { insideMm: 10.77, sectionMm: 2.62 },
  '3/8': { insideMm: 13.94, sectionMm: 2.62 },
  '1/2': { insideMm: 17.96, sectionMm: 2.62 },
  '5/8': { insideMm: 20.3, sectionMm: 2.62 },
  '3/4': { insideMm: 23.47, sectionMm: 2.62 },
  '1': { insideMm: 29.74, sectionMm: 3.53 },
};
