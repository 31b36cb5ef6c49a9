import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { kitCheck, offersFor, type BuyableOffer, formatRun } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { JobView } from '../data/job-view';
import { StockroomStore } from '../data/stockroom-store';
import { OrderPlans } from '../stock/order-plans';
import { Preferences } from '../data/preferences';

/** What a supplier's kit does for the job: what fits, what does not and why, what is missing, and what it costs against single parts. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  templateUrl: './kits-dialog.html',
  styles: `
    .quiet {
      color: var(--quiet);
    }
    .pick {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin-bottom: 10px;
      .g-button[aria-pressed='true'] {
        border-color: var(--blue);
        color: var(--blue);
      }
    }
    .g-dialog > h3 {
      margin: 12px 0 2px;
      font: 600 17px/1.2 var(--head);
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      padding: 2px 0;
      border-bottom: 1px solid var(--line);
    }
    .why {
      display: block;
      color: var(--brass);
      font-size: 13.5px;
    }
  `,
})
export class KitsDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly preferences = inject(Preferences);
  private readonly view = inject(JobView);
  private readonly stock = inject(StockroomStore);
  private readonly plans = inject(OrderPlans);
  protected readonly kits = computed((): BuyableOffer[] => {
    const catalogue = this.view.catalogue();
    const room = this.stock.room();
    const parts = room.offers.filter((o) => o.holds.length > 1).flatMap((o) => o.holds.map((h) => h.part));
    return catalogue ? offersFor(parts, room, catalogue).filter((o) => o.holds.length > 1) : [];
  });
  protected readonly chosen = linkedSignal(() => this.kits()[0]?.id ?? null);
  protected readonly check = computed(() => {
    const kit = this.kits().find((k) => k.id === this.chosen());
    const catalogue = this.view.catalogue();
    const needs = this.plans.needs();
    if (!kit || !catalogue || !needs) return null;
    const supplier = this.stock.suppliers().find((s) => s.id === kit.supplier)?.name ?? '';
    const singles = offersFor(
      kit.holds.map((h) => h.part),
      this.stock.room(),
      catalogue,
    );
    const unit = new Map(needs.rows.map((r) => [r.part, r.unit]));
    const long = new Set([...catalogue.hoses.map((h) => h.id)]);
    return {
      kit,
      supplier,
      result: kitCheck(kit, needs.rows, singles, catalogue),
      isMm: (part: string) => unit.get(part) === 'mm' || long.has(part),
    };
  });

  protected amount(mm: boolean, quantity: number): string {
    return mm ? formatRun(quantity, this.preferences.system()) : `${quantity} ×`;
  }
  protected money(minor: number): string {
    return `€ ${(minor / 100).toFixed(2)}`;
  }
}
