import { concatMap, defer, type MonoTypeOperatorFunction, type Observable, type OperatorFunction, retry, throwError, timer } from 'rxjs';

/** Sends one after another: the next only when the one before has come to its end. */
export function inOrder<T, R>(send: (item: T) => Observable<R>): OperatorFunction<T, R> {
  return concatMap((item) => defer(() => send(item)));
}

/** How long to wait before the next try, ms: soon at first, then every half minute. */
export function waitBefore(attempt: number): number {
  return Math.min(30_000, 1000 * 2 ** Math.min(attempt, 5));
}

/** Tries again, later and later, as long as `worth` says so; `waiting` is told of each wait. */
export function keepTrying<T>(
  worth: (error: unknown) => boolean,
  waiting: (error: unknown) => void = () => undefined,
): MonoTypeOperatorFunction<T> {
  return retry<T>({
    delay: (error: unknown, attempt) => {
      if (!worth(error)) return throwError(() => error);
      waiting(error);
      return timer(waitBefore(attempt));
    },
  });
}
