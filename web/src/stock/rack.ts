import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import {
  ageInYears,
  findEntry,
  formatCut,
  lengthCautions,
  soldByLength,
  type HoseLength,
  type PartEntry,
  type StockCommandOf,
  formatRun,
} from '@gewinde/core';
import { firstValueFrom, map, startWith } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { Attempt } from '../shared/attempt';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { TextField } from '../shared/text-field';
import { TopBar } from '../shell/top-bar';
import { EntryPicker } from './entry-picker';
import { findEntries } from './find-entries';
import { jobChoices } from './job-choices';
import { StoreNav } from './store-nav';
import { today } from '../data/today';

type Kind = HoseLength['kind'];

/** The hose rack: every reel, length, offcut and made hose as a bar; found by what is needed of it. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, EntryPicker, QuantityInput, ReactiveFormsModule, RouterLink, StoreNav, TextField, TopBar],
  templateUrl: './rack.html',
  styleUrls: ['./room.scss', './rack.scss'],
})
export class RackRoom {
  /** `?length=`. */
  readonly length = input<string>();
  private readonly router = inject(Router);
  private readonly shop = inject(ShopStore);
  private readonly stock = inject(StockroomStore);
  private readonly messages = inject(Messages);
  private readonly preferences = inject(Preferences);
  protected readonly job = inject(JobStore);
  protected readonly filters = new FormGroup({
    words: new FormControl('', { nonNullable: true }),
    mm: new FormControl<number | null>(null),
    kind: new FormControl<Kind | null>(null),
  });
  protected readonly kinds: readonly Choice<Kind | null>[] = [
    { value: null, name: 'all' },
    { value: 'offcut', name: 'offcuts' },
    { value: 'length', name: 'lengths' },
    { value: 'reel', name: 'reels' },
    { value: 'made', name: 'made hoses' },
  ];
  private readonly asked = toSignal(
    this.filters.valueChanges.pipe(
      startWith(null),
      map(() => this.filters.getRawValue()),
    ),
    { initialValue: this.filters.getRawValue() },
  );
  protected readonly groups = computed(() => {
    const catalogue = this.shop.catalogue();
    const { words, mm, kind } = this.asked();
    if (!catalogue) return [];
    const found = words.trim() === '' ? null : new Set(findEntries(catalogue, words).map((e) => e.part.id));
    const all = this.stock
      .lengths()
      .filter(
        (l) =>
          (found === null || found.has(l.part) || l.id.toLowerCase().includes(words.trim().toLowerCase())) &&
          (mm === null || l.mm >= mm) &&
          (kind === null || l.kind === kind),
      );
    const byPart = new Map<string, HoseLength[]>();
    for (const l of all) byPart.set(l.part, [...(byPart.get(l.part) ?? []), l]);
    return [...byPart]
      .map(([part, lengths]) => ({
        part,
        name: findEntry(catalogue, part)?.part.name ?? part,
        // the shortest that does comes first, where a length is looked for
        lengths: lengths.sort((a, b) => (mm === null ? b.mm - a.mm : a.mm - b.mm)),
        mm: lengths.filter((l) => l.kind !== 'made').reduce((sum, l) => sum + l.mm, 0),
      }))
      .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
  });
  private readonly longest = computed(() =>
    Math.max(1000, ...this.groups().flatMap((g) => g.lengths.map((l) => Math.min(l.mm, SHEET_MM)))),
  );
  protected readonly chosen = computed(() => this.stock.lengths().find((l) => l.id === this.length()) ?? null);
  protected readonly cautions = computed(() => {
    const chosen = this.chosen();
    const catalogue = this.shop.catalogue();
    return chosen && catalogue ? lengthCautions(chosen, catalogue, this.stock.rules(), today()) : [];
  });
  protected readonly toLook = computed(() => this.chosen()?.inspected === undefined && this.cautions().length > 0);
  protected readonly jobs = toSignal(jobChoices(inject(Api), 'any job'), { requireSync: true });
  protected readonly newKinds = this.kinds
    .filter((k): k is Choice<Kind> => k.value !== null)
    .map((k) => ({ value: k.value, name: k.name.replace(/s$/, '') }));
  protected readonly adding = signal(false);
  private readonly trying = new Attempt();
  protected readonly error = this.trying.error;
  protected readonly busy = this.trying.busy;
  protected readonly byLength = soldByLength;
  protected readonly newPart = signal<PartEntry | null>(null);
  protected readonly newEnds = signal<readonly [PartEntry | null, PartEntry | null]>([null, null]);
  protected readonly endFor = computed(() => {
    const hose = this.newPart();
    return (e: PartEntry): boolean => e.kind === 'hose end' && (hose?.kind !== 'hose' || e.part.construction === hose.part.construction);
  });
  protected readonly fresh = new FormGroup({
    kind: new FormControl<Kind>('reel', { nonNullable: true }),
    mm: new FormControl<number | null>(null),
    place: new FormControl('', { nonNullable: true }),
    madeOn: new FormControl('', { nonNullable: true }),
    salvaged: new FormControl(false, { nonNullable: true }),
  });
  protected readonly edit = new FormGroup({
    mm: new FormControl<number | null>(null),
    place: new FormControl('', { nonNullable: true }),
    madeOn: new FormControl('', { nonNullable: true }),
    jobId: new FormControl<string | null>(null),
  });
  protected readonly looked = new FormGroup({
    by: new FormControl(this.preferences.initials(), { nonNullable: true }),
    note: new FormControl('', { nonNullable: true }),
  });
  private shown: string | undefined;

  constructor() {
    toObservable(this.chosen).subscribe((length) => {
      if (length) this.adding.set(false);
      if (`${length?.id} ${length?.version}` === this.shown) return;
      this.shown = `${length?.id} ${length?.version}`;
      this.error.set(null);
      if (length)
        this.edit.setValue({ mm: length.mm, place: length.place ?? '', madeOn: length.madeOn ?? '', jobId: length.jobId ?? null });
    });
  }

  protected width(mm: number): number {
    return (100 * Math.min(mm, SHEET_MM)) / this.longest();
  }
  protected isBroken(mm: number): boolean {
    return mm > SHEET_MM;
  }
  protected figure(mm: number): string {
    return formatCut(mm, this.preferences.system());
  }

  protected run(mm: number): string {
    return formatRun(mm, this.preferences.system());
  }
  protected age(length: HoseLength): string {
    const years = ageInYears(length, today());
    return years === 0 ? '' : `${years} ${years === 1 ? 'year' : 'years'}`;
  }
  protected kindName({ kind, salvaged }: HoseLength): string {
    return `${kind === 'made' ? 'made hose' : kind}${salvaged ? ', off a car' : ''}`;
  }
  protected partName(id: string): string {
    const catalogue = this.shop.catalogue();
    return (catalogue && findEntry(catalogue, id)?.part.name) ?? id;
  }
  protected jobName(id: string): string {
    return this.jobs().find((j) => j.value === id)?.name ?? 'another job';
  }
  protected open(id: string): void {
    void this.router.navigate(['/store/rack'], { queryParams: { length: id } });
  }
  protected startAdding(): void {
    this.adding.set(true);
    this.error.set(null);
    void this.router.navigate(['/store/rack']);
  }
  protected setEnd(at: 0 | 1, end: PartEntry): void {
    this.newEnds.update(([a, b]) => (at === 0 ? [end, b] : [a, end]));
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const part = this.newPart();
    const { kind, mm, place, madeOn, salvaged } = this.fresh.getRawValue();
    const ends = this.newEnds();
    if (!part) return this.error.set('Say what it is a length of.');
    if (mm === null) return this.error.set('Say how long it is.');
    if (kind === 'made' && (!ends[0] || !ends[1])) return this.error.set('A made hose has two ends: say which.');
    const length: StockCommandOf<'add-length'>['length'] = {
      part: part.part.id,
      kind,
      mm,
      ...(place.trim() ? { place: place.trim() } : {}),
      ...(madeOn ? { madeOn } : {}),
      ...(salvaged ? { salvaged: true as const } : {}),
      ...(kind === 'made' ? { ends: [ends[0]!.part.id, ends[1]!.part.id] } : {}),
    };
    await this.trying.run(async () => {
      const change = await firstValueFrom(this.stock.change({ do: 'add-length', length }));
      const row = change.put.find((e) => e.type === 'length')?.row;
      this.fresh.patchValue({ mm: null });
      if (row) {
        this.messages.tell(`It is ${row.id}: write it on its tag`);
        this.open(row.id);
      }
    });
  }

  protected async save(event: Event): Promise<void> {
    event.preventDefault();
    const length = this.chosen();
    if (!length || this.edit.invalid) return;
    const { mm, place, madeOn, jobId } = this.edit.getRawValue();
    await this.trying.run(async () => {
      await firstValueFrom(
        this.stock.change({
          do: 'edit-length',
          id: length.id,
          version: length.version,
          set: { ...(mm === null || mm === length.mm ? {} : { mm }), place: place.trim() || null, madeOn: madeOn || null, jobId },
        }),
      );
      this.messages.tell(`${length.id} is kept so`);
    });
  }

  protected async lookedOver(event: Event): Promise<void> {
    event.preventDefault();
    const length = this.chosen();
    const { by, note } = this.looked.getRawValue();
    if (!length) return;
    if (by.trim() === '') return this.error.set('Who looked it over? Say your initials.');
    await this.trying.run(async () => {
      const inspected = { by: by.trim(), on: today(), ...(note.trim() ? { note: note.trim() } : {}) };
      await firstValueFrom(this.stock.change({ do: 'edit-length', id: length.id, version: length.version, set: { inspected } }));
    });
  }

  protected async scrap(): Promise<void> {
    const length = this.chosen();
    if (!length) return;
    await this.trying.run(async () => {
      await firstValueFrom(this.stock.change({ do: 'scrap-length', id: length.id, version: length.version }));
      this.messages.tell(`${length.id} is thrown away`);
    });
  }
}

/** A reel is broken off at so much, mm. */
const SHEET_MM = 6000;
