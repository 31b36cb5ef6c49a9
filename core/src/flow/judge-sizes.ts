import type { FlowRules } from '../job/index.js';
import type { AssembledLine } from '../lines/index.js';
import type { LineDuty, StateId } from './duty.js';
import type { RunOutcome } from './run-path.js';
import type { LineSizing, SizeRun } from './size-line.js';
import { turboNeeds } from './turbo.js';
import { lpm, percent, practiceOf, reasonOf, saysOf } from './sizing-words.js';
import { bearingOf } from './what-feeds.js';
import { quantity, roundedUp } from '../units/index.js';

/** `fails`: not to be taken. `tight`: it does, and something speaks against it. `open`: it cannot be reckoned yet. */
export type SizeVerdictId = 'passes' | 'tight' | 'fails' | 'open';

export interface SizeColumn extends SizeRun {
  readonly verdict: SizeVerdictId;
  /** Under the column, in two or three words. */
  readonly says: string;
  /** All that speaks against it. */
  readonly against: readonly string[];
  /** How much of its strictest limit is left, per cent; negative where it is exceeded; absent where nothing limits it. */
  readonly marginPercent?: number;
}

/** Common practice: a line must give hot nine tenths, and cold half, of what the widest would. */
const OF_WIDEST = { hot: 0.9, cold: 0.5 };
/** Until hot oil is where it is needed at a cold start, s. Common practice. */
const SLOW_S = 20;

/** One thing that speaks against a size: how short it is called, and how far its limit is kept. */
interface Held {
  readonly left: number;
  readonly short: string;
  readonly words: string;
  /** It goes all the same. */
  readonly soft?: true;
}

type Judged = Pick<LineSizing, 'columns' | 'taken' | 'recommended' | 'reason' | 'practice' | 'refusals'>;

/** The verdict of each size, and which is to be taken: the narrowest that passes, or that at least goes. */
export function judgeSizes(runs: readonly SizeRun[], duty: LineDuty, rules: FlowRules, line: AssembledLine): Judged {
  const widest = runs[runs.length - 1];
  // what speaks against all of them is the construction's, and says nothing of the size
  const refusals = (runs[0]?.refusals ?? []).filter((why) => runs.every((run) => run.refusals.includes(why)));
  const still = duty.figures.drive === 'still';
  const columns = runs.map((run): SizeColumn => {
    const held = run.outcomes.length > 0 ? worstOfEach(heldBy(run, widest!, duty, rules, line)) : [];
    const hard = held.filter((h) => h.left < 0 && !h.soft);
    const soft = held.filter((h) => h.left < 0 && h.soft);
    const own = run.refusals.filter((why) => !refusals.includes(why));
    const refused = own.length > 0;
    const limits = held.filter((h) => !h.soft);
    return {
      ...run,
      verdict: refused || hard.length > 0 ? 'fails' : run.outcomes.length === 0 && !still ? 'open' : soft.length > 0 ? 'tight' : 'passes',
      says: refused ? 'hose will not do' : (hard[0]?.short ?? soft[0]?.short ?? ''),
      against: [...own, ...hard.map((h) => h.words), ...soft.map((h) => h.words)],
      // what is exceeded all the same says more than how far the rest is kept
      ...(limits.length > 0 && (hard.length > 0 || soft.length === 0)
        ? { marginPercent: Math.max(-100, Math.round(Math.min(...limits.map((h) => h.left)) * 100)) }
        : {}),
    };
  });
  const reckoned = still || columns.some((c) => c.outcomes.length > 0);
  const at = reckoned && duty.figures.service !== 'other' ? bestOf(columns, duty.figures.drive === 'suction') : undefined;
  const taken = columns.findIndex((c) => c.taken);
  const told = columns.map((c, i) => (c.says === '' ? { ...c, says: saysOf(columns, i, at, duty) } : c));
  const practice = at === undefined ? undefined : practiceOf(told[at]!, duty);
  return {
    columns: told,
    refusals,
    ...(taken >= 0 ? { taken } : {}),
    ...(at === undefined ? {} : { recommended: at }),
    reason:
      at === undefined
        ? duty.figures.service === 'other'
          ? 'What it is for says how wide it must be: give it its service.'
          : reckoned
            ? 'None of these sizes will do: see what speaks against each.'
            : ''
        : reasonOf(told, at, duty),
    ...(practice ? { practice } : {}),
  };
}

