import { computed, inject, Injectable, signal } from '@angular/core';
import type { JobDocument } from '@gewinde/core';
import { firstValueFrom, Subject } from 'rxjs';
import { Api, ApiError, clientId, type EntityKind } from './api';
import { applyEdit, applyRow } from './apply-edit';
import { Outbox, type PendingEdit } from './outbox';

export type SaveState =
  { readonly at: 'saved'; readonly time: Date } | { readonly at: 'saving' } | { readonly at: 'waiting'; readonly reason: string };

/** A change that somebody else's change has overtaken. */
export interface Conflict {
  readonly edit: PendingEdit;
  /** The row as it stands on the server. */
  readonly theirs: Record<string, unknown> & { id: string; version: number };
}

export interface Message {
  readonly text: string;
  readonly tone: 'plain' | 'error';
  readonly undo?: boolean;
}

const RETRY_MS = 2000;

/**
 * The open job. Edits show at once, wait in the outbox, and are sent one after another; what the server refuses comes back as a
 * message or a conflict. Another tab's changes arrive over the live stream.
 */
@Injectable({ providedIn: 'root' })
export class JobStore {
  private readonly api = inject(Api);
  private readonly documentState = signal<JobDocument | null>(null);
  private outbox: Outbox | null = null;
  private live: EventSource | null = null;
  private sending = false;
  private stale = false;
  private retry: ReturnType<typeof setTimeout> | undefined;

  readonly document = this.documentState.asReadonly();
  readonly saveState = signal<SaveState>({ at: 'saved', time: new Date() });
  readonly loadError = signal<ApiError | null>(null);
  readonly conflict = signal<Conflict | null>(null);
  readonly messages = new Subject<Message>();
  readonly jobId = computed(() => this.documentState()?.job.id);

  /** Opens a job; what an earlier visit could not send is put back on and sent. */
  async open(jobId: string): Promise<void> {
    if (this.jobId() === jobId && !this.loadError()) return;
    this.close();
    this.outbox = new Outbox(jobId);
    await this.reload(jobId);
    if (this.documentState()) {
      this.live = new EventSource(`/api/jobs/${jobId}/live?client=${clientId}`);
      // what changed before the stream was open, or while it was cut, is not told again: read the job once more
      this.live.addEventListener('open', () => void this.catchUp());
      this.live.addEventListener('change', (event: MessageEvent<string>) => void this.heard(JSON.parse(event.data) as { label: string }));
      void this.flush();
    }
  }

  close(): void {
    this.live?.close();
    this.live = null;
    clearTimeout(this.retry);
    this.documentState.set(null);
    this.loadError.set(null);
    this.conflict.set(null);
  }

  /** Changes a row: on the screen now, on the server as soon as it answers. */
  edit(kind: EntityKind, id: string, patch: Record<string, unknown>): void {
    const document = this.documentState();
    if (!document || !this.outbox) return;
    const version = versionOf(document, kind, id);
    if (version === undefined) return;
    const edit: PendingEdit = { kind, id, version, patch };
    this.outbox.add(edit, this.sending);
    this.documentState.set(applyEdit(document, edit));
    void this.flush();
  }

  /** Does something that needs the server's answer first (adding, deleting, undoing), then shows the job as it is. */
  async act<T>(what: () => Promise<T>, message?: (result: T) => Message): Promise<T> {
    await this.flush();
    this.saveState.set({ at: 'saving' });
    try {
      const result = await what();
      await this.reload(this.jobId()!);
      this.saveState.set({ at: 'saved', time: new Date() });
      if (message) this.messages.next(message(result));
      return result;
    } catch (error) {
      this.saveState.set(
        error instanceof ApiError && error.away ? { at: 'waiting', reason: error.message } : { at: 'saved', time: new Date() },
      );
      throw error;
    }
  }

  async step(direction: 'undo' | 'redo'): Promise<void> {
    const jobId = this.jobId();
    if (!jobId) return;
    try {
      await this.act(
        () => firstValueFrom(this.api.step(jobId, direction)),
        ({ label }) => ({ text: `${direction === 'undo' ? 'Undone' : 'Done again'}: ${label}`, tone: 'plain' }),
      );
    } catch (error) {
      this.say(error);
    }
  }

