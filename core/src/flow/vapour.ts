import type { FluidId } from '../fluids/index.js';

const BAR_PER_PSI = 0.0689476;
const MMHG_PER_BAR = 750.062;
const fahrenheit = (tempC: number): number => tempC * 1.8 + 32;

/**
 * True vapour pressure of petrol, bar absolute, by its Reid vapour pressure (at 37.8 °C). Source: EPA AP-42, section 7.1, with the slope 3 of
 * its distillation, from memory.
 * @param reidBar 0.3…1
 */
export function petrolVapourBar(reidBar: number, tempC: number): number {
  const rankine = fahrenheit(tempC) + 459.6;
  const log = Math.log10(reidBar / BAR_PER_PSI);
  const slope = Math.sqrt(3);
  const power =
    (0.7553 - 413 / rankine) * slope * log - (1.854 - 1042 / rankine) * slope + (2416 / rankine - 2.013) * log - 8742 / rankine + 15.64;
  return Math.exp(power) * BAR_PER_PSI;
}

/** log10 p (mmHg) = A − B/(C + t). Source: Antoine's constants as handbooks print them, from memory. */
const ANTOINE = { ethanol: [8.20417, 1642.89, 230.3], methanol: [8.08097, 1582.271, 239.726] } as const;

/** Summer fuel at its most volatile, bar at 37.8 °C: EN 228 class A, with the waiver for ethanol; ASTM D5798 class 1. From memory. */
const REID: Partial<Record<FluidId, number>> = { petrol: 0.6, 'petrol with alcohol': 0.7, E85: 0.59, 'alcohol fuel': 0.59 };

/** Under which absolute pressure a fuel boils at a temperature, bar: of summer fuel, winter fuel sooner; undefined for what does not boil in a line. */
export function fuelBoilsUnderBar(fluid: FluidId, tempC: number): number | undefined {
  const reid = REID[fluid];
  if (reid !== undefined) return petrolVapourBar(reid, tempC);
  if (fluid !== 'ethanol' && fluid !== 'methanol') return undefined;
  const [a, b, c] = ANTOINE[fluid];
  return 10 ** (a - b / (c + tempC)) / MMHG_PER_BAR;
}
