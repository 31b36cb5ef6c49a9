import {
  CommandError,
  ConnectorSyntaxError,
  jobContracts,
  receive,
  replicaOf,
  rowBegunOn,
  rowIds,
  rowsOf,
  runCommands,
  withRows,
  type AnswerOf,
  type Catalogue,
  type Command,
  type CommandContext,
  type JobChange,
  type JobDocument,
  type JobEntity,
  type JobEntityType,
  type Replica,
} from '@gewinde/core';
import {
  BehaviorSubject,
  catchError,
  defer,
  distinctUntilChanged,
  EMPTY,
  filter,
  from,
  ignoreElements,
  map,
  merge,
  type Observable,
  Subject,
  switchMap,
  take,
  takeUntil,
  tap,
} from 'rxjs';
import { v4 as uuid } from 'uuid';
import { type Api, ApiError } from './api';
import { inOrder, keepTrying } from './in-order';
import type { Messages } from './messages';
import { saidOf } from './said';
import { addPending, followed, type OutboxStorage, type PendingChange, rebased, THE_JOB, without } from './outbox';

/** A change that somebody else's change has overtaken. */
export interface Conflict {
  readonly key: string;
  /** What one's own change says of the row. */
  readonly mine: Readonly<Record<string, unknown>>;
  /** The row as it stands on the server. */
  readonly theirs: Readonly<Record<string, unknown>> & { readonly id: string; readonly version: number };
}

export type SaveState =
  { readonly at: 'saved'; readonly time: Date } | { readonly at: 'saving' } | { readonly at: 'waiting'; readonly reason: string };

/** A command as a screen gives it: the version of the row is the session's to say. */
export type Draft = Command extends infer C ? (C extends { version: number } ? Omit<C, 'version'> & { version?: number } : C) : never;

interface State {
  /** What the server has told. */
  readonly replica: Replica;
  /** What it has not told yet, in order. */
  readonly pending: readonly PendingChange[];
  readonly underWay: string | null;
  readonly trouble: string | null;
  readonly savedAt: Date;
}

export interface SessionTools {
  readonly api: Api;
  readonly messages: Messages;
  readonly storage: OutboxStorage;
  /** Which tab this is, and tabs whose tabs are gone: what they left unsent is sent from here. */
  readonly tab: { readonly id: string; readonly left: readonly string[] };
  readonly parts: () => Catalogue | undefined;
}

/**
 * One open job: what the server has told, with what is not there yet shown on top of it. Changes are sent one after another and kept
 * until they are answered for what they say; the same change told by the stream is its answer as well.
 */
export class JobSession {
  private readonly state: BehaviorSubject<State>;
  private readonly queue = new Subject<string>();
  private readonly arrived = new Subject<JobChange>();
  private readonly settled = new Subject<'mine' | 'theirs'>();
  private readonly now = new Subject<void>();
  private readonly conflict = new BehaviorSubject<Conflict | null>(null);
  /** Whether what waits would outlive its page. */
  private kept = true;
  /** Which version one's own changes have made of which. */
  private readonly lineage = new Map<string, number>();

  readonly document$: Observable<JobDocument>;
  readonly saveState$: Observable<SaveState>;
  readonly pending$: Observable<readonly PendingChange[]>;
  readonly conflict$ = this.conflict.asObservable();
  /** Sends what waits, as long as somebody listens. */
  readonly work$: Observable<never>;

  constructor(
    private readonly jobId: string,
    private readonly tools: SessionTools,
    read: AnswerOf<typeof jobContracts.readJob>,
  ) {
    const { storage, tab } = tools;
    const pending = [...storage.read(tab.id), ...tab.left.flatMap((other) => storage.read(other))];
    this.state = new BehaviorSubject<State>({
      replica: replicaOf(read.document as JobDocument, read.at),
      pending,
      underWay: null,
      trouble: null,
      savedAt: new Date(),
    });
    // kept twice for a moment rather than not at all: a change that is sent twice is made once
    if (storage.write(tab.id, pending)) for (const other of tab.left) storage.write(other, []);
    this.document$ = this.state.pipe(
      map(({ replica, pending: waiting }) => ({ replica, waiting })),
      distinctUntilChanged((a, b) => a.replica === b.replica && a.waiting === b.waiting),
      map(({ replica, waiting }) => this.shown(replica, waiting)),
    );
    this.saveState$ = this.state.pipe(map(saveStateOf));
    this.pending$ = this.state.pipe(
      map((s) => s.pending),
      distinctUntilChanged(),
    );
    this.work$ = merge(from(pending.map((change) => change.key)), this.queue).pipe(
      inOrder((key) => this.sendUntilSettled(key)),
      ignoreElements(),
    );
  }

