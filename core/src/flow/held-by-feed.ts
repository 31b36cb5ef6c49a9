import type { AssembledLine } from '../lines/index.js';
import { quantity } from '../units/index.js';
import type { LineDuty, StateId } from './duty.js';
import { FAR_BEYOND, outcomeIn, type Held } from './held.js';
import type { RunOutcome } from './run-path.js';
import type { SizeRun } from './size-line.js';
import { lpm, percent } from './sizing-words.js';
import { turboNeeds } from './turbo.js';
import { bearingOf } from './what-feeds.js';

/** Common practice: a line should give hot nine tenths, and cold half, of what the widest would; with half of that it throttles. */
const OF_WIDEST = { hot: { soft: 0.9, hard: 0.5 }, cold: { soft: 0.5, hard: 0.25 } };
/** Until hot oil is where it is needed at a cold start, s. Common practice. */
const SLOW_S = 20;

/** A line on a pressure that is held: what it gives of what the widest would, and whether that is enough. */
export function heldByFeed(run: SizeRun, widest: SizeRun, duty: LineDuty, line: AssembledLine): Held[] {
  const { figures } = duty;
  const [hot, cold, idle] = (['hottest', 'cold', 'idle'] as const).map((id) => outcomeIn(run, id));
  const best = (id: StateId): number => outcomeIn(widest, id)?.flowLpm ?? 0;
  const share = (o: RunOutcome, least: number): number => (best(o.state.id) > 0 ? o.flowLpm / best(o.state.id) - least : 0);
  const need = line.line.service === 'turbo-feed' ? turboNeeds[bearingOf(line)] : undefined;
  const fast = hot && figures.maxMs !== undefined ? 1 - hot.hoseMs / figures.maxMs : 0;
  // what it must have decides; how much a wider hose would give is a rule of thumb
  const enough = (o: RunOutcome): boolean => need !== undefined && o.flowLpm >= need.lpm[0];
  const throttled = (o: RunOutcome, rule: { readonly soft: number; readonly hard: number }, short: string, when: string): Held[] => {
    const words = `${when} it gives ${quantity(lpm(o), 'L/min')}, ${percent(best(o.state.id) > 0 ? o.flowLpm / best(o.state.id) : 0)} of what the widest would`;
    const row = `flow ${o.state.id}` as const;
    const hard = share(o, rule.hard);
    const left = share(o, rule.soft);
    return hard < 0 && !(when === 'hot' && enough(o))
      ? [{ left: hard, row, short, words }]
      : [{ left, row, short, words, ...(left < 0 ? { soft: true as const } : {}) }];
  };
  return [
    // a filter that takes little while it is cold lacks nothing
    ...(cold && need ? throttled(cold, OF_WIDEST.cold, 'too little when cold', 'cold') : []),
    ...(hot ? throttled(hot, OF_WIDEST.hot, 'throttles', 'hot') : []),
    ...(idle && need && idle.flowLpm < 0.5 * best('idle') && !enough(idle)
      ? [
          {
            left: -1,
            row: 'flow idle' as const,
            short: 'too little at idle',
            words: `at hot idle it gives ${quantity(lpm(idle), 'L/min')}`,
          },
        ]
      : []),
    ...(fast < 0
      ? [
          {
            left: fast,
            ...(fast > 1 - FAR_BEYOND.speed ? { soft: true as const } : {}),
            row: 'speed hottest' as const,
            short: 'too fast',
            words: `${quantity(hot!.hoseMs.toFixed(1), 'm/s')}; ${quantity(figures.maxMs!, 'm/s')} are usual at most`,
          },
        ]
      : []),
    ...(cold?.fillsS !== undefined && need && cold.fillsS > SLOW_S
      ? [
          {
            left: -1,
            soft: true as const,
            row: 'fills cold' as const,
            short: 'slow to fill',
            words: `cold it takes ${Math.round(cold.fillsS)} s until what enters comes out`,
          },
        ]
      : []),
  ];
}
