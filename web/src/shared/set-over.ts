import { signal } from '@angular/core';
import { firstValueFrom, type Observable } from 'rxjs';
import { ApiError } from '../data/api';

/**
 * Setting what all share, from what stood when a form was opened. What somebody else has set meanwhile is not gone over unasked: it is said,
 * and setting again puts one's own over it.
 */
export class SetOver {
  readonly busy = signal(false);
  /** Why it was not set. */
  readonly error = signal<string | null>(null);

  /**
   * @param over the version that stood when the form was opened
   * @param again how one puts one's own over theirs, in the words of the form
   * @param told shows a refusal where it belongs, with the field that the server names; below the form where nothing is given
   */
  constructor(
    private over: number,
    private readonly again = 'Set again to put yours over it, or cancel to keep theirs.',
    private readonly told: (message: string, field: string | undefined) => void = (message) => this.error.set(message),
  ) {}

  /** @param set sends what is to be set over a version @returns whether it is set */
  async run(set: (over: number) => Observable<unknown>): Promise<boolean> {
    return (await this.ask(set)) !== null;
  }

  /** @returns what is answered; null where it is not set */
  async ask<T>(set: (over: number) => Observable<T>): Promise<T | null> {
    this.error.set(null);
    this.busy.set(true);
    try {
      return await firstValueFrom(set(this.over));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      const conflict = error.code === 'conflict';
      if (conflict) this.over = (error.details.current as { readonly version: number }).version;
      this.told(conflict ? `${error.message} ${this.again}` : error.message, error.field);
      return null;
    } finally {
      this.busy.set(false);
    }
  }
}
