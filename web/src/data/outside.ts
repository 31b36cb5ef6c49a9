import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { liveContracts } from '@gewinde/core';
import { catchError, of } from 'rxjs';
import { Api } from './api';

/** What stands behind the supplier, the label printer and the calliper, as the server was set up: asked once. */
@Injectable({ providedIn: 'root' })
export class Outside {
  /** Undefined until it is known. */
  readonly told = toSignal(
    inject(Api)
      .call(liveContracts.outside, {})
      .pipe(catchError(() => of(undefined))),
  );
}
