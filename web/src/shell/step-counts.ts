import { cutTickets, holds, partsList, type JudgedJob } from '@gewinde/core';
import type { StepPath } from './steps';

/** What stands beside the name of a step: how much is there or open; `attention` colours it. */
export interface StepCount {
  readonly text: string;
  readonly attention: boolean;
}

const count = (n: number, one: string): StepCount => ({ text: `${n} ${one}${n === 1 ? '' : 's'}`, attention: false });

export const stepCounts: Readonly<Record<StepPath, (job: JudgedJob) => StepCount>> = {
  survey: ({ document: { ports } }) => count(ports.length, 'port'),
  lines: ({ lines }) => {
    const open = lines.filter((l) => l.state === 'open' || l.state === 'leaks').length;
    return open > 0 ? { text: String(open), attention: true } : { text: `${lines.length} drawn`, attention: false };
  },
  audit: ({ findings }) => {
    const held = findings.filter(holds);
    const leaks = held.some((f) => f.severity === 'leak');
    return held.length > 0 ? { text: String(held.length), attention: leaks || held.length > 0 } : { text: 'clear', attention: false };
  },
  cut: (job) => count(cutTickets(job).tickets.length, 'ticket'),
  order: (job) => count(partsList(job).rows.length, 'part'),
};