  /** Settles a conflict: mine is sent over theirs, or theirs is taken. */
  settle(keep: 'mine' | 'theirs'): void {
    const conflict = this.conflict();
    const document = this.documentState();
    if (!conflict || !document || !this.outbox) return;
    if (keep === 'theirs') this.outbox.drop(conflict.edit);
    else this.outbox.rebase(conflict.edit.id, conflict.theirs.version);
    let next = applyRow(document, conflict.edit.kind, conflict.theirs);
    for (const edit of this.outbox.pending) next = applyEdit(next, edit);
    this.documentState.set(next);
    this.conflict.set(null);
    void this.flush();
  }

  /** Shows an error where no field can show it. */
  say(error: unknown): void {
    this.messages.next({ text: error instanceof Error ? error.message : String(error), tone: 'error' });
  }

  /** Sends what waits, one after another. */
  async flush(): Promise<void> {
    if (this.sending || !this.outbox || this.conflict()) return;
    this.sending = true;
    clearTimeout(this.retry);
    const outbox = this.outbox;
    let goOn = true;
    try {
      for (let edit = outbox.pending[0]; edit; edit = outbox.pending[0]) {
        this.saveState.set({ at: 'saving' });
        const row = await firstValueFrom(this.api.edit<{ id: string; version: number }>(edit.kind, edit.id, edit.version, edit.patch));
        outbox.arrived(edit, row.version);
        this.show(edit.kind, row);
      }
      if (this.saveState().at !== 'saved') this.saveState.set({ at: 'saved', time: new Date() });
    } catch (error) {
      goOn = this.refused(error, outbox);
    } finally {
      this.sending = false;
    }
    if (outbox.pending.length > 0 && goOn) void this.flush();
    else if (this.stale && outbox.pending.length === 0) await this.reload(this.jobId()!);
  }

  private show(kind: EntityKind, row: { id: string }): void {
    const document = this.documentState();
    if (!document || !this.outbox) return;
    let next = applyRow(document, kind, row);
    for (const edit of this.outbox.pending) next = applyEdit(next, edit);
    this.documentState.set(next);
  }

  /** @returns whether the changes behind the refused one can be sent */
  private refused(error: unknown, outbox: Outbox): boolean {
    const edit = outbox.pending[0];
    if (!(error instanceof ApiError) || !edit) throw error;
    if (error.away) {
      this.saveState.set({ at: 'waiting', reason: error.message });
      this.retry = setTimeout(() => void this.flush(), RETRY_MS);
      return false;
    }
    if (error.code === 'conflict') {
      this.conflict.set({ edit, theirs: error.current as Conflict['theirs'] });
      return false;
    }
    outbox.drop(edit);
    this.stale = true;
    this.saveState.set({ at: 'saved', time: new Date() });
    this.say(error);
    return true;
  }

  private async catchUp(): Promise<void> {
    const jobId = this.jobId();
    if (jobId && this.outbox?.pending.length === 0) await this.reload(jobId);
  }

  private async heard(news: { label: string }): Promise<void> {
    this.stale = true;
    if (this.outbox && this.outbox.pending.length === 0) await this.reload(this.jobId()!);
    this.messages.next({ text: `Changed elsewhere: ${news.label}`, tone: 'plain' });
  }

  async reload(jobId: string): Promise<void> {
    try {
      let document = await firstValueFrom(this.api.job(jobId));
      for (const edit of this.outbox?.pending ?? []) document = applyEdit(document, edit);
      this.documentState.set(document);
      this.loadError.set(null);
      this.stale = false;
    } catch (error) {
      if (error instanceof ApiError && !this.documentState()) this.loadError.set(error);
      else this.say(error);
    }
  }
}

function versionOf(document: JobDocument, kind: EntityKind, id: string): number | undefined {
  if (kind === 'job') return document.job.version;
  const rows: { id: string; version: number }[] =
    kind === 'component' ? document.components : kind === 'port' ? document.ports : document.lines;
  return rows.find((row) => row.id === id)?.version;
}
