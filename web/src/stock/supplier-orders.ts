import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { isUnderWay, lateLines, orderWords, orderTotal, type PurchaseOrder } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { StockroomStore } from '../data/stockroom-store';
import { OrderSending } from './order-sending';
import { shortDay, today } from '../data/today';

/** The orders of a supplier that are not done, whatever they are for. */
@Component({
  selector: 'g-supplier-orders',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (o of orders(); track o.order.id) {
      <div class="order">
        <strong class="g-figure">{{ o.order.number }}</strong>
        <span
          >{{ o.state }}, {{ o.order.lines.length }} {{ o.order.lines.length === 1 ? 'line' : 'lines' }}, € {{ o.total }}, written
          {{ o.day }}</span
        >
        @if (o.late) {
          <span class="warn">late</span>
        }
        <span class="gap"></span>
        <a class="g-button small" [href]="'/api/orders/' + o.order.id + '/order.pdf?units=' + units()" target="_blank" rel="noopener"
          >PDF</a
        >
        @if (o.order.state === 'open' || o.order.state === 'sent') {
          <button type="button" class="g-button small" [disabled]="busy()" (click)="send(o.order)">
            {{ o.order.state === 'open' ? 'Send' : 'Ask again' }}
          </button>
        }
        @if (o.under) {
          <button type="button" class="g-button small" [disabled]="busy()" (click)="receive(o.order)">Receive …</button>
        }
      </div>
    }
    @if (error(); as e) {
      <p class="g-error" role="alert">{{ e }}</p>
    }
  `,
  styles: `
    .order {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      padding: 4px 0;
      border-bottom: 1px solid var(--line);
    }
    strong {
      font-size: 17px;
    }
    .gap {
      flex: 1;
    }
    .warn {
      color: var(--brass);
    }
    a {
      text-decoration: none;
    }
  `,
})
export class SupplierOrders {
  readonly supplier = input.required<string>();
  protected readonly units = inject(Preferences).system;
  private readonly stock = inject(StockroomStore);
  private readonly sending = inject(OrderSending);
  private readonly messages = inject(Messages);
  private readonly modal = inject(NgbModal);
  protected readonly busy = signal(false);
  protected readonly error = signal<string | null>(null);
  protected readonly orders = computed(() =>
    this.stock
      .room()
      .orders.filter((o) => o.supplierId === this.supplier() && o.state !== 'complete' && o.state !== 'cancelled')
      .map((order) => ({
        order,
        state: orderWords(order),
        total: (orderTotal(order) / 100).toFixed(2),
        day: shortDay(order.writtenOn),
        late: lateLines(order, today()).length > 0,
        under: isUnderWay(order),
      })),
  );

  protected async send(order: PurchaseOrder): Promise<void> {
    this.busy.set(true);
    this.error.set(null);
    try {
      this.messages.tell(await this.sending.send(order));
    } catch (error) {
      this.error.set((error as Error).message);
    } finally {
      this.busy.set(false);
    }
  }

  protected async receive(order: PurchaseOrder): Promise<void> {
    const { ReceiveDialog } = await import('./receive-dialog');
    const dialog = this.modal.open(ReceiveDialog, { ariaLabelledBy: 'receive-title', size: 'xl', scrollable: true });
    (dialog.componentInstance as InstanceType<typeof ReceiveDialog>).start(order);
    await dialog.result.catch(() => undefined);
  }
}
