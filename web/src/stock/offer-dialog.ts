import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormArray, FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  findEntry,
  offerProblem,
  PACK_UNITS,
  soldByLength,
  unitBySymbol,
  type OfferRow,
  type PartEntry,
  type SupplierRow,
} from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { Attempt } from '../shared/attempt';
import { TextField } from '../shared/text-field';
import { EntryPicker } from './entry-picker';

interface Held {
  readonly part: string;
  readonly name: string;
  /** Of what is cut in metres or feet, as the house has it; else pieces. */
  readonly long: boolean;
  readonly quantity: FormControl<number | null>;
}

/** What a supplier sells under a code: a pack of one part, or a kit of several; its prices, and when it comes. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [EntryPicker, ReactiveFormsModule, TextField],
  templateUrl: './offer-dialog.html',
  styleUrl: './offer-dialog.scss',
})
export class OfferDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly shop = inject(ShopStore);
  private readonly stock = inject(StockroomStore);
  /** In what hose is sold where the house is: a pack is typed in it. */
  protected readonly packUnit = PACK_UNITS[inject(Preferences).system()];
  private readonly packMm = unitBySymbol(this.packUnit).factor;
  protected readonly supplier = signal<SupplierRow | null>(null);
  protected readonly offer = signal<OfferRow | null>(null);
  protected readonly held = signal<readonly Held[]>([]);
  protected readonly isKit = computed(() => this.held().length > 1);
  protected readonly isLong = computed(() => this.held().length === 1 && this.held()[0]!.long);
  protected readonly form = new FormGroup({
    code: new FormControl('', { nonNullable: true }),
    name: new FormControl('', { nonNullable: true }),
    leadDays: new FormControl<number | null>(null),
    oneLength: new FormControl(false, { nonNullable: true }),
    prices: new FormArray<FormGroup<{ fromPacks: FormControl<number | null>; price: FormControl<number | null> }>>([]),
  });
  private readonly trying = new Attempt();
  protected readonly error = this.trying.error;
  protected readonly busy = this.trying.busy;

  start(supplier: SupplierRow, offer: OfferRow | null): void {
    this.supplier.set(supplier);
    this.offer.set(offer);
    for (const h of offer?.holds ?? []) this.put(h.part, h.quantity);
    this.form.patchValue({
      code: offer?.code ?? '',
      name: offer?.name ?? '',
      leadDays: offer?.leadDays ?? null,
      oneLength: offer?.oneLength ?? false,
    });
    for (const p of offer?.prices ?? [{ fromPacks: 1, packMinor: undefined }])
      this.addPrice(p.fromPacks, p.packMinor === undefined ? null : p.packMinor / 100);
  }

  protected pick(entry: PartEntry): void {
    if (this.held().some((h) => h.part === entry.part.id)) return;
    this.put(entry.part.id, soldByLength(entry) ? this.packMm : 1);
  }
  protected drop(part: string): void {
    this.held.update((list) => list.filter((h) => h.part !== part));
  }
  protected addPrice(fromPacks: number | null = null, price: number | null = null): void {
    this.form.controls.prices.push(new FormGroup({ fromPacks: new FormControl(fromPacks), price: new FormControl(price) }));
  }
  protected dropPrice(at: number): void {
    this.form.controls.prices.removeAt(at);
  }

  protected async save(): Promise<void> {
    const supplier = this.supplier()!;
    const { code, name, leadDays, oneLength, prices } = this.form.getRawValue();
    const holds = this.held().map((h) => ({ part: h.part, quantity: Math.round((h.quantity.value ?? 0) * (h.long ? this.packMm : 1)) }));
    if (holds.length === 0) return this.error.set('Say which part it is.');
    if (holds.some((h) => h.quantity < 1)) return this.error.set('A pack holds something of each.');
    if (prices.some((p) => p.price === null || p.fromPacks === null))
      return this.error.set('A price says from how many packs on, and how much.');
    const offer = {
      supplierId: supplier.id,
      ...(code.trim() ? { code: code.trim() } : {}),
      ...(name.trim() ? { name: name.trim() } : {}),
      holds,
      prices: prices.map((p) => ({ fromPacks: p.fromPacks!, packMinor: Math.round(p.price! * 100) })),
      ...(leadDays === null ? {} : { leadDays }),
      ...(oneLength && this.isLong() ? { oneLength: true as const } : {}),
    };
    const problem = offerProblem(offer);
    if (problem) return this.error.set(problem.message);
    const before = this.offer();
    await this.trying.run(async () => {
      await firstValueFrom(
        this.stock.change(
          before ? { do: 'edit-offer', id: before.id, version: before.version, offer } : { do: 'add-offer', id: uuid(), offer },
        ),
      );
      this.modal.close();
    });
  }

  protected async remove(): Promise<void> {
    const before = this.offer();
    if (!before) return;
    await this.trying.run(async () => {
      await firstValueFrom(this.stock.change({ do: 'delete-offer', id: before.id, version: before.version }));
      this.modal.close();
    });
  }

  private put(part: string, quantity: number): void {
    const catalogue = this.shop.catalogue();
    const entry = catalogue && findEntry(catalogue, part);
    const long = entry ? soldByLength(entry) : false;
    const held: Held = {
      part,
      name: entry?.part.name ?? part,
      long,
      quantity: new FormControl(long ? Math.round((quantity / this.packMm) * 1000) / 1000 : quantity),
    };
    this.held.update((list) => [...list, held]);
  }
}
