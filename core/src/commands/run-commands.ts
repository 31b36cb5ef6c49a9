import type { JobDocument } from '../job/index.js';
import { CommandError } from './command-error.js';
import type { Command } from './command-schemas.js';
import { runOn } from './job-commands.js';
import { JobDraft, type CommandContext } from './job-draft.js';
import { sweepOpenEnds } from './port-uses.js';
import { ConnectorSyntaxError } from '../connectors/index.js';

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
  const labels = commands.map((command) => runOn(draft, command));
  sweepOpenEnds(draft);
  return { document: draft.document, label: labelOf(commands, labels) };
}

/**
 * Why some commands cannot be carried out, without carrying them out; undefined where they can: by it buttons and remedies know.
 */
export function can(
  document: JobDocument,
  commands: Command | readonly Command[],
  context: CommandContext,
): CommandError | ConnectorSyntaxError | undefined {
  try {
    runCommands(document, Array.isArray(commands) ? (commands as readonly Command[]) : [commands as Command], context);
    return undefined;
  } catch (error) {
    if (error instanceof CommandError || error instanceof ConnectorSyntaxError) return error;
    throw error;
  }
}

function labelOf(commands: readonly Command[], labels: readonly string[]): string {
  const [first = '', ...more] = labels;
  if (more.length === 0) return first;
  if (commands.every((c) => c.do === 'take-way')) return `Take the ways of ${commands.length} ends`;
  return `${first} and ${more.length} more`;
}