/** Of the same complaint in several states the worst. */
function worstOfEach(held: readonly Held[]): Held[] {
  return held
    .filter((h) => held.find((o) => o.short === h.short && o.left < h.left) === undefined)
    .filter((h, i, list) => list.findIndex((o) => o.short === h.short) === i);
}

function bestOf(columns: readonly SizeColumn[], suction: boolean): number | undefined {
  const passes = columns.findIndex((c) => c.verdict === 'passes');
  if (passes >= 0) return passes;
  const tight = columns.filter((c) => c.verdict === 'tight');
  const fewest = Math.min(...tight.map((c) => c.against.length));
  const nearest = tight.filter((c) => c.against.length === fewest);
  // a suction that is fast everywhere is least so in the widest
  const best = suction ? nearest[nearest.length - 1] : nearest[0];
  return best && columns.indexOf(best);
}

export function outcomeIn({ outcomes }: Pick<SizeRun, 'outcomes'>, id: StateId): RunOutcome | undefined {
  return outcomes.find((o) => o.state.id === id);
}

function heldBy(run: SizeRun, widest: SizeRun, duty: LineDuty, rules: FlowRules, line: AssembledLine): Held[] {
  switch (duty.figures.drive) {
    case 'pressure':
      return heldByFeed(run, widest, duty, line);
    case 'flow':
      return heldByPump(run, duty);
    case 'suction':
      return heldBySuction(run, duty);
    case 'fall':
      return heldByFall(run, duty, rules);
    case 'still':
      return [];
  }
}

function heldByFeed(run: SizeRun, widest: SizeRun, { figures }: LineDuty, line: AssembledLine): Held[] {
  const [hot, cold, idle] = (['hottest', 'cold', 'idle'] as const).map((id) => outcomeIn(run, id));
  const best = (id: StateId): number => outcomeIn(widest, id)?.flowLpm ?? 0;
  const share = (o: RunOutcome | undefined, least: number): number =>
    o && best(o.state.id) > 0 ? o.flowLpm / best(o.state.id) - least : 0;
  const need = line.line.service === 'turbo-feed' ? turboNeeds[bearingOf(line)] : undefined;
  const fast = hot && figures.maxMs !== undefined ? 1 - hot.hoseMs / figures.maxMs : 0;
  return [
    ...(cold
      ? [
          {
            left: share(cold, OF_WIDEST.cold),
            short: 'starves cold',
            words: `cold it gives ${quantity(lpm(cold), 'L/min')}, ${percent(cold.flowLpm / best('cold'))} of what the widest would`,
          },
        ]
      : []),
    ...(hot
      ? [
          {
            left: share(hot, OF_WIDEST.hot),
            short: 'throttles',
            words: `hot it gives ${quantity(lpm(hot), 'L/min')}, ${percent(hot.flowLpm / best('hottest'))} of what the widest would`,
          },
        ]
      : []),
    ...(idle && idle.flowLpm < 0.5 * best('idle')
      ? [{ left: -1, short: 'starves at idle', words: `at hot idle it gives ${quantity(lpm(idle), 'L/min')}` }]
      : []),
    ...(fast < 0
      ? [
          {
            left: fast,
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
            short: 'slow to fill',
            words: `cold it takes ${Math.round(cold.fillsS)} s until what enters comes out`,
          },
        ]
      : []),
  ];
}

function heldByPump(run: SizeRun, { figures }: LineDuty): Held[] {
  return run.outcomes.flatMap((o): Held[] => {
    const cold = o.state.id === 'cold';
    const maxBar = cold ? figures.maxColdBar : figures.maxLossBar;
    const fast = o.loss.fastestMs;
    return [
      ...(maxBar === undefined
        ? []
        : [
            {
              left: 1 - o.loss.lossBar / maxBar,
              short: cold ? 'too thick cold' : 'takes too much',
              words: `${o.state.name} it takes ${quantity(o.loss.lossBar.toFixed(2), 'bar')}; ${quantity(maxBar, 'bar')} are usual at most`,
            },
          ]),
      ...(figures.maxMs === undefined || cold
        ? []
        : [
            {
              left: 1 - o.hoseMs / figures.maxMs,
              short: 'too fast',
              words: `${quantity(o.hoseMs.toFixed(1), 'm/s')} in the hose; ${quantity(figures.maxMs, 'm/s')} are usual at most`,
            },
            ...(o.hoseMs <= figures.maxMs && fast > figures.maxMs
              ? [
                  {
                    left: -1,
                    soft: true as const,
                    short: 'narrow fittings',
                    words: `${quantity(fast.toFixed(1), 'm/s')} in its narrowest, ${narrowest(o)}`,
                  },
                ]
              : []),
          ]),
    ];
  });
}

