import type { LineDuty } from './duty.js';
import { outcomeIn } from './held.js';
import type { SizeColumn } from './judge-sizes.js';
import type { RunOutcome } from './run-path.js';
import type { SizeRun } from './size-line.js';
import { quantity } from '../units/index.js';

/** Under a column whose figures complain of nothing. */
export function saysOf(columns: readonly SizeColumn[], i: number, best: number | undefined, { figures }: LineDuty): string {
  if (best === undefined) return '';
  if (i === best) return 'recommended';
  if (i < best) return 'narrow';
  const gain = gainOver(columns[best]!, columns[i]!, figures.drive === 'pressure');
  if (figures.drive === 'pressure') return gain < 0.05 ? 'gives no more' : 'gives more';
  return figures.drive === 'still' ? 'does' : 'roomy';
}

/** Cold flow that the other gives beyond the first, as a share. */
function gainOver(one: SizeColumn, other: SizeColumn, pressure: boolean): number {
  const [a, b] = [outcomeIn(one, 'cold') ?? one.outcomes[0], outcomeIn(other, 'cold') ?? other.outcomes[0]];
  if (!a || !b) return 0;
  return pressure ? b.flowLpm / a.flowLpm - 1 : 0;
}

/** Why a size is recommended, and what the next would buy. */
export function reasonOf(columns: readonly SizeColumn[], at: number, { figures, states }: LineDuty): string {
  const [best, next] = [columns[at]!, columns[at + 1]];
  if (figures.drive === 'still') return `Nothing runs in it: the narrowest that is usual and bears what stands in it.`;
  const [a, b] = [worstOf(best), next && worstOf(next)];
  if (!a) return '';
  const held = best.verdict === 'passes' ? 'the narrowest that keeps every limit' : 'what comes nearest';
  const cold = states.some((s) => s.id === 'cold') ? '' : '; a cold start is not reckoned';
  switch (figures.drive) {
    case 'pressure': {
      const [hot, chill] = [outcomeIn(best, 'hottest') ?? a, outcomeIn(best, 'cold')];
      const buys = next && b ? ` ${next.size} would give ${percent(Math.max(0, gainOver(best, next, true)))} more when cold.` : '';
      return `${best.size} is ${held}: ${quantity(lpm(hot), 'L/min')} hot${chill ? `, ${quantity(lpm(chill), 'L/min')} at ${quantity(chill.state.tempC, '°C')}` : ''}${cold}.${buys}`;
    }
    case 'suction': {
      const buys = next && b ? ` ${next.size} would leave ${quantity((b.absBar! - a.absBar!).toFixed(2), 'bar')} more.` : '';
      return `${best.size} is ${held}: ${quantity(a.absBar!.toFixed(2), 'bar')} absolute at the pump at the worst, ${a.state.name}${cold}.${buys}`;
    }
    case 'fall': {
      if (!a.carries) return '';
      const buys =
        next && b?.carries ? ` ${next.size} would carry ${quantity((b.carries.full - a.carries.full).toFixed(1), 'L/min')} more.` : '';
      return `${best.size} is ${held}: ${quantity(lpm(a), 'L/min')} come, and it carries ${quantity(a.carries.full.toFixed(1), 'L/min')}${figures.service === 'turbo-drain' ? ' with its froth' : ''} at full bore, ${a.state.name}; half full, where it runs quietly, ${quantity(a.carries.filled.toFixed(1), 'L/min')}${cold}.${buys}`;
    }
    case 'flow': {
      const buys = next && b ? ` ${next.size} would save ${quantity((a.loss.lossBar - b.loss.lossBar).toFixed(2), 'bar')}.` : '';
      return `${best.size} is ${held}: ${quantity(a.loss.lossBar.toFixed(2), 'bar')} at the worst, ${a.state.name}${cold}.${buys}`;
    }
  }
}

/** The state in which a size does worst. */
function worstOf({ outcomes }: SizeRun): RunOutcome | undefined {
  const left = (o: RunOutcome): number => o.carries?.full ?? o.absBar ?? o.endBar ?? -o.loss.lossBar;
  return outcomes.length === 0 ? undefined : outcomes.reduce((a, b) => (left(b) < left(a) ? b : a));
}

/** What is usual, where that differs from what is recommended. */
export function practiceOf({ hose, size }: SizeRun, { figures: { dashes, usual } }: LineDuty): string | undefined {
  const [least, most] = dashes;
  const words = `-${least} to -${most}`;
  if (hose.dash < least || hose.dash > most) return `Usual for this service are ${words}; ${size} is what the figures ask for.`;
  return usual.includes(hose.construction) ? undefined : `Another construction is usual for this service.`;
}

export function lpm({ flowLpm }: RunOutcome): string {
  return flowLpm < 10 ? flowLpm.toFixed(1) : flowLpm.toFixed(0);
}

export function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
