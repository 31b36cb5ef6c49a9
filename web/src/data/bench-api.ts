import { inject, Injectable, NgZone } from '@angular/core';
import type { DrillResults, DrillVerdict, FittingSeen, Jaws, Place, Reading } from '@gewinde/core';
import { Observable } from 'rxjs';
import { Api } from './api';

/** The calliper and the drill on the server. */
@Injectable({ providedIn: 'root' })
export class BenchApi {
  private readonly api = inject(Api);
  private readonly zone = inject(NgZone);

  tray(): Observable<{ uncertaintyMm: number; fittings: FittingSeen[] }> {
    return this.api.send('GET', '/api/calliper/tray');
  }
  reading(fitting: string, jaws: Jaws, place: Place): Observable<Reading> {
    return this.api.send('POST', '/api/calliper/readings', { fitting, jaws, place });
  }
  /** Readings as they come, until unsubscribed; completes when the calliper switches itself off. */
  live(fitting: string, jaws: Jaws, place: Place): Observable<Reading> {
    return new Observable((to) => {
      const stream = new EventSource(`/api/calliper/live?${new URLSearchParams({ fitting, jaws, place })}`);
      stream.addEventListener('reading', (event: MessageEvent<string>) => this.zone.run(() => to.next(JSON.parse(event.data) as Reading)));
      stream.addEventListener('off', () => this.zone.run(() => to.complete()));
      stream.addEventListener('error', () => this.zone.run(() => to.error(new Error('The calliper does not answer.'))));
      return () => stream.close();
    });
  }
  results(apprentice: string): Observable<DrillResults> {
    return this.api.send('GET', `/api/drill?${new URLSearchParams({ apprentice })}`);
  }
  next(apprentice: string): Observable<FittingSeen> {
    return this.api.send('POST', '/api/drill/next', { apprentice });
  }
  answer(apprentice: string, fitting: string, answer: string): Observable<DrillVerdict> {
    return this.api.send('POST', '/api/drill/answers', { apprentice, fitting, answer });
  }
  forget(apprentice: string): Observable<null> {
    return this.api.send('DELETE', '/api/drill', { apprentice });
  }
}
