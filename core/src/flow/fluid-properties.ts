import { fluidById, oilDensity, oils, type FluidId, type TwoViscosities } from '../fluids/index.js';
import type { JobOil } from '../job/index.js';
import { FlowFigureError, kinematicViscosity } from './viscosity.js';
import { quantity } from '../units/index.js';

/** An oil as it is reckoned with, whichever way it was said. */
export interface ReckonedOil extends TwoViscosities {
  readonly name: string;
  readonly density15: number;
}

/** The oil of a job: of its grade a middling one. @throws {RangeError} for a grade that is none */
export function oilOf(said: JobOil): ReckonedOil {
  if ('v40' in said) return said;
  const found = oils.find((o) => o.id === said.grade);
  if (!found) throw new RangeError(`No oil of the grade "${said.grade}"`);
  return found;
}

export interface FluidProperties {
  /** mm²/s. */
  readonly viscosityCst: number;
  readonly densityKgM3: number;
  /** J/(kg·K). */
  readonly heatJKgK: number;
  readonly source: string;
  /** Where the figures reach beyond what their source holds for. */
  readonly beyond?: string;
}

/** Air at sea level, bar. */
export const AIR_BAR = 1.013;

/** Air at a height above the sea, bar. Source: ISO 2533, standard atmosphere. */
export function airPressure(altitudeM: number): number {
  return AIR_BAR * (1 - 2.25577e-5 * altitudeM) ** 5.25588;
}

/** By temperature: °C, mPa·s (or cSt where `kinematic`), kg/m³, J/(kg·K). */
interface Table {
  readonly rows: readonly (readonly [tempC: number, viscosity: number, density: number, heat: number])[];
  readonly kinematic?: true;
  readonly source: string;
}

/** Source: IAPWS, as handbooks print it; from memory. */
export const water: Table = {
  rows: [
    [0, 1.792, 999.8, 4217],
    [20, 1.002, 998.2, 4182],
    [40, 0.653, 992.2, 4179],
    [60, 0.4666, 983.2, 4184],
    [80, 0.3545, 971.8, 4196],
    [100, 0.2819, 958.4, 4216],
  ],
  source: 'water by IAPWS, from memory',
};

/** Half water, half ethylene glycol by volume. Source: ASHRAE Handbook, Fundamentals; from memory. */
const coolant: Table = {
  rows: [
    [-30, 43.98, 1094, 3100],
    [-20, 22.07, 1091, 3134],
    [0, 8.09, 1083, 3200],
    [20, 3.94, 1073, 3282],
    [40, 2.26, 1063, 3358],
    [60, 1.48, 1050, 3433],
    [80, 1.06, 1037, 3508],
    [100, 0.8, 1022, 3584],
  ],
  source: 'half glycol, half water: ASHRAE, from memory',
};

/** Common practice. */
const petrol: Table = {
  rows: [
    [-30, 1.1, 785, 2000],
    [0, 0.77, 758, 2080],
    [20, 0.63, 740, 2140],
    [40, 0.53, 722, 2200],
    [80, 0.4, 686, 2330],
  ],
  kinematic: true,
  source: 'petrol by common practice',
};

/** Ethanol, thicker than methanol, E85 and petrol: errs to more loss for what may be any of them. Handbook values, from memory. */
const alcohol: Table = {
  rows: [
    [-20, 2.84, 823, 2200],
    [0, 1.78, 806, 2280],
    [20, 1.2, 789, 2430],
    [40, 0.83, 772, 2570],
    [60, 0.59, 754, 2750],
    [78, 0.44, 737, 2950],
  ],
  source: 'ethanol, from memory',
};

/** Handbook values, from memory. */
const methanol: Table = {
  rows: [
    [-20, 1.15, 829, 2340],
    [0, 0.81, 810, 2420],
    [20, 0.59, 791, 2510],
    [40, 0.45, 772, 2600],
    [60, 0.35, 753, 2730],
  ],
  source: 'methanol, from memory',
};

/** EN 590: 2.0 to 4.5 cSt at 40 °C, 820 to 845 kg/m³ at 15 °C; the middle of both, on a line of ASTM D341. */
const DIESEL = { v40: 2.9, v100: 1.2, density15: 835 };

const tables: Partial<Record<FluidId, Table>> = {
  coolant,
  petrol,
  'petrol with alcohol': petrol,
  E85: alcohol,
  ethanol: alcohol,
  methanol,
  'alcohol fuel': alcohol,
};

