import { Injectable, signal } from '@angular/core';
import { liveContracts, type LiveMessage } from '@gewinde/core';
import { defer, finalize, type Observable, Observable as Stream, retry, timer } from 'rxjs';
import { pathOf } from './api';

/** A change told, or that what one has of the shop, or of all, is not to be built on any more. */
export type LiveNews = LiveMessage | { readonly scope: 'stale'; readonly of: 'shop' | 'all' };

/** Where the listener is: asked for whenever the stream is opened anew. */
export interface LivePlace {
  readonly job?: string;
  readonly after?: number;
  readonly shop: number;
}

const AGAIN_MS = 2000;
/** The server gives a sign of life twice as often; a line on which none has come for so long is dead, whatever the browser says, ms. */
const DEAD_MS = 60_000;
/** A line that is back as soon is not told as gone, ms. */
const GONE_MS = 4000;

/** Changes as the server tells them, from where the listener is; a stream that breaks goes on where it was. */
@Injectable({ providedIn: 'root' })
export class LiveStream {
  private readonly gone = signal(false);
  private telling: ReturnType<typeof setTimeout> | undefined;
  /** Nothing is heard of the server: what is shown may be behind. */
  readonly away = this.gone.asReadonly();

  listen(place: () => LivePlace): Observable<LiveNews> {
    // the browser reopens a cut stream by itself, with the last id; one that was refused, or is dead, is opened from here
    return defer(() => open(place(), (alive) => this.heard(alive))).pipe(
      retry({ delay: () => timer(AGAIN_MS) }),
      finalize(() => this.heard(true)),
    );
  }

  private heard(alive: boolean): void {
    if (alive) {
      clearTimeout(this.telling);
      this.telling = undefined;
      this.gone.set(false);
    } else this.telling ??= setTimeout(() => this.gone.set(true), GONE_MS);
  }
}

function open({ job, after, shop }: LivePlace, heard: (alive: boolean) => void): Observable<LiveNews> {
  return new Stream((to) => {
    let last = performance.now();
    const alive = (): void => {
      last = performance.now();
      heard(true);
    };
    const query = new URLSearchParams({ ...(job === undefined ? {} : { job, after: String(after ?? 0) }), shop: String(shop) });
    const source = new EventSource(`${pathOf(liveContracts.live)}?${query.toString()}`);
    source.addEventListener('open', alive);
    // the server is there and its database is not: nothing can be saved either
    source.addEventListener('sign', ({ data }: MessageEvent<string>) => {
      last = performance.now();
      heard(data !== 'away');
    });
    source.addEventListener('change', ({ data }: MessageEvent<string>) => {
      alive();
      to.next(JSON.parse(data) as LiveMessage);
    });
    source.addEventListener('stale', ({ data }: MessageEvent<string>) => {
      alive();
      to.next({ scope: 'stale', of: data === 'shop' ? 'shop' : 'all' });
    });
    const watching = setInterval(() => {
      if (performance.now() - last < DEAD_MS) return;
      heard(false);
      to.error(new Error('Nothing has been heard of the server for a minute.'));
    }, DEAD_MS / 6);
    source.addEventListener('error', () => {
      heard(false);
      if (source.readyState === EventSource.CLOSED) to.error(new Error('The stream of changes was refused.'));
    });
    return () => {
      clearInterval(watching);
      source.close();
    };
  });
}
