import { Injectable, signal } from '@angular/core';

/** The rows of the job that the open view shows: what is undone among them is seen. */
@Injectable({ providedIn: 'root' })
export class InSight {
  private readonly shown = signal<{ readonly by: object; readonly ids: ReadonlySet<string> } | null>(null);

  show(by: object, ids: Iterable<string>): void {
    this.shown.set({ by, ids: new Set(ids) });
  }

  /** The view goes; another may be there already. */
  leave(by: object): void {
    if (this.shown()?.by === by) this.shown.set(null);
  }

  has(id: string): boolean {
    return this.shown()?.ids.has(id) ?? false;
  }
}