function heldBySuction(run: SizeRun, { figures }: LineDuty): Held[] {
  const [minWarm, minCold] = figures.minAbsBar ?? [0.8, 0.6];
  return run.outcomes.flatMap((o): Held[] => {
    const least = o.state.id === 'cold' ? minCold : minWarm;
    const fast = figures.maxMs === undefined || o.state.id === 'cold' ? 0 : 1 - o.hoseMs / figures.maxMs;
    return [
      {
        left: (o.absBar! - least) / least,
        short: o.state.id === 'cold' ? 'starves cold' : 'starves the pump',
        words: `${o.state.name} ${quantity(o.absBar!.toFixed(2), 'bar')} absolute at the pump; ${roundedUp(least, 'bar')} are the least`,
      },
      ...(fast < 0
        ? [
            {
              left: fast,
              soft: true as const,
              short: 'fast for suction',
              words: `${quantity(o.hoseMs.toFixed(1), 'm/s')}; under ${quantity(figures.maxMs!, 'm/s')} is usual`,
            },
          ]
        : []),
    ];
  });
}

function heldByFall(run: SizeRun, duty: LineDuty, rules: FlowRules): Held[] {
  const bore = run.path.passed.length > 0 ? Math.min(...run.path.passed.map((p) => p.boreMm)) : 0;
  const stepped = stepDown(run);
  return [
    ...run.outcomes.flatMap((o): Held[] => {
      if (!o.carries || o.state.id === 'warm') return [];
      const { filled, full } = o.carries;
      return [
        {
          left: full / Math.max(1e-9, o.flowLpm) - 1,
          // at a cold start it lasts for minutes, with the shaft hardly turning
          ...(o.state.id === 'cold' ? { soft: true as const } : {}),
          short: o.state.id === 'cold' ? 'backs up cold' : 'backs up',
          words: `${o.state.name} it carries ${quantity(full.toFixed(1), 'L/min')} running full, and ${quantity(o.flowLpm.toFixed(1), 'L/min')} come`,
        },
        ...(filled < o.flowLpm && full >= o.flowLpm
          ? [
              {
                left: -1,
                soft: true as const,
                short: o.state.id === 'cold' ? 'fills up cold' : 'fills up',
                words: `${o.state.name} it is more than ${rules.drainFillPercent} % full: ${quantity(filled.toFixed(1), 'L/min')} would fill it so far, and ${quantity(o.flowLpm.toFixed(1), 'L/min')} come`,
              },
            ]
          : []),
      ];
    }),
    ...(duty.figures.service === 'turbo-drain' && bore < 11
      ? [
          {
            left: -1,
            soft: true as const,
            short: 'narrow drain',
            words: `its narrowest is ${quantity(bore.toFixed(1), 'mm')}; ${quantity(11, 'mm')} and up are usual`,
          },
        ]
      : []),
    ...(stepped ? [{ left: -1, soft: true as const, short: 'steps down', words: stepped }] : []),
  ];
}

/** Where the bore of a drain narrows on its way, in words. */
export function stepDown({ path }: Pick<SizeRun, 'path'>): string | undefined {
  const way = path.passed.filter((p) => p.kind === 'fitting' || p.kind === 'hose');
  const at = way.findIndex((p, i) => i > 0 && p.boreMm < way[i - 1]!.boreMm - 1);
  if (at < 0) return undefined;
  return `it narrows from ${quantity(way[at - 1]!.boreMm, 'mm')} to ${quantity(way[at]!.boreMm, 'mm')} at ${way[at]!.name}`;
}

function narrowest(o: RunOutcome): string {
  const fits = o.loss.elements.filter((e) => e.kind !== 'restrictor');
  return fits.reduce((a, b) => (b.boreMm < a.boreMm ? b : a)).name;
}
