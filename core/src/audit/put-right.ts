import { asOneChange, can, runCommands, type Command, type CommandContext } from '../commands/index.js';
import { holds, type Finding, type Remedy } from '../findings/index.js';
import type { Catalogue } from '../job/index.js';
import type { JudgedJob } from './judged.js';
import { judgeJob } from './judge-job.js';

/** Most steps of one press: a job holds that many findings at the most, and each step ends one. */
const MOST_STEPS = 200;

/** The one remedy that needs no choice; undefined where somebody has to choose. */
export function certainRemedy({ remedies, accepted, severity }: Finding): Remedy | undefined {
  const certain = remedies.filter((r) => r.certain);
  return !accepted && severity !== 'advice' && certain.length === 1 ? certain[0] : undefined;
}

/** The job as it would be after some commands, judged. @throws {CommandError | ConnectorSyntaxError} */
export function judgedAfter(job: JudgedJob, commands: readonly Command[], { newId }: Pick<CommandContext, 'newId'>): JudgedJob {
  const { document } = runCommands(job.document, commands, contextOf(job.catalogue, newId));
  return judgeJob(document, job.catalogue, job, job.schools, job.store);
}

export interface PutRight {
  /** As one change of the job as it stands. */
  readonly commands: readonly Command[];
  readonly labels: readonly string[];
  /** The job after it. */
  readonly after: JudgedJob;
}

/**
 * All that can be put right without a choice, one upon the other: a remedy that cannot be carried out, ends nothing, or makes anything leak
 * that did not is left out.
 */
export function putRightWhatIsCertain(job: JudgedJob, context: Pick<CommandContext, 'newId'>): PutRight {
  let now = job;
  const commands: Command[] = [];
  const labels: string[] = [];
  const tried = new Set<string>();
  for (let step = 0; step < MOST_STEPS; step++) {
    const next = now.findings.flatMap((f) => {
      const remedy = certainRemedy(f);
      const key = remedy && JSON.stringify([f.rule, f.at, remedy.label]);
      return remedy && !tried.has(key!) ? [{ remedy, key: key! }] : [];
    })[0];
    if (!next) break;
    tried.add(next.key);
    if (can(now.document, next.remedy.commands, contextOf(job.catalogue, context.newId))) continue;
    const then = judgedAfter(now, next.remedy.commands, context);
    if (holding(then) >= holding(now) && then.findings.length >= now.findings.length) continue;
    if (leaks(then) > leaks(now)) continue;
    now = then;
    commands.push(...next.remedy.commands);
    labels.push(next.remedy.label);
  }
  return { commands: asOneChange(job.document, commands), labels, after: now };
}

function leaks({ findings }: JudgedJob): number {
  return findings.filter((f) => f.severity === 'leak' && !f.accepted).length;
}

function holding({ findings }: JudgedJob): number {
  return findings.filter(holds).length;
}

/** What is planned is not sent yet: rows may have been changed by the step before. */
function contextOf(parts: Catalogue, newId: CommandContext['newId']): CommandContext {
  return { newId, parts, versions: 'ignore' };
}
