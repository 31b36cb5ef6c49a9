import type { Running } from '../job/index.js';
import { DRAIN_BORE_MM, DRAIN_FAILS_MM, type AssembledLine } from '../lines/index.js';
import type { LineDuty, StateId } from './duty.js';
import { doesNotPump } from './pumpable.js';
import { headBar, type RunOutcome } from './run-path.js';
import type { ServiceFigures } from './service-figures.js';
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

/** Common practice: a line should give hot nine tenths, and cold half, of what the widest would; with half of that it throttles. */
const OF_WIDEST = { hot: { soft: 0.9, hard: 0.5 }, cold: { soft: 0.5, hard: 0.25 } };
/** From a rule of thumb to what will not do: of speed, of loss, of the speed in a fitting that is narrower than its hose. Common practice. */
const FAR_BEYOND = { speed: 1.6, loss: 2, fitting: 1.3 };
/** What a line on the oil pump may take of the pressure in the gallery, warm, before the bearings miss it. Common practice. */
const CAN_SPARE = 0.4;
/** A relief valve opens about so far above what the gauge shows warm. Common practice. */
const RELIEF = 1.5;
/** In the gallery at most revs where nobody says it, bar. Common practice. */
const USUAL_FULL_BAR = 4;
/** How many times what comes a drain should carry with its froth. Common practice: red under 1, amber to this. */
const DRAIN_TIMES = 1.25;
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
export function judgeSizes(runs: readonly SizeRun[], duty: LineDuty, running: Running, line: AssembledLine): Judged {
  const widest = runs[runs.length - 1];
  // what speaks against all of them is the construction's, and says nothing of the size
  const refusals = (runs[0]?.refusals ?? []).filter((why) => runs.every((run) => run.refusals.includes(why)));
  const still = duty.figures.drive === 'still';
  const columns = runs.map((run): SizeColumn => {
    const held = run.outcomes.length > 0 ? worstOfEach(heldBy(run, widest!, duty, running, line)) : [];
    const hard = held.filter((h) => h.left < 0 && !h.soft);
    const soft = held.filter((h) => h.left < 0 && h.soft);
    const own = [...run.refusals.filter((why) => !refusals.includes(why)), ...underUsual(run, duty)];
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
  const at = reckoned && duty.figures.service !== 'other' ? bestOf(columns, duty.figures) : undefined;
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

/** Where nothing runs the size is the trade's: a booster on too narrow a hose answers late. */
function underUsual({ hose, size }: SizeRun, { figures }: LineDuty): string[] {
  const [least] = figures.dashes;
  return figures.service === 'brake-booster' && hose.dash < least ? [`${size} is under the usual -${least}: the brakes answer late`] : [];
}

/** Of the same complaint in several states the worst. */
function worstOfEach(held: readonly Held[]): Held[] {
  return held
    .filter((h) => held.find((o) => o.short === h.short && o.left < h.left) === undefined)
    .filter((h, i, list) => list.findIndex((o) => o.short === h.short) === i);
}

/** The narrowest usual one that passes; what is narrower and passes as well is nobody's first choice. */
function bestOf(columns: readonly SizeColumn[], { drive, dashes }: ServiceFigures): number | undefined {
  const suction = drive === 'suction';
  const usual = columns.findIndex((c) => c.verdict === 'passes' && c.hose.dash >= dashes[0]);
  const passes = usual >= 0 ? usual : columns.findIndex((c) => c.verdict === 'passes');
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

function heldBy(run: SizeRun, widest: SizeRun, duty: LineDuty, running: Running, line: AssembledLine): Held[] {
  switch (duty.figures.drive) {
    case 'pressure':
      return heldByFeed(run, widest, duty, line);
    case 'flow':
      return heldByPump(run, duty, running);
    case 'suction':
      return heldBySuction(run, duty);
    case 'fall':
      return heldByFall(run, duty);
    case 'still':
      return [];
  }
}

function heldByFeed(run: SizeRun, widest: SizeRun, duty: LineDuty, line: AssembledLine): Held[] {
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
    const hard = share(o, rule.hard);
    const left = share(o, rule.soft);
    return hard < 0 && !(when === 'hot' && enough(o))
      ? [{ left: hard, short, words }]
      : [{ left, short, words, ...(left < 0 ? { soft: true as const } : {}) }];
  };
  return [
    // a filter that takes little while it is cold lacks nothing
    ...(cold && need ? throttled(cold, OF_WIDEST.cold, 'too little when cold', 'cold') : []),
    ...(hot ? throttled(hot, OF_WIDEST.hot, 'throttles', 'hot') : []),
    ...(idle && need && idle.flowLpm < 0.5 * best('idle') && !enough(idle)
      ? [{ left: -1, short: 'too little at idle', words: `at hot idle it gives ${quantity(lpm(idle), 'L/min')}` }]
      : []),
    ...(fast < 0
      ? [
          {
            left: fast,
            ...(fast > 1 - FAR_BEYOND.speed ? { soft: true as const } : {}),
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

function heldByPump(run: SizeRun, { figures }: LineDuty, { fullBar }: Running): Held[] {
  return run.outcomes.flatMap((o): Held[] => {
    const cold = o.state.id === 'cold';
    const maxBar = cold ? figures.maxColdBar : figures.maxLossBar;
    const fast = o.loss.fastestMs;
    // beyond the rule of thumb it is amber; red is what the pump cannot give, or what is far beyond it
    const mostBar = maxBar === undefined ? Infinity : mostLossBar(figures, maxBar, cold, fullBar);
    return [
      ...(maxBar === undefined
        ? []
        : [
            {
              left: 1 - o.loss.lossBar / maxBar,
              ...(o.loss.lossBar > maxBar && o.loss.lossBar <= mostBar ? { soft: true as const } : {}),
              short: cold ? 'thick when cold' : 'takes too much',
              words: `${o.state.name} it takes ${quantity(o.loss.lossBar.toFixed(2), 'bar')}; ${quantity(maxBar, 'bar')} are usual at most${o.loss.lossBar > mostBar ? `, and ${quantity(mostBar.toFixed(1), 'bar')} are more than can be spared` : ''}`,
            },
          ]),
      ...(figures.maxMs === undefined || cold
        ? []
        : [
            {
              left: 1 - o.hoseMs / figures.maxMs,
              ...(o.hoseMs > figures.maxMs && o.hoseMs <= FAR_BEYOND.speed * figures.maxMs ? { soft: true as const } : {}),
              short: 'too fast',
              words: `${quantity(o.hoseMs.toFixed(1), 'm/s')} in the hose; ${quantity(figures.maxMs, 'm/s')} are usual at most`,
            },
            ...(o.hoseMs <= figures.maxMs && fast > FAR_BEYOND.fitting * figures.maxMs
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

/** From where on a loss is more than can be spared: of a line on the oil pump by the pressure there is, of others by the rule of thumb. */
function mostLossBar({ flowFrom }: ServiceFigures, maxBar: number, cold: boolean, fullBar = USUAL_FULL_BAR): number {
  if (flowFrom !== 'oil pump') return maxBar * FAR_BEYOND.loss;
  // cold, the relief valve holds what is held, and what takes all of it lets nothing through; warm, the bearings come first
  return Math.max(maxBar, cold ? fullBar * RELIEF : fullBar * CAN_SPARE);
}

function heldBySuction(run: SizeRun, duty: LineDuty): Held[] {
  const { figures, oil } = duty;
  const [minWarm, minCold] = figures.minAbsBar ?? [0.8, 0.6];
  const stiff = oil && duty.coldestC !== undefined ? doesNotPump(oil, duty.coldestC) : undefined;
  return [
    ...(stiff ? [{ left: -1, short: 'does not pump', words: stiff }] : []),
    ...run.outcomes.flatMap((o): Held[] => {
      const least = o.state.id === 'cold' ? minCold : minWarm;
      const fast = figures.maxMs === undefined || o.state.id === 'cold' ? 0 : 1 - o.hoseMs / figures.maxMs;
      return [
        {
          left: (o.absBar! - least) / least,
          short: o.state.id === 'cold' ? 'too little when cold' : 'starves the pump',
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
    }),
  ];
}

function heldByFall(run: SizeRun, duty: LineDuty): Held[] {
  const bore = run.path.passed.length > 0 ? Math.min(...run.path.passed.map((p) => p.boreMm)) : 0;
  const stepped = stepDown(run);
  const turbo = duty.figures.service === 'turbo-drain';
  const rises = (duty.said.fallMm ?? 1) <= 0;
  return [
    ...(rises ? [{ left: -1, short: 'does not fall', words: 'nothing but its fall drives it, and it does not fall' }] : []),
    ...run.outcomes.flatMap((o): Held[] => {
      // a canister that stands full while its oil is cold lacks nothing
      if (!o.carries || o.state.id === 'warm' || (!turbo && o.state.id === 'cold')) return [];
      const times = o.carries.full / Math.max(1e-9, o.flowLpm);
      const [cold, least] = [o.state.id === 'cold', DRAIN_TIMES];
      return [
        {
          left: times / least - 1,
          // at a cold start it lasts for minutes, with the shaft hardly turning
          ...(times < least && (times >= 1 || cold) ? { soft: true as const } : {}),
          short: times < 1 ? (cold ? 'backs up cold' : 'backs up') : cold ? 'just carries it cold' : 'just carries it',
          words: `${o.state.name} ${quantity(o.flowLpm.toFixed(1), 'L/min')} come, and it carries ${quantity(o.carries.full.toFixed(1), 'L/min')}${turbo ? ' with its froth' : ''} at full bore, ${times.toFixed(2)} ×${duty.againstBar > 0 ? `; the crankcase takes ${quantity((duty.againstBar * 1000).toFixed(0), 'mbar')} of its ${quantity((headBar(duty.said.fallMm ?? 0, o.state.fluid.densityKgM3) * 1000).toFixed(0), 'mbar')}` : ''}`,
        },
      ];
    }),
    ...(turbo && bore < DRAIN_BORE_MM
      ? [
          {
            left: -1,
            ...(bore >= DRAIN_FAILS_MM ? { soft: true as const } : {}),
            short: 'narrow drain',
            words: `its narrowest is ${quantity(bore.toFixed(1), 'mm')}; ${quantity(DRAIN_BORE_MM, 'mm')} and up are usual, and under ${quantity(DRAIN_FAILS_MM, 'mm')} froth stands in it`,
          },
        ]
      : []),
    ...(stepped ? [{ left: -1, soft: true as const, short: 'steps down', words: stepped }] : []),
  ];
}

/** Share by which a bore may narrow on its way before froth stands at the ledge: the ends of a hose are always a little narrower. Common practice. */
const LEDGE = 0.8;

/** Where the bore of a drain narrows beyond what it has passed already, in words. */
export function stepDown({ path }: Pick<SizeRun, 'path'>): string | undefined {
  const way = path.passed.filter((p) => p.kind === 'fitting' || p.kind === 'hose' || p.kind === 'hose end');
  let [least, before] = [Infinity, way[0]];
  for (const one of way) {
    if (one.boreMm < LEDGE * least && least < Infinity)
      return `it narrows from ${quantity(before!.boreMm, 'mm')} to ${quantity(one.boreMm, 'mm')} at ${one.name}`;
    if (one.boreMm < least) [least, before] = [one.boreMm, one];
  }
  return undefined;
}

function narrowest(o: RunOutcome): string {
  const fits = o.loss.elements.filter((e) => e.kind !== 'restrictor');
  return fits.reduce((a, b) => (b.boreMm < a.boreMm ? b : a)).name;
}