export interface FluidState {
  readonly tempC: number;
  /** The oil, where the fluid is one. */
  readonly oil?: ReckonedOil;
  /** Above the air around, bar; what air weighs hangs on it. */
  readonly pressureBar?: number;
  /** Of the air around, bar; at the sea where it is not said. */
  readonly airBar?: number;
}

/**
 * Viscosity, density and specific heat of what runs, at a temperature.
 * @throws {FlowFigureError} for an oil that is not said, a fluid that is not planned for, a temperature that is none
 */
export function fluidProperties(fluid: FluidId, { tempC, oil, pressureBar = 0, airBar = AIR_BAR }: FluidState): FluidProperties {
  const { group, refused } = fluidById(fluid);
  if (refused) throw new FlowFigureError(refused, 'Take it out of the job.');
  if (!Number.isFinite(tempC)) throw new FlowFigureError('A temperature is missing.', 'Say it in °C.');
  if (group === 'air') return air(tempC, airBar + pressureBar);
  if (group === 'oil') {
    if (!oil) throw new FlowFigureError('Which oil it is, is not said.', 'Say its grade, or the two viscosities of its data sheet.');
    return oilAt(oil, tempC);
  }
  if (fluid === 'diesel')
    return {
      viscosityCst: kinematicViscosity(DIESEL, tempC),
      densityKgM3: oilDensity(DIESEL, tempC),
      heatJKgK: 2050,
      source: 'diesel within EN 590; ASTM D341',
    };
  const table = tables[fluid];
  if (!table) throw new FlowFigureError(`Of ${fluid} no figures are known.`, 'Say another fluid.');
  return fromTable(table, tempC);
}

/** Warm, °C: where engines run, and what the figures of coolers and filters are given for. Common practice. */
export const WARM_C = 90;

/** How many times as thick as warm an oil is at a temperature. */
export function timesAsThick(oil: ReckonedOil, tempC: number): number {
  return kinematicViscosity(oil, tempC) / kinematicViscosity(oil, WARM_C);
}

/** Oil by ASTM D341; its heat rises from about 1.8 kJ/(kg·K) at 0 °C by 3.6 J a K: 1.9 to 2.3 where engines run. Common practice. */
function oilAt(oil: ReckonedOil, tempC: number): FluidProperties {
  return {
    viscosityCst: kinematicViscosity(oil, tempC),
    densityKgM3: oilDensity(oil, tempC),
    heatJKgK: 1800 + 3.6 * tempC,
    source: `${oil.name}: ASTM D341; density falls 0.65 kg/m³ a K`,
    ...(tempC < 0
      ? { beyond: `Below ${quantity(0, '°C')} the line of ASTM D341 is drawn on: near its pour point ${oil.name} is thicker than that.` }
      : tempC > 150
        ? { beyond: `Above ${quantity(150, '°C')} the line of ASTM D341 is drawn on.` }
        : {}),
  };
}

/** Air as an ideal gas, its viscosity after Sutherland. */
function air(tempC: number, absoluteBar: number): FluidProperties {
  const kelvin = tempC + 273.15;
  const densityKgM3 = (absoluteBar * 1e5) / (287.05 * kelvin);
  const dynamic = (1.458e-6 * kelvin ** 1.5) / (kelvin + 110.4);
  return {
    viscosityCst: (dynamic / densityKgM3) * 1e6,
    densityKgM3,
    heatJKgK: 1006,
    source: 'air as an ideal gas; viscosity after Sutherland',
  };
}

/** Between two rows the viscosity by its logarithm, the rest straight; beyond the last row as it is there, and said so. */
export function fromTable({ rows, kinematic, source }: Table, tempC: number): FluidProperties {
  const [first, last] = [rows[0]!, rows[rows.length - 1]!];
  const within = Math.min(last[0], Math.max(first[0], tempC));
  const above = Math.max(
    1,
    rows.findIndex(([t]) => t >= within),
  );
  const [low, high] = [rows[above - 1]!, rows[above]!];
  const share = (within - low[0]) / (high[0] - low[0]);
  const between = (i: 2 | 3): number => low[i] + share * (high[i] - low[i]);
  const viscosity = low[1] * (high[1] / low[1]) ** share;
  const densityKgM3 = between(2);
  return {
    viscosityCst: kinematic ? viscosity : (viscosity / densityKgM3) * 1000,
    densityKgM3,
    heatJKgK: between(3),
    source,
    ...(within === tempC
      ? {}
      : {
          beyond: `Its figures are known from ${quantity(first[0], '°C', last[0])}: at ${quantity(tempC, '°C')} those of ${quantity(within, '°C')} are taken.`,
        }),
  };
}
