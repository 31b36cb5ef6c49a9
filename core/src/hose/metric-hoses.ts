import type { Hose } from './hose.js';

type Row = readonly [metricMm: number, outside: number, bend: number, bar: number, vacuumBar: number, gPerM: number];

interface Table {
  readonly construction: string;
  readonly name: string;
  readonly source: string;
  readonly temperature: readonly [number, number];
  readonly rows: readonly Row[];
}

/** Hoses that are made to a metric bore, for coolant, oil, fuel and vacuum; units as in the tables of inch bores. */
const tables: readonly Table[] = [
  {
    construction: 'coolant',
    name: 'Coolant hose',
    source: 'common practice, from memory',
    temperature: [-40, 125],
    rows: [
      [6, 13, 60, 3, 0, 115],
      [8, 15, 70, 3, 0, 150],
      [10, 17, 85, 3, 0, 190],
      [13, 20.5, 100, 3, 0, 250],
      [16, 24, 125, 3, 0, 310],
      [19, 27, 150, 3, 0, 370],
      [22, 30, 175, 3, 0, 430],
      [25, 34, 200, 3, 0, 560],
      [28, 37, 225, 2.5, 0, 610],
      [32, 41, 250, 2, 0, 700],
      [35, 45, 280, 2, 0, 790],
      [38, 48, 300, 2, 0, 850],
      [45, 55, 360, 2, 0, 990],
    ],
  },
  {
    construction: 'silicone',
    name: 'Silicone coolant hose',
    source: 'common practice, from memory',
    temperature: [-55, 175],
    rows: [
      [13, 21, 80, 4, 0, 240],
      [16, 24, 95, 4, 0, 290],
      [19, 27, 115, 4, 0, 330],
      [22, 30, 135, 3, 0, 380],
      [25, 34, 150, 3, 0, 480],
      [28, 37, 170, 2.5, 0, 520],
      [32, 41, 190, 2.5, 0, 590],
      [35, 44, 210, 2, 0, 640],
      [38, 47, 230, 2, 0, 690],
      [45, 54, 270, 2, 0, 810],
      [51, 60, 305, 2, 0, 910],
    ],
  },
  {
    construction: 'oil',
    name: 'Oil hose, textile braid',
    source: 'common practice, from memory; pressure by its clamps',
    temperature: [-40, 125],
    rows: [
      [6, 13, 75, 10, 0.6, 150],
      [8, 16, 100, 10, 0.6, 220],
      [10, 18, 110, 10, 0.6, 260],
      [13, 23, 130, 6, 0.6, 390],
      [16, 27, 145, 6, 0.5, 460],
      [19, 31, 155, 6, 0.5, 580],
      [22, 34, 180, 4, 0.4, 640],
      [25, 38, 205, 4, 0.4, 720],
      [32, 45, 255, 3, 0.3, 870],
      [38, 51, 305, 3, 0.3, 980],
    ],
  },
  {
    construction: 'fuel',
    name: 'Fuel hose R9',
    source: 'SAE J30 R9, from memory; metric bores by common practice',
    temperature: [-40, 150],
    rows: [
      [6, 12.5, 60, 6.9, 0.34, 110],
      [8, 14.5, 75, 6.9, 0.34, 135],
      [10, 16.5, 85, 6.9, 0.34, 160],
      [12, 19.5, 105, 3.4, 0.34, 225],
    ],
  },
  {
    construction: 'booster',
    name: 'Brake booster hose',
    source: 'SAE J1403, from memory; metric bores by common practice',
    temperature: [-40, 135],
    rows: [
      [10, 18.5, 90, 2, 0.97, 270],
      [12, 21, 110, 2, 0.97, 330],
    ],
  },
  {
    construction: 'vacuum',
    name: 'Vacuum hose',
    source: 'common practice',
    temperature: [-50, 180],
    rows: [
      [3, 7, 20, 4, 0.95, 40],
      [4, 9, 25, 4, 0.95, 55],
      [5, 10, 28, 4, 0.95, 65],
      [6, 11, 32, 3.5, 0.95, 75],
      [8, 14, 42, 3, 0.95, 110],
      [10, 17, 55, 2.5, 0.9, 150],
      [12, 19, 65, 2, 0.85, 175],
    ],
  },
];

/** The dash size next to a bore. */
export function dashOfBore(boreMm: number): number {
  return Math.max(1, Math.round((boreMm / 25.4) * 16));
}

/** The hoses of metric bores, without prices. */
export function metricHoses(): Hose[] {
  return tables.flatMap(({ construction, name, source, temperature: [minTempC, maxTempC], rows }) =>
    rows.map(([metricMm, outsideMm, bendRadiusMm, workingBar, vacuumBar, massGPerM]) => ({
      id: `hose-${construction}-${metricMm}mm`,
      name: `${name}, ${metricMm} mm`,
      construction,
      dash: dashOfBore(metricMm),
      metricMm,
      boreMm: metricMm,
      outsideMm,
      bendRadiusMm,
      workingBar,
      burstBar: Math.round(workingBar * 40) / 10,
      vacuumBar,
      massGPerM,
      minTempC,
      maxTempC,
      source,
    })),
  );
}
