import type { JobDocument } from '../job/index.js';
import type { Command } from './command-schemas.js';

/** Commands that were planned one upon the other, as one change of the document as it stands: each row in the version it has there. */
export function asOneChange(document: JobDocument, commands: readonly Command[]): Command[] {
  const versions = new Map(
    [document.job, ...document.components, ...document.ports, ...document.lines].map(({ id, version }) => [id, version]),
  );
  return commands.map((command) => {
    if (!('version' in command)) return command;
    const id = 'id' in command && command.id !== undefined ? command.id : document.job.id;
    return { ...command, version: versions.get(id) ?? command.version };
  });
}
