import { inject, Injectable } from '@angular/core';
import type { CasesAnswer, Catalogue, Connector, JobDocument, JobQuery, PartBetween, Port, SensorPlace, WaysAnswer } from '@gewinde/core';
import { filter, map, Observable, Subject, takeWhile, timeout } from 'rxjs';
import { ShopStore } from '../data/shop-store';
import type { CasesQuestion, PartsQuestion, WaysQuestion, WaysReply, WaysRequest } from './ways-protocol';
import { makeWaysWorker } from './worker-factory';

type Asking = Extract<WaysRequest, { id: number }>;
type Unasked = Asking extends infer A ? (A extends { id: number } ? Omit<A, 'id'> : never) : never;
type Answer<K extends WaysReply['kind']> = Extract<WaysReply, { kind: K }>;

/** A worker that says nothing for so long is taken for dead, ms. */
const SILENCE_MS = 30_000;

/** Finds ways, places for sensors and whole jobs, off the main thread. Leaving an answer cancels its question. */
@Injectable({ providedIn: 'root' })
export class WaysService {
  private worker = this.start();
  private readonly replies = new Subject<WaysReply>();
  private catalogue: Catalogue | null = null;
  private asked = 0;

  constructor() {
    inject(ShopStore)
      .catalogue$.pipe(filter((c): c is Catalogue => c !== null))
      .subscribe((catalogue) => {
        this.catalogue = catalogue;
        this.post({ kind: 'catalogue', catalogue });
      });
  }

  ways(question: WaysQuestion): Observable<WaysAnswer> {
    return this.ask<Answer<'ways'>>({ kind: 'ways', question }).pipe(map(({ answer }) => answer));
  }

  /** The ways of every case of a place whose ports are not certain. */
  cases(question: CasesQuestion): Observable<CasesAnswer> {
    return this.ask<Answer<'cases'>>({ kind: 'cases', question }).pipe(map(({ answer }) => answer));
  }

  /** The parts of a kind that can be put in at a place, the best first. */
  parts(question: PartsQuestion): Observable<PartBetween[]> {
    return this.ask<Answer<'parts'>>({ kind: 'parts', question }).pipe(map(({ parts }) => parts));
  }

  places(sensor: Connector, from: Port, document: JobDocument): Observable<SensorPlace[]> {
    return this.ask<Answer<'places'>>({ kind: 'places', sensor, from, document }).pipe(map(({ places }) => places));
  }

  /** Progress, then the solved job. */
  job(document: JobDocument, query: JobQuery): Observable<Answer<'progress' | 'job'>> {
    return this.ask({ kind: 'job', document, query });
  }

  private ask<R extends WaysReply>(request: Unasked): Observable<R> {
    return new Observable<R>((to) => {
      const id = ++this.asked;
      let finished = false;
      const waiting = this.replies
        .pipe(
          filter((reply) => reply.id === id || reply.id === 0),
          map((reply) => {
            if (reply.kind === 'failed') throw new Error(reply.message);
            return reply as R;
          }),
          takeWhile((reply) => reply.kind === 'progress', true),
          timeout({ each: SILENCE_MS, with: () => this.dead() }),
        )
        .subscribe({
          next: (reply) => {
            finished = reply.kind !== 'progress';
            to.next(reply);
          },
          error: (error: unknown) => {
            finished = true;
            to.error(error);
          },
          complete: () => to.complete(),
        });
      this.post({ ...request, id });
      return () => {
        waiting.unsubscribe();
        if (!finished) this.post({ kind: 'cancel', id });
      };
    });
  }

  private post(request: WaysRequest): void {
    this.worker.postMessage(request);
  }

  private start(): Worker {
    const worker = makeWaysWorker();
    worker.addEventListener('message', ({ data }: MessageEvent<WaysReply>) => this.replies.next(data));
    worker.addEventListener('error', () => this.restart('The solver has stopped.'));
    worker.addEventListener('messageerror', () => this.restart('The solver has said something that cannot be read.'));
    return worker;
  }

  /** Whoever waits is told; the next question finds a fresh worker. */
  private restart(message: string): void {
    this.worker.terminate();
    this.worker = this.start();
    if (this.catalogue) this.post({ kind: 'catalogue', catalogue: this.catalogue });
    this.replies.next({ id: 0, kind: 'failed', message });
  }

  private dead(): Observable<never> {
    return new Observable((to) => {
      this.restart('The solver does not answer.');
      to.error(new Error('The solver does not answer.'));
    });
  }
}
