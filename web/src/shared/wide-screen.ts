import { Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { fromEvent, map, startWith } from 'rxjs';

/** Whether there is room for a third column; on a narrower screen it slides over. */
@Injectable({ providedIn: 'root' })
export class WideScreen {
  private readonly query = matchMedia('(min-width: 1101px)');
  readonly wide = toSignal(
    fromEvent<MediaQueryListEvent>(this.query, 'change').pipe(
      startWith(this.query),
      map(({ matches }) => matches),
    ),
    { initialValue: this.query.matches },
  );
}
