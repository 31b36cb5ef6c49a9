import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { formatPackLength, findEntry, otherCurrencyCodes, soldByLength, type OfferRow, type SupplierRow } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { Attempt } from '../shared/attempt';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { TextField } from '../shared/text-field';
import { TopBar } from '../shell/top-bar';
import { StoreNav } from './store-nav';
import { SupplierOrders } from './supplier-orders';

/** Offers shown of a supplier; those looked for first. */
const MOST_SHOWN = 200;
type Money = SupplierRow['currency'];

/** Who sells: terms, offers, price lists, and the orders on their way. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ReactiveFormsModule, RouterLink, StoreNav, SupplierOrders, TextField, TopBar],
  templateUrl: './suppliers.html',
  styleUrls: ['./room.scss', './suppliers.scss'],
})
export class SuppliersRoom {
  /** `?supplier=`, `new` for one that is not there yet. */
  readonly supplier = input<string>();
  private readonly router = inject(Router);
  private readonly modal = inject(NgbModal);
  private readonly preferences = inject(Preferences);
  private readonly shop = inject(ShopStore);
  private readonly stock = inject(StockroomStore);
  private readonly messages = inject(Messages);
  protected readonly job = inject(JobStore);
  protected readonly suppliers = computed(() => [...this.stock.suppliers()].sort((a, b) => a.name.localeCompare(b.name)));
  protected readonly chosen = computed(() => this.suppliers().find((s) => s.id === this.supplier()) ?? null);
  protected readonly words = new FormControl('', { nonNullable: true });
  protected readonly asked = signal('');
  protected readonly offers = computed(() => {
    const catalogue = this.shop.catalogue();
    const id = this.supplier();
    const wanted = this.asked().toLowerCase().split(/\s+/).filter(Boolean);
    if (!catalogue) return [];
    return this.stock
      .room()
      .offers.filter((o) => o.supplierId === id)
      .map((offer) => {
        const entry = findEntry(catalogue, offer.holds[0]!.part);
        const name = offer.name ?? entry?.part.name ?? offer.holds[0]!.part;
        return { offer, name, long: entry !== undefined && soldByLength(entry) };
      })
      .filter(({ offer, name }) => wanted.every((w) => `${name} ${offer.code ?? ''}`.toLowerCase().includes(w)))
      .sort(
        (a, b) =>
          Number(b.offer.holds.length > 1) - Number(a.offer.holds.length > 1) || a.name.localeCompare(b.name, 'en', { numeric: true }),
      );
  });
  protected readonly shown = computed(() => this.offers().slice(0, MOST_SHOWN));
  protected readonly currencies: readonly Choice<Money>[] = (['EUR', ...otherCurrencyCodes] as const).map((code) => ({
    value: code,
    name: code,
  }));
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true }),
    currency: new FormControl<Money>('EUR', { nonNullable: true }),
    euros: new FormControl<number | null>(1),
    carriage: new FormControl<number | null>(0),
    freeFrom: new FormControl<number | null>(null),
    leastOrder: new FormControl<number | null>(null),
    leadDays: new FormControl<number | null>(3),
    returnDays: new FormControl<number | null>(null),
    returnKeeps: new FormControl<number | null>(null),
    note: new FormControl('', { nonNullable: true }),
    retired: new FormControl(false, { nonNullable: true }),
  });
  private readonly trying = new Attempt();
  protected readonly error = this.trying.error;
  protected readonly busy = this.trying.busy;
  private filled: string | undefined;

  constructor() {
    toObservable(computed(() => ({ id: this.supplier(), row: this.chosen() }))).subscribe(({ id, row }) => {
      const key = `${id} ${row?.version ?? 0}`;
      if (key === this.filled) return;
      this.filled = key;
      this.error.set(null);
      this.fill(row);
    });
    this.words.valueChanges.subscribe((text) => this.asked.set(text));
  }

  protected open(id: string): void {
    void this.router.navigate(['/store/suppliers'], { queryParams: { supplier: id } });
  }
  protected money(minor: number): string {
    return (minor / 100).toFixed(2);
  }
  protected holds({ offer, long }: { readonly offer: OfferRow; readonly long: boolean }): string {
    if (offer.holds.length > 1) return `kit of ${offer.holds.length}`;
    const { quantity } = offer.holds[0]!;
    if (long) return `${formatPackLength(quantity, this.preferences.system())}${offer.oneLength ? ', off the reel' : ''}`;
    return quantity === 1 ? 'piece' : `${quantity} pieces`;
  }

  protected async save(event: Event): Promise<void> {
    event.preventDefault();
    const f = this.form.getRawValue();
    const minor = (value: number | null): number | undefined => (value === null ? undefined : Math.round(value * 100));
    const optional = <K extends string, V>(name: K, value: V | undefined | null): Partial<Record<K, V>> =>
      value == null ? {} : ({ [name]: value } as Record<K, V>);
    if (f.name.trim() === '') return this.error.set('A supplier has a name.');
    const supplier = {
      name: f.name.trim(),
      currency: f.currency,
      euros: f.currency === 'EUR' ? 1 : (f.euros ?? 0),
      carriageMinor: minor(f.carriage) ?? 0,
      ...optional('freeFromMinor', minor(f.freeFrom)),
      ...optional('leastOrderMinor', minor(f.leastOrder)),
      leadDays: f.leadDays ?? 0,
      ...optional('returnDays', f.returnDays),
      ...optional('returnKeepsPercent', f.returnKeeps),
      ...(f.note.trim() ? { note: f.note.trim() } : {}),
      ...(f.retired ? { retired: true } : {}),
    };
    const before = this.chosen();
    await this.trying.run(async () => {
      const id = before?.id ?? uuid();
      await firstValueFrom(
        this.stock.change(before ? { do: 'edit-supplier', id, version: before.version, supplier } : { do: 'add-supplier', id, supplier }),
      );
      this.messages.tell(`${supplier.name} is kept so`);
      if (!before) this.open(id);
    });
  }

  protected async offer(offer: OfferRow | null): Promise<void> {
    const { OfferDialog } = await import('./offer-dialog');
    const dialog = this.modal.open(OfferDialog, { ariaLabelledBy: 'offer-title', size: 'lg', scrollable: true });
    (dialog.componentInstance as InstanceType<typeof OfferDialog>).start(this.chosen()!, offer);
    await dialog.result.catch(() => undefined);
  }
  protected async priceList(): Promise<void> {
    const { PriceListDialog } = await import('./price-list-dialog');
    const dialog = this.modal.open(PriceListDialog, { ariaLabelledBy: 'price-list-title', size: 'xl', scrollable: true });
    (dialog.componentInstance as InstanceType<typeof PriceListDialog>).supplier.set(this.chosen());
    const done = (await dialog.result.catch(() => undefined)) as { added: number; changed: number } | undefined;
    if (done) this.messages.tell(`${done.added} offers added, ${done.changed} changed`);
  }

  private fill(row: SupplierRow | null): void {
    const euros = (minor: number | undefined): number | null => (minor === undefined ? null : minor / 100);
    this.form.setValue({
      name: row?.name ?? '',
      currency: row?.currency ?? 'EUR',
      euros: row?.euros ?? 1,
      carriage: euros(row?.carriageMinor) ?? 0,
      freeFrom: euros(row?.freeFromMinor),
      leastOrder: euros(row?.leastOrderMinor),
      leadDays: row?.leadDays ?? 3,
      returnDays: row?.returnDays ?? null,
      returnKeeps: row?.returnKeepsPercent ?? null,
      note: row?.note ?? '',
      retired: row?.retired ?? false,
    });
  }
}
