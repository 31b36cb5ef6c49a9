import { formatDash } from '../units/index.js';
import { hardLines } from './hard-lines.js';
import type { Hose } from './hose.js';
import { metricHoses } from './metric-hoses.js';

type Row = readonly [dash: number, bore: number, outside: number, bend: number, bar: number, vacuumBar: number, gPerM: number];

interface Table {
  readonly construction: string;
  /** In the id, where it is not the only hose of its construction and sizes. */
  readonly also?: string;
  readonly core?: 'conductive';
  readonly name: string;
  readonly source: string;
  readonly temperature: readonly [number, number];
  readonly rows: readonly Row[];
}

/** PTFE under steel braid, plain core or conductive. */
const PTFE: readonly Row[] = [
  [3, 3.2, 6.4, 38, 103, 0.95, 75],
  [4, 4.8, 8.1, 51, 103, 0.95, 100],
  [5, 6.4, 9.7, 76, 103, 0.95, 125],
  [6, 7.9, 11.3, 102, 103, 0.95, 160],
  [8, 10.3, 13.9, 132, 69, 0.95, 225],
  [10, 12.7, 16.6, 165, 55, 0.68, 285],
  [12, 15.9, 20, 196, 55, 0.68, 350],
  [16, 22.2, 26.9, 229, 55, 0.47, 490],
  [20, 28.6, 34.3, 406, 41, 0.47, 720],
];

/** PTFE that is folded along its length, under steel braid. */
const CONVOLUTED: readonly Row[] = [
  [8, 12.7, 18.8, 45, 80, 0.95, 230],
  [10, 15.9, 22.6, 57, 70, 0.95, 300],
  [12, 19, 26.4, 70, 60, 0.68, 370],
  [16, 25.4, 33.8, 100, 45, 0.68, 530],
];
const FOLDED = 'common sizes, from memory; the maker goes first';

/**
 * Figures of the standard constructions: bore, outside, least bend radius to the centreline (mm), working pressure and vacuum (bar), mass
 * (g/m, common practice).
 */
