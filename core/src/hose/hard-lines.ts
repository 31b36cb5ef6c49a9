import { dashToMm, formatDash } from '../units/index.js';
import type { Hose } from './hose.js';

interface TubeMetal {
  readonly construction: string;
  readonly name: string;
  /** Least tensile strength, MPa. */
  readonly strengthMPa: number;
  readonly densityKgDm3: number;
  readonly temperature: readonly [number, number];
  readonly source: string;
  /** Wall by dash size of the outside diameter, mm. */
  readonly walls: readonly (readonly [dash: number, wallMm: number])[];
}

/** Tubes for hard lines, by their outside diameter in sixteenths. */
export const tubeMetals: readonly TubeMetal[] = [
  {
    construction: 'steel-tube',
    name: 'Steel tube',
    strengthMPa: 310,
    densityKgDm3: 7.85,
    temperature: [-54, 260],
    source: 'strength of SAE J525 tube, from memory; pressure by Barlow at a quarter of it',
    walls: [
      [3, 0.71],
      [4, 0.71],
      [5, 0.71],
      [6, 0.89],
      [8, 0.89],
      [10, 1.24],
      [12, 1.24],
      [16, 1.24],
    ],
  },
  {
    construction: 'aluminium-tube',
    name: 'Aluminium tube',
    strengthMPa: 172,
    densityKgDm3: 2.68,
    temperature: [-54, 150],
    source: 'strength of 5052-O tube, ASTM B210, from memory; pressure by Barlow at a quarter of it',
    walls: [
      [4, 0.89],
      [5, 0.89],
      [6, 0.89],
      [8, 0.89],
      [10, 0.89],
      [12, 0.89],
      [16, 1.24],
    ],
  },
  {
    construction: 'copper-nickel-tube',
    name: 'Copper-nickel tube',
    strengthMPa: 262,
    densityKgDm3: 8.9,
    temperature: [-54, 200],
    source: 'strength of 90/10 tube, ASTM B466, from memory; pressure by Barlow at a quarter of it',
    walls: [
      [3, 0.71],
      [4, 0.89],
      [5, 0.89],
      [6, 0.89],
    ],
  },
];

/** Share of its strength that a tube works at. */
const SAFETY = 4;
/** Least radius of a bend by a hand bender, over the outside diameter. Common practice. */
const BEND_RATIO = 3;

/** Working pressure of a thin tube by Barlow, at a quarter of its tensile strength, bar. @example tubePressure(310, 9.525, 0.89) // 144 */
export function tubePressure(strengthMPa: number, outsideMm: number, wallMm: number): number {
  return Math.floor(((2 * (strengthMPa / SAFETY) * wallMm) / outsideMm) * 10);
}

/** Tubes of hard lines, as what is cut for a line; without prices. */
export function hardLines(): Hose[] {
  return tubeMetals.flatMap(({ construction, name, strengthMPa, densityKgDm3, temperature: [minTempC, maxTempC], source, walls }) =>
    walls.map(([dash, wallMm]): Hose => {
      const outsideMm = dashToMm(dash);
      const workingBar = tubePressure(strengthMPa, outsideMm, wallMm);
      return {
        id: `hose-${construction}-${dash}`,
        name: `${name}, ${formatDash(dash)}`,
        construction,
        dash,
        boreMm: hundredth(outsideMm - 2 * wallMm),
        outsideMm: hundredth(outsideMm),
        bendRadiusMm: Math.ceil(outsideMm * BEND_RATIO),
        workingBar,
        burstBar: workingBar * SAFETY,
        vacuumBar: 1,
        massGPerM: Math.round(Math.PI * (outsideMm - wallMm) * wallMm * densityKgDm3),
        minTempC,
        maxTempC,
        source,
      };
    }),
  );
}

function hundredth(mm: number): number {
  return Math.round(mm * 100) / 100;
}
