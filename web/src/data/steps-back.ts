import { inject, Injectable } from '@angular/core';
import { jobContracts, rowBegunOn, wordsOfCommands } from '@gewinde/core';
import { Api, ApiError } from './api';
import { InSight } from './in-sight';
import { JobStore } from './job-store';
import { Messages } from './messages';

type Direction = 'undo' | 'redo';
/** What a step would take back, or make again. */
interface Step {
  readonly key: string;
  readonly label: string;
  readonly rows: readonly string[];
}
/** How long a question stands, ms: as long as its message. */
const STANDS_MS = 6000;

/**
 * Undo and redo never touch what nobody sees: what is in the view is done at once, of anything else it is said first what it is, and the
 * same again does it.
 */
@Injectable({ providedIn: 'root' })
export class StepsBack {
  private readonly api = inject(Api);
  private readonly store = inject(JobStore);
  private readonly inSight = inject(InSight);
  private readonly messages = inject(Messages);
  /** What was taken back or made again here last: whoever did has seen it. */
  private last: string | undefined;
  private asked: { readonly direction: Direction; readonly key: string; readonly until: number } | null = null;

  /** @param of the change that was just told of, by its key: whoever takes that back has seen what it is */
  step(direction: Direction, of?: string): void {
    const waiting = direction === 'undo' ? this.waiting() : undefined;
    if (waiting) return this.judge(direction, waiting, of);
    const id = this.store.jobId();
    if (id === undefined) return;
    this.api.call(jobContracts.readSteps, { params: { id } }).subscribe({
      next: ({ undo, redo }) => {
        const told = direction === 'undo' ? undo : redo;
        if (told) this.judge(direction, { ...told, rows: told.rows.map((row) => row.id) }, of);
        else this.messages.tell(`There is nothing to ${direction}.`);
      },
      error: (error: unknown) => this.messages.fault(error instanceof ApiError && error.transient ? new Error(UNKNOWN) : error),
    });
  }

  /** What was done last and is not on the server yet. */
  private waiting(): Step | undefined {
    const last = this.store.pending().at(-1);
    if (!last || !('commands' in last)) return undefined;
    const rows = last.commands.flatMap((command) => {
      const row = rowBegunOn(command);
      return [row?.id ?? (row?.type === 'job' ? this.store.jobId() : undefined), 'id' in command ? command.id : undefined];
    });
    return { key: last.key, label: wordsOfCommands(last.commands), rows: rows.filter((id) => id !== undefined) };
  }

  private judge(direction: Direction, { key, label, rows }: Step, of: string | undefined): void {
    const { asked } = this;
    this.asked = null;
    const again = asked !== null && asked.direction === direction && asked.key === key && Date.now() < asked.until;
    if (again || of === key || this.last === key || rows.some((id) => this.inSight.has(id))) return this.take(direction, key);
    this.asked = { direction, key, until: Date.now() + STANDS_MS };
    const word = direction === 'undo' ? 'Undo' : 'Redo';
    this.messages.tell(`${word} “${label}”?`, { action: { label: word, run: () => this.take(direction, key) } });
  }

  private take(direction: Direction, key: string): void {
    this.last = key;
    this.store.step(direction, key);
  }
}

const UNKNOWN = 'What would be undone is not known while the server does not answer.';
