import { TestScheduler } from 'rxjs/testing';
import { of, throwError, timer, switchMap, defer } from 'rxjs';
import { inOrder, keepTrying, waitBefore } from './in-order';

const scheduler = (): TestScheduler => new TestScheduler((actual, expected) => expect(actual).toEqual(expected));

describe('what is sent one after another', () => {
  it('waits for the one before, however quickly it comes', () =>
    scheduler().run(({ cold, expectObservable }) => {
      const sent = cold('abc----|').pipe(inOrder((item: string) => timer(3).pipe(switchMap(() => of(item.toUpperCase())))));
      expectObservable(sent).toBe('---A--B--(C|)');
    }));

  it('is tried again, later and later, as long as it is worth it, and the rest waits behind it', () =>
    scheduler().run(({ cold, expectObservable, flush }) => {
      let tries = 0;
      const waits: number[] = [];
      const send = (item: string) =>
        defer(() => (item === 'a' && tries++ < 2 ? throwError(() => 'away') : of(item))).pipe(
          keepTrying(
            (error) => error === 'away',
            () => waits.push(tries),
          ),
        );
      expectObservable(cold('ab|').pipe(inOrder(send))).toBe('6s (ab|)');
      flush();
      expect(waits).toEqual([1, 2]);
    }));

  it('is given up at once where it is not', () =>
    scheduler().run(({ expectObservable }) => {
      expectObservable(throwError(() => 'bad').pipe(keepTrying((error) => error === 'away'))).toBe('#', undefined, 'bad');
    }));

  it('waits seconds at first and never more than half a minute', () =>
    expect([1, 2, 3, 4, 5, 6, 50].map(waitBefore)).toEqual([2000, 4000, 8000, 16_000, 30_000, 30_000, 30_000]));
});
