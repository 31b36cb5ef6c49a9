import { Injectable } from '@angular/core';
import { liveContracts, type LiveMessage } from '@gewinde/core';
import { defer, type Observable, Observable as Stream, retry, timer } from 'rxjs';
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

/** Changes as the server tells them, from where the listener is; a stream that breaks goes on where it was. */
@Injectable({ providedIn: 'root' })
export class LiveStream {
  listen(place: () => LivePlace): Observable<LiveNews> {
    // the browser reopens a cut stream by itself, with the last id; one that was refused it gives up
    return defer(() => open(place())).pipe(retry({ delay: () => timer(AGAIN_MS) }));
  }
}

function open({ job, after, shop }: LivePlace): Observable<LiveNews> {
  return new Stream((to) => {
    const query = new URLSearchParams({ ...(job === undefined ? {} : { job, after: String(after ?? 0) }), shop: String(shop) });
    const source = new EventSource(`${pathOf(liveContracts.live)}?${query.toString()}`);
    source.addEventListener('change', ({ data }: MessageEvent<string>) => to.next(JSON.parse(data) as LiveMessage));
    source.addEventListener('stale', ({ data }: MessageEvent<string>) => to.next({ scope: 'stale', of: data === 'shop' ? 'shop' : 'all' }));
    source.addEventListener('error', () => {
      if (source.readyState === EventSource.CLOSED) to.error(new Error('The stream of changes was refused.'));
    });
    return () => source.close();
  });
}
