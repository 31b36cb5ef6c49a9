import type { JobDocument, Waiver } from '../job/index.js';
import { counts } from '../schema/index.js';
import { CommandError } from './command-error.js';
import type { CommandOf } from './command-schemas.js';
import type { JobDraft } from './job-draft.js';

/** Accepts a finding as it is, with initials and a reason; an acceptance of the same finding by other figures goes. @throws {CommandError} bad-value, too-many */
export function acceptFinding(draft: JobDraft, { waiver }: CommandOf<'accept-finding'>): string {
  const { job } = draft.document;
  const clean: Waiver = { ...waiver, by: waiver.by.trim(), reason: waiver.reason.trim() };
  const others = (job.waivers ?? []).filter((w) => !isSame(w, clean) && stands(w, draft.document));
  if (others.length >= counts.waiversOfJob)
    throw new CommandError('too-many', `A job holds at most ${counts.waiversOfJob} accepted findings.`, 'waiver');
  draft.put('job', { ...job, waivers: [...others, clean] });
  return `Accept a finding (${clean.by}): ${clean.reason}`;
}

/** Takes an acceptance back: the finding holds again. @throws {CommandError} not-found */
export function withdrawAcceptance(draft: JobDraft, { rule, at }: CommandOf<'withdraw-acceptance'>): string {
  const { job } = draft.document;
  const waivers = job.waivers ?? [];
  const rest = waivers.filter((w) => !isSame(w, { rule, at }));
  if (rest.length === waivers.length) throw new CommandError('not-found', 'That finding is not accepted, or no longer.');
  const { waivers: _, ...bare } = job;
  draft.put('job', rest.length > 0 ? { ...bare, waivers: rest } : bare);
  return 'Withdraw an acceptance';
}

function isSame(a: Pick<Waiver, 'rule' | 'at'>, b: Pick<Waiver, 'rule' | 'at'>): boolean {
  return a.rule === b.rule && a.at === b.at;
}

/** What it was about is still in the job. */
function stands({ at }: Waiver, { components, ports, lines }: JobDocument): boolean {
  const there = new Set([...components, ...ports, ...lines].map(({ id }) => id));
  return at
    .split(';')
    .map((part) => part.split('=') as [string, string])
    .every(([field, value]) => !['lineId', 'portId', 'componentId'].includes(field) || there.has(value));
}
