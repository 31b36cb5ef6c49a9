import type { FlowRules } from '../job/index.js';
import type { DutyState, LineDuty } from './duty.js';
import { flowAtLoss } from './find-flow.js';
import type { Passed } from './flow-path.js';
import { frictionFactor } from './friction.js';
import { wetted } from './gravity-drain.js';
import { lossAlong, lossBarAlong, type LineLoss, type Stream } from './line-loss.js';
import { dynamicBar, reynoldsNumber } from './pressure-loss.js';
import { lossCoefficient } from './two-k.js';

/** What a path does in a state. */
export interface RunOutcome {
  readonly state: DutyState;
  readonly flowLpm: number;
  readonly loss: LineLoss;
  /** In the hose, m/s. */
  readonly hoseMs: number;
  /** Where it ends, bar above the air: what is left of a pressure that is held. */
  readonly endBar?: number;
  /** At the pump, bar absolute; nothing where more is asked for than the air can push. */
  readonly absBar?: number;
  /** What it carries by its fall, filled as the shop reckons and running full, with its froth, L/min of oil. */
  readonly carries?: { readonly filled: number; readonly full: number };
  /** Until what enters an empty line comes out, s. */
  readonly fillsS?: number;
}

const GRAVITY = 9.80665;
const MM3_PER_LITRE = 1e6;

/** Head of a fall, bar. */
export function headBar(fallMm: number, densityKgM3: number): number {
  return (densityKgM3 * GRAVITY * (fallMm / 1000)) / 1e5;
}

/** At the pump behind a suction, bar absolute: no less than nothing, however much is asked for. */
export function absBarAfter(lossBar: number, fallMm: number, densityKgM3: number, airBar: number): number {
  return Math.max(0, airBar + headBar(fallMm, densityKgM3) - lossBar);
}

/** What stands in a path, L. */
export function litresIn(passed: readonly Passed[]): number {
  return passed.reduce((sum, { boreMm, lengthMm }) => sum + (Math.PI / 4) * boreMm ** 2 * lengthMm, 0) / MM3_PER_LITRE;
}

/**
 * What a path does in a state.
 * @param consumer holes behind the line through which its pressure is used up: the bearings of a turbo, the orifice of a bypass filter
 * @param broughtLpm to a drain; what runs in it
 */
export function runPath(
  passed: readonly Passed[],
  duty: LineDuty,
  state: DutyState,
  rules: FlowRules,
  consumer: readonly Passed[],
  broughtLpm = 0,
): RunOutcome {
  const flowLpm = flowIn(passed, duty, state, consumer, broughtLpm);
  const stream: Stream = { ...state.fluid, flowLpm };
  const loss = lossAlong(passed, stream);
  const head = headBar(duty.said.fallMm ?? 0, state.fluid.densityKgM3);
  const fills = state.sourceBar === undefined ? flowLpm : fillingLpm(passed, duty, state);
  return {
    state,
    flowLpm,
    loss,
    hoseMs: Math.max(0, ...loss.elements.filter((e) => e.kind === 'hose').map((e) => e.velocityMs)),
    ...(state.sourceBar === undefined ? {} : { endBar: state.sourceBar + head - loss.lossBar }),
    ...(duty.figures.drive === 'suction'
      ? { absBar: absBarAfter(loss.lossBar, duty.said.fallMm ?? 0, state.fluid.densityKgM3, duty.airBar) }
      : {}),
    ...(duty.figures.drive === 'fall' && (duty.said.fallMm ?? 0) > 0 ? { carries: carriedBy(passed, duty, state, rules) } : {}),
    ...(fills > 0 ? { fillsS: (litresIn(passed) / fills) * 60 } : {}),
  };
}

/** What runs into a line that is still empty: air passes a restrictor and bearings at once. L/min, on the slow side. */
function fillingLpm(passed: readonly Passed[], duty: LineDuty, state: DutyState): number {
  const open = passed.filter((p) => p.kind !== 'restrictor');
  return flowIn(open, duty, state, [], 0);
}

/** The flow of a path in a state, L/min. */
export function flowIn(
  passed: readonly Passed[],
  duty: LineDuty,
  state: DutyState,
  consumer: readonly Passed[],
  broughtLpm: number,
): number {
  if (duty.figures.drive === 'fall') return broughtLpm;
  if (state.sourceBar === undefined) return state.flowLpm ?? 0;
  const bar = state.sourceBar + headBar(duty.said.fallMm ?? 0, state.fluid.densityKgM3);
  const all = [...passed, ...consumer];
  return flowAtLoss((flowLpm) => lossBarAlong(all, { ...state.fluid, flowLpm }), bar, duty.figures.flowLpm);
}

/** Froth in full from here on, °C; at a freezing start, with the shaft hardly turning, none. Common practice. */
const FROTHS_FROM_C = 60;

/** How many times its own volume oil takes at a temperature. */
export function frothAt(froth: number, tempC: number): number {
  return 1 + (froth - 1) * Math.min(1, Math.max(0, tempC / FROTHS_FROM_C));
}

/** What a drain carries: its whole fall, less what stands in the crankcase, against friction and bends, each part in its own bore, filled to a share of its height. */
export function carriedBy(
  passed: readonly Passed[],
  { figures, said, againstBar }: Pick<LineDuty, 'figures' | 'said' | 'againstBar'>,
  { fluid, tempC }: DutyState,
  { drainFillPercent, froth }: FlowRules,
): { readonly filled: number; readonly full: number } {
  const head = headBar(said.fallMm ?? 0, fluid.densityKgM3) - againstBar;
  // only a shaft whips its oil up
  const times = figures.service === 'turbo-drain' ? frothAt(froth, tempC) : 1;
  const oilLpm = (filling: number): number => flowAtLoss((q) => openLossBar(passed, { ...fluid, flowLpm: q }, filling), head) / times;
  return { filled: oilLpm(drainFillPercent / 100), full: oilLpm(1) };
}

/** Loss of a path that is filled to a share of its height, by the hydraulic diameter of what is filled, bar. */
function openLossBar(passed: readonly Passed[], { flowLpm, viscosityCst, densityKgM3 }: Stream, filling: number): number {
  if (!(flowLpm > 0)) return 0;
  return passed.reduce((sum, { boreMm, lengthMm, turns, frictionTimes = 1 }) => {
    const { areaM2, hydraulicM } = wetted(boreMm / 1000, filling);
    const v = flowLpm / 60_000 / areaM2;
    const reynolds = reynoldsNumber(v, hydraulicM * 1000, viscosityCst);
    const bends = turns.reduce((k, turn) => k + lossCoefficient(turn, reynolds, boreMm), 0);
    return sum + (frictionTimes * frictionFactor(reynolds, 0) * (lengthMm / 1000 / hydraulicM) + bends) * dynamicBar(v, densityKgM3);
  }, 0);
}
