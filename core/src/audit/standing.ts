import { holds, type Before, type Finding } from '../findings/index.js';
import type { JudgedJob } from './judged.js';
import { ruleById } from './registry.js';

/**
 * What stands before the saw, the order or the start: what leaks or is a risk there and is not accepted. Before an engine is started nothing
 * may be left that belongs there, whatever it weighs.
 */
export function standsBefore(findings: readonly Finding[], what: Before): Finding[] {
  return findings.filter((f) => {
    const { before, severity } = ruleById(f.rule);
    if (before !== what || f.accepted) return false;
    return holds(f) || (what === 'start' && severity !== 'leak');
  });
}

/** Holds a line back from being checked, cut and ordered: what leaks or is a risk, and what is not chosen yet. */
export function holdsLine({ rule, severity, accepted }: Pick<Finding, 'rule' | 'severity' | 'accepted'>): boolean {
  return !accepted && (severity === 'leak' || severity === 'risk' || ruleById(rule).undecided === true);
}

/** What stands against a line being checked, in words, the worst first. */
export function standsAgainstCheck({ lineById }: Pick<JudgedJob, 'lineById'>, lineId: string): string[] {
  return (lineById.get(lineId)?.findings ?? []).filter(holdsLine).map(({ message }) => message);
}
