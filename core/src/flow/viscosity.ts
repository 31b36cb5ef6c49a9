import type { TwoViscosities } from '../fluids/index.js';
import { quantity } from '../units/index.js';

/** Viscosities, temperatures or flows that no fluid of this trade has. */
export class FlowFigureError extends Error {
  readonly code = 'flow-figure';
  constructor(
    message: string,
    readonly hint: string,
  ) {
    super(message);
    this.name = 'FlowFigureError';
  }
}

const KELVIN = 273.15;

/**
 * Kinematic viscosity at a temperature, cSt, from two: ASTM D341, log log Z against log T, with its terms for thin fluids.
 * @param tempC °C, −60…250
 * @throws {FlowFigureError} for viscosities that do not fall with temperature, or a temperature out of bounds
 * @example kinematicViscosity({ v40: 90, v100: 14 }, 120) // about 9.2
 */
export function kinematicViscosity(oil: TwoViscosities, tempC: number): number {
  check(oil);
  if (!(tempC >= -60 && tempC <= 250))
    throw new FlowFigureError(
      `Viscosity at ${quantity(tempC, '°C')} is not reckoned.`,
      `The line on which it lies is good from ${quantity(-60, '°C', 250)}.`,
    );
  const [w40, w100] = [walther(oil.v40), walther(oil.v100)];
  const [t40, t100] = [Math.log10(40 + KELVIN), Math.log10(100 + KELVIN)];
  const slope = (w40 - w100) / (t100 - t40);
  const w = w40 + slope * (t40 - Math.log10(tempC + KELVIN));
  return fromZ(10 ** (10 ** w));
}

/** log log Z of a viscosity; Z is it and 0.7, and a little more where it is thin. */
function walther(cSt: number): number {
  return Math.log10(Math.log10(cSt + 0.7 + Math.exp(-1.47 - 1.84 * cSt - 0.51 * cSt ** 2)));
}

function fromZ(z: number): number {
  const y = z - 0.7;
  return y - Math.exp(-0.7487 - 3.295 * y + 0.6119 * y ** 2 - 0.3193 * y ** 3);
}

function check({ v40, v100 }: TwoViscosities): void {
  if (!(v100 >= 0.3 && v40 <= 5000 && v40 > v100))
    throw new FlowFigureError(
      `${v40} cSt at 40 °C and ${v100} cSt at 100 °C are no fluid's.`,
      'Viscosity falls with heat: take both figures from one data sheet, in cSt (mm²/s).',
    );
}

/**
 * Coefficients of L = a·Y² + b·Y + c and H = d·Y² + e·Y + f by the viscosity Y at 100 °C, cSt. Source: ASTM D2270, from memory.
 */
const BASIC: readonly (readonly [from: number, a: number, b: number, c: number, d: number, e: number, f: number])[] = [
  [2, 1.14673, 1.7576, -0.109, 0.84155, 1.5521, -0.077],
  [3.8, 3.38095, -15.4952, 33.196, 0.78571, 1.7929, -0.183],
  [4.4, 2.5, -7.2143, 13.812, 0.82143, 1.5679, 0.119],
  [5, 0.101, 16.635, -45.469, 0.04985, 9.1613, -18.557],
  [6.4, 3.35714, -23.5643, 78.466, 0.22619, 7.7369, -16.656],
  [7, 0.01191, 21.475, -72.87, 0.79762, -0.7321, 14.61],
  [7.7, 0.41858, 16.1558, -56.04, 0.05794, 10.5156, -28.24],
  [9, 0.88779, 7.5527, -16.6, 0.26665, 6.7015, -10.81],
  [12, 0.7672, 10.7972, -38.18, 0.20073, 8.4658, -22.49],
  [15, 0.97305, 5.3135, -2.2, 0.28889, 5.9741, -4.93],
  [18, 0.97256, 5.25, -0.98, 0.24504, 7.416, -16.73],
  [22, 0.91413, 7.4759, -21.82, 0.20323, 9.1267, -34.23],
  [28, 0.87031, 9.7157, -50.77, 0.18411, 10.1015, -46.75],
  [40, 0.84703, 12.6752, -133.31, 0.17029, 11.4866, -80.62],
  [55, 0.85921, 11.1009, -83.19, 0.1713, 11.368, -76.94],
  [70, 0.83531, 14.6731, -216.246, 0.16841, 11.8493, -96.947],
];

/**
 * Viscosity index, ASTM D2270: procedure A to 100, procedure B above.
 * @throws {FlowFigureError} for less than 2 cSt at 100 °C, where the index is not defined
 */
export function viscosityIndex(oil: TwoViscosities): number {
  check(oil);
  const { v40: u, v100: y } = oil;
  const row = BASIC.findLast(([from]) => y >= from);
  if (!row) throw new FlowFigureError('Below 2 cSt at 100 °C there is no viscosity index.', 'It is defined for oils only.');
  const [, a, b, c, d, e, f] = row;
  const low = a * y ** 2 + b * y + c;
  const high = d * y ** 2 + e * y + f;
  const plain = ((low - u) / (low - high)) * 100;
  if (plain <= 100) return plain;
  const n = (Math.log10(high) - Math.log10(u)) / Math.log10(y);
  return (10 ** n - 1) / 0.00715 + 100;
}
