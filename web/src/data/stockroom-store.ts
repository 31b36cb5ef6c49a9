import { computed, inject, Injectable } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  emptyStockroom,
  shopCommands,
  stockContracts,
  withStockRows,
  type AnswerOf,
  type ShopChange,
  type StockCommand,
  type Stockroom,
  type StoreRules,
} from '@gewinde/core';
import { BehaviorSubject, combineLatest, defer, distinctUntilChanged, filter, map, type Observable, startWith, switchMap, tap } from 'rxjs';
import { Api } from './api';
import { keepTrying } from './in-order';
import { JobStore } from './job-store';
import { Preferences } from './preferences';
import { ShopStore } from './shop-store';

interface Told {
  readonly room: Stockroom;
  readonly at: number;
}

/** Suppliers, offers, shelves, rack, pieces cut and orders: read when they are first looked at, then followed change by change. */
@Injectable({ providedIn: 'root' })
export class StockroomStore {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly preferences = inject(Preferences);
  private readonly jobId = inject(JobStore).document;
  private readonly state = new BehaviorSubject<Told | null>(null);
  /** Changes that came while it was being read. */
  private early: ShopChange[] = [];

  private readonly known = toSignal(this.state.pipe(map((told) => told?.room ?? null)), { initialValue: null });
  readonly loaded = computed(() => this.known() !== null);
  readonly room = computed((): Stockroom => this.known() ?? emptyStockroom);
  readonly rules = computed((): StoreRules => this.room().rules);
  readonly lengths = computed(() => this.room().lengths.filter((l) => l.state === 'there'));
  readonly suppliers = computed(() => this.room().suppliers);

  constructor() {
    const job = toObservable(computed(() => this.jobId()?.job.id));
    combineLatest([job.pipe(distinctUntilChanged()), this.shop.reloaded.pipe(startWith(undefined))])
      .pipe(
        tap(() => (this.early = [])),
        switchMap(([id]) =>
          defer(() => this.api.call(stockContracts.readStockroom, { query: id === undefined ? {} : { job: id } })).pipe(
            keepTrying(() => true),
          ),
        ),
      )
      .subscribe((told) => {
        const read = asRead(told);
        this.state.next(this.early.reduce(after, read));
        this.early = [];
      });
    this.shop.changes.subscribe((change) => {
      this.early.push(change);
      this.early.splice(0, this.early.length - MOST_EARLY);
      const told = this.state.value;
      if (told) this.state.next(after(told, change));
    });
  }

  /** @throws {ApiError} in the stream: why it was refused */
  change(...commands: StockCommand[]): Observable<ShopChange> {
    return this.shop.change(...commands.map((command) => this.signed(command)));
  }

  /** Waits until it is there. */
  get whenLoaded(): Observable<Stockroom> {
    return this.state.pipe(
      filter((told) => told !== null),
      map(({ room }) => room),
    );
  }

  /** Who does it, where that was said and can be said. */
  private signed(command: StockCommand): StockCommand {
    const by = this.preferences.initials().trim();
    return by !== '' && shopCommands[command.do].signed ? ({ ...command, by } as StockCommand) : command;
  }
}

const MOST_EARLY = 50;
function asRead({ at, rules, ...rest }: AnswerOf<typeof stockContracts.readStockroom>): Told {
  return { at, room: { ...rest, rules: rules.rules, rulesVersion: rules.version } };
}

function after({ room, at }: Told, change: ShopChange): Told {
  if (change.id <= at) return { room, at };
  return { at, room: withStockRows(room, change.put, change.removed) };
}
