import type { Running } from '../job/index.js';
import type { AssembledLine } from '../lines/index.js';
import type { FlowQuestion } from './duty.js';
import { sizeLine } from './size-line.js';

/** The figures of the engine as it is planned; undefined where nothing is. What its pump gives grows with its revs. */
export function plannedRunning(running: Running): Running | undefined {
  const { plannedKw, plannedRevs, mostRevs, pumpLpm, powerKw } = running;
  if (plannedKw === undefined && plannedRevs === undefined) return undefined;
  const faster = plannedRevs !== undefined && mostRevs !== undefined ? plannedRevs / mostRevs : 1;
  const revs = plannedRevs ?? mostRevs;
  const kw = plannedKw ?? powerKw;
  return {
    ...running,
    ...(kw === undefined ? {} : { powerKw: kw }),
    ...(revs === undefined ? {} : { mostRevs: revs }),
    ...(pumpLpm === undefined ? {} : { pumpLpm: pumpLpm * faster }),
  };
}

/** What a line is to be for the engine as it is and as it is planned. */
export interface Growth {
  readonly today?: string;
  readonly planned?: string;
  /** `holds`: what is taken does for both. */
  readonly verdict: 'holds' | 'grows' | 'open';
  readonly words: string;
}

/** Whether what is taken holds for the engine as it is planned; undefined where nothing is planned. */
export function growthOf(line: AssembledLine, question: FlowQuestion): Growth | undefined {
  const planned = plannedRunning(question.running);
  if (!planned) return undefined;
  const [now, then] = [sizeLine(line, question), sizeLine(line, { ...question, running: planned })];
  const size = (s: typeof now): string | undefined => (s.recommended === undefined ? undefined : s.columns[s.recommended]!.size);
  const sizes = { ...(size(now) ? { today: size(now)! } : {}), ...(size(then) ? { planned: size(then)! } : {}) };
  const taken = then.taken === undefined ? undefined : then.columns[then.taken]!;
  if (!taken || taken.verdict === 'open') return { ...sizes, verdict: 'open', words: 'Not to be told yet.' };
  if (taken.verdict !== 'fails') return { ...sizes, verdict: 'holds', words: `${taken.size} holds for what is planned as well.` };
  return {
    ...sizes,
    verdict: 'grows',
    words: `${taken.size} does not hold for what is planned: ${taken.against[0] ?? taken.says}.${size(then) ? ` ${size(then)} would.` : ''}`,
  };
}
