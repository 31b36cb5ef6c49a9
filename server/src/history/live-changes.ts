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
/** Of those that are far behind: how many are served at a time, and how many changes each is told before the next has its turn. */
const BEHIND_AT_ONCE = 4;
const BEHIND_CHANGES = 50;
/** Whoever has not taken what it was told for so long is gone, or as good as gone, ms. */
const STALLED_MS = 60_000;

/** Somebody who listens: where they are in each scope, and what to do with news. */
export interface Listener {
  readonly places: Map<string, number>;
  /** From which address: places are shared out by it. */
  readonly address?: string;
  readonly tell: (scope: string, change: Change) => void;
  /** A change that is too large to be told: what is here of its scope is to be read anew. */
  readonly stale: (scope: string) => void;
  /** Nothing to tell, but alive; `away` when the database does not answer. */
  readonly sign: (state: 'alive' | 'away') => void;
  /** Whether what it was told has gone out: nothing more is told before that. */
  readonly ready?: () => boolean;
  /** It has not taken anything for too long: it is left to connect anew. */
  readonly end?: () => void;
}

/**
 * Tells everybody who listens what has changed. One look at the database serves all who are where the news is; whoever is further behind,
 * or takes nothing for a while, is brought there by looks of its own, so that nobody waits for it.
 */
export class LiveChanges {
  private readonly listeners = new Set<Listener>();
  /** Up to where everybody who keeps up has been told, by scope. */
  private readonly told = new Map<string, number>();
  private readonly behind = new Set<Listener>();
  private readonly broughtUp = new Set<Listener>();
  private readonly stalledSince = new Map<Listener, number>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private signed = 0;

  constructor(
    private readonly db: Knex,
    private readonly max: number = rates.listeners,
    private readonly maxAnAddress: number = rates.listenersAnAddress,
  ) {}

  /** No room for another listener, at all or from there. */
  full(address?: string): boolean {
    if (this.listeners.size >= this.max) return true;
    let from = 0;
    for (const listener of this.listeners) if (address !== undefined && listener.address === address) from += 1;
    return from >= this.maxAnAddress;
  }

  /** @returns how to stop listening */
  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    for (const [scope, at] of listener.places) if (!this.told.has(scope)) this.told.set(scope, at);
    this.timer ??= setTimeout(() => void this.look(), 0);
    return () => this.leave(listener);
  }

  get count(): number {
    return this.listeners.size;
  }

  close(): void {
    clearTimeout(this.timer);
    this.listeners.clear();
    this.behind.clear();
  }

  private leave(listener: Listener): void {
    this.listeners.delete(listener);
    this.behind.delete(listener);
    this.stalledSince.delete(listener);
    const listened = new Set([...this.listeners].flatMap(({ places }) => [...places.keys()]));
    for (const scope of listener.places.keys()) if (!listened.has(scope)) this.told.delete(scope);
  }

  private async look(): Promise<void> {
    try {
      const news = await changesSince(this.db, this.told, MOST_AT_ONCE);
      const before = new Map(this.told);
      for (const { scope, at } of news) if ((this.told.get(scope) ?? -1) < at) this.told.set(scope, at);
      for (const listener of this.listeners) {
        const behind = [...listener.places].some(([scope, at]) => at < (before.get(scope) ?? 0));
        if (!takes(listener) || behind) this.behind.add(listener);
        else if (!this.behind.has(listener) && !this.broughtUp.has(listener)) for (const one of news) tellOnce(listener, one);
      }
      this.signs('alive', news.length > 0);
      this.serveBehind();
    } catch {
      this.signs('away', false);
    }
    this.timer = this.listeners.size > 0 ? setTimeout(() => void this.look(), LOOK_EVERY_MS) : undefined;
  }

  /** Those behind, a few at a time and each for a few changes; who takes nothing is waited for, and given up after a while. */
  private serveBehind(): void {
    const now = performance.now();
    for (const listener of [...this.behind]) {
      if (this.broughtUp.size >= BEHIND_AT_ONCE) return;
      if (this.broughtUp.has(listener)) continue;
      if (!takes(listener)) {
        const since = this.stalledSince.get(listener) ?? now;
        this.stalledSince.set(listener, since);
        if (now - since > STALLED_MS) listener.end?.();
        continue;
      }
      this.stalledSince.delete(listener);
      // to the end of the row, whether it is done then or not
      this.behind.delete(listener);
      this.broughtUp.add(listener);
      void this.bringUp(listener)
        .then((there) => there || !this.listeners.has(listener) || void this.behind.add(listener))
        .catch(() => this.listeners.has(listener) && this.behind.add(listener))
        .finally(() => {
          this.broughtUp.delete(listener);
          this.serveBehind();
        });
    }
  }

  /** @returns whether it is where the news is */
  private async bringUp(listener: Listener): Promise<boolean> {
    const news = await changesSince(this.db, listener.places, BEHIND_CHANGES);
    for (const one of news) {
      if (!takes(listener)) return false;
      tellOnce(listener, one);
    }
    return news.length < BEHIND_CHANGES && [...listener.places].every(([scope, at]) => at >= (this.told.get(scope) ?? 0));
  }

  private signs(state: 'alive' | 'away', told: boolean): void {
    // by a clock that is not set back with the day's
    const now = performance.now();
    if (state === 'alive' && (told || now - this.signed < SIGN_EVERY_MS)) return;
    this.signed = now;
    for (const listener of this.listeners) if (takes(listener)) listener.sign(state);
  }
}

function takes({ ready }: Listener): boolean {
  return ready?.() ?? true;
}

function tellOnce(listener: Listener, { scope, at, change }: News): void {
  const place = listener.places.get(scope);
  if (place === undefined || at <= place) return;
  listener.places.set(scope, at);
  if (change) listener.tell(scope, change);
  else listener.stale(scope);
}
