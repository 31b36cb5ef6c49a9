import { inject, Injectable } from '@angular/core';
import type { Catalogue, Connector, HoseEnd } from '@gewinde/core';
import { filter, map, Observable, Subject, take } from 'rxjs';
import { CatalogueStore } from '../data/catalogue-store';
import type { WaysAnswer, WaysRequest } from './ways-protocol';
import { makeWaysWorker } from './worker-factory';

/** Finds the ways from a port to a hose end, off the main thread. */
@Injectable({ providedIn: 'root' })
export class WaysService {
  private readonly worker = makeWaysWorker();
  private readonly answers = new Subject<WaysAnswer>();
  private asked = 0;

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<WaysAnswer>) => this.answers.next(data));
    inject(CatalogueStore)
      .catalogue$.pipe(filter((c): c is Catalogue => c !== null))
      .subscribe((catalogue) => this.post({ kind: 'catalogue', catalogue }));
  }

  ways(from: Connector, hoseEnd: HoseEnd): Observable<Omit<WaysAnswer, 'id'>> {
    return new Observable((subscriber) => {
      const id = ++this.asked;
      const waiting = this.answers
        .pipe(
          filter((answer) => answer.id === id),
          take(1),
          map(({ id: _id, ...answer }) => answer),
        )
        .subscribe(subscriber);
      this.post({ kind: 'ways', id, from, hoseEnd });
      return waiting;
    });
  }

  private post(request: WaysRequest): void {
    this.worker.postMessage(request);
  }
}
