import type { Hose, HoseEnd } from '../hose/index.js';
import { dynamicBar, pressureLoss, velocity } from './pressure-loss.js';
import type { Regime } from './friction.js';
import { bendTwoK, lossCoefficient, twoK } from './two-k.js';
import { reynoldsNumber } from './pressure-loss.js';

/** One state that a line runs in: cold start, warm, hottest. */
export interface FlowState {
  readonly name: string;
  readonly flowLpm: number;
  readonly viscosityCst: number;
  readonly densityKgM3: number;
  /** Limits that hold in this state; a cold start may take what a warm line may not. */
  readonly mostMs?: number;
  readonly mostLossBar?: number;
}

/** A hose with both its ends, as it could be taken. */
export interface SizeCandidate {
  readonly hose: Hose;
  readonly endA: HoseEnd;
  readonly endB: HoseEnd;
}

export interface StateOutcome {
  readonly state: string;
  /** In the hose; in its narrower end it is faster. */
  readonly velocityMs: number;
  readonly fastestMs: number;
  readonly reynolds: number;
  readonly regime: Regime;
  readonly lossBar: number;
  /** What is exceeded, in words; empty where it passes. */
  readonly exceeded: readonly string[];
}

export interface SizeVerdict {
  readonly candidate: SizeCandidate;
  readonly states: readonly StateOutcome[];
  readonly passes: boolean;
  /** How much of its strictest limit is left, per cent; negative where it is exceeded. */
  readonly marginPercent: number;
}

export interface Sizing {
  readonly verdicts: readonly SizeVerdict[];
  /** The narrowest that passes in every state. */
  readonly recommended?: SizeVerdict;
  /** What the one after it would save of the loss in the worst state, bar. */
  readonly nextSavesBar?: number;
}

/**
 * Each candidate in each state: hose and ends in their own bores, bends of the ends, entrance and exit. The narrowest that keeps all limits is recommended.
 * @param lengthMm of the hose between its ends
 */
export function sizeHose(lengthMm: number, states: readonly FlowState[], candidates: readonly SizeCandidate[]): Sizing {
  const verdicts = candidates
    .map((candidate) => verdictOf(candidate, lengthMm, states))
    .sort((a, b) => a.candidate.hose.boreMm - b.candidate.hose.boreMm);
  const at = verdicts.findIndex((v) => v.passes);
  const [recommended, next] = [verdicts[at], verdicts[at + 1]];
  if (!recommended) return { verdicts };
  const worst = (v: SizeVerdict): number => Math.max(...v.states.map((s) => s.lossBar));
  return { verdicts, recommended, ...(next ? { nextSavesBar: worst(recommended) - worst(next) } : {}) };
}

function verdictOf(candidate: SizeCandidate, lengthMm: number, states: readonly FlowState[]): SizeVerdict {
  const outcomes = states.map((state) => outcomeOf(candidate, lengthMm, state));
  const margins = states.flatMap((state, i) => {
    const { fastestMs, lossBar } = outcomes[i]!;
    return [
      ...(state.mostMs === undefined ? [] : [1 - fastestMs / state.mostMs]),
      ...(state.mostLossBar === undefined ? [] : [1 - lossBar / state.mostLossBar]),
    ];
  });
  return {
    candidate,
    states: outcomes,
    passes: outcomes.every((o) => o.exceeded.length === 0),
    marginPercent: margins.length > 0 ? Math.min(...margins) * 100 : 100,
  };
}

function outcomeOf({ hose, endA, endB }: SizeCandidate, lengthMm: number, state: FlowState): StateOutcome {
  const { flowLpm, viscosityCst, densityKgM3, mostMs, mostLossBar } = state;
  const fluid = { flowLpm, viscosityCst, densityKgM3 };
  const straight = pressureLoss({ ...fluid, boreMm: hose.boreMm, lengthM: lengthMm / 1000 });
  const ends = [endA, endB].map((end, i) => {
    const v = velocity(flowLpm, end.boreMm);
    const reynolds = reynoldsNumber(v, end.boreMm, viscosityCst);
    const turning = [...(end.angleDeg > 0 ? [bendTwoK(end.angleDeg, end.bendRadiusMm === 0)] : []), i === 0 ? twoK.entrance : twoK.exit];
    const along = pressureLoss({ ...fluid, boreMm: end.boreMm, lengthM: (Math.max(0, end.aMm) + end.bMm) / 1000 }).lossBar;
    return {
      v,
      lossBar: along + turning.reduce((sum, k) => sum + lossCoefficient(k, reynolds, end.boreMm), 0) * dynamicBar(v, densityKgM3),
    };
  });
  const lossBar = straight.lossBar + ends.reduce((sum, e) => sum + e.lossBar, 0);
  const fastestMs = Math.max(straight.velocityMs, ...ends.map((e) => e.v));
  const exceeded = [
    ...(mostMs !== undefined && fastestMs > mostMs ? [`${fastestMs.toFixed(1)} m/s, and ${mostMs} m/s are the most`] : []),
    ...(mostLossBar !== undefined && lossBar > mostLossBar
      ? [`it takes ${lossBar.toFixed(2)} bar, and ${mostLossBar} bar are the most`]
      : []),
  ];
  const { velocityMs, reynolds, regime } = straight;
  return { state: state.name, velocityMs, fastestMs, reynolds, regime, lossBar, exceeded };
}
