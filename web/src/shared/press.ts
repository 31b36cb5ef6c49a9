import { DOCUMENT, inject, Injectable, linkedSignal, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { delay, fromEvent, map, merge } from 'rxjs';

/** Whether a button of the mouse, a finger or a pen is down. What moves under a press takes its click away. */
@Injectable({ providedIn: 'root' })
export class Press {
  private readonly document = inject(DOCUMENT);
  private readonly down$ = fromEvent(this.document, 'pointerdown', { capture: true }).pipe(map(() => true));
  // the click follows the release at once: it comes first
  private readonly up$ = merge(
    fromEvent(this.document, 'pointerup', { capture: true }),
    fromEvent(this.document, 'pointercancel', { capture: true }),
  ).pipe(
    map(() => false),
    delay(0),
  );
  readonly held = toSignal(merge(this.down$, this.up$), { initialValue: false });
}

/** What is shown of a value: during a press, what was shown when it began. Called where things are injected. */
export function stillUnderPress<T>(now: Signal<T>): Signal<T> {
  const { held } = inject(Press);
  return linkedSignal<{ held: boolean; now: T }, T>({
    source: () => ({ held: held(), now: now() }),
    computation: (next, before) => (next.held && before ? before.value : next.now),
  }).asReadonly();
}
