import { connectorThread, type Connector } from '../connectors/index.js';

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

/** O-rings of metric ports by thread, of which the standard has one pitch a size: inside diameter × section in mm. Source: ISO 6149-1, from memory. */
export const metricPortRings: Readonly<Record<string, { insideMm: number; sectionMm: number }>> = {
  M8x1: { insideMm: 6.1, sectionMm: 1.6 },
  M10x1: { insideMm: 8.1, sectionMm: 1.6 },
  'M12x1.5': { insideMm: 9.3, sectionMm: 2.2 },
  'M14x1.5': { insideMm: 11.3, sectionMm: 2.2 },
  'M16x1.5': { insideMm: 13.3, sectionMm: 2.2 },
  'M18x1.5': { insideMm: 15.3, sectionMm: 2.2 },
  'M20x1.5': { insideMm: 17.3, sectionMm: 2.2 },
  'M22x1.5': { insideMm: 19.3, sectionMm: 2.2 },
  M27x2: { insideMm: 23.6, sectionMm: 2.9 },
  M30x2: { insideMm: 26.6, sectionMm: 2.9 },
  M33x2: { insideMm: 29.6, sectionMm: 2.9 },
  M42x2: { insideMm: 38.6, sectionMm: 2.9 },
  M48x2: { insideMm: 44.6, sectionMm: 2.9 },
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

/**
 * Profile rings captive in the shoulder of a stud, by its thread: inside and outside diameter in mm. Source: DIN 3869, from memory.
 */
const CAPTIVE: Readonly<Record<string, readonly [insideMm: number, outsideMm: number]>> = {
  M10: [8.4, 11.9],
  M12: [9.8, 14.4],
  M14: [11.6, 16.5],
  M16: [13.8, 18.9],
  M18: [15.7, 20.9],
  M20: [17.8, 22.9],
  M22: [19.6, 24.3],
  M26: [23.9, 29.2],
  M27: [23.9, 29.2],
  M33: [29.7, 35.7],
  M42: [38.8, 45.8],
  M48: [44.7, 50.7],
  'G 1/8': [8.4, 11.9],
  'G 1/4': [11.6, 16.5],
  'G 3/8': [14.7, 18.9],
  'G 1/2': [18.5, 23.9],
  'G 3/4': [23.9, 29.2],
  'G 1': [29.7, 35.7],
  'G 1 1/4': [38.8, 45.8],
  'G 1 1/2': [44.7, 50.7],
};
export const captiveRings: Readonly<Record<string, { insideMm: number; sectionMm: number }>> = Object.fromEntries(
  Object.entries(CAPTIVE).map(([thread, [insideMm, outsideMm]]) => [thread, { insideMm, sectionMm: (outsideMm - insideMm) / 2 }]),
);

/**
 * Rings of the AS568 -1xx and -2xx series from 10 mm up, as face grooves take them: number, inside diameter in inches. Source: AS568,
 * from memory.
 */
const GENERAL_SERIES: readonly (readonly [section: number, rows: string])[] = [
  [
    0.103,
    '111 0.424, 112 0.487, 113 0.549, 114 0.612, 115 0.674, 116 0.737, 117 0.799, 118 0.862, 119 0.924, 120 0.987, 121 1.049, 122 1.112, ' +
      '123 1.174, 124 1.237, 125 1.299, 126 1.362, 127 1.424, 128 1.487, 129 1.549, 130 1.612, 131 1.674, 132 1.737, 133 1.799, 134 1.862, ' +
      '135 1.925, 136 1.987, 137 2.05, 138 2.112, 139 2.175, 140 2.237, 141 2.3, 142 2.362, 143 2.425, 144 2.487, 145 2.55, 146 2.612, ' +
      '147 2.675, 148 2.737, 149 2.8, 150 2.862, 151 2.987, 152 3.237, 153 3.487, 154 3.737',
  ],
  [
    0.139,
    '205 0.421, 206 0.484, 207 0.546, 208 0.609, 209 0.671, 210 0.734, 211 0.796, 212 0.859, 213 0.921, 214 0.984, 215 1.046, 216 1.109, ' +
      '217 1.171, 218 1.234, 219 1.296, 220 1.359, 221 1.421, 222 1.484, 223 1.609, 224 1.734, 225 1.859, 226 1.984, 227 2.109, 228 2.234, ' +
      '229 2.359, 230 2.484, 231 2.609, 232 2.734, 233 2.859, 234 2.984, 235 3.109, 236 3.234, 237 3.359, 238 3.484, 239 3.609, 240 3.734',
  ],
];

/** Rings for the grooves of faces, in mm. */
export const faceRings: readonly ORing[] = GENERAL_SERIES.flatMap(([section, rows]) =>
  rows.split(', ').map((row): ORing => {
    const [number, inside] = row.split(' ');
    return { id: `AS568-${number}`, insideMm: Number(inside) * 25.4, sectionMm: section * 25.4 };
  }),
);

/** The ring that lies under the shoulder of a stud, or in the chamfer of its port; undefined where the joint has none. */
export function portRing(c: Connector): Pick<ORing, 'insideMm' | 'sectionMm'> | undefined {
  const thread = connectorThread(c);
  if (!thread) return undefined;
  if (c.family === 'orb') return bossRings[c.size];
  if (c.seat === 'captive') return captiveRings[captiveSize(c)];
  if (c.family === 'g') return c.seat === 'oring' ? studRings[c.size] : undefined;
  return c.family === 'metric' && c.seat === 'oring' ? metricPortRings[c.size] : undefined;
}

/** What a captive ring is named by: its thread without the pitch, `M14`, `G 1/4`. */
export function captiveSize({ family, size }: Connector): string {
  return family === 'g' ? `G ${size}` : size.split('x')[0]!;
}
