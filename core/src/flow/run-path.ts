import type { FlowRules } from '../job/index.js';
import { absolute, type DutyState, type LineDuty } from './duty.js';
import { flowAtLoss } from './find-flow.js';
import type { Passed } from './flow-path.js';
import { drainCapacity } from './gravity-drain.js';
import { lossAlong, lossBarAlong, type LineLoss, type Stream } from './line-loss.js';
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
  /** At the pump, bar absolute. */
  readonly absBar?: number;
  /** What it carries by its fall, filled as the shop reckons and running full, without froth, L/min. */
  readonly carries?: { readonly filled: number; readonly full: number };
  /** Until what enters comes out, s. */
  readonly fillsS?: number;
}

const GRAVITY = 9.80665;
const MM3_PER_LITRE = 1e6;

/** Head of a fall, bar. */
export function headBar(fallMm: number, densityKgM3: number): number {
  return (densityKgM3 * GRAVITY * (fallMm / 1000)) / 1e5;
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
  const litres = litresIn(passed);
  return {
    state,
    flowLpm,
    loss,
    hoseMs: Math.max(0, ...loss.elements.filter((e) => e.kind === 'hose').map((e) => e.velocityMs)),
    ...(state.sourceBar === undefined ? {} : { endBar: state.sourceBar + head - loss.lossBar }),
    ...(duty.figures.drive === 'suction' ? { absBar: absolute(head - loss.lossBar) } : {}),
    ...(duty.figures.drive === 'fall' && (duty.said.fallMm ?? 0) > 0
      ? { carries: carriedBy(passed, duty.said.fallMm!, state, rules) }
      : {}),
    ...(flowLpm > 0 ? { fillsS: (litres / flowLpm) * 60 } : {}),
  };
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

/** A drain by its narrowest: the fall over the whole length, its bends counted with it. */
function carriedBy(passed: readonly Passed[], fallMm: number, { fluid }: DutyState, { drainFillPercent, froth }: FlowRules) {
  const boreMm = Math.min(...passed.map((p) => p.boreMm));
  const lengthMm = Math.max(
    fallMm,
    passed.reduce((sum, p) => sum + p.lengthMm, 0),
  );
  // bends by their two constants at a flow that is neither creeping nor fast
  const k = passed.reduce((sum, p) => sum + p.turns.reduce((s, turn) => s + lossCoefficient(turn, 500, p.boreMm), 0), 0);
  const drain = { boreMm, fallMm, lengthMm, ...fluid, k, froth };
  return {
    filled: drainCapacity({ ...drain, filling: drainFillPercent / 100 }).oilLpm,
    full: drainCapacity({ ...drain, filling: 1 }).oilLpm,
  };
}
