import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { Catalogue } from '@gewinde/core';
import { BehaviorSubject, catchError, map, type Observable, of, retry, shareReplay, switchMap } from 'rxjs';
import { Api } from './api';

/** The shop's catalogue, fetched once and again after an import. */
@Injectable({ providedIn: 'root' })
export class CatalogueStore {
  private readonly api = inject(Api);
  private readonly asked = new BehaviorSubject<void>(undefined);

  readonly catalogue$: Observable<Catalogue | null> = this.asked.pipe(
    switchMap(() =>
      this.api.catalogue().pipe(
        retry({ count: 5, delay: 2000 }),
        map((c): Catalogue | null => c),
        catchError(() => of(null)),
      ),
    ),
    shareReplay(1),
  );
  readonly catalogue = toSignal(this.catalogue$, { initialValue: null });

  refresh(): void {
    this.asked.next();
  }
}
