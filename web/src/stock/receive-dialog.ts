import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { findEntry, incomingChecks, openPacks, stockContracts, type AnswerOf, type IncomingCheck, type PurchaseOrder } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { shortDay, today } from '../data/today';

type Shipment = AnswerOf<typeof stockContracts.readShipments>['shipments'][number];
interface Row {
  readonly key: string;
  readonly name: string;
  readonly open: number;
  readonly packs: FormControl<number>;
  readonly checks: readonly { readonly check: IncomingCheck; readonly said: FormControl<'' | 'ok' | 'bad'> }[];
  readonly note: FormControl<string>;
}

/** What came, line by line, with what is looked at before it goes on the shelf; what does not pass stays open. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule],
  templateUrl: './receive-dialog.html',
  styleUrl: './receive-dialog.scss',
})
export class ReceiveDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly stock = inject(StockroomStore);
  private readonly shop = inject(ShopStore);
  private readonly api = inject(Api);
  private readonly messages = inject(Messages);
  private readonly preferences = inject(Preferences);
  protected readonly order = signal<PurchaseOrder | null>(null);
  protected readonly rows = signal<readonly Row[]>([]);
  protected readonly shipments = signal<readonly Shipment[]>([]);
  protected readonly place = new FormControl('', { nonNullable: true });
  protected readonly initials = new FormControl(this.preferences.initials(), { nonNullable: true });
  protected readonly error = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly supplier = computed(() => this.stock.suppliers().find((s) => s.id === this.order()?.supplierId)?.name ?? '');
  protected readonly shortDay = shortDay;

  start(order: PurchaseOrder): void {
    this.order.set(order);
    const catalogue = this.shop.catalogue();
    this.rows.set(
      order.lines
        .filter((l) => openPacks(l) > 0)
        .map((line): Row => {
          const kit = line.holds.length > 1;
          const all = line.holds.flatMap((h) => incomingChecks(catalogue ? findEntry(catalogue, h.part) : undefined, kit));
          const checks = [...new Map(all.map((c) => [c.id, c])).values()];
          return {
            key: line.key,
            name: line.name,
            open: openPacks(line),
            packs: new FormControl(0, { nonNullable: true }),
            checks: checks.map((check) => ({ check, said: new FormControl<'' | 'ok' | 'bad'>('', { nonNullable: true }) })),
            note: new FormControl('', { nonNullable: true }),
          };
        }),
    );
    void this.look(order);
  }

  /** As the supplier's parcel has it. */
  protected fill(shipment: Shipment): void {
    for (const row of this.rows()) row.packs.setValue(Math.min(row.open, shipment.lines.find((l) => l.key === row.key)?.packs ?? 0));
  }
  protected everything(): void {
    for (const row of this.rows()) row.packs.setValue(row.open);
  }
  protected bad({ checks }: Row): boolean {
    return checks.some((c) => c.said.value === 'bad');
  }
  /** Every check of a line at once, once they were done. */
  protected passed(row: Row): void {
    for (const { said } of row.checks) said.setValue('ok');
  }

  protected async take(event: Event): Promise<void> {
    event.preventDefault();
    const order = this.order();
    if (!order) return;
    const came = this.rows().filter((r) => r.packs.value > 0);
    const open = came.find((r) => r.checks.some((c) => c.said.value === ''));
    if (came.length === 0) return this.error.set('Say how many packs came.');
    if (open) return this.error.set(`${open.name}: look at what it asks for first. Nothing goes on the shelf unseen.`);
    const wrong = came.find((r) => !Number.isInteger(r.packs.value) || r.packs.value > r.open);
    if (wrong) return this.error.set(`${wrong.name}: ${wrong.open} are open, ${wrong.packs.value} cannot come.`);
    this.preferences.initials.set(this.initials.value.trim().slice(0, 12));
    const by = this.initials.value.trim();
    const place = this.place.value.trim();
    this.busy.set(true);
    this.error.set(null);
    try {
      await firstValueFrom(
        this.stock.change({
          do: 'receive-order',
          id: order.id,
          version: order.version,
          ...(place ? { place } : {}),
          delivery: {
            on: today(),
            ...(by ? { by } : {}),
            lines: came.map((r) => ({
              key: r.key,
              packs: r.packs.value,
              checks: r.checks.map(({ check, said }) => ({
                check: check.words,
                ok: said.value === 'ok',
                ...(said.value === 'bad' && r.note.value.trim() ? { note: r.note.value.trim() } : {}),
              })),
            })),
          },
        }),
      );
      this.messages.tell(`${came.length} ${came.length === 1 ? 'line is' : 'lines are'} taken in`);
      this.modal.close();
    } catch (error) {
      this.error.set((error as Error).message);
    } finally {
      this.busy.set(false);
    }
  }

  private async look(order: PurchaseOrder): Promise<void> {
    try {
      const { shipments } = await firstValueFrom(this.api.call(stockContracts.readShipments, { params: { id: order.id } }));
      const open = new Set(this.rows().map((r) => r.key));
      this.shipments.set(shipments.filter((s) => s.lines.some((l) => open.has(l.key))));
    } catch {
      // the parcels are a help; without them it is counted by hand
      this.shipments.set([]);
    }
  }
}
