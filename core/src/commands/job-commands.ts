import type { TSchema } from 'typebox';
import { findEntry, jobEntities, partsOfWay, runningProblem, type JobEntityType, type KeptWay } from '../job/index.js';
import { addLine } from './add-line.js';
import { CommandError } from './command-error.js';
import { addComponent, deleteComponent, duplicateComponent, editComponent } from './component-commands.js';
import { commandSchemas, type Command, type CommandName, type CommandOf } from './command-schemas.js';
import { deviate, followShop } from './deviation-commands.js';
import type { JobDraft } from './job-draft.js';
import { checkLine, deleteLine, editLine, editWay, takeWay } from './line-commands.js';
import { addPiece, breakLine, editPiece, joinLine, removePiece } from './piece-commands.js';
import { acceptFinding, withdrawAcceptance } from './waiver-commands.js';
import { addPort, deletePort, duplicatePort, editPort } from './port-commands.js';

/** All about a command on a job. */
export interface JobCommandEntry<C extends Command> {
  readonly schema: TSchema;
  /** As it stands in a list of what waits to be sent. */
  readonly words: string;
  /** The row it begins on, whose version it carries; null where it makes one. */
  readonly begins: JobEntityType | null;
  /** Parts of the catalogue that it names. */
  readonly names: (command: C) => readonly (string | null | undefined)[];
  /** After it a hose may have other ends, of those that are made for it. */
  readonly refits?: (command: C) => boolean;
  /** With one of its kind that waits and says something of the same place, it is one. */
  readonly merges?: true;
  /** Carries it out; what it did, for the history. @throws {CommandError | ConnectorSyntaxError} */
  readonly run: (draft: JobDraft, command: C) => string;
}

const s = commandSchemas;
const none = (): readonly string[] => [];
const inWay = (way: KeptWay): readonly string[] => partsOfWay(way).map((link) => link.id);
const inPort = ({ sensor, closed }: CommandOf<'edit-port'>['set']): readonly string[] =>
  [...(sensor?.movedTo?.fittings ?? []), ...(closed?.fittings ?? [])].map((link) => link.id);

export const jobCommands: { readonly [N in CommandName]: JobCommandEntry<CommandOf<N>> } = {
  'edit-job': {
    schema: s['edit-job'],
    words: 'Edit the job',
    begins: 'job',
    names: ({ set }) => (set.beside ?? []).map((b) => b.part),
    merges: true,
    run: editJob,
  },
  'add-component': {
    schema: s['add-component'],
    words: 'Add a component',
    begins: null,
    names: ({ part }) => [part?.id],
    run: addComponent,
  },
  'edit-component': {
    schema: s['edit-component'],
    words: 'Edit a component',
    begins: 'component',
    names: ({ set }) => [set.part?.id],
    merges: true,
    run: editComponent,
  },
  'duplicate-component': {
    schema: s['duplicate-component'],
    words: 'Duplicate a component',
    begins: null,
    names: none,
    run: duplicateComponent,
  },
  'delete-component': {
    schema: s['delete-component'],
    words: 'Delete a component',
    begins: 'component',
    names: none,
    run: deleteComponent,
  },
  'add-port': {
    schema: s['add-port'],
    words: 'Add a port',
    begins: null,
    names: ({ sensor }) => (sensor ? inPort({ sensor }) : []),
    run: addPort,
  },
  'edit-port': {
    schema: s['edit-port'],
    words: 'Edit a port',
    begins: 'port',
    names: ({ set }) => inPort(set),
    merges: true,
    run: editPort,
  },
  'duplicate-port': { schema: s['duplicate-port'], words: 'Duplicate a port', begins: null, names: none, run: duplicatePort },
  'delete-port': { schema: s['delete-port'], words: 'Delete a port', begins: 'port', names: none, run: deletePort },
  'add-line': {
    schema: s['add-line'],
    words: 'Add a line',
    begins: null,
    names: ({ piece }) => [piece?.hose, piece?.endA, piece?.endB],
    refits: ({ piece }) => piece?.hose != null,
    run: addLine,
  },
  'edit-line': { schema: s['edit-line'], words: 'Edit a line', begins: 'line', names: none, merges: true, run: editLine },
  'edit-piece': {
    schema: s['edit-piece'],
    words: 'Edit a hose',
    begins: 'line',
    names: ({ set: { hose, endA, endB } }) => [hose, endA, endB],
    refits: ({ set }) => set.hose != null,
    merges: true,
    run: editPiece,
  },
  'take-way': { schema: s['take-way'], words: 'Take a way', begins: 'line', names: inWay, run: takeWay },
  'edit-way': {
    schema: s['edit-way'],
    words: 'Edit a way',
    begins: 'line',
    names: ({ set: { pinned = [], wishes } }) => [...pinned.flatMap(inWay), ...(wishes?.use ?? []), ...(wishes?.avoid ?? [])],
    merges: true,
    run: editWay,
  },
  'break-line': {
    schema: s['break-line'],
    words: 'Break a line',
    begins: 'line',
    names: ({ use }) => use ?? [],
    refits: () => true,
    run: breakLine,
  },
  'join-line': { schema: s['join-line'], words: 'Make a line whole again', begins: 'line', names: none, refits: () => true, run: joinLine },
  'add-piece': { schema: s['add-piece'], words: 'Put a hose in', begins: 'line', names: none, run: addPiece },
  'remove-piece': { schema: s['remove-piece'], words: 'Take a hose out', begins: 'line', names: none, run: removePiece },
  'check-line': { schema: s['check-line'], words: 'Check a line', begins: 'line', names: none, run: checkLine },
  'accept-finding': { schema: s['accept-finding'], words: 'Accept a finding', begins: null, names: none, run: acceptFinding },
  'withdraw-acceptance': {
    schema: s['withdraw-acceptance'],
    words: 'Withdraw an acceptance',
    begins: null,
    names: none,
    run: withdrawAcceptance,
  },
  deviate: { schema: s.deviate, words: 'Do it another way in this job', begins: null, names: none, run: deviate },
  'follow-shop': { schema: s['follow-shop'], words: 'Follow the shop again', begins: null, names: none, run: followShop },
  'delete-line': { schema: s['delete-line'], words: 'Delete a line', begins: 'line', names: none, run: deleteLine },
};

