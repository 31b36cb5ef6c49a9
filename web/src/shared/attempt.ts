import { signal } from '@angular/core';

/** Something that is tried, and may be refused: while it runs one is busy, and why it was refused stands beside it. */
export class Attempt {
  readonly busy = signal(false);
  readonly error = signal<string | null>(null);

  /** One at a time. @returns whether it went through */
  async run(what: () => Promise<unknown>): Promise<boolean> {
    if (this.busy()) return false;
    this.busy.set(true);
    this.error.set(null);
    try {
      await what();
      return true;
    } catch (error) {
      this.error.set(error instanceof Error ? error.message : String(error));
      return false;
    } finally {
      this.busy.set(false);
    }
  }
}
