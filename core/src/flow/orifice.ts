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

/** Coefficient of a short drilled hole where the flow is turbulent. Common practice: 0.62 sharp, 0.7 to 0.8 for a hole some diameters long. */
const TURBULENT = 0.7;
/** How soon the coefficient falls with the Reynolds number: C = C∞·√(Re)/(√(Re) + this). Common practice, after Merritt: δ·√Re in the laminar range. */
const LAMINAR_ROOT = 3.5;

/** Discharge coefficient of a restrictor at a Reynolds number in its own bore. */
export function dischargeCoefficient(reynolds: number): number {
  const root = Math.sqrt(Math.max(0, reynolds));
  return (TURBULENT * root) / (root + LAMINAR_ROOT);
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
  let c = TURBULENT;
  for (let i = 0; i < 100; i++) {
    const next = dischargeCoefficient((c * ideal * boreMm * 1000) / viscosityCst);
    if (Math.abs(next - c) < 1e-9) break;
    c = next;
  }
  return c * area * ideal * 60_000;
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
