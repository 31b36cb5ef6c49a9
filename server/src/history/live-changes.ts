import { rates } from '@gewinde/core';
import type { Knex } from 'knex';
import type { Change } from './change.js';
import { changesSince, type News } from './event-store.js';

/** How often the database is looked at for news, ms. Looking, rather than being told, lets several servers share one database. */
const LOOK_EVERY_MS = 500;
/** A sign of life, so that a line that is dead is found out. */
const SIGN_EVERY_MS = 25_000;
/** Changes told in one look; the rest in the next. */
const MOST_AT_ONCE = 200;

/** Somebody who listens: where they are in each scope, and what to do with news. */
export interface Listener {
  readonly places: Map<string, number>;
  readonly tell: (scope: string, change: Change) => void;
  /** A change that is too large to be told: what is here of its scope is to be read anew. */
  readonly stale: (scope: string) => void;
  /** Nothing to tell, but alive; `away` when the database does not answer. */
  readonly sign: (state: 'alive' | 'away') => void;
}

/** Tells everybody who listens what has changed. One look at the database serves them all. */
export class LiveChanges {
  private readonly listeners = new Set<Listener>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private signed = 0;

  constructor(
    private readonly db: Knex,
    private readonly max: number = rates.listeners,
  ) {}

  /** No room for another listener. */
  get full(): boolean {
    return this.listeners.size >= this.max;
  }

  /** @returns how to stop listening */
  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    this.timer ??= setTimeout(() => void this.look(), 0);
    return () => this.listeners.delete(listener);
  }

  get count(): number {
    return this.listeners.size;
  }

  close(): void {
    clearTimeout(this.timer);
    this.listeners.clear();
  }

  private async look(): Promise<void> {
    try {
      const furthestBack = new Map<string, number>();
      for (const { places } of this.listeners)
        for (const [scope, at] of places) furthestBack.set(scope, Math.min(at, furthestBack.get(scope) ?? Infinity));
      const news = await changesSince(this.db, furthestBack, MOST_AT_ONCE);
      for (const listener of this.listeners) for (const one of news) tellOnce(listener, one);
      this.signs('alive', news.length > 0);
    } catch {
      this.signs('away', false);
    }
    this.timer = this.listeners.size > 0 ? setTimeout(() => void this.look(), LOOK_EVERY_MS) : undefined;
  }

  private signs(state: 'alive' | 'away', told: boolean): void {
    const now = Date.now();
    if (state === 'alive' && (told || now - this.signed < SIGN_EVERY_MS)) return;
    this.signed = now;
    for (const listener of this.listeners) listener.sign(state);
  }
}

function tellOnce(listener: Listener, { scope, at, change }: News): void {
  const place = listener.places.get(scope);
  if (place === undefined || at <= place) return;
  listener.places.set(scope, at);
  if (change) listener.tell(scope, change);
  else listener.stale(scope);
}
