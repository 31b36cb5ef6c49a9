export { CommandSchema, commandSchemas, MOST_COMMANDS, SensorFieldsSchema } from './command-schemas.js';
export type { Command, CommandName, CommandOf, SensorFields } from './command-schemas.js';
export { CommandError, type CommandErrorCode } from './command-error.js';
export { MOST_ROWS, type CommandContext } from './job-draft.js';
export { rowIds } from './row-ids.js';
export { runCommands } from './run-commands.js';
