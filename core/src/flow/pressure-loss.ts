import { frictionFactor, regimeOf, type Regime } from './friction.js';
import { FlowFigureError } from './viscosity.js';

export interface StraightPipe {
  readonly flowLpm: number;
  readonly boreMm: number;
  readonly lengthM: number;
  readonly viscosityCst: number;
  readonly densityKgM3: number;
  /** Height of the roughness; of a drawn or extruded bore where it is not said. */
  readonly roughnessMm?: number;
}

export interface PipeLoss {
  readonly velocityMs: number;
  readonly reynolds: number;
  readonly regime: Regime;
  readonly lossBar: number;
}

/** Roughness of drawn tube and extruded hose, mm. Source: Moody 1944, drawn tubing. */
export const SMOOTH_MM = 0.0015;

/**
 * Loss of a straight round bore that runs full: Darcy and Weisbach.
 * @throws {FlowFigureError} for figures that no pipe has
 * @example pressureLoss({ flowLpm: 10, boreMm: 12.7, lengthM: 1, viscosityCst: 14, densityKgM3: 830 }).lossBar // about 0.03
 */
export function pressureLoss(p: StraightPipe): PipeLoss {
  const { flowLpm, boreMm, lengthM, viscosityCst, densityKgM3, roughnessMm = SMOOTH_MM } = p;
  const bad = Object.entries({ flowLpm, lengthM }).find(([, value]) => !(value >= 0 && Number.isFinite(value)));
  const none = Object.entries({ boreMm, viscosityCst, densityKgM3 }).find(([, value]) => !(value > 0 && Number.isFinite(value)));
  if (bad ?? none)
    throw new FlowFigureError(`${(bad ?? none)![0]} cannot be ${(bad ?? none)![1]}.`, 'Say bore, viscosity and density as they are.');
  const velocityMs = velocity(flowLpm, boreMm);
  const reynolds = reynoldsNumber(velocityMs, boreMm, viscosityCst);
  if (reynolds === 0) return { velocityMs: 0, reynolds: 0, regime: 'laminar', lossBar: 0 };
  const factor = frictionFactor(reynolds, Math.min(0.1, roughnessMm / boreMm));
  return {
    velocityMs,
    reynolds,
    regime: regimeOf(reynolds),
    lossBar: factor * (lengthM / (boreMm / 1000)) * dynamicBar(velocityMs, densityKgM3),
  };
}

/** Mean velocity in a round bore, m/s. */
export function velocity(flowLpm: number, boreMm: number): number {
  return flowLpm / 60_000 / ((Math.PI / 4) * (boreMm / 1000) ** 2);
}

export function reynoldsNumber(velocityMs: number, boreMm: number, viscosityCst: number): number {
  return (velocityMs * boreMm * 1000) / viscosityCst;
}

/** Dynamic pressure, bar. */
export function dynamicBar(velocityMs: number, densityKgM3: number): number {
  return (densityKgM3 * velocityMs ** 2) / 2 / 1e5;
}
