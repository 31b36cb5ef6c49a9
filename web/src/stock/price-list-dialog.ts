import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { formatPackLength, listLimits, priceColumns, stockContracts, type OfferPreview, type SupplierRow } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { Attempt } from '../shared/attempt';
import type { Choice } from '../shared/choice-field';
import { ListColumns } from '../shared/list-columns';
import { readTextFile } from '../shared/read-text-file';

/** A supplier's price list: matched, looked at line by line, and taken in whole or not at all. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ListColumns],
  templateUrl: './price-list-dialog.html',
  styleUrl: '../store/import-dialog.scss',
})
export class PriceListDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly preferences = inject(Preferences);
  readonly supplier = signal<SupplierRow | null>(null);
  protected readonly preview = signal<OfferPreview | null>(null);
  private readonly trying = new Attempt();
  protected readonly error = this.trying.error;
  protected readonly busy = this.trying.busy;
  private csv = '';
  protected readonly columns: readonly Choice<string>[] = [
    { value: '', name: '(left out)' },
    ...priceColumns.map(({ id, name }) => ({ value: id, name })),
  ];

  protected async choose(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    this.preview.set(null);
    if (file.size > listLimits.letters) return this.error.set('The file is larger than 8 MB: split the list.');
    this.csv = await readTextFile(file);
    await this.look();
  }
  protected async take(): Promise<void> {
    const p = this.preview();
    const supplier = this.supplier();
    if (!p || !supplier) return;
    await this.trying.run(async () => {
      await firstValueFrom(
        this.shop.ask((key) =>
          this.api.call(stockContracts.importOffers, { body: { key, supplierId: supplier.id, csv: this.csv, mapping: { ...p.mapping } } }),
        ),
      );
      this.modal.close({ added: p.counts.added, changed: p.counts.changed });
    });
  }
  protected pack({ byLength }: OfferPreview['changes'][number], quantity: number): string {
    return byLength ? formatPackLength(quantity, this.preferences.system()) : String(quantity);
  }
  protected money(minor: number): string {
    return (minor / 100).toFixed(2);
  }

  protected async look(mapping?: OfferPreview['mapping']): Promise<void> {
    const supplierId = this.supplier()!.id;
    await this.trying.run(async () => {
      const body = { supplierId, csv: this.csv, ...(mapping ? { mapping: { ...mapping } } : {}) };
      this.preview.set(await firstValueFrom(this.api.call(stockContracts.previewOffers, { body })));
    });
  }
}
