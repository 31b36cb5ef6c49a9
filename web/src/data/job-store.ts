import { computed, inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { jobContracts, type CommandOf, type JobChange, type JobEntityType } from '@gewinde/core';
import {
  BehaviorSubject,
  catchError,
  defer,
  distinctUntilChanged,
  ignoreElements,
  map,
  merge,
  type Observable,
  of,
  shareReplay,
  startWith,
  Subject,
  switchMap,
  take,
  tap,
} from 'rxjs';
import { Api, ApiError } from './api';
import { type Draft, JobSession, type SaveState } from './job-session';
import { LiveStream } from './live-stream';
import { Messages } from './messages';
import { OutboxStorage } from './outbox';
import { ThisTab } from './this-tab';
import { ShopStore } from './shop-store';

export type { Conflict, Draft, SaveState } from './job-session';

type Editable = 'job' | 'component' | 'port' | 'line';

/** An address that is open: its session once it is read, or why it cannot be. */
interface Opened {
  readonly session: JobSession | null;
  readonly error: ApiError | null;
}
const NOTHING: Opened = { session: null, error: null };
/** Under which name the tab keeps which job is open. */
const OPEN = 'gewinde.job';

/** The job that is open, whichever the address says: read, followed over the live stream, and changed by commands. */
@Injectable({ providedIn: 'root' })
export class JobStore {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly live = inject(LiveStream);
  private readonly tab = inject(ThisTab);
  private readonly messages = inject(Messages);
  private readonly jobId$ = new BehaviorSubject<string | null>(null);
  private readonly again = new Subject<void>();

  private readonly opened$: Observable<Opened> = this.jobId$.pipe(
    distinctUntilChanged(),
    switchMap((id) => (id === null ? merge(of(NOTHING), this.followShop()) : this.follow(id))),
    shareReplay({ bufferSize: 1, refCount: false }),
  );
  private readonly session$ = this.opened$.pipe(
    map((opened) => opened.session),
    distinctUntilChanged(),
  );
  private session: JobSession | null = null;
  private readonly fromSession = <T>(what: (session: JobSession) => Observable<T>, otherwise: T): Observable<T> =>
    this.session$.pipe(switchMap((session) => (session ? what(session) : of(otherwise))));

  readonly document = toSignal(
    this.fromSession((s) => s.document$, null),
    { initialValue: null },
  );
  readonly saveState = toSignal(
    this.fromSession<SaveState>((s) => s.saveState$, { at: 'saved', time: new Date() }),
    { requireSync: true },
  );
  readonly pending = toSignal(
    this.fromSession((s) => s.pending$, []),
    { initialValue: [] },
  );
  readonly conflict = toSignal(
    this.fromSession((s) => s.conflict$, null),
    { initialValue: null },
  );
  readonly loadError = toSignal(this.opened$.pipe(map((opened) => opened.error)), { initialValue: null });
  readonly jobId = computed(() => this.document()?.job.id);

  /** Opens a job; what an earlier visit could not send is put back on and sent. The job opened before is left at once. */
  open(jobId: string): void {
    keepOpen(jobId);
    this.jobId$.next(jobId);
  }

  close(): void {
    keepOpen(null);
    this.jobId$.next(null);
  }

  /** Opens the job that this tab had open before it was loaded again: the store and the benches go on beside it. */
  resume(): void {
    const jobId = sessionStorage.getItem(OPEN);
    if (jobId !== null && this.jobId$.value === null) this.jobId$.next(jobId);
  }

  /** Reads the job anew, after it could not be read. */
  reload(): void {
    this.again.next();
  }

  /**
   * Carries commands out as one change: on the screen now, on the server as soon as it answers.
   * @throws {CommandError | ConnectorSyntaxError} when they cannot be carried out; then nothing has happened
   */
  change(...drafts: Draft[]): string | undefined {
    return this.session?.change(drafts);
  }

  /** Changes fields of a row. `version` is the one the editing was begun on, where that was a while ago. */
  edit<T extends Editable>(type: T, id: string, set: CommandOf<`edit-${T}`>['set'], version?: number): void {
    const begun = version === undefined ? {} : { version };
    this.attempt(() => this.change({ do: `edit-${type}`, ...(type === 'job' ? {} : { id }), set, ...begun } as unknown as Draft));
  }

  /** Carries commands out, with a word about it; why they cannot be is said where no field shows it. @returns whether they were */
  attempt(what: () => string | undefined | void, done?: string): boolean {
    try {
      const of = what();
      if (done !== undefined) this.messages.tell(done, { undo: true, ...(typeof of === 'string' ? { of } : {}) });
      return true;
    } catch (error) {
      this.messages.fault(error);
      return false;
    }
  }

  step(direction: 'undo' | 'redo', of?: string): void {
    this.session?.step(direction, of);
  }

  settle(keep: 'mine' | 'theirs'): void {
    this.session?.settle(keep);
  }

  sendNow(): void {
    this.session?.sendNow();
  }

  giveUp(key: string): void {
    this.session?.giveUp(key);
  }

  /** The version of a row that an edit is begun on. */
  versionOf(type: JobEntityType, id: string): number {
    return this.session?.versionOf(type, id) ?? 1;
  }

  private follow(id: string): Observable<Opened> {
    return this.again.pipe(
      startWith(undefined),
      switchMap(() =>
        defer(() => this.api.call(jobContracts.readJob, { params: { id } })).pipe(
          switchMap((read) => {
            const tools = { api: this.api, messages: this.messages, tab: this.tab, parts: () => this.shop.parts };
            const session = new JobSession(id, { ...tools, storage: new OutboxStorage(id) }, read);
            this.session = session;
            return merge(of({ session, error: null }), session.work$, this.followJob(id, session));
          }),
          catchError((error: unknown) => {
            if (!(error instanceof ApiError)) throw error;
            return of({ session: null, error });
          }),
          startWith(NOTHING),
          tap({ unsubscribe: () => (this.session = null) }),
        ),
      ),
    );
  }

  /** Both histories over one stream: each tab holds one connection. */
  private followJob(id: string, session: JobSession): Observable<never> {
    return this.shop.loaded$.pipe(
      take(1),
      switchMap(() => this.live.listen(() => ({ job: id, after: session.at, shop: this.shop.at }))),
      tap((news) => {
        if (news.scope === 'job') session.hear(news.change as JobChange);
        else if (news.scope === 'shop') this.shop.receive(news.change, true);
        else if (news.of === 'shop') this.shop.reload();
        else this.startAnew();
      }),
      ignoreElements(),
    );
  }

  private followShop(): Observable<never> {
    return this.shop.loaded$.pipe(
      take(1),
      switchMap(() => this.live.listen(() => ({ shop: this.shop.at }))),
      tap((news) => {
        if (news.scope === 'shop') this.shop.receive(news.change, true);
        else if (news.scope === 'stale') this.shop.reload();
      }),
      ignoreElements(),
    );
  }

  private startAnew(): void {
    this.shop.reload();
    this.again.next();
  }
}

function keepOpen(jobId: string | null): void {
  if (jobId === null) sessionStorage.removeItem(OPEN);
  else sessionStorage.setItem(OPEN, jobId);
}
