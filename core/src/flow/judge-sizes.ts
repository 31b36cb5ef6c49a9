import type { FlowRules, Running } from '../job/index.js';
import type { AssembledLine } from '../lines/index.js';
import type { LineDuty } from './duty.js';
import type { Held } from './held.js';
import { heldByFall } from './held-by-fall.js';
import { heldByFeed } from './held-by-feed.js';
import { heldByPump, heldBySuction } from './held-by-pump.js';
import type { ServiceFigures } from './service-figures.js';
import type { LineSizing, SizeRun } from './size-line.js';
import type { SizingRowId } from './sizing-rows.js';
import { practiceOf, reasonOf, saysOf } from './sizing-words.js';

/** `fails`: not to be taken. `tight`: it does, and something speaks against it. `open`: it cannot be reckoned yet. */
export type SizeVerdictId = 'passes' | 'tight' | 'fails' | 'open';

export interface SizeColumn extends SizeRun {
  readonly verdict: SizeVerdictId;
  /** Under the column, in two or three words. */
  readonly says: string;
  /** All that speaks against it. */
  readonly against: readonly string[];
  /** The rows whose figures go beyond what is asked; `soft` where it goes all the same. */
  readonly beyond: readonly { readonly row: SizingRowId; readonly soft?: true }[];
  /** How much of its strictest limit is left, per cent; negative where it is exceeded; absent where nothing limits it. */
  readonly marginPercent?: number;
}

type Judged = Pick<LineSizing, 'columns' | 'taken' | 'recommended' | 'reason' | 'practice' | 'refusals'>;

/** The verdict of each size, and which is to be taken: the narrowest that passes, or that at least goes. */
export function judgeSizes(runs: readonly SizeRun[], duty: LineDuty, running: Running, line: AssembledLine, rules: FlowRules): Judged {
  const widest = runs[runs.length - 1];
  // what speaks against all of them is the construction's, and says nothing of the size
  const refusals = (runs[0]?.refusals ?? []).filter((why) => runs.every((run) => run.refusals.includes(why)));
  const still = duty.figures.drive === 'still';
  const columns = runs.map((run): SizeColumn => {
    const all = run.outcomes.length > 0 ? heldBy(run, widest!, duty, running, line, rules) : [];
    const held = worstOfEach(all);
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
      beyond: all.flatMap(({ left, row, soft }) => (left < 0 && row ? [{ row, ...(soft ? { soft } : {}) }] : [])),
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

function heldBy(run: SizeRun, widest: SizeRun, duty: LineDuty, running: Running, line: AssembledLine, rules: FlowRules): Held[] {
  switch (duty.figures.drive) {
    case 'pressure':
      return heldByFeed(run, widest, duty, line);
    case 'flow':
      return heldByPump(run, duty, running);
    case 'suction':
      return heldBySuction(run, duty);
    case 'fall':
      return heldByFall(run, duty, rules);
    case 'still':
      return [];
  }
}
