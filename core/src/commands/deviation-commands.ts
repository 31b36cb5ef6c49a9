import { counts } from '../schema/index.js';
import { CommandError } from './command-error.js';
import type { CommandOf } from './command-schemas.js';
import type { JobDraft } from './job-draft.js';

/** A job does something another way than the shop, with initials and a reason. @throws {CommandError} bad-value, too-many */
export function deviate(draft: JobDraft, { deviation }: CommandOf<'deviate'>): string {
  const problem = draft.context.ruleProblem?.(deviation.rule, deviation.value);
  if (problem) throw new CommandError('bad-value', problem, 'deviation');
  const { job } = draft.document;
  const others = (job.deviations ?? []).filter((d) => d.rule !== deviation.rule);
  if (others.length >= counts.deviationsOfJob)
    throw new CommandError('too-many', `A job does at most ${counts.deviationsOfJob} things another way.`, 'deviation');
  draft.put('job', { ...job, deviations: [...others, { ...deviation, by: deviation.by.trim(), reason: deviation.reason.trim() }] });
  return `Another way in job ${job.number} (${deviation.by.trim()}): ${deviation.reason.trim()}`;
}

/** A job follows the shop again. @throws {CommandError} not-found */
export function followShop(draft: JobDraft, { rule }: CommandOf<'follow-shop'>): string {
  const { deviations = [], ...bare } = draft.document.job;
  const rest = deviations.filter((d) => d.rule !== rule);
  if (rest.length === deviations.length) throw new CommandError('not-found', 'The job follows the shop in that, or again.');
  draft.put('job', rest.length > 0 ? { ...bare, deviations: rest } : bare);
  return `Job ${bare.number} follows the shop again`;
}
