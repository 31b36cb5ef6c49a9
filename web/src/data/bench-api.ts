import { inject, Injectable } from '@angular/core';
import { benchContracts, type Jaws, type Place, type Reading } from '@gewinde/core';
import { Observable } from 'rxjs';
import { Api, pathOf } from './api';

/** The calliper on the server, sending by itself. */
@Injectable({ providedIn: 'root' })
export class BenchApi {
  readonly api = inject(Api);

  /** Readings as they come, until unsubscribed; completes when the calliper switches itself off. */
  live(fitting: string, jaws: Jaws, place: Place): Observable<Reading> {
    return new Observable((to) => {
      const stream = new EventSource(`${pathOf(benchContracts.liveReadings)}?${new URLSearchParams({ fitting, jaws, place })}`);
      stream.addEventListener('reading', (event: MessageEvent<string>) => to.next(JSON.parse(event.data) as Reading));
      stream.addEventListener('off', () => to.complete());
      stream.addEventListener('error', () => to.error(new Error('The calliper does not answer.')));
      return () => stream.close();
    });
  }
}