const tables: readonly Table[] = [
  { construction: 'ptfe', name: 'PTFE hose, steel braid', source: 'SAE J517 100R14, from memory', temperature: [-54, 204], rows: PTFE },
  {
    construction: 'ptfe',
    also: 'fuel',
    core: 'conductive',
    name: 'PTFE hose for fuel, conductive core, steel braid',
    source: 'SAE J517 100R14 type B, from memory',
    temperature: [-54, 204],
    rows: PTFE,
  },
  {
    construction: 'rubber',
    name: 'AN rubber hose, steel braid',
    source: 'common practice, from memory; the maker goes first',
    temperature: [-40, 150],
    rows: [
      [4, 5.6, 11.9, 51, 70, 0.95, 190],
      [6, 8.7, 14.2, 64, 70, 0.95, 230],
      [8, 11.1, 16.8, 89, 60, 0.95, 310],
      [10, 14.3, 20.3, 102, 50, 0.95, 400],
      [12, 17.5, 24.1, 127, 45, 0.68, 510],
      [16, 22.2, 29.7, 152, 35, 0.68, 680],
      [20, 28.6, 36.8, 203, 35, 0.51, 900],
    ],
  },
  {
    construction: 'truck',
    name: 'Truck hose 100R5, textile cover',
    source: 'SAE J517 100R5, from memory',
    temperature: [-40, 100],
    rows: [
      [4, 4.8, 13.2, 76, 207, 0.95, 260],
      [5, 6.4, 14.8, 86, 207, 0.95, 300],
      [6, 7.9, 17.2, 102, 155, 0.95, 390],
      [8, 10.3, 19.5, 117, 138, 0.95, 470],
      [10, 12.7, 23.4, 140, 121, 0.95, 640],
      [12, 15.9, 27.4, 165, 103, 0.68, 740],
      [16, 22.2, 31.4, 187, 55, 0.68, 890],
      [20, 28.6, 38.1, 229, 43, 0.51, 1150],
    ],
  },
  {
    construction: 'pushon',
    name: 'Push-on hose for hot oil',
    source: 'SAE J517 100R6 dimensions, from memory; its heat by common practice: read the print on it',
    temperature: [-40, 150],
    rows: [
      [4, 6.4, 12.7, 65, 20, 0.95, 130],
      [6, 9.5, 15.9, 75, 20, 0.95, 165],
      [8, 12.7, 19.8, 102, 17, 0.95, 240],
      [10, 15.9, 23, 127, 17, 0.51, 290],
      [12, 19, 26.6, 152, 14, 0.51, 380],
      [16, 25.4, 34, 203, 10, 0.4, 540],
    ],
  },
  {
    construction: 'pushon',
    also: 'r6',
    name: 'Push-on hose 100R6',
    source: 'SAE J517 100R6, from memory',
    temperature: [-40, 100],
    rows: [
      [4, 6.4, 12.7, 65, 28, 0.95, 130],
      [6, 9.5, 15.9, 75, 28, 0.95, 165],
      [8, 12.7, 19.8, 102, 28, 0.95, 240],
      [10, 15.9, 23, 127, 24, 0.51, 290],
      [12, 19, 26.6, 152, 20, 0.51, 380],
      [16, 25.4, 34, 203, 14, 0.4, 540],
    ],
  },
  {
    construction: 'coolant',
    name: 'Coolant hose',
    source: 'SAE J20, from memory',
    temperature: [-40, 125],
    rows: [
      [4, 6.4, 13.5, 60, 3, 0, 120],
      [6, 9.5, 17, 80, 3, 0, 190],
      [8, 12.7, 20.5, 100, 3, 0, 250],
      [10, 15.9, 23.8, 125, 3, 0, 310],
      [12, 19, 27, 150, 3, 0, 370],
      [16, 25.4, 34, 200, 3, 0, 560],
      [20, 31.8, 41, 250, 2, 0, 700],
      [24, 38.1, 48, 300, 2, 0, 850],
    ],
  },
  {
    construction: 'oil',
    name: 'Oil hose, textile braid',
    source: 'SAE J517 100R3 dimensions, from memory; pressure by its clamps, common practice',
    temperature: [-40, 125],
    rows: [
      [4, 6.4, 14.3, 76, 10, 0.6, 170],
      [5, 7.9, 17.5, 100, 10, 0.6, 240],
      [6, 9.5, 19, 100, 10, 0.6, 270],
      [8, 12.7, 23.8, 127, 10, 0.6, 390],
      [10, 15.9, 27, 140, 6, 0.5, 460],
      [12, 19, 31.8, 152, 6, 0.5, 590],
      [14, 22.2, 34.9, 178, 4, 0.4, 650],
      [16, 25.4, 38.1, 203, 4, 0.4, 720],
      [20, 31.8, 44.5, 254, 3, 0.3, 860],
      [24, 38.1, 50.8, 305, 3, 0.3, 980],
    ],
  },
  {
    construction: 'silicone',
    name: 'Silicone coolant hose',
    source: 'SAE J20 class A dimensions, from memory; common practice',
    temperature: [-55, 175],
    rows: [
      [6, 9.5, 17.5, 60, 4, 0, 190],
      [8, 12.7, 20.7, 80, 4, 0, 240],
      [10, 15.9, 23.9, 95, 4, 0, 290],
      [12, 19, 27, 115, 4, 0, 330],
      [14, 22.2, 30.2, 135, 3, 0, 380],
      [16, 25.4, 34.4, 150, 3, 0, 480],
      [20, 31.8, 40.8, 190, 2.5, 0, 590],
      [24, 38.1, 47.1, 230, 2, 0, 690],
    ],
  },
  {
    construction: 'charge',
    name: 'Charge-air hose',
    source: 'common practice',
    temperature: [-55, 180],
    rows: [
      [24, 38.1, 48.1, 230, 4, 0.1, 780],
      [28, 44.5, 54.5, 270, 3.5, 0.1, 890],
      [32, 50.8, 60.8, 305, 3, 0.1, 1010],
      [36, 57.2, 67.2, 345, 3, 0.1, 1120],
      [40, 63.5, 73.5, 380, 2.5, 0.1, 1240],
      [44, 69.9, 79.9, 420, 2.5, 0.1, 1350],
      [48, 76.2, 86.2, 460, 2, 0.1, 1470],
    ],
  },
  {
    construction: 'fuel',
    name: 'Fuel hose R9',
    source: 'SAE J30 R9, from memory',
    temperature: [-40, 150],
    rows: [
      [4, 6.4, 12.7, 60, 6.9, 0.34, 110],
      [5, 7.9, 14.3, 70, 6.9, 0.34, 130],
      [6, 9.5, 16, 80, 6.9, 0.34, 150],
      [8, 12.7, 20, 105, 3.4, 0.34, 230],
      [10, 15.9, 24, 130, 3.4, 0.2, 310],
    ],
  },
  {
    construction: 'vacuum',
    name: 'Vacuum hose',
    source: 'common practice: boost as well as vacuum; read the print on it',
    temperature: [-50, 180],
    rows: [
      [3, 4.8, 9.5, 25, 4, 0.95, 60],
      [4, 6.4, 11.5, 32, 4, 0.95, 80],
      [5, 7.9, 13, 40, 3.5, 0.95, 95],
      [6, 9.5, 15, 50, 3, 0.95, 120],
    ],
  },
  {
    construction: 'booster',
    name: 'Brake booster hose',
    source: 'SAE J1403, from memory',
    temperature: [-40, 135],
    rows: [
      [6, 9.5, 18, 90, 2, 0.97, 260],
      [8, 12.7, 22, 120, 2, 0.97, 350],
    ],
  },
  {
    construction: 'crimped',
    name: 'Rubber hose, wire braid, for crimped ends',
    source: 'SAE J517 100R17, from memory',
    temperature: [-40, 100],
    rows: [
      [4, 6.4, 13.2, 51, 210, 0.95, 210],
      [5, 7.9, 14.8, 57, 210, 0.95, 260],
      [6, 9.5, 17, 64, 210, 0.95, 320],
      [8, 12.7, 20.5, 89, 210, 0.95, 430],
      [10, 15.9, 25.2, 102, 210, 0.95, 650],
      [12, 19, 29.3, 121, 210, 0.68, 890],
      [16, 25.4, 37, 152, 210, 0.68, 1320],
    ],
  },
  {
    construction: 'crimped-ptfe',
    name: 'PTFE hose, steel braid, for crimped ends',
    source: 'SAE J517 100R14, from memory',
    temperature: [-54, 204],
    rows: PTFE.filter(([dash]) => dash !== 5 && dash !== 20),
  },
  {
    construction: 'crimped-ptfe',
    also: 'fuel',
    core: 'conductive',
    name: 'PTFE hose for fuel, conductive core, for crimped ends',
    source: 'SAE J517 100R14 type B, from memory',
    temperature: [-54, 204],
    rows: PTFE.filter(([dash]) => dash !== 5 && dash !== 20),
  },
  {
    construction: 'convoluted-ptfe',
    name: 'PTFE hose, convoluted, steel braid',
    source: FOLDED,
    temperature: [-54, 204],
    rows: CONVOLUTED,
  },
  {
    construction: 'convoluted-ptfe',
    also: 'fuel',
    core: 'conductive',
    name: 'PTFE hose for fuel, convoluted, conductive core, steel braid',
    source: FOLDED,
    temperature: [-54, 204],
    rows: CONVOLUTED,
  },
];

/** The hoses of the standard constructions, those of metric bores and the tubes of hard lines; without prices. */
export function standardHoses(): Hose[] {
  return [...inchHoses(), ...metricHoses(), ...hardLines()];
}

function inchHoses(): Hose[] {
  return tables.flatMap((table) =>
    table.rows.map(([dash, boreMm, outsideMm, bendRadiusMm, workingBar, vacuumBar, massGPerM]) => ({
      id: `hose-${table.construction}-${table.also ? `${table.also}-` : ''}${dash}`,
      name: `${table.name}, ${formatDash(dash)}`,
      construction: table.construction,
      dash,
      boreMm,
      outsideMm,
      ...(table.core ? { core: table.core } : {}),
      bendRadiusMm,
      workingBar,
      burstBar: workingBar * 4,
      vacuumBar,
      massGPerM,
      minTempC: table.temperature[0],
      maxTempC: table.temperature[1],
      source: table.source,
    })),
  );
}
