import { FlowFigureError } from './viscosity.js';
import { quantity } from '../units/index.js';

/** A drilled restrictor and what runs through it. */
export interface Restrictor {
  readonly boreMm: number;
  /** Difference of pressure across it, bar. */
  readonly dropBar: number;
  readonly viscosityCst: number;
  readonly densityKgM3: number;
}

/** Coefficient of a drilled hole where the flow is turbulent. Common practice: 0.62 sharp, 0.7 to 0.8 for a hole some diameters long. */
const TURBULENT = 0.7;
/** A restrictor is drilled about two of its diameters deep, where nobody says how deep. Common practice. */
export const USUAL_DEPTH = 2;
/**
 * Creeping flow into a hole of no length takes 12π/Re of the velocity pressure (Sampson 1891), and each diameter of its length 64/Re as in any
 * tube (Hagen and Poiseuille); both add up within a few per cent (Dagan, Weinbaum and Pfeffer 1982). From memory.
 */
const CREEP = 12 * Math.PI;
const PER_DIAMETER = 64;

/**
 * Discharge coefficient of a drilled hole at a Reynolds number in its own bore: cold oil creeps, and then its depth counts.
 * @param depth of the hole, in its diameters
 */
export function dischargeCoefficient(reynolds: number, depth = USUAL_DEPTH): number {
  return reynolds > 0 ? 1 / Math.sqrt(1 / TURBULENT ** 2 + (CREEP + PER_DIAMETER * depth) / reynolds) : 0;
}

/**
 * Flow through a restrictor, L/min: Q = C·A·√(2·Δp/ρ), with the coefficient of its own Reynolds number.
 * @throws {FlowFigureError}
 * @example restrictorFlow({ boreMm: 1, dropBar: 4, viscosityCst: 10, densityKgM3: 800 }) // about 0.9
 */
export function restrictorFlow({ boreMm, dropBar, viscosityCst, densityKgM3 }: Restrictor): number {
  if (!(boreMm > 0 && dropBar >= 0 && viscosityCst > 0 && densityKgM3 > 0))
    throw new FlowFigureError('A restrictor needs a bore, a pressure across it, and an oil.', 'Measure the bore with a drill or a pin.');
  const area = (Math.PI / 4) * (boreMm / 1000) ** 2;
  const ideal = Math.sqrt((2 * dropBar * 1e5) / densityKgM3);
  // v²/C² = ideal², with 1/C² = a + b/v: a quadratic in v
  const turbulent = 1 / TURBULENT ** 2;
  const creeping = ((CREEP + PER_DIAMETER * USUAL_DEPTH) * viscosityCst) / (boreMm * 1000);
  const v = (Math.sqrt(creeping ** 2 + 4 * turbulent * ideal ** 2) - creeping) / (2 * turbulent);
  return v * area * 60_000;
}

/**
 * The bore that lets a flow pass at a pressure, mm.
 * @throws {FlowFigureError} where no bore to 20 mm does
 */
export function restrictorFor(flowLpm: number, oil: Omit<Restrictor, 'boreMm'>): number {
  let [low, high] = [0.05, 20];
  if (!(flowLpm > 0) || restrictorFlow({ ...oil, boreMm: high }) < flowLpm)
    throw new FlowFigureError(
      `No bore to ${quantity(20, 'mm')} passes ${quantity(flowLpm, 'L/min')} at ${quantity(oil.dropBar, 'bar')}.`,
      'Look at flow and pressure again.',
    );
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (restrictorFlow({ ...oil, boreMm: middle }) < flowLpm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
