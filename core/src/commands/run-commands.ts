import { jobEntities, runningProblem, type JobDocument } from '../job/index.js';
import { CommandError } from './command-error.js';
import { addComponent, deleteComponent, duplicateComponent, editComponent } from './component-commands.js';
import type { Command, CommandName, CommandOf } from './command-schemas.js';
import { JobDraft, type CommandContext } from './job-draft.js';
import { addLine, checkLine, deleteLine, editLine, editWay, takeWay } from './line-commands.js';
import { addPiece, breakLine, editPiece, joinLine, removePiece } from './piece-commands.js';
import { addPort, deletePort, duplicatePort, editPort } from './port-commands.js';
import { sweepOpenEnds } from './port-uses.js';

/** How each command is carried out; each answers what it did, in words for the history. */
const carriedOut: { readonly [N in CommandName]: (draft: JobDraft, command: CommandOf<N>) => string } = {
  'edit-job': editJob,
  'add-component': addComponent,
  'edit-component': editComponent,
  'duplicate-component': duplicateComponent,
  'delete-component': deleteComponent,
  'add-port': addPort,
  'edit-port': editPort,
  'duplicate-port': duplicatePort,
  'delete-port': deletePort,
  'add-line': addLine,
  'edit-line': editLine,
  'edit-piece': editPiece,
  'take-way': takeWay,
  'edit-way': editWay,
  'break-line': breakLine,
  'join-line': joinLine,
  'add-piece': addPiece,
  'remove-piece': removePiece,
  'check-line': checkLine,
  'delete-line': deleteLine,
};

/**
 * The job after some commands, and what they did in words. All of them or none: nothing of the given document is written over.
 *
 * @throws {CommandError} why the first one that cannot be carried out cannot
 * @throws {ConnectorSyntaxError} for notation that cannot be read
 */
export function runCommands(
  document: JobDocument,
  commands: readonly Command[],
  context: CommandContext,
): { readonly document: JobDocument; readonly label: string } {
  const draft = new JobDraft(document, context);
  const labels = commands.map((command) => (carriedOut[command.do] as (draft: JobDraft, command: Command) => string)(draft, command));
  sweepOpenEnds(draft);
  return { document: draft.document, label: labelOf(commands, labels) };
}

function editJob(draft: JobDraft, { version, set }: CommandOf<'edit-job'>): string {
  const before = draft.editable('job', draft.jobId, version);
  const after = { ...before, ...set, number: (set.number ?? before.number).trim(), name: (set.name ?? before.name).trim() };
  const problem = after.running && runningProblem(after.running);
  if (problem) throw new CommandError('bad-value', problem.message, `running.${problem.field}`);
  draft.put('job', after);
  if (set.running && Object.keys(set).length === 1) return `Say what flows in job ${after.number}`;
  if (set.archived === undefined) return `Edit ${jobEntities.job.one} ${after.number}`;
  return set.archived ? `Archive job ${after.number}` : `Bring back job ${after.number}`;
}

function labelOf(commands: readonly Command[], labels: readonly string[]): string {
  const [first = '', ...more] = labels;
  if (more.length === 0) return first;
  if (commands.every((c) => c.do === 'take-way')) return `Take the ways of ${commands.length} ends`;
  return `${first} and ${more.length} more`;
}
