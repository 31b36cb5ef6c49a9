import { bypassFilter, type BypassFlow } from './bypass-filter.js';
import type { FlowQuestion } from './duty.js';
import type { LineSizing } from './size-line.js';
import { consumerOf } from './what-feeds.js';

/**
 * What a bypass filter takes through its feed, hot, by the narrowest hole on its way. Undefined for other lines, and while the pressures or
 * the orifice are not known.
 */
export function bypassOfLine({ line, columns, taken, duty }: LineSizing, { running }: FlowQuestion): BypassFlow | undefined {
  const hot = duty.states.find((s) => s.id === 'hottest');
  const { idleBar, fullBar, pumpLpm, idleRevs, mostRevs, sumpL } = running;
  if (line.line.service !== 'bypass-feed' || !hot || idleBar === undefined || fullBar === undefined) return undefined;
  const holes = [...(columns[taken ?? 0]?.path.passed ?? []).filter((p) => p.kind === 'restrictor'), ...consumerOf(line)];
  if (holes.length === 0) return undefined;
  const idleShare = idleRevs !== undefined && mostRevs !== undefined ? idleRevs / mostRevs : undefined;
  return bypassFilter({
    orificeMm: Math.min(...holes.map((h) => h.boreMm)),
    idleBar,
    fullBar,
    fluid: hot.fluid,
    ...(sumpL === undefined ? {} : { sumpL }),
    ...(pumpLpm === undefined ? {} : { pumpLpm }),
    ...(pumpLpm === undefined || idleShare === undefined ? {} : { pumpIdleLpm: pumpLpm * idleShare }),
  });
}
