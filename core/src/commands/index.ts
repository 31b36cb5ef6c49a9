export { CommandSchema, commandSchemas, MOST_COMMANDS, SensorFieldsSchema } from './command-schemas.js';
export type { Command, CommandName, CommandOf, SensorFields } from './command-schemas.js';
export { CommandError, type CommandErrorCode } from './command-error.js';
export { MOST_ROWS, type CommandContext } from './job-draft.js';
export { rowIds } from './row-ids.js';
export { asOneChange } from './one-change.js';
export { can, runCommands } from './run-commands.js';
export {
  jobCommands,
  mayRefit,
  mergedCommand,
  partsNamedByCommands,
  rowBegunOn,
  wordsOfCommands,
  type JobCommandEntry,
} from './job-commands.js';
