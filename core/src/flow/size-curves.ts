import type { DutyState, FlowQuestion } from './duty.js';
import type { LineSizing } from './size-line.js';
import { lossBarAlong } from './line-loss.js';
import { velocity } from './pressure-loss.js';
import { absBarAfter, carriedBy, flowIn } from './run-path.js';
import { broughtTo, consumerOf } from './what-feeds.js';
import { quantity } from '../units/index.js';

/** What a size does at a temperature. */
export interface CurvePoint {
  readonly tempC: number;
  readonly flowLpm: number;
  readonly lossBar: number;
  readonly speedMs: number;
  readonly absBar?: number;
  readonly carriesLpm?: number;
}

export interface SizeCurves {
  readonly temps: readonly number[];
  /** One for each column of the sizing, in their order; empty where it cannot be reckoned. */
  readonly sizes: readonly (readonly CurvePoint[])[];
  /** What comes to a drain, L/min by temperature; empty elsewhere. */
  readonly brought: readonly number[];
}

/**
 * Flow, loss and speed of every size from a cold start to the hottest. Pressures are those at most revs; what a pump gives grows from that of a
 * cold start to that at most revs as the oil warms.
 * @param steps how many temperatures, both ends with them
 */
export function sizeCurves(sizing: LineSizing, question: FlowQuestion, steps = 14): SizeCurves {
  const { duty, line, columns } = sizing;
  const [cold, warm, hottest] = (['cold', 'warm', 'hottest'] as const).map((id) => duty.states.find((s) => s.id === id));
  const first = cold ?? warm;
  if (!first || !hottest || !(hottest.tempC > first.tempC)) return { temps: [], sizes: columns.map(() => []), brought: [] };
  const temps = Array.from({ length: steps }, (_, i) => Math.round(first.tempC + ((hottest.tempC - first.tempC) * i) / (steps - 1)));
  const states = temps.flatMap((tempC): DutyState[] => {
    const fluid = duty.at(tempC);
    if (!fluid) return [];
    const until = warm ? warm.tempC : hottest.tempC;
    const share = until > first.tempC ? Math.min(1, Math.max(0, (tempC - first.tempC) / (until - first.tempC))) : 1;
    const [from, to] = [first.flowLpm, hottest.flowLpm];
    return [
      {
        id: 'hottest',
        name: `at ${quantity(tempC, '°C')}`,
        tempC,
        fluid,
        ...(hottest.sourceBar === undefined ? {} : { sourceBar: hottest.sourceBar }),
        ...(from === undefined || to === undefined ? {} : { flowLpm: from + (to - from) * share }),
      },
    ];
  });
  const drained = sizing.brought.length > 0;
  const brought = drained ? states.map((state) => broughtTo(line, question, state).lpm) : [];
  const consumer = consumerOf(line);
  const sizes = columns.map(({ path, hose }) =>
    path.passed.length === 0
      ? []
      : states.map((state, i): CurvePoint => {
          const own = drained && state.flowLpm !== undefined ? { ...state, flowLpm: brought[i]! * (duty.figures.airTimes ?? 1) } : state;
          const flowLpm = flowIn(path.passed, duty, own, consumer, brought[i] ?? 0);
          const lossBar = lossBarAlong(path.passed, { ...own.fluid, flowLpm });
          const { drive } = duty.figures;
          const fall = duty.said.fallMm ?? 0;
          return {
            tempC: state.tempC,
            flowLpm,
            lossBar,
            speedMs: velocity(flowLpm, hose.boreMm),
            ...(drive === 'suction' ? { absBar: absBarAfter(lossBar, fall, own.fluid.densityKgM3, duty.airBar) } : {}),
            ...(drive === 'fall' && fall > 0 ? { carriesLpm: carriedBy(path.passed, duty, own, question.rules).full } : {}),
          };
        }),
  );
  return { temps, sizes, brought };
}

/** Temperatures at which more comes to a drain than it carries as it should run, °C: from and to; undefined where it never does. */
export function backsUpBetween({ temps, sizes, brought }: SizeCurves, column: number): readonly [number, number] | undefined {
  const over = temps.filter((_, i) => (sizes[column]?.[i]?.carriesLpm ?? Infinity) < (brought[i] ?? 0));
  return over.length === 0 ? undefined : [over[0]!, over[over.length - 1]!];
}