  get at(): number {
    return this.state.value.replica.at;
  }

  /** The version of a row that an edit is begun on. */
  versionOf(type: JobEntityType, id: string): number {
    return rowsOf(this.state.value.replica.document, type).find((row) => row.id === id)?.version ?? 1;
  }

  /**
   * Makes a change: on the screen now, on the server as soon as it answers.
   * @returns its key
   * @throws {CommandError | ConnectorSyntaxError} when it cannot be made; then nothing has happened
   */
  change(drafts: readonly Draft[]): string {
    const commands = drafts.map((draft) => this.stamped(draft));
    const { replica, pending } = this.state.value;
    const key = uuid();
    runCommands(this.shown(replica, pending), commands, this.context(key));
    this.enqueue({ key, commands });
    // it may have become one with what waits
    return this.state.value.pending.at(-1)?.key ?? key;
  }

  /** @param of the change that is meant, by its key */
  step(direction: 'undo' | 'redo', of?: string): void {
    this.enqueue({ key: uuid(), step: direction, ...(of === undefined ? {} : { of }) });
  }

  /** Settles a conflict: mine is sent over theirs, or theirs is taken. */
  settle(keep: 'mine' | 'theirs'): void {
    this.settled.next(keep);
  }

  /** Tries again at once. */
  sendNow(): void {
    this.now.next();
  }

  /** Gives up a change that waits; one that is under way may have arrived all the same, and is then told as such. */
  giveUp(key: string): void {
    this.patch({ pending: this.state.value.pending.filter((change) => change.key !== key), trouble: null });
  }

  /** Takes in what the stream tells. */
  hear(change: JobChange): void {
    const own = this.state.value.pending.some((pending) => pending.key === change.key);
    const news = change.id > this.at;
    // one that is under way is answered by this; taking it in twice does no harm
    if (own) this.arrived.next(change);
    this.take(change, true);
    if (own) return;
    if (news && change.client !== this.tools.tab.id) this.tools.messages.tell(`Changed elsewhere: ${change.label}`);
  }

  private enqueue(change: PendingChange): void {
    const { pending, underWay } = this.state.value;
    const next = addPending(pending, change, underWay);
    this.patch({ pending: next });
    if (next.length > pending.length) this.queue.next(change.key);
  }

  private sendUntilSettled(key: string): Observable<unknown> {
    return defer(() => {
      const change = this.find(key);
      if (!change) return EMPTY;
      this.patch({ underWay: key });
      const told = this.arrived.pipe(filter((arrived) => arrived.key === key));
      const asked = defer(() => {
        const latest = this.find(key);
        return latest ? this.send(latest) : EMPTY;
      }).pipe(keepTrying(isTransient, (error) => this.patch({ trouble: (error as Error).message })));
      const nudged = this.now.pipe(
        switchMap(() => defer(() => (this.find(key) ? this.send(this.find(key)!) : EMPTY)).pipe(catchError(() => EMPTY))),
      );
      const gone = this.state.pipe(filter(({ pending }) => !pending.some((p) => p.key === key)));
      return merge(told, asked, nudged).pipe(
        takeUntil(gone),
        take(1),
        tap((answer) => {
          this.tellOfStep(change, answer);
          this.take(answer, false);
        }),
      );
    }).pipe(
      catchError((error: unknown) => this.refused(key, error)),
      // given up meanwhile, or done: the next may go
      tap({ complete: () => this.patch({ underWay: null, trouble: null }) }),
    );
  }

  private send(change: PendingChange): Observable<JobChange> {
    const params = { id: this.jobId };
    const { key } = change;
    const asked =
      'commands' in change
        ? this.tools.api.call(jobContracts.changeJob, { params, body: { key, commands: [...change.commands] } })
        : this.tools.api.call(change.step === 'undo' ? jobContracts.undoJob : jobContracts.redoJob, {
            params,
            body: { key, ...(change.of === undefined ? {} : { of: change.of }) },
          });
    return asked.pipe(map((answer) => answer as JobChange));
  }

