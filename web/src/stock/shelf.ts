import { ScrollingModule } from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, type ElementRef, inject, input, signal, viewChild } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import {
  entriesOf,
  findEntry,
  incomingChecks,
  offersFor,
  openPacks,
  plannedOffer,
  plannedSupplier,
  reservedFor,
  soldByLength,
  planContracts,
  stockContracts,
  type AnswerOf,
  type MoveKind,
  type PartEntry,
  type StockRow,
} from '@gewinde/core';
import { catchError, filter, firstValueFrom, map, of, startWith, switchMap } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { Attempt } from '../shared/attempt';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { TextField } from '../shared/text-field';
import { TopBar } from '../shell/top-bar';
import { findEntries, partByCode } from './find-entries';
import { jobChoices } from './job-choices';
import { StoreNav } from './store-nav';
import { writeOrders } from './write-orders';

interface ShelfRow {
  readonly entry: PartEntry;
  readonly stock: StockRow | undefined;
  readonly onHand: number;
  readonly kept: number;
  readonly coming: number;
  readonly below: boolean;
}
type Moves = AnswerOf<typeof stockContracts.readMoves>['moves'];

/** The shelf: how many of each part lie there, for whom, and what is to be ordered again; counted by keyboard or scanner. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ReactiveFormsModule, RouterLink, ScrollingModule, StoreNav, TextField, TopBar],
  templateUrl: './shelf.html',
  styleUrls: ['./room.scss', './shelf.scss'],
})
export class ShelfRoom {
  /** `?part=`. */
  readonly part = input<string>();
  private readonly router = inject(Router);
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly stock = inject(StockroomStore);
  private readonly messages = inject(Messages);
  private readonly preferences = inject(Preferences);
  protected readonly job = inject(JobStore);
  protected readonly rowHeight = 40;
  private readonly counted = viewChild<ElementRef<HTMLInputElement>>('counted');
  private readonly scanner = viewChild<ElementRef<HTMLInputElement>>('scanner');

  protected readonly filters = new FormGroup({
    words: new FormControl('', { nonNullable: true }),
    which: new FormControl<'kept' | 'below' | 'all'>('kept', { nonNullable: true }),
  });
  protected readonly whiches: readonly Choice<'kept' | 'below' | 'all'>[] = [
    { value: 'kept', name: 'what the shop keeps' },
    { value: 'below', name: 'what is to be ordered again' },
    { value: 'all', name: 'every part' },
  ];
  private readonly asked = toSignal(
    this.filters.valueChanges.pipe(
      startWith(null),
      map(() => this.filters.getRawValue()),
    ),
    { initialValue: this.filters.getRawValue() },
  );
  private readonly kept = computed(() => {
    const catalogue = this.shop.catalogue();
    if (!catalogue) return [];
    const stock = new Map(this.stock.room().stock.map((s) => [s.part, s]));
    const coming = comingOf(this.stock.room().orders);
    return entriesOf(catalogue).flatMap((entry): ShelfRow[] => {
      if (entry.part.retired || soldByLength(entry)) return [];
      const own = stock.get(entry.part.id);
      const onHand = entry.part.shelf ?? 0;
      const on = coming.get(entry.part.id) ?? 0;
      return [{ entry, stock: own, onHand, kept: own ? reservedFor(own) : 0, coming: on, below: (own?.least ?? 0) > onHand + on }];
    });
  });
  protected readonly rows = computed(() => {
    const { words, which } = this.asked();
    const catalogue = this.shop.catalogue();
    const of = this.kept().filter((r) => which === 'all' || (which === 'below' ? r.below : r.onHand > 0 || r.stock !== undefined));
    if (words.trim() === '' || !catalogue) return of;
    const found = new Set(findEntries(catalogue, words).map((e) => e.part.id));
    return of.filter((r) => found.has(r.entry.part.id));
  });
  protected readonly below = computed(() => this.kept().filter((r) => r.below));
  protected readonly row = computed(() => this.kept().find((r) => r.entry.part.id === this.part()) ?? null);
  protected readonly jobs = toSignal(jobChoices(inject(Api), 'no job'), { requireSync: true });
  protected readonly moves = toSignal(
    toObservable(this.part).pipe(
      switchMap((part) =>
        part === undefined
          ? of<Moves>([])
          : this.shop.changes.pipe(
              filter((change) => change.put.some((e) => e.row.id === part)),
              startWith(null),
              switchMap(() => this.api.call(stockContracts.readMoves, { query: { part } })),
              map(({ moves }) => moves),
              catchError(() => of<Moves>([])),
            ),
      ),
    ),
    { initialValue: [] as Moves },
  );
  protected readonly kinds: readonly Choice<MoveKind>[] = [
    { value: 'count', name: 'count: there are' },
    { value: 'issue', name: 'take' },
    { value: 'return', name: 'put back' },
    { value: 'reserve', name: 'keep back for a job' },
    { value: 'release', name: 'give free' },
    { value: 'salvage', name: 'put in, off a car' },
    { value: 'scrap', name: 'throw away' },
  ];
  protected readonly move = new FormGroup({
    kind: new FormControl<MoveKind>('count', { nonNullable: true }),
    quantity: new FormControl<number | null>(null),
    jobId: new FormControl<string | null>(null),
    note: new FormControl('', { nonNullable: true }),
  });
  /** What is looked at before a part off a car lies beside new ones. */
  protected readonly checks = computed(() => {
    const row = this.row();
    return row ? incomingChecks(row.entry) : [];
  });
  protected readonly looked = signal<ReadonlySet<string>>(new Set());
  protected readonly initials = new FormControl(this.preferences.initials(), { nonNullable: true });
  protected readonly least = new FormControl<number | null>(null);
  protected readonly place = new FormControl('', { nonNullable: true });
  protected readonly scanned = new FormControl('', { nonNullable: true });
  protected readonly scanning = signal<string | null>(null);
  private readonly trying = new Attempt();
  protected readonly error = this.trying.error;
  protected readonly busy = this.trying.busy;

  constructor() {
    toObservable(this.row).subscribe((row) => {
      if (row && row.entry.part.id === this.shown) return;
      this.shown = row?.entry.part.id;
      this.least.setValue(row?.stock?.least ?? null);
      this.place.setValue(row?.stock?.place ?? '');
      this.move.reset();
      this.looked.set(new Set());
      this.error.set(null);
    });
  }
  private shown: string | undefined;

  protected trackId(_: number, { entry }: ShelfRow): string {
    return entry.part.id;
  }
  protected forJob(): boolean {
    return ['issue', 'return', 'reserve', 'release'].includes(this.move.controls.kind.value);
  }
  protected look(id: string): void {
    this.looked.update((all) => new Set(all.has(id) ? [...all].filter((one) => one !== id) : [...all, id]));
  }
  protected open(id: string): void {
    void this.router.navigate(['/store/shelf'], { queryParams: { part: id } });
  }
  protected jobName(id: string): string {
    return this.jobs().find((j) => j.value === id)?.name ?? 'another job';
  }

  /** A code from the scanner, or typed: its part is opened, and the count waits for a figure. */
  protected scan(event: Event): void {
    event.preventDefault();
    const text = this.scanned.value.trim();
    const catalogue = this.shop.catalogue();
    if (text === '') return;
    if (!catalogue) return this.scanning.set('The catalogue is still being read: scan again in a moment.');
    const entry = partByCode(catalogue, text);
    if (!entry) return this.scanning.set(`"${text}" is the code, id or name of no one part. Look for it by words.`);
    this.scanned.setValue('');
    this.scanning.set(null);
    this.open(entry.part.id);
    this.move.patchValue({ kind: 'count', quantity: null });
    setTimeout(() => this.counted()?.nativeElement.focus());
  }

  protected async book(event: Event): Promise<void> {
    event.preventDefault();
    const row = this.row();
    const { kind, quantity, jobId, note } = this.move.getRawValue();
    if (!row || quantity === null) return;
    this.preferences.initials.set(this.initials.value.trim().slice(0, 12));
    await this.trying.run(async () => {
      await firstValueFrom(
        this.stock.change({
          do: 'move-stock',
          part: row.entry.part.id,
          kind,
          quantity,
          seen: row.onHand,
          ...(jobId === null ? {} : { jobId }),
          ...(note.trim() ? { note: note.trim() } : {}),
          ...(kind === 'salvage' ? { checks: this.checks().map((c) => ({ check: c.words, ok: this.looked().has(c.id) })) } : {}),
        }),
      );
      this.messages.tell(`${row.entry.part.name}: booked`);
      this.move.patchValue({ quantity: null, note: '' });
      // the next one to be counted
      if (kind === 'count') this.scanner()?.nativeElement.focus();
    });
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const row = this.row();
    if (!row) return;
    await this.trying.run(async () => {
      await firstValueFrom(
        this.stock.change({
          do: 'keep-stock',
          part: row.entry.part.id,
          version: row.stock?.version ?? 0,
          least: this.least.value,
          place: this.place.value.trim() || null,
        }),
      );
      this.messages.tell(`${row.entry.part.name}: kept so`);
    });
  }

  /** What is below its least, from whoever has it for least money. */
  protected async orderBelow(): Promise<void> {
    const catalogue = this.shop.catalogue();
    if (!catalogue) return;
    await this.trying.run(async () => {
      const needs = this.below().map((r) => ({ part: r.entry.part.id, quantity: r.stock!.least! - r.onHand - r.coming }));
      const offers = offersFor(
        needs.map((n) => n.part),
        this.stock.room(),
        catalogue,
      );
      const suppliers = this.stock
        .suppliers()
        .filter((s) => !s.retired)
        .map(plannedSupplier);
      const { cost } = await firstValueFrom(
        this.api.call(planContracts.planOrders, { body: { problem: { needs, offers: offers.map(plannedOffer), suppliers } } }),
      );
      const commands = writeOrders(cost, offers);
      if (commands.length === 0) throw new Error('Nobody offers what is below its least: add offers under Suppliers.');
      await firstValueFrom(this.stock.change(...commands));
      const missing = cost.notOffered.map((part) => findEntry(catalogue, part)?.part.name ?? part);
      this.messages.tell(
        `${commands.length === 1 ? 'An order is written: send it' : `${commands.length} orders are written: send them`} under Suppliers${missing.length > 0 ? `. Nobody offers ${missing.join(', ')}` : ''}`,
      );
    });
  }
}

/** What is on its way of each part, for whatever it was ordered. */
function comingOf(orders: ReturnType<StockroomStore['room']>['orders']): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const order of orders) {
    if (order.state === 'complete' || order.state === 'cancelled') continue;
    for (const line of order.lines)
      for (const { part, quantity } of line.holds) sums.set(part, (sums.get(part) ?? 0) + quantity * openPacks(line));
  }
  return sums;
}
