import { ScrollingModule, CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import {
  entriesIn,
  figuresIn,
  findEntry,
  findInSection,
  findParts,
  fittingKinds,
  formatQuantity,
  headOf,
  kindOf,
  materials,
  partSections,
  sectionOf,
  shopContracts,
  type AnswerOf,
  type CataloguePart,
  type Fitting,
  type PartEntry,
  type PartFilter,
  type PartSection,
  type ShopChange,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { catchError, filter, firstValueFrom, map, type Observable, of, startWith, switchMap } from 'rxjs';
import { Api, type ApiError } from '../data/api';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { Icon } from '../shared/icon';
import { TextField } from '../shared/text-field';
import { Whole } from '../shared/whole';
import { TopBar } from '../shell/top-bar';
import { StoreNav } from '../stock/store-nav';
import { ImportDialog } from './import-dialog';
import { KindTree } from './kind-tree';
import { PartCard } from './part-card';
import { PartForm } from './part-form';
import { UseDialog } from './use-dialog';
import { PlainPartForm } from './plain-part-form';

type Card = AnswerOf<typeof shopContracts.readPart>;
interface Opened {
  readonly card?: Card;
  readonly error?: string;
}
const NOT_OPENED: Opened = {};
const NO_FILTER: PartFilter = {};
const ALL = { value: null, name: 'all' } as const;

/** The catalogue: found by words, ends, kind and metal; a card for each part; own parts; suppliers' lists. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ChoiceField,
    Icon,
    KindTree,
    PartCard,
    PartForm,
    PlainPartForm,
    ReactiveFormsModule,
    RouterLink,
    ScrollingModule,
    StoreNav,
    TextField,
    TopBar,
    Whole,
  ],
  templateUrl: './store.html',
  styleUrl: './store.scss',
})
export class Store {
  /** `?part=` opens its card. */
  readonly part = input<string>();
  /** `?find=` begins with these words. */
  readonly find = input<string>();

  private readonly router = inject(Router);
  private readonly modal = inject(NgbModal);
  private readonly api = inject(Api);
  private readonly messages = inject(Messages);
  protected readonly job = inject(JobStore);
  protected readonly shop = inject(ShopStore);
  protected readonly preferences = inject(Preferences);
  protected readonly kinds: readonly Choice<string | null>[] = [ALL, ...fittingKinds.map(({ id, name }) => ({ value: id, name }))];
  protected readonly metals: readonly Choice<string | null>[] = [ALL, ...materials.map((metal) => ({ value: metal, name: metal }))];
  protected readonly modes: readonly Choice<'has' | 'fits'>[] = [
    { value: 'has', name: 'the part has' },
    { value: 'fits', name: 'the part seals on' },
  ];
  protected readonly rowHeight = 38;
  private readonly viewport = viewChild(CdkVirtualScrollViewport);
  private readonly aside = viewChild<ElementRef<HTMLElement>>('aside');

  protected readonly filters = new FormGroup({
    words: new FormControl('', { nonNullable: true }),
    end: new FormControl('', { nonNullable: true }),
    endMode: new FormControl<'has' | 'fits'>('has', { nonNullable: true }),
    kind: new FormControl<string | null>(null),
    material: new FormControl<string | null>(null),
    onShelf: new FormControl(false, { nonNullable: true }),
    retired: new FormControl(false, { nonNullable: true }),
  });
  protected readonly filter = toSignal(this.filters.valueChanges.pipe(map(() => this.wanted())), { initialValue: NO_FILTER });
  /** Which section of the store is looked at. */
  protected readonly section = new FormControl<PartSection>('fitting', { nonNullable: true });
  protected readonly shown = toSignal(this.section.valueChanges.pipe(startWith(this.section.value)), { requireSync: true });
  protected readonly sections: readonly Choice<PartSection>[] = partSections.map(({ id, many }) => ({ value: id, name: many }));
  protected readonly found = computed((): PartEntry[] => {
    const catalogue = this.shop.catalogue();
    const section = this.shown();
    if (!catalogue) return [];
    if (section !== 'fitting') return findInSection(catalogue, section, this.filter());
    return findParts(catalogue.fittings, this.filter()).map((part) => ({ kind: 'fitting', part }));
  });
  /** How many fittings there are of each kind, whichever kind is looked at. */
  protected readonly byKind = computed((): ReadonlyMap<string, number> => {
    const catalogue = this.shop.catalogue();
    if (!catalogue || this.shown() !== 'fitting') return new Map();
    const { kind: _, ...rest } = this.filter();
    const counts = new Map<string, number>();
    for (const part of findParts(catalogue.fittings, rest)) counts.set(kindOf(part), (counts.get(kindOf(part)) ?? 0) + 1);
    return counts;
  });
  protected readonly count = computed(() => {
    const catalogue = this.shop.catalogue();
    return catalogue ? entriesIn(catalogue, this.shown()).filter(({ part }) => !part.retired).length : 0;
  });
  protected readonly narrowed = computed(() => Object.keys(this.filter()).length > 0);
  /** The card of the part in the address: read when it is opened, and again when somebody changes the part. */
  private readonly opened = toSignal(
    toObservable(this.part).pipe(
      switchMap((id) =>
        id === undefined
          ? of<Opened>({})
          : this.shop.changes.pipe(
              filter((change) => change.put.some((e) => e.row.id === id) || change.removed.some((r) => r.id === id)),
              startWith(null),
              switchMap(() => this.api.call(shopContracts.readPart, { params: { part: id } })),
              map((card): Opened => ({ card })),
              catchError((error: ApiError) => {
                const known = this.shop.catalogue() && findEntry(this.shop.catalogue()!, id);
                return of<Opened>({ error: known ? error.message : `"${id}" is not in the catalogue.` });
              }),
            ),
      ),
    ),
    { initialValue: NOT_OPENED },
  );
  protected readonly card = computed(() => this.opened().card ?? null);
  protected readonly cardError = computed(() => this.opened().error ?? null);
  /** What the form at the right works on: a part, or a new one. */
  protected readonly editing = signal<Card['row'] | 'new' | null>(null);
  /** A fitting has a form of its own. */
  protected readonly editedFitting = computed(() => {
    const row = this.editing();
    return row === null || row === 'new' || row.kind !== 'fitting' ? null : row;
  });
  protected readonly isFitting = computed(() => (this.editing() === 'new' ? this.shown() === 'fitting' : this.editedFitting() !== null));
  protected readonly editedPlain = computed(() => {
    const row = this.editing();
    return row === null || row === 'new' ? null : row;
  });
  protected readonly plainSection = computed(() => {
    const row = this.editedPlain();
    return (row ? sectionOf(row) : this.shown()) as Exclude<PartSection, 'fitting'>;
  });

  constructor() {
    effect(() => {
      const words = this.find();
      if (words) untracked(() => this.filters.patchValue({ words }));
    });
    effect(() => {
      this.part();
      untracked(() => this.editing.set(null));
    });
    // the card of a part is opened in its section
    effect(() => {
      const card = this.card();
      untracked(() => card && sectionOf(card.row) !== this.shown() && this.section.setValue(sectionOf(card.row)));
    });
    effect(() => {
      this.shown();
      untracked(() => {
        this.viewport()?.scrollToIndex(0);
        if (this.editing() === 'new') this.editing.set(null);
      });
    });
    effect(() => {
      this.editing();
      this.part();
      untracked(() => this.aside()?.nativeElement.scrollTo?.({ top: 0 }));
    });
    effect(() => {
      this.filter();
      untracked(() => this.viewport()?.scrollToIndex(0));
    });
  }

  protected all(): void {
    this.filters.reset();
  }

  protected open(id: string): void {
    if (id === this.part()) this.editing.set(null);
    void this.router.navigate(['/store'], { queryParams: { part: id } });
  }

  /** Up and down the list by arrow keys. */
  protected step(event: Event, by: 1 | -1): void {
    event.preventDefault();
    const list = this.found();
    const at = list.findIndex(({ part }) => part.id === this.part());
    const next = list[at === -1 ? 0 : Math.min(list.length - 1, Math.max(0, at + by))];
    if (!next) return;
    this.open(next.part.id);
    const viewport = this.viewport();
    const index = list.indexOf(next);
    const first = (viewport?.measureScrollOffset('top') ?? 0) / this.rowHeight;
    const shown = (viewport?.getViewportSize() ?? 0) / this.rowHeight;
    if (index < first || index + 1 > first + shown) viewport?.scrollToIndex(Math.max(0, index - Math.floor(shown / 2)));
  }

  protected trackId(_: number, { part }: PartEntry): string {
    return part.id;
  }

  protected price(entry: PartEntry): string {
    const { priceMinor } = headOf(entry);
    return priceMinor === undefined ? '—' : (priceMinor / 100).toFixed(2);
  }

  /** What tells a part of its section from the next: its bore, or its size. */
  protected bore(entry: PartEntry): string {
    const figures = figuresIn(entry);
    const mm = figures['boreMm'] ?? figures['insideMm'] ?? figures['holdsMm'] ?? figures['outsideMm'];
    if (typeof mm !== 'number') return '—';
    return formatQuantity(mm, 'length', this.preferences.system(), { decimals: 1, denominator: 64, bare: true });
  }

  protected saved({ id, part }: CataloguePart): void {
    this.editing.set(null);
    this.messages.tell(`${part.name} is in the catalogue`);
    if (id !== this.part()) this.open(id);
  }

  /** Takes a part out, or puts it back; lines that use it keep it. */
  protected async retire({ row, usedBy }: Card, retired: boolean): Promise<void> {
    const { id, version, kind, part } = row;
    const { retired: _, ...fields } = part;
    const used = usedBy.length > 0 && retired ? ' Lines that use it keep it and say so.' : '';
    const entry = { kind, part: retired ? { ...fields, retired } : fields } as PartEntry;
    await this.attempt(
      this.shop.change({ do: 'edit-part', id, version, entry }),
      () => `${part.name} ${retired ? 'taken out of' : 'put back in'} the catalogue.${used}`,
    );
  }

  protected use(part: Fitting): void {
    const dialog = this.modal.open(UseDialog, { ariaLabelledBy: 'use-title' });
    (dialog.componentInstance as UseDialog).part.set(part);
  }

  protected async undo(): Promise<void> {
    await this.attempt(this.shop.undo(), ({ label }) => `Undone: ${label}`);
  }

  protected async importList(): Promise<void> {
    const dialog = this.modal.open(ImportDialog, { ariaLabelledBy: 'import-title', size: 'xl', scrollable: true });
    (dialog.componentInstance as ImportDialog).section.set(this.shown());
    const done = (await dialog.result.catch(() => undefined)) as { added: number; changed: number } | undefined;
    if (done) this.messages.tell(`${done.added} parts added, ${done.changed} changed`);
  }

  private async attempt(what: Observable<ShopChange>, words: (change: ShopChange) => string): Promise<void> {
    try {
      this.messages.tell(words(await firstValueFrom(what)));
    } catch (error) {
      this.messages.fault(error);
    }
  }

  private wanted(): PartFilter {
    const { words, end, endMode, kind, material, onShelf, retired } = this.filters.getRawValue();
    return {
      ...(words ? { words } : {}),
      ...(end ? { end } : {}),
      ...(endMode === 'fits' ? { endMode } : {}),
      ...(kind ? { kind: kind as NonNullable<PartFilter['kind']> } : {}),
      ...(material ? { material } : {}),
      ...(onShelf ? { onShelf } : {}),
      ...(retired ? { retired } : {}),
    };
  }
}
