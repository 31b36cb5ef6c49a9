import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  findEntry,
  formatPackLength,
  isUnderWay,
  lateLines,
  lineTotal,
  openPacks,
  isHadAfterAll,
  isUnconfirmed,
  orderWords,
  orderTotal,
  type PurchaseOrder,
  type UnitSystem,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { JobView } from '../data/job-view';
import { Outside } from '../data/outside';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { StockroomStore } from '../data/stockroom-store';
import { Icon } from '../shared/icon';
import { OrderSending } from '../stock/order-sending';
import { shortDay, today } from '../data/today';

/** The orders of a job, or of the shop: sent, answered, late, received in parts. */
@Component({
  selector: 'g-order-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, Icon],
  templateUrl: './order-list.html',
  styleUrl: './order-list.scss',
})
export class OrderList {
  private readonly view = inject(JobView);
  private readonly stock = inject(StockroomStore);
  private readonly sending = inject(OrderSending);
  private readonly messages = inject(Messages);
  private readonly modal = inject(NgbModal);
  private readonly outside = inject(Outside);
  protected readonly supplier = computed(() => this.outside.told()?.supplier);
  private readonly preferences = inject(Preferences);
  protected readonly busy = signal<string | null>(null);
  protected readonly refused = signal<{ readonly id: string; readonly words: string } | null>(null);
  protected readonly orders = computed(() => {
    const id = this.view.document()?.job.id;
    const own = this.stock.room().orders.filter((o) => id !== undefined && o.jobIds.includes(id));
    return [...own].reverse().map((order) => this.told(order));
  });

  protected readonly money = (minor: number): string => (minor / 100).toFixed(2);
  protected readonly shortDay = shortDay;
  protected paper({ id }: PurchaseOrder, as: 'pdf' | 'csv' | 'xml'): string {
    return `/api/orders/${id}/order.${as}${as === 'pdf' ? `?units=${this.preferences.system()}` : ''}`;
  }
  protected open(line: PurchaseOrder['lines'][number]): number {
    return openPacks(line);
  }

  /** To the supplier; sent again, its answer is asked for again. */
  protected send(order: PurchaseOrder): Promise<void> {
    return this.attempt(order, async () => {
      this.messages.tell(await this.sending.send(order));
    });
  }
  /** They said so by other means: what was ordered comes as it was ordered. */
  protected confirmByHand(order: PurchaseOrder, reference: string): Promise<void> {
    return this.attempt(order, async () => {
      if (reference.trim() === '') throw new Error('Say under which number they have it, or who said so.');
      await firstValueFrom(this.stock.change(this.sending.confirmation(order, reference.trim())));
      this.messages.tell(`${order.number} is confirmed`);
    });
  }

  protected cancel(order: PurchaseOrder): Promise<void> {
    return this.attempt(order, async () => {
      await firstValueFrom(this.stock.change({ do: 'cancel-order', id: order.id, version: order.version }));
    });
  }
  protected giveUp(order: PurchaseOrder, key: string): Promise<void> {
    return this.attempt(order, async () => {
      await firstValueFrom(this.stock.change({ do: 'give-up-line', id: order.id, version: order.version, key }));
      this.messages.tell('Given up: it is to be bought again');
    });
  }
  protected async receive(order: PurchaseOrder): Promise<void> {
    const { ReceiveDialog } = await import('../stock/receive-dialog');
    const dialog = this.modal.open(ReceiveDialog, { ariaLabelledBy: 'receive-title', size: 'xl', scrollable: true });
    (dialog.componentInstance as InstanceType<typeof ReceiveDialog>).start(order);
    await dialog.result.catch(() => undefined);
  }
  /** More or fewer packs, while it is not sent. */
  protected packs(order: PurchaseOrder, key: string, event: Event): Promise<void> {
    const packs = Number((event.target as HTMLInputElement).value);
    if (!Number.isInteger(packs) || packs < 0) {
      this.refused.set({ id: order.id, words: 'Packs are whole numbers: 0 takes the line out of the order.' });
      return Promise.resolve();
    }
    return this.attempt(order, async () => {
      await firstValueFrom(this.stock.change({ do: 'edit-order', id: order.id, version: order.version, set: { packs: [{ key, packs }] } }));
    });
  }

  private told(order: PurchaseOrder) {
    const late = new Set(lateLines(order, today()).map((l) => l.key));
    const catalogue = this.view.catalogue();
    const under = isUnderWay(order);
    return {
      order,
      supplier: this.stock.suppliers().find((s) => s.id === order.supplierId)?.name ?? 'a supplier that is gone',
      state: orderWords(order),
      unconfirmed: isUnconfirmed(order) ? order.unanswered : undefined,
      hadAfterAll: isHadAfterAll(order) ? order.unanswered : undefined,
      total: orderTotal(order),
      lines: order.lines.map((line) => ({
        line,
        late: late.has(line.key),
        total: lineTotal(line),
        dearer: line.confirmedMinor !== undefined && line.confirmedMinor !== line.packMinor,
        short: under && openPacks(line) > 0 && line.confirmedPacks !== undefined && line.confirmedPacks < line.packs,
        pack:
          line.holds.length > 1
            ? `kit of ${line.holds.length}`
            : packOf(
                line.holds[0]!.quantity,
                catalogue ? findEntry(catalogue, line.holds[0]!.part)?.kind : undefined,
                this.preferences.system(),
              ),
      })),
      under,
      failed: order.deliveries.flatMap((d) =>
        d.lines.flatMap((l) => l.checks.filter((c) => !c.ok).map((c) => ({ on: d.on, check: c.check, note: c.note ?? '' }))),
      ),
    };
  }

  private async attempt(order: PurchaseOrder, what: () => Promise<void>): Promise<void> {
    this.busy.set(order.id);
    this.refused.set(null);
    try {
      await what();
    } catch (error) {
      this.refused.set({ id: order.id, words: (error as Error).message });
    } finally {
      this.busy.set(null);
    }
  }
}

function packOf(quantity: number, kind: string | undefined, system: UnitSystem): string {
  if (kind === 'hose') return `× ${formatPackLength(quantity, system)}`;
  return quantity === 1 ? '' : `× ${quantity}`;
}
