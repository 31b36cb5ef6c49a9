import type { EntityKind } from './api';

/** One change that is not on the server yet. `version` is what the editor saw. */
export interface PendingEdit {
  readonly kind: EntityKind;
  readonly id: string;
  readonly version: number;
  readonly patch: Record<string, unknown>;
}

/**
 * The changes of a job on their way to the server, kept in the browser's storage so that a reload loses nothing.
 * Changes to one row that wait are one change.
 */
export class Outbox {
  private edits: PendingEdit[];

  constructor(
    private readonly jobId: string,
    private readonly storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> = localStorage,
  ) {
    this.edits = this.read();
  }

  get pending(): readonly PendingEdit[] {
    return this.edits;
  }

  /** Adds a change behind those that wait; the first one may be under way and is left alone. */
  add(edit: PendingEdit, firstIsUnderWay: boolean): void {
    // the newest change on the row: behind it nothing can overtake
    const at = this.edits.findLastIndex((e, i) => e.id === edit.id && !(firstIsUnderWay && i === 0));
    const waiting = this.edits[at];
    if (waiting) this.edits = this.edits.map((e, i) => (i === at ? { ...waiting, patch: { ...waiting.patch, ...edit.patch } } : e));
    else this.edits = [...this.edits, edit];
    this.write();
  }

  /** The first change has arrived: those behind it on the same row now start from its version. */
  arrived(sent: PendingEdit, newVersion: number): void {
    this.edits = this.edits.slice(1).map((e) => (e.id === sent.id && e.version === sent.version ? { ...e, version: newVersion } : e));
    this.write();
  }

  /** Takes the first change and all others on its row out. */
  drop(edit: PendingEdit): void {
    this.edits = this.edits.filter((e) => e.id !== edit.id);
    this.write();
  }

  /** Starts the changes on a row from another version: mine over theirs. */
  rebase(id: string, version: number): void {
    this.edits = this.edits.map((e) => (e.id === id ? { ...e, version } : e));
    this.write();
  }

  private get key(): string {
    return `gewinde.outbox.${this.jobId}`;
  }

  private read(): PendingEdit[] {
    try {
      const kept: unknown = JSON.parse(this.storage.getItem(this.key) ?? '[]');
      return Array.isArray(kept) ? (kept as PendingEdit[]).filter((e) => typeof e?.id === 'string' && typeof e.version === 'number') : [];
    } catch {
      return [];
    }
  }

  private write(): void {
    if (this.edits.length === 0) this.storage.removeItem(this.key);
    else this.storage.setItem(this.key, JSON.stringify(this.edits));
  }
}
