import { usualFlowRules, type Line } from '../job/index.js';

/** Usual bore of a drain by gravity and up, mm: what the ends of a -10 hose pass. Common practice: -10 or 1/2 in. */
export const DRAIN_BORE_MM = usualFlowRules.drainBoreMm;
/** Whether the bore goes before everything else in a line: nothing but its fall drives it. */
export function boreLeads({ service }: Pick<Line, 'service'>): boolean {
  return service === 'turbo-drain';
}
