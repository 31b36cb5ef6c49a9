import type { Finding } from '../findings/index.js';
import type { JudgedJob } from './judged.js';
import { ruleById } from './registry.js';

/** What leaks at a way of a line and other adapters there would put right, in words. */
export function leakAt({ lineById }: Pick<JudgedJob, 'lineById'>): (lineId: string, way: number) => string | undefined {
  return (lineId, way) => lineById.get(lineId)?.findings.find((f) => f.at.way === way && isOfWay(f))?.message;
}

/** A sensor that leaks in its new place, a valve to be turned, what is asked of the figures: none of it is put right by another way. */
function isOfWay({ severity, accepted, rule }: Finding): boolean {
  const { check, area } = ruleById(rule);
  return severity === 'leak' && !accepted && check.reads === 'line' && area !== 'direction' && area !== 'sensor';
}
