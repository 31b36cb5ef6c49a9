import { FlowFigureError } from './viscosity.js';
import { quantity } from '../units/index.js';

/** When a thermostat begins to open, and when it is open, °C. */
export interface Thermostat {
  readonly opensC: number;
  readonly fullOpenC: number;
}

/** Half of it is open in the middle; the rest straight. Without one it is open always. */
export function openShare(tempC: number, thermostat: Thermostat | undefined): number {
  if (!thermostat) return 1;
  const { opensC, fullOpenC } = thermostat;
  if (fullOpenC <= opensC) return tempC >= opensC ? 1 : 0;
  return Math.min(1, Math.max(0, (tempC - opensC) / (fullOpenC - opensC)));
}

export interface CoolerDuty {
  readonly powerKw: number;
  /** Share of the power that goes into the oil, %. */
  readonly heatToOilPercent: number;
  readonly flowLpm: number;
  readonly densityKgM3: number;
  readonly heatJKgK: number;
  /** The hottest that the oil may get, and the air that meets the cooler, °C. */
  readonly oilC: number;
  readonly airC: number;
  /** What the cooler in hand passes on for each K between oil and air, W/K. */
  readonly coolsWPerK?: number;
}

export interface CoolerNeed {
  /** Into the oil, kW. */
  readonly heatKw: number;
  /** What the oil drops on its way through the cooler, K; and as what it comes back, °C. */
  readonly dropK: number;
  readonly backC: number;
  /** What a cooler must pass on for each K between the oil (in the middle of its way) and the air, W/K. */
  readonly needsWPerK: number;
  /** Where the oil settles with the cooler in hand, °C. */
  readonly settlesC?: number;
}

/**
 * Heat into the oil, its drop through the cooler, and the cooler that it asks for: Q = m·c·ΔT; the cooler by heat for each K between the oil
 * in the middle of its way and the air.
 * @throws {FlowFigureError}
 */
export function coolerNeed(d: CoolerDuty): CoolerNeed {
  const { powerKw, heatToOilPercent, flowLpm, densityKgM3, heatJKgK, oilC, airC, coolsWPerK } = d;
  if (!(powerKw > 0 && flowLpm > 0 && heatToOilPercent > 0))
    throw new FlowFigureError(
      'Without power and flow there is no heat to carry off.',
      'Say the power of the engine and what its oil pump gives.',
    );
  if (!(oilC > airC))
    throw new FlowFigureError(
      `Oil at ${quantity(oilC, '°C')} gives nothing off to air at ${quantity(airC, '°C')}.`,
      'Look at both temperatures again.',
    );
  const heatKw = (powerKw * heatToOilPercent) / 100;
  const perK = (flowLpm / 60_000) * densityKgM3 * heatJKgK;
  const dropK = (heatKw * 1000) / perK;
  const needsWPerK = (heatKw * 1000) / (oilC - dropK / 2 - airC);
  return {
    heatKw,
    dropK,
    backC: oilC - dropK,
    needsWPerK: needsWPerK > 0 ? needsWPerK : Infinity,
    ...(coolsWPerK === undefined ? {} : { settlesC: airC + (heatKw * 1000) / coolsWPerK + dropK / 2 }),
  };
}

export interface WarmUp {
  /** Of the oil, L. */
  readonly litres: number;
  readonly densityKgM3: number;
  readonly heatJKgK: number;
  readonly fromC: number;
  readonly toC: number;
  /** Into the oil on the way, kW: an engine that warms up gives a part of its power. */
  readonly heatKw: number;
  readonly coolsWPerK: number;
  readonly airC: number;
  readonly thermostat?: Thermostat;
}

/** Share of full heat that an engine puts into its oil while it warms up. Common practice. */
export const WARMING_SHARE = 0.2;
const STEP_S = 1;
const MOST_S = 2 * 3600;

/**
 * Minutes until the oil is warm: its own heat against what the cooler takes, second by second; the metal round it is left out, so that it takes
 * longer than this. Infinity where it never gets there.
 */
export function warmUpMinutes(w: WarmUp): number {
  const { litres, densityKgM3, heatJKgK, fromC, toC, heatKw, coolsWPerK, airC, thermostat } = w;
  const capacity = (litres / 1000) * densityKgM3 * heatJKgK;
  let tempC = fromC;
  for (let s = 0; s < MOST_S; s += STEP_S) {
    if (tempC >= toC) return s / 60;
    const off = coolsWPerK * Math.max(0, tempC - airC) * openShare(tempC, thermostat);
    const rise = ((heatKw * 1000 - off) / capacity) * STEP_S;
    if (rise < 1e-6) return Infinity;
    tempC += rise;
  }
  return Infinity;
}

/**
 * What a cooler, filter or element takes of the pressure at another flow and another thickness than its maker's figure: laminar in its passages,
 * straight with both; as the square of the flow where that is more. Errs to more.
 * @param takes what it takes at a flow, warm
 * @param thicker how many times as thick as warm the oil is
 */
export function takenBarAt(takes: { readonly takesBar: number; readonly atLpm: number }, flowLpm: number, thicker = 1): number {
  const share = flowLpm / takes.atLpm;
  return takes.takesBar * Math.max(share * Math.max(1, thicker), share > 1 ? share ** 2 : 0);
}
