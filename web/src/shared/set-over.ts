import { signal } from '@angular/core';
import { firstValueFrom, type Observable } from 'rxjs';
import { ApiError } from '../data/api';

/**
 * Setting what all share, from what stood when a dialog was opened. What somebody else has set meanwhile is not gone over unasked: it is said,
 * and setting again puts one's own over it.
 */
export class SetOver {
  /** Why it was not set. */
  readonly error = signal<string | null>(null);

  /** @param over the version that stood when the dialog was opened */
  constructor(private over: number) {}

  /** @param set sends what is to be set over a version @returns whether it is set */
  async run(set: (over: number) => Observable<unknown>): Promise<boolean> {
    this.error.set(null);
    try {
      await firstValueFrom(set(this.over));
      return true;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      const conflict = error.code === 'conflict';
      if (conflict) this.over = (error.details.current as { readonly version: number }).version;
      this.error.set(error.message + (conflict ? ' Set again to put yours over it, or cancel to keep theirs.' : ''));
      return false;
    }
  }
}
