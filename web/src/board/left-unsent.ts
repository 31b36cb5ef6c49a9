import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { jobContracts } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { Api, ApiError } from '../data/api';
import { JOB_BOXES, OutboxStorage, type PendingChange } from '../data/outbox';
import { ThisTab } from '../data/this-tab';

/** What waits of one job, and why it does not go. */
export interface Unsent {
  readonly jobId: string;
  readonly waiting: number;
  /** Null while it is being sent. */
  readonly trouble: string | null;
  /** It was refused for what it says: in the job itself it is settled. */
  readonly refused: boolean;
}

const AGAIN_MS = 5000;

/**
 * Changes that a tab left behind when it was closed, or this one when it left its job while nobody answered: the board says which jobs
 * have some, and sends them, each under its key.
 */
@Injectable()
export class LeftUnsent {
  private readonly api = inject(Api);
  private readonly tab = inject(ThisTab);
  private again: ReturnType<typeof setTimeout> | undefined;
  private over = false;

  private readonly found = signal<readonly Unsent[]>([]);
  readonly jobs = this.found.asReadonly();
  /** Changes that went from here since the board was opened. */
  readonly sent = signal(0);

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.over = true;
      clearTimeout(this.again);
    });
    void this.sendAll();
  }

  private async sendAll(): Promise<void> {
    const tabs = [this.tab.id, ...this.tab.left];
    const jobs = jobsWithUnsent(tabs);
    this.found.set(jobs.map((jobId) => ({ jobId, waiting: this.waiting(jobId, tabs), trouble: null, refused: false })));
    for (const jobId of jobs) {
      if (this.over) return;
      const error = await this.sendOf(jobId, tabs).then(
        () => undefined,
        (one: unknown) => one,
      );
      const waiting = this.waiting(jobId, tabs);
      const refused = error instanceof ApiError && !error.transient;
      const trouble = error ? (error as Error).message : null;
      this.found.update((list) =>
        waiting === 0
          ? list.filter((one) => one.jobId !== jobId)
          : list.map((one) => (one.jobId === jobId ? { jobId, waiting, trouble, refused } : one)),
      );
    }
    if (!this.over && this.found().some(({ refused }) => !refused)) this.again = setTimeout(() => void this.sendAll(), AGAIN_MS);
  }

  private waiting(jobId: string, tabs: readonly string[]): number {
    const storage = new OutboxStorage(jobId);
    return tabs.reduce((sum, tab) => sum + storage.read(tab).length, 0);
  }

  /** In order, and only on while each is taken: what follows may stand on it. */
  private async sendOf(jobId: string, tabs: readonly string[]): Promise<void> {
    const storage = new OutboxStorage(jobId);
    for (const tab of tabs)
      for (let list = storage.read(tab); list.length > 0; list = storage.read(tab)) {
        if (this.over) return;
        const [first] = list;
        try {
          await this.send(jobId, first!);
          this.sent.update((n) => n + 1);
        } catch (error) {
          // a job that is gone takes with it what was to be changed in it
          if (!(error instanceof ApiError) || error.code !== 'not-found') throw error;
        }
        storage.write(
          tab,
          storage.read(tab).filter(({ key }) => key !== first!.key),
        );
      }
  }

  private send(jobId: string, change: PendingChange): Promise<unknown> {
    const { key } = change;
    const params = { id: jobId };
    if ('commands' in change)
      return firstValueFrom(this.api.call(jobContracts.changeJob, { params, body: { key, commands: change.commands } }));
    const step = change.step === 'undo' ? jobContracts.undoJob : jobContracts.redoJob;
    return firstValueFrom(this.api.call(step, { params, body: { key, ...(change.of ? { of: change.of } : {}) } }));
  }
}

/** The jobs that have something unsent of some tabs, by what the browser keeps. */
function jobsWithUnsent(tabs: readonly string[]): string[] {
  const jobs = new Set<string>();
  for (let at = 0; at < localStorage.length; at++) {
    const [, jobId, tab] = JOB_BOXES.exec(localStorage.key(at) ?? '') ?? [];
    if (jobId && tab && tabs.includes(tab)) jobs.add(jobId);
  }
  return [...jobs];
}
