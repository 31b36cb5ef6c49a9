import { computed, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, debounceTime, map, of, switchMap, type Observable } from 'rxjs';

/** A question that is worked out elsewhere, and how it stands with it. */
export interface Answered<Q, A> {
  /** The answer to the question as it is now; undefined while there is none. */
  readonly answer: Signal<A | undefined>;
  /** There is a question, and nothing has come of it yet. */
  readonly waiting: Signal<boolean>;
  /** Why there is no answer to the question as it is now. */
  readonly failed: Signal<string | undefined>;
  /** The last answer there was, to whichever question: to be shown while the next is worked out, where that is right. */
  readonly last: Signal<{ readonly to: Q; readonly answer: A } | undefined>;
}

interface Told<Q, A> {
  readonly to: Q | null;
  readonly failed?: string;
  readonly last?: { readonly to: Q; readonly answer: A };
}

/**
 * Asks a question whenever it is another one, and gives up the one before. An answer counts for the very question it was asked for: what has
 * changed meanwhile makes it stale, whichever comes first. To be called where something can be injected.
 *
 * @param question null where nothing is asked; with an equality of its own, so that what is the same is not asked again
 * @param settledMs for how long it stands still before it is asked
 */
export function answered<Q extends object, A>(
  question: Signal<Q | null>,
  ask: (question: Q) => Observable<A>,
  settledMs?: number,
): Answered<Q, A> {
  const nothing: Told<Q, A> = { to: null };
  let last: Told<Q, A>['last'];
  const asked$ = toObservable(question);
  const told = toSignal(
    (settledMs === undefined ? asked$ : asked$.pipe(debounceTime(settledMs))).pipe(
      switchMap((to) =>
        to === null
          ? of({ ...nothing, ...(last ? { last } : {}) })
          : ask(to).pipe(
              map((answer): Told<Q, A> => ({ to, last: (last = { to, answer }) })),
              catchError((error: unknown) =>
                of<Told<Q, A>>({ to, failed: error instanceof Error ? error.message : String(error), ...(last ? { last } : {}) }),
              ),
            ),
      ),
    ),
    { initialValue: nothing },
  );
  const current = computed(() => (question() !== null && told().to === question() ? told() : nothing));
  return {
    answer: computed(() => (current().failed === undefined && current().last?.to === current().to ? current().last?.answer : undefined)),
    waiting: computed(() => question() !== null && told().to !== question()),
    failed: computed(() => current().failed),
    last: computed(() => told().last),
  };
}
