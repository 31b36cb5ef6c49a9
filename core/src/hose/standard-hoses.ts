import { formatDash } from '../units/index.js';
import type { Hose } from './hose.js';

type Row = readonly [dash: number, bore: number, outside: number, bend: number, bar: number];

interface Table {
  readonly construction: string;
  readonly name: string;
  readonly source: string;
  readonly temperature: readonly [number, number];
  readonly rows: readonly Row[];
}

/** Figures of the standard constructions: bore, outside, least bend radius to the centreline (mm), working pressure (bar). */
const tables: readonly Table[] = [
  {
    construction: 'ptfe',
    name: 'PTFE hose, steel braid',
    source: 'SAE J517 100R14, from memory',
    temperature: [-54, 204],
    rows: [
      [3, 3.2, 6.4, 38, 103],
      [4, 4.8, 8.1, 51, 103],
      [5, 6.4, 9.7, 76, 103],
      [6, 7.9, 11.3, 102, 103],
      [8, 10.3, 13.9, 132, 69],
      [10, 12.7, 16.6, 165, 55],
      [12, 15.9, 20, 196, 55],
      [16, 22.2, 26.9, 229, 55],
    ],
  },
  {
    construction: 'rubber',
    name: 'Rubber hose, steel braid',
    source: 'SAE J517 100R5, from memory',
    temperature: [-40, 100],
    rows: [
      [4, 4.8, 13.2, 76, 207],
      [5, 6.4, 14.8, 86, 207],
      [6, 7.9, 17.2, 102, 155],
      [8, 10.3, 19.5, 117, 138],
      [10, 12.7, 23.4, 140, 121],
      [12, 15.9, 27.4, 165, 103],
      [16, 22.2, 31.4, 187, 55],
    ],
  },
  {
    construction: 'pushon',
    name: 'Push-on hose',
    source: 'SAE J517 100R6, from memory',
    temperature: [-40, 100],
    rows: [
      [4, 6.4, 12.7, 65, 28],
      [6, 9.5, 15.9, 75, 28],
      [8, 12.7, 19.8, 102, 28],
      [10, 15.9, 23, 127, 24],
      [12, 19, 26.6, 152, 20],
    ],
  },
  {
    construction: 'coolant',
    name: 'Coolant hose',
    source: 'SAE J20, from memory',
    temperature: [-40, 125],
    rows: [
      [4, 6.4, 13.5, 60, 3],
      [6, 9.5, 17, 80, 3],
      [8, 12.7, 20.5, 100, 3],
      [10, 15.9, 23.8, 125, 3],
      [12, 19, 27, 150, 3],
      [16, 25.4, 34, 200, 3],
    ],
  },
  {
    construction: 'fuel',
    name: 'Fuel hose',
    source: 'SAE J30, from memory',
    temperature: [-40, 125],
    rows: [
      [4, 6.4, 12.7, 60, 7],
      [5, 7.9, 14.3, 70, 7],
      [6, 9.5, 16, 80, 7],
      [8, 12.7, 20, 105, 7],
      [10, 15.9, 24, 130, 5],
    ],
  },
  {
    construction: 'vacuum',
    name: 'Vacuum hose',
    source: 'common practice',
    temperature: [-50, 180],
    rows: [
      [3, 4.8, 9.5, 25, 1],
      [4, 6.4, 11.5, 32, 1],
      [5, 7.9, 13, 40, 1],
      [6, 9.5, 15, 50, 1],
    ],
  },
];

/** The hoses of the standard constructions, -3 to -16, without prices. */
export function standardHoses(): Hose[] {
  return tables.flatMap((table) =>
    table.rows.map(([dash, boreMm, outsideMm, bendRadiusMm, workingBar]) => ({
      id: `hose-${table.construction}-${dash}`,
      name: `${table.name}, ${formatDash(dash)}`,
      construction: table.construction,
      dash,
      boreMm,
      outsideMm,
      bendRadiusMm,
      workingBar,
      minTempC: table.temperature[0],
      maxTempC: table.temperature[1],
      source: table.source,
    })),
  );
}
