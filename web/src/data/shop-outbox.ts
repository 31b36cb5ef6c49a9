import { inject, Injectable } from '@angular/core';
import { shopContracts, type ShopChange, type ShopCommand } from '@gewinde/core';
import {
  BehaviorSubject,
  catchError,
  defer,
  EMPTY,
  filter,
  map,
  merge,
  type Observable,
  of,
  Subject,
  switchMap,
  take,
  takeUntil,
  tap,
  throwError,
} from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api, ApiError } from './api';
import { inOrder, keepTrying } from './in-order';
import { Messages } from './messages';
import { KeptList } from './outbox';
import { ThisTab } from './this-tab';

/** Commands on what all jobs share that are on their way, under their key. */
export interface PendingShop {
  readonly key: string;
  readonly commands: readonly ShopCommand[];
}
type Told = { readonly key: string } & ({ readonly change: ShopChange } | { readonly error: unknown } | { readonly kept: true });

/** How often a change is tried before whoever asked is told that it is kept. */
const TELL_AFTER = 3;

/**
 * What is done on catalogue, shelf, rack and orders waits here as the changes of a job do: in the browser's storage until it is answered,
 * sent in order, again and again under its key. Whoever asked is told the answer; where none comes, that it is kept.
 */
@Injectable({ providedIn: 'root' })
export class ShopOutbox {
  private readonly api = inject(Api);
  private readonly tab = inject(ThisTab);
  private readonly messages = inject(Messages);
  private readonly kept = new KeptList<PendingShop>('shop', isPendingShop);
  private readonly pending = new BehaviorSubject<readonly PendingShop[]>([]);
  private readonly queue = new Subject<string>();
  private readonly told = new Subject<Told>();
  private readonly now = new Subject<void>();
  private readonly waitsFor = new BehaviorSubject<string | null>(null);

  readonly pending$ = this.pending.asObservable();
  /** Why what waits is not there yet; null while it is on its way, or nothing waits. */
  readonly trouble$ = this.waitsFor.asObservable();
  /** Answers to what an earlier page sent, and nobody waits for. */
  readonly late$ = new Subject<ShopChange>();
  private readonly asked = new Set<string>();

  constructor() {
    this.queue.pipe(inOrder((key) => this.sendUntilSettled(key))).subscribe();
    this.told.subscribe((told) => {
      if (this.asked.has(told.key)) return;
      if ('change' in told) this.late$.next(told.change);
      if ('error' in told) this.messages.fault(told.error);
    });
  }

  /** Sends what an earlier page, or a tab that is gone, could not. */
  resume(): void {
    const left = [this.tab.id, ...this.tab.left].flatMap((tab) => this.kept.read(tab));
    if (left.length === 0) return;
    this.put(left);
    for (const other of this.tab.left) this.kept.write(other, []);
    for (const { key } of left) this.queue.next(key);
  }

  /** @throws {ApiError} in the stream: why it was refused; `kept` where the server does not answer for now */
  send(commands: readonly ShopCommand[]): Observable<ShopChange> {
    return defer(() => {
      const key = uuid();
      this.asked.add(key);
      const answer = this.told.pipe(
        filter((told) => told.key === key),
        take(1),
        switchMap((told) => {
          this.asked.delete(key);
          if ('change' in told) return of(told.change);
          return throwError(() => ('error' in told ? told.error : new ApiError('kept', KEPT)));
        }),
      );
      const start = defer(() => {
        this.put([...this.pending.value, { key, commands }]);
        this.queue.next(key);
        return EMPTY;
      });
      return merge(answer, start).pipe(take(1));
    });
  }

  sendNow(): void {
    this.now.next();
  }

  /** Gives up a change that waits; it may have arrived all the same. */
  giveUp(key: string): void {
    this.settle(key);
  }

  private sendUntilSettled(key: string): Observable<unknown> {
    let tries = 0;
    const send = (): Observable<ShopChange> => {
      const change = this.pending.value.find((p) => p.key === key);
      return change ? this.api.call(shopContracts.changeShop, { body: { key, commands: [...change.commands] } }) : EMPTY;
    };
    const asked = defer(send).pipe(
      keepTrying(isTransient, (error) => {
        this.waitsFor.next((error as Error).message);
        if (++tries === TELL_AFTER) this.told.next({ key, kept: true });
      }),
    );
    const nudged = this.now.pipe(switchMap(() => defer(send).pipe(catchError(() => EMPTY))));
    const gone = this.pending.pipe(filter((pending) => !pending.some((p) => p.key === key)));
    return merge(asked, nudged).pipe(
      takeUntil(gone),
      take(1),
      map((change): Told => ({ key, change })),
      catchError((error: unknown) => of<Told>({ key, error })),
      tap((told) => {
        this.settle(key);
        this.told.next(told);
      }),
    );
  }

  private settle(key: string): void {
    this.waitsFor.next(null);
    this.put(this.pending.value.filter((p) => p.key !== key));
  }

  private put(pending: readonly PendingShop[]): void {
    this.pending.next(pending);
    this.kept.write(this.tab.id, pending);
  }
}

const KEPT = 'The server does not answer. This is kept here, and sent as soon as it does.';

function isTransient(error: unknown): boolean {
  return error instanceof ApiError && error.transient;
}

function isPendingShop(value: unknown): value is PendingShop {
  const { key, commands } = (value ?? {}) as { key?: unknown; commands?: unknown };
  return typeof key === 'string' && Array.isArray(commands) && commands.length > 0;
}
