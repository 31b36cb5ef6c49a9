import { inject, Injectable } from '@angular/core';
import type { Catalogue, Connector, JobDocument, JobQuery, Port, SensorPlace, WaysAnswer } from '@gewinde/core';
import { filter, map, Observable, Subject } from 'rxjs';
import { CatalogueStore } from '../data/catalogue-store';
import type { WaysQuestion, WaysReply, WaysRequest } from './ways-protocol';
import { makeWaysWorker } from './worker-factory';

type Asking = Extract<WaysRequest, { id: number }>;
type Unasked = Asking extends infer A ? (A extends { id: number } ? Omit<A, 'id'> : never) : never;

/** Finds ways, places for sensors and whole jobs, off the main thread. */
@Injectable({ providedIn: 'root' })
export class WaysService {
  private readonly worker = makeWaysWorker();
  private readonly replies = new Subject<WaysReply>();
  private asked = 0;

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<WaysReply>) => this.replies.next(data));
    inject(CatalogueStore)
      .catalogue$.pipe(filter((c): c is Catalogue => c !== null))
      .subscribe((catalogue) => this.worker.postMessage({ kind: 'catalogue', catalogue } satisfies WaysRequest));
  }

  ways(question: WaysQuestion): Observable<WaysAnswer> {
    return this.ask({ kind: 'ways', question }).pipe(map((reply) => (reply as Extract<WaysReply, { kind: 'ways' }>).answer));
  }

  places(sensor: Connector, from: Port, document: JobDocument): Observable<SensorPlace[]> {
    return this.ask({ kind: 'places', sensor, from, document }).pipe(
      map((reply) => (reply as Extract<WaysReply, { kind: 'places' }>).places),
    );
  }

  /** Progress, then the solved job; leaving it cancels the work. */
  job(document: JobDocument, query: JobQuery): Observable<Extract<WaysReply, { kind: 'progress' | 'job' }>> {
    return this.ask({ kind: 'job', document, query }) as Observable<Extract<WaysReply, { kind: 'progress' | 'job' }>>;
  }

  private ask(request: Unasked): Observable<WaysReply> {
    return new Observable((subscriber) => {
      const id = ++this.asked;
      let finished = false;
      const waiting = this.replies.pipe(filter((reply) => reply.id === id)).subscribe((reply) => {
        finished = reply.kind !== 'progress';
        if (reply.kind === 'failed') subscriber.error(new Error(reply.message));
        else subscriber.next(reply);
        if (finished) subscriber.complete();
      });
      this.worker.postMessage({ ...request, id });
      return () => {
        waiting.unsubscribe();
        if (!finished) this.worker.postMessage({ kind: 'cancel', id } satisfies WaysRequest);
      };
    });
  }
}
