/** The clock that nobody sets back, which browsers and Node have alike. */
declare const performance: { now(): number };

/** How long something may still take: looked at in every loop that can be long, so that no part of the work outlasts the whole. */
export class Deadline {
  private readonly end: number;

  /** @param seconds from now on */
  constructor(
    seconds: number,
    private readonly now: () => number = () => performance.now(),
  ) {
    this.end = now() + seconds * 1000;
  }

  get over(): boolean {
    return this.now() >= this.end;
  }

  /** Seconds that are left; never less than a moment, since a solver takes none for no limit. */
  left(most = Infinity): number {
    return Math.max(0.01, Math.min(most, (this.end - this.now()) / 1000));
  }
}

/** For work that ends by itself. */
export const NO_DEADLINE = new Deadline(Infinity);
