import { mergedCommand, rowBegunOn, type Command } from '@gewinde/core';

/** One change on its way to the server: commands, or a step in the history. The key makes it the same change however often it is sent. */
export type PendingChange =
  | { readonly key: string; readonly commands: readonly Command[] }
  | { readonly key: string; readonly step: 'undo' | 'redo'; readonly of?: string };

/** Puts a change behind those that wait. An edit of a row that the last one edits as well, and that is not under way yet, is one with it. */
export function addPending(pending: readonly PendingChange[], change: PendingChange, underWay: string | null): readonly PendingChange[] {
  const last = pending[pending.length - 1];
  if (last && last.key !== underWay && 'commands' in last && 'commands' in change) {
    const merged = oneEdit(last.commands, change.commands);
    if (merged) return [...pending.slice(0, -1), { key: last.key, commands: [merged] }];
  }
  return [...pending, change];
}

function oneEdit(a: readonly Command[], b: readonly Command[]): Command | undefined {
  const [first, ...more] = a;
  const [second, ...others] = b;
  return first && second && more.length === 0 && others.length === 0 ? mergedCommand(first, second) : undefined;
}

/** Commands that start from one version of a row now start from another: the row has been brought from the one to the other knowingly. */
export function followed(pending: readonly PendingChange[], rowId: string, from: number, to: number): readonly PendingChange[] {
  return pending.map((change) => rebased(change, rowId, to, from));
}

/** A change whose commands for a row start from another version, whichever they started from or only where it was `from`. */
export function rebased(change: PendingChange, rowId: string, to: number, from?: number): PendingChange {
  if (!('commands' in change)) return change;
  const next = (command: Command): Command =>
    'version' in command && rowOf(command) === rowId && (from === undefined || command.version === from)
      ? { ...command, version: to }
      : command;
  return { ...change, commands: change.commands.map(next) };
}

/** A change without its commands for one row; null where nothing is left of it. */
export function without(change: PendingChange, rowId: string): PendingChange | null {
  if (!('commands' in change)) return null;
  const commands = change.commands.filter((command) => !('version' in command) || rowOf(command) !== rowId);
  return commands.length > 0 ? { ...change, commands } : null;
}

/** The row a command is about; the job itself has no other name here. */
export const THE_JOB = 'job';
export function rowOf(command: Command): string | undefined {
  const row = rowBegunOn(command);
  return row?.type === 'job' ? THE_JOB : row?.id;
}

/** A list kept in the browser's storage for each tab, so that a reload loses nothing. */
export class KeptList<T> {
  constructor(
    private readonly name: string,
    private readonly holds: (value: unknown) => value is T,
    private readonly storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> = localStorage,
  ) {}

  read(tab: string): T[] {
    try {
      const kept: unknown = JSON.parse(this.storage.getItem(this.key(tab)) ?? '[]');
      return Array.isArray(kept) ? kept.filter(this.holds) : [];
    } catch {
      return [];
    }
  }

  /** False where the browser keeps no more: then they live as long as their page. */
  write(tab: string, list: readonly T[]): boolean {
    try {
      if (list.length === 0) this.storage.removeItem(this.key(tab));
      else this.storage.setItem(this.key(tab), JSON.stringify(list));
      return true;
    } catch {
      return false;
    }
  }

  private key(tab: string): string {
    return `gewinde.outbox.${this.name}.${tab}`;
  }
}

/** Where the browser keeps what waits of jobs: the id of the job, and of the tab. */
export const JOB_BOXES = /^gewinde\.outbox\.([\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12})\.(.+)$/;

/** The changes of a job that wait. */
export class OutboxStorage extends KeptList<PendingChange> {
  constructor(jobId: string, storage?: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>) {
    super(jobId, isPending, storage);
  }
}

function isPending(value: unknown): value is PendingChange {
  const { key, commands, step } = (value ?? {}) as { key?: unknown; commands?: unknown; step?: unknown };
  return (
    typeof key === 'string' &&
    /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(key) &&
    (step === 'undo' || step === 'redo' || (Array.isArray(commands) && commands.length > 0))
  );
}
