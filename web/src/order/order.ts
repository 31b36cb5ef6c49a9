import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, Router } from '@angular/router';
import { map } from 'rxjs';
import { JobView } from '../data/job-view';
import { StockroomStore } from '../data/stockroom-store';
import { OrderList } from './order-list';
import { PartsListView } from './parts-list';
import { ToOrder } from './to-order';

const looks = [
  { id: 'to-order', name: 'To order' },
  { id: 'orders', name: 'Orders' },
  { id: 'parts', name: 'Parts list' },
] as const;
type Look = (typeof looks)[number]['id'];

/** What is bought for the job: what is needed and from whom, what is on its way, and the list of all parts. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OrderList, PartsListView, ToOrder],
  template: `
    <div class="looks" role="tablist" aria-label="Order">
      @for (l of looks; track l.id) {
        <button type="button" role="tab" class="g-button" [attr.aria-selected]="show() === l.id" (click)="open(l.id)">
          {{ l.name }}
          @if (l.id === 'orders' && underWay() > 0) {
            <span class="g-figure">{{ underWay() }}</span>
          }
        </button>
      }
    </div>
    @switch (show()) {
      @case ('to-order') {
        <g-to-order (written)="open('orders')" />
      }
      @case ('orders') {
        <g-order-list />
      }
      @case ('parts') {
        <g-parts-list />
      }
    }
  `,
  styles: `
    :host {
      display: block;
      height: 100%;
      padding: 12px 20px 40px;
      overflow-y: auto;
    }
    .looks {
      display: flex;
      max-width: 1240px;
      margin: 0 auto 10px;
      .g-button + .g-button {
        border-left: 0;
      }
      .g-button[aria-selected='true'] {
        background: var(--ink);
        color: var(--sheet);
      }
    }
    @media print {
      .looks {
        display: none;
      }
      :host {
        padding: 0;
        overflow: visible;
      }
    }
  `,
})
export class Order {
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  private readonly stock = inject(StockroomStore);
  private readonly view = inject(JobView);
  protected readonly looks = looks;
  /** `?show=orders`. */
  protected readonly show = toSignal(
    this.route.queryParamMap.pipe(map((q) => looks.find((l) => l.id === q.get('show'))?.id ?? 'to-order')),
    { requireSync: true },
  );
  protected readonly underWay = computed(() => {
    const id = this.view.document()?.job.id;
    return this.stock
      .room()
      .orders.filter((o) => id !== undefined && o.jobIds.includes(id) && o.state !== 'complete' && o.state !== 'cancelled').length;
  });

  protected open(show: Look): void {
    void this.router.navigate([], { relativeTo: this.route, queryParams: show === 'to-order' ? {} : { show } });
  }
}
