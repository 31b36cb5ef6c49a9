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
import { Router, RouterLink } from '@angular/router';
import { findFitting, findParts, fittingKinds, formatQuantity, materials, type Fitting, type PartFilter } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { CatalogueApi, type PartCard as Card, type PartRow } from '../data/catalogue-api';
import { CatalogueStore } from '../data/catalogue-store';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { Icon } from '../shared/icon';
import { TopBar } from '../shell/top-bar';
import { ImportDialog } from './import-dialog';
import { PartCard } from './part-card';
import { PartForm } from './part-form';

/** The catalogue: found by words, ends, kind and metal; a card for each part; own parts; suppliers' lists. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, PartCard, PartForm, RouterLink, ScrollingModule, TopBar],
  templateUrl: './store.html',
  styleUrl: './store.scss',
})
export class Store {
  /** `?part=` opens its card. */
  readonly part = input<string>();

  private readonly router = inject(Router);
  private readonly modal = inject(NgbModal);
  private readonly api = inject(CatalogueApi);
  protected readonly job = inject(JobStore);
  protected readonly catalogue = inject(CatalogueStore);
  protected readonly preferences = inject(Preferences);
  protected readonly kinds = fittingKinds;
  protected readonly metals = materials;
  protected readonly rowHeight = 38;
  private readonly viewport = viewChild(CdkVirtualScrollViewport);
  private readonly aside = viewChild<ElementRef<HTMLElement>>('aside');

  protected readonly filter = signal<PartFilter>({});
  protected readonly found = computed(() => {
    const catalogue = this.catalogue.catalogue();
    return catalogue ? findParts(catalogue.fittings, this.filter()) : [];
  });
  protected readonly count = computed(() => this.catalogue.catalogue()?.fittings.filter((f) => !f.retired).length ?? 0);
  protected readonly narrowed = computed(() => Object.values(this.filter()).some((value) => value !== undefined && value !== ''));
  protected readonly card = signal<Card | null>(null);
  protected readonly cardError = signal<string | null>(null);
  /** What the form at the right works on: a part, or a new one. */
  protected readonly editing = signal<Fitting | 'new' | null>(null);

  constructor() {
    effect(() => {
      const id = this.part();
      untracked(() => {
        this.editing.set(null);
        if (id) void this.read(id);
        else this.card.set(null);
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

  protected narrow(change: Partial<PartFilter>): void {
    this.filter.update((f) => ({ ...f, ...change }));
  }

  protected all(): void {
    this.filter.set({});
  }

  protected open(id: string): void {
    if (id === this.part()) this.editing.set(null);
    void this.router.navigate(['/store'], { queryParams: { part: id } });
  }

  /** Up and down the list by arrow keys. */
  protected step(event: Event, by: 1 | -1): void {
    event.preventDefault();
    const list = this.found();
    const at = list.findIndex((f) => f.id === this.part());
    const next = list[at === -1 ? 0 : Math.min(list.length - 1, Math.max(0, at + by))];
    if (!next) return;
    this.open(next.id);
    const viewport = this.viewport();
    const index = list.indexOf(next);
    const first = (viewport?.measureScrollOffset('top') ?? 0) / this.rowHeight;
    const shown = (viewport?.getViewportSize() ?? 0) / this.rowHeight;
    if (index < first || index + 1 > first + shown) viewport?.scrollToIndex(Math.max(0, index - Math.floor(shown / 2)));
  }

  protected trackId(_: number, f: Fitting): string {
    return f.id;
  }

  protected price(f: Fitting): string {
    return f.priceMinor === undefined ? '—' : (f.priceMinor / 100).toFixed(2);
  }

  protected bore(f: Fitting): string {
    return f.boreMm === undefined
      ? '—'
      : formatQuantity(f.boreMm, 'length', this.preferences.system(), { decimals: 1, denominator: 64, bare: true });
  }

  protected saved(row: PartRow): void {
    this.editing.set(null);
    this.catalogue.refresh();
    this.job.messages.next({ text: `${row.fitting.name} is in the catalogue`, tone: 'plain' });
    if (row.fitting.id === this.part()) void this.read(row.fitting.id);
    else this.open(row.fitting.id);
  }

  protected leaveForm(): void {
    this.editing.set(null);
    const id = this.part();
    if (id) void this.read(id);
  }

  /** Takes a part out, or puts it back; lines that use it keep it. */
  protected async retire(card: Card, retired: boolean): Promise<void> {
    const { retired: _, ...fitting } = card.fitting;
    try {
      await firstValueFrom(this.api.editPart(retired ? { ...fitting, retired } : fitting, card.version));
      const used = card.usedBy.length > 0 && retired ? ' Lines that use it keep it and say so.' : '';
      this.job.messages.next({ text: `${fitting.name} ${retired ? 'taken out of' : 'put back in'} the catalogue.${used}`, tone: 'plain' });
    } catch (error) {
      this.job.say(error);
    }
    this.catalogue.refresh();
    await this.read(card.fitting.id);
  }

  protected async undo(): Promise<void> {
    try {
      const { label } = await firstValueFrom(this.api.undo());
      this.job.messages.next({ text: `Undone: ${label}`, tone: 'plain' });
      this.catalogue.refresh();
      const id = this.part();
      if (id) await this.read(id);
    } catch (error) {
      this.job.say(error);
    }
  }

  protected async importList(): Promise<void> {
    const dialog = this.modal.open(ImportDialog, { ariaLabelledBy: 'import-title', size: 'xl', scrollable: true });
    const done = (await dialog.result.catch(() => undefined)) as { added: number; changed: number } | undefined;
    if (!done) return;
    this.catalogue.refresh();
    this.job.messages.next({ text: `${done.added} parts added, ${done.changed} changed`, tone: 'plain' });
  }

  private async read(id: string): Promise<void> {
    try {
      const card = await firstValueFrom(this.api.part(id));
      if (this.part() !== id) return;
      this.card.set(card);
      this.cardError.set(null);
    } catch (error) {
      this.card.set(null);
      const known = this.catalogue.catalogue() && findFitting(this.catalogue.catalogue()!, id);
      this.cardError.set(known ? (error as Error).message : `"${id}" is not in the catalogue.`);
    }
  }
}
