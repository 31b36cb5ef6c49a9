import { counts } from '../schema/index.js';
import {
  jobEntities,
  jobEntityTypes,
  rowsOf,
  withRows,
  type Catalogue,
  type JobDocument,
  type JobEntities,
  type JobEntity,
  type JobEntityType,
} from '../job/index.js';
import { CommandError } from './command-error.js';

export interface CommandContext {
  readonly newId: () => string;
  /** Without them (the catalogue is not there yet) what a line names is not checked, and branches get no ports. */
  readonly parts?: Catalogue;
  /** `ignore`: to show what a change will look like before the server has judged it. */
  readonly versions?: 'check' | 'ignore';
  /** Why a shop rule cannot be set to a value in a job; whoever knows the rules says it. */
  readonly ruleProblem?: (rule: string, value: number | boolean | string) => string | undefined;
  /** What stands against a line being checked, in words, the worst first: whoever can judge a job says it. */
  readonly heldBy?: (document: JobDocument, lineId: string) => readonly string[];
}

/** Most rows a job can hold; what comes in from a file keeps to them too. */
export const MOST_ROWS = { component: counts.componentsOfJob, portOfComponent: counts.portsOfComponent, line: counts.linesOfJob } as const;

/** A job while commands are carried out on it. Every row is of this job: there is no other. */
export class JobDraft {
  private readonly touched = new Set<string>();

  constructor(
    /** As it was before the first command. */
    readonly before: JobDocument,
    readonly context: CommandContext,
    public document: JobDocument = before,
  ) {}

  get jobId(): string {
    return this.document.job.id;
  }

  /** @throws {CommandError} not-found */
  row<T extends JobEntityType>(type: T, id: string): JobEntities[T] {
    const found = rowsOf(this.document, type).find((row) => row.id === id);
    if (!found) throw new CommandError('not-found', `This ${jobEntities[type].one} is not in this job, or no longer.`);
    return found;
  }

  /** The row to be changed, if it still has the version the sender saw before this change. @throws {CommandError} not-found, conflict */
  editable<T extends JobEntityType>(type: T, id: string, version: number): JobEntities[T] {
    const row = this.row(type, id);
    const was = rowsOf(this.before, type).find((r) => r.id === id);
    if (this.context.versions !== 'ignore' && was && was.version !== version)
      throw new CommandError('conflict', 'Somebody else has changed this in the meantime.', undefined, was);
    return row;
  }

  put<T extends JobEntityType>(type: T, row: JobEntities[T]): void {
    const was = rowsOf(this.before, type).find((r) => r.id === row.id);
    this.touched.add(row.id);
    this.document = withRows(this.document, [{ type, row: { ...row, version: was ? was.version + 1 : 1 } } as JobEntity]);
  }

  /** A row's id is its own among all rows of the job, of whatever type: the history tells them apart by it. @throws {CommandError} id-taken */
  add<T extends JobEntityType>(type: T, row: JobEntities[T]): void {
    const taken = jobEntityTypes.find((other) => rowsOf(this.document, other).some((r) => r.id === row.id));
    if (taken) throw new CommandError('id-taken', `There is a ${jobEntities[taken].one} with this id already.`, 'id');
    this.put(type, row);
  }

  /** A key for a part or piece of a line. */
  newKey(): string {
    return this.context.newId().slice(-12);
  }

  remove(type: JobEntityType, id: string): void {
    this.document = withRows(this.document, [], [{ type, id }]);
  }

  /** The place behind the last of some rows. */
  nextOrder(rows: readonly { readonly order: number }[]): number {
    return Math.max(-1, ...rows.map((row) => row.order)) + 1;
  }
}