const entryOf = <C extends Command>({ do: name }: Pick<C, 'do'>): JobCommandEntry<C> => jobCommands[name] as unknown as JobCommandEntry<C>;

/** Carries one command out on a draft. @throws {CommandError | ConnectorSyntaxError} */
export function runOn(draft: JobDraft, command: Command): string {
  return entryOf(command).run(draft, command);
}

/** The row a command begins on: its type, and its id; the job itself goes without. Undefined where it makes one. */
export function rowBegunOn(
  command: Pick<Command, 'do'> & { readonly id?: string },
): { readonly type: JobEntityType; readonly id?: string } | undefined {
  const { begins } = entryOf(command);
  if (begins === null) return undefined;
  return { type: begins, ...(begins === 'job' || command.id === undefined ? {} : { id: command.id }) };
}

/** Parts of the catalogue that some commands name, each once. */
export function partsNamedByCommands(commands: readonly Command[]): string[] {
  return [...new Set(commands.flatMap((command) => entryOf(command).names(command)).filter((id) => typeof id === 'string'))];
}

/** Whether hoses may get other ends by some commands: then those that are made for them must be known. */
export function mayRefit(commands: readonly Command[]): boolean {
  return commands.some((command) => entryOf(command).refits?.(command) === true);
}

/** What a command that waits and the next become, where they are one: both say something of the same place of the same row, as it was then. */
export function mergedCommand(waiting: Command, next: Command): Command | undefined {
  if (waiting.do !== next.do || !entryOf(next).merges || !('set' in waiting) || !('set' in next)) return undefined;
  const same = JSON.stringify({ ...waiting, set: null }) === JSON.stringify({ ...next, set: null });
  return same ? ({ ...waiting, set: { ...waiting.set, ...next.set } } as Command) : undefined;
}

/** What some commands are, in words, before it is known what they did. */
export function wordsOfCommands(commands: readonly Command[]): string {
  const [first, ...more] = commands;
  return `${first ? entryOf(first).words : ''}${more.length > 0 ? ` and ${more.length} more` : ''}`;
}

function editJob(draft: JobDraft, { version, set }: CommandOf<'edit-job'>): string {
  const before = draft.editable('job', draft.jobId, version);
  const after = { ...before, ...set, number: (set.number ?? before.number).trim(), name: (set.name ?? before.name).trim() };
  const problem = after.running && runningProblem(after.running);
  if (problem) throw new CommandError('bad-value', problem.message, `running.${problem.field}`);
  if (set.beside) checkBeside(draft, set.beside);
  draft.put('job', after);
  const fields = Object.keys(set);
  if (fields.length === 1 && set.running) return `Say what flows in job ${after.number}`;
  if (fields.length === 1 && set.beside) return `Parts beside the lines of job ${after.number}`;
  if (set.archived === undefined) return `Edit ${jobEntities.job.one} ${after.number}`;
  return set.archived ? `Archive job ${after.number}` : `Bring back job ${after.number}`;
}

/** What is needed beside the lines is of the catalogue, each part once. @throws {CommandError} bad-value */
function checkBeside({ context }: JobDraft, beside: NonNullable<CommandOf<'edit-job'>['set']['beside']>): void {
  const { parts } = context;
  const unknown = parts && beside.find(({ part }) => !findEntry(parts, part));
  if (unknown) throw new CommandError('bad-value', `There is no part "${unknown.part}" in the catalogue.`, 'beside');
  const twice = beside.find(({ part }, i) => beside.findIndex((b) => b.part === part) !== i);
  if (twice) throw new CommandError('bad-value', 'A part stands twice beside the lines.', 'beside');
}