  private refused(key: string, error: unknown): Observable<unknown> {
    const theirs = error instanceof ApiError && error.code === 'conflict' ? (error.details.current as Conflict['theirs']) : undefined;
    if (!theirs) {
      this.patch({ pending: this.state.value.pending.filter((change) => change.key !== key), underWay: null, trouble: null });
      this.tools.messages.fault(error);
      return EMPTY;
    }
    const rowId = theirs.id === this.jobId ? THE_JOB : theirs.id;
    this.conflict.next({ key, mine: saidOf(this.find(key), rowId), theirs });
    return this.settled.pipe(
      take(1),
      switchMap((keep) => {
        this.conflict.next(null);
        this.takeRow(theirs);
        const mine = this.find(key);
        const next = mine && (keep === 'mine' ? rebased(mine, rowId, theirs.version) : without(mine, rowId));
        const pending = this.state.value.pending.flatMap((change) => (change.key === key ? (next ? [next] : []) : [change]));
        this.patch({ pending, underWay: null });
        return next ? this.sendUntilSettled(key) : EMPTY;
      }),
    );
  }

  /** The row as the server has it, put under what waits; edits that were begun on the row before go on from it only if they are chosen. */
  private takeRow(row: Conflict['theirs']): void {
    const { replica } = this.state.value;
    const type = (['line', 'port', 'component'] as const).find((t) => rowsOf(replica.document, t).some((r) => r.id === row.id)) ?? 'job';
    if (row.version <= this.versionOf(type, row.id)) return;
    this.patch({ replica: { ...replica, document: withRows(replica.document, [{ type, row } as unknown as JobEntity]) } });
  }

  /** A change that has arrived: what waits behind it on the same rows now starts from their new versions. */
  private take(change: JobChange, inOrderOfAll: boolean): void {
    const { replica, pending } = this.state.value;
    const own = pending.some((p) => p.key === change.key);
    const next = receive(replica, change, inOrderOfAll);
    if (!own) {
      this.patch({ replica: next });
      return;
    }
    let waiting: readonly PendingChange[] = pending.filter((p) => p.key !== change.key);
    for (const { type, row } of change.put as JobEntity[]) {
      const before = rowsOf(replica.document, type).find((r) => r.id === row.id)?.version ?? 1;
      if (before === row.version) continue;
      waiting = followed(waiting, type === 'job' ? THE_JOB : row.id, before, row.version);
      this.lineage.set(`${row.id} ${before}`, row.version);
    }
    this.patch({ replica: next, pending: waiting, savedAt: new Date() });
  }

  private tellOfStep(change: PendingChange, { label }: JobChange): void {
    if ('step' in change) this.tools.messages.tell(`${change.step === 'undo' ? 'Undone' : 'Done again'}: ${label}`);
  }

  private stamped(draft: Draft): Command {
    const row = rowBegunOn(draft);
    if (!row) return draft as Command;
    const id = row.id ?? this.jobId;
    let version = (draft as { version?: number }).version ?? this.versionOf(row.type, id);
    for (let next = this.lineage.get(`${id} ${version}`); next !== undefined; next = this.lineage.get(`${id} ${version}`)) version = next;
    return { ...draft, version } as Command;
  }

  private shown(replica: Replica, pending: readonly PendingChange[]): JobDocument {
    let { document } = replica;
    for (const change of pending) {
      if (!('commands' in change)) continue;
      try {
        document = runCommands(document, change.commands, this.context(change.key)).document;
      } catch (error) {
        // what cannot be shown yet is still sent: the server has the word
        if (!(error instanceof CommandError) && !(error instanceof ConnectorSyntaxError)) throw error;
      }
    }
    return document;
  }

  private context(key: string): CommandContext {
    const parts = this.tools.parts();
    return { newId: rowIds(key), versions: 'ignore', ...(parts ? { parts } : {}) };
  }

  private find(key: string): PendingChange | undefined {
    return this.state.value.pending.find((change) => change.key === key);
  }

  private patch(change: Partial<State>): void {
    const before = this.state.value;
    const next = { ...before, ...change };
    this.state.next(next);
    if (next.pending === before.pending) return;
    const kept = this.tools.storage.write(this.tools.tab.id, next.pending);
    if (!kept && this.kept) this.tools.messages.tell('The browser has no room to keep changes. Leave this page open until they are saved.');
    this.kept = kept;
  }
}

function isTransient(error: unknown): boolean {
  return error instanceof ApiError && error.transient;
}

function saveStateOf({ pending, trouble, savedAt }: State): SaveState {
  if (pending.length === 0) return { at: 'saved', time: savedAt };
  return trouble === null ? { at: 'saving' } : { at: 'waiting', reason: trouble };
}
