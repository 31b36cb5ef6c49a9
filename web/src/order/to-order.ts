import { ChangeDetectionStrategy, Component, computed, effect, inject, output, signal, untracked } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { substitutesFor, type NeedRow, type OrderPlan, type StockCommand, type SupplierOrder, formatRun } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { StockroomStore } from '../data/stockroom-store';
import { OrderPlans, type PlanChoice } from '../stock/order-plans';
import { StoreRulesDialog } from '../stock/store-rules-dialog';
import { daysUntil, shortDay, today } from '../data/today';
import { writeOrders } from '../stock/write-orders';

interface Alternative {
  readonly choice: PlanChoice;
  readonly name: string;
  readonly total: string;
  readonly days: string;
  readonly late: boolean;
  readonly chosen: boolean;
}

/** Needs at the left, suppliers as columns, what goes where in the cells; totals, carriage and date under each. */
@Component({
  selector: 'g-to-order',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink],
  templateUrl: './to-order.html',
  styleUrl: './to-order.scss',
})
export class ToOrder {
  /** Orders were written. */
  readonly written = output();
  private readonly view = inject(JobView);
  private readonly store = inject(JobStore);
  private readonly stock = inject(StockroomStore);
  private readonly preferences = inject(Preferences);
  private readonly messages = inject(Messages);
  private readonly modal = inject(NgbModal);
  protected readonly plans = inject(OrderPlans);
  protected readonly busy = signal(false);
  protected readonly refused = signal<string | null>(null);
  protected readonly carryDays = computed(() => this.stock.rules().carryDays);
  protected readonly job = computed(() => this.view.document()?.job);
  protected readonly neededBy = new FormControl('', { nonNullable: true });
  protected readonly all = signal(false);
  private readonly supplierOf = computed(() => new Map(this.stock.suppliers().map((s) => [s.id, s])));
  private readonly offerOf = computed(() => new Map(this.plans.offers().map((o) => [o.id, o])));
  protected readonly columns = computed(() =>
    (this.plans.plan()?.orders ?? []).map((o) => ({ order: o, name: this.supplierOf().get(o.supplier)?.name ?? o.supplier })),
  );
  protected readonly rows = computed(() => {
    const needs = this.plans.needs();
    if (!needs) return [];
    const shown = this.all() ? needs.rows : needs.rows.filter((r) => r.toBuy > 0);
    const late = new Set(this.plans.plan()?.late);
    const none = new Set(this.plans.plan()?.notOffered);
    const over = new Map(this.plans.plan()?.left.map((l) => [l.part, l.quantity]));
    return shown.map((row) => ({
      row,
      cells: this.columns().map(({ order }) => this.cell(row, order)),
      late: late.has(row.part),
      none: row.toBuy > 0 && none.has(row.part),
      over: row.toBuy > 0 ? this.amount(row, over.get(row.part) ?? 0) : '',
      carry: this.plans.carry().has(row.part),
    }));
  });
  protected readonly alternatives = computed((): Alternative[] => {
    const plans = this.plans.plans();
    if (!plans) return [];
    const chosen = JSON.stringify(this.plans.choice());
    const told = (choice: PlanChoice, name: string, plan: OrderPlan): Alternative => ({
      choice,
      name,
      total: money(plan.totalMinor),
      days: plan.orders.length === 0 ? '' : `there ${this.dayAfter(plan.days)}`,
      late: plan.late.length > 0,
      chosen: JSON.stringify(choice) === chosen,
    });
    return [
      told('cost', 'the least money', plans.cost),
      told('soonest', 'the soonest', plans.soonest),
      told('fewest', 'the fewest suppliers', plans.fewest),
      ...plans.singles.map((s) => told({ alone: s.supplier }, `${this.supplierOf().get(s.supplier)?.name ?? s.supplier} alone`, s.plan)),
    ];
  });
  /** What the shelf could keep back for the job, and does not yet. */
  protected readonly keepable = computed(() => {
    const id = this.job()?.id;
    const stock = new Map(this.stock.room().stock.map((s) => [s.part, s]));
    return (this.plans.needs()?.rows ?? []).flatMap((r) => {
      if (r.unit !== 'pc' || r.unknown) return [];
      const own = stock.get(r.part);
      const kept = own?.reserved.find((x) => x.jobId === id)?.quantity ?? 0;
      const quantity = r.fromShelf - (r.issued ?? 0) - kept;
      return quantity > 0 ? [{ part: r.part, quantity }] : [];
    });
  });
  /** What was to be bought when the plan was first shown: what changes underneath is told. */
  private readonly seen = signal<ReadonlyMap<string, number> | null>(null);
  protected readonly changed = computed(() => {
    const seen = this.seen();
    const now = this.plans.needs();
    if (!seen || !now) return [];
    return now.rows
      .filter((r) => seen.has(r.part) && seen.get(r.part) !== r.toBuy)
      .map((r) => ({ name: r.name, was: this.amount(r, seen.get(r.part)!), now: this.amount(r, r.toBuy) }));
  });

  constructor() {
    effect(() => {
      const day = this.job()?.neededBy ?? '';
      untracked(() => this.neededBy.setValue(day));
    });
    effect(() => {
      const plan = this.plans.plans();
      untracked(() => plan && this.seen() === null && this.look());
    });
  }

  protected look(): void {
    this.seen.set(new Map((this.plans.needs()?.rows ?? []).map((r) => [r.part, r.toBuy])));
  }

  protected amount({ unit }: Pick<NeedRow, 'unit'>, quantity: number): string {
    if (quantity === 0) return '';
    if (unit === 'pc') return String(quantity);
    return formatRun(quantity, this.preferences.system());
  }

  protected choose(choice: PlanChoice): void {
    this.plans.chosen.set(choice);
  }

  protected others(part: string): number {
    const catalogue = this.view.catalogue();
    return catalogue ? substitutesFor(part, catalogue).length : 0;
  }

  protected setDay(): void {
    const job = this.job();
    const day = this.neededBy.value;
    if (!job || (day || null) === (job.neededBy ?? null)) return;
    this.store.attempt(
      () => this.store.change({ do: 'edit-job', version: job.version, set: { neededBy: day === '' ? null : day } }),
      'The day is set',
    );
  }

  /** What somebody has ordered too much of is this job's by a press. */
  protected async takeOver(row: NeedRow): Promise<void> {
    const jobId = this.job()!.id;
    let wanted = row.toBuy;
    const commands = (row.over ?? []).flatMap(({ order, key, quantity: there }): StockCommand[] => {
      const quantity = Math.min(wanted, there);
      wanted -= quantity;
      return quantity > 0 ? [{ do: 'claim-order', id: order.id, version: order.version, key, part: row.part, jobId, quantity }] : [];
    });
    await this.attempt(async () => {
      await firstValueFrom(this.stock.change(...commands));
      this.messages.tell(`${row.name}: taken from what is over in ${row.over![0]!.order.number}`);
    });
  }
  protected overIn(row: NeedRow): string {
    const quantity = (row.over ?? []).reduce((sum, o) => sum + o.quantity, 0);
    return `${this.amount(row, Math.min(quantity, row.toBuy))} over in ${row.over![0]!.order.number}`;
  }
  protected async beside(): Promise<void> {
    const { BesideDialog } = await import('./beside-dialog');
    this.modal.open(BesideDialog, { ariaLabelledBy: 'beside-title', size: 'lg', scrollable: true });
  }

  protected rules(): void {
    this.modal.open(StoreRulesDialog, { ariaLabelledBy: 'store-rules-title', size: 'lg', scrollable: true });
  }
  protected async substitutes(part: string): Promise<void> {
    const { SubstitutesDialog } = await import('./substitutes-dialog');
    const dialog = this.modal.open(SubstitutesDialog, { ariaLabelledBy: 'substitutes-title', size: 'lg', scrollable: true });
    (dialog.componentInstance as InstanceType<typeof SubstitutesDialog>).part.set(part);
  }
  protected async kits(): Promise<void> {
    const { KitsDialog } = await import('./kits-dialog');
    this.modal.open(KitsDialog, { ariaLabelledBy: 'kits-title', size: 'lg', scrollable: true });
  }
  protected async spares(): Promise<void> {
    const { SparesDialog } = await import('./spares-dialog');
    this.modal.open(SparesDialog, { ariaLabelledBy: 'spares-title', size: 'lg', scrollable: true });
  }
  protected async notCertain(): Promise<void> {
    const { EitherOrDialog } = await import('./either-or-dialog');
    this.modal.open(EitherOrDialog, { ariaLabelledBy: 'either-or-title', size: 'lg', scrollable: true });
  }

  protected async keepBack(): Promise<void> {
    const jobId = this.job()!.id;
    const commands = this.keepable()
      .slice(0, MOST_AT_ONCE)
      .map((k): StockCommand => ({ do: 'move-stock', kind: 'reserve', jobId, ...k }));
    await this.attempt(async () => {
      await firstValueFrom(this.stock.change(...commands));
      this.messages.tell(`${commands.length === 1 ? 'One part is' : `${commands.length} parts are`} kept back for this job`);
    });
  }

  /** One order a supplier, all in one change: at the prices that stand here, or none of them. */
  protected async write(): Promise<void> {
    const job = this.job();
    const plan = this.plans.plan();
    if (!job || !plan) return;
    const commands = writeOrders(plan, this.plans.offers(), job, {
      known: this.stock.room().orders,
      needs: this.plans.needs()?.rows ?? [],
    });
    await this.attempt(async () => {
      await firstValueFrom(this.stock.change(...commands));
      this.seen.set(null);
      this.messages.tell(
        `${commands.length} ${commands.length === 1 ? 'order is' : 'orders are'} written; send ${commands.length === 1 ? 'it' : 'them'} from here`,
      );
      this.written.emit();
    });
  }

  protected readonly money = money;
  protected dayAfter(days: number): string {
    const day = new Date(Date.now() + days * 86_400_000);
    return shortDay(today(day));
  }
  protected tooLate(order: SupplierOrder): boolean {
    const day = this.job()?.neededBy;
    return day != null && order.days > daysUntil(day);
  }
  protected lines(row: NeedRow): { readonly number: number; readonly id: string | undefined }[] {
    return row.lines.map((number) => ({ number, id: this.view.document()?.lines.find((l) => l.number === number)?.id }));
  }

  private cell(row: NeedRow, order: SupplierOrder): { readonly words: string; readonly price: string } | null {
    const own = order.lines.flatMap((l) => {
      const offer = this.offerOf().get(l.offer);
      const held = offer?.holds.find((h) => h.part === row.part);
      return offer && held ? [{ offer, l, quantity: held.quantity * l.packs }] : [];
    });
    if (own.length === 0) return null;
    const words = own
      .map(({ offer, l, quantity }) => {
        if (offer.holds.length > 1) return `in a kit`;
        const pack = offer.holds[0]!.quantity;
        return row.unit === 'mm' || pack === 1 ? this.amount(row, quantity) : `${l.packs} × ${pack}`;
      })
      .join(' + ');
    const price = own.filter((o) => o.offer.holds.length === 1).reduce((sum, o) => sum + o.l.totalMinor, 0);
    return { words, price: price > 0 ? money(price) : '' };
  }

  private async attempt(what: () => Promise<void>): Promise<void> {
    this.busy.set(true);
    this.refused.set(null);
    try {
      await what();
    } catch (error) {
      this.refused.set((error as Error).message);
    } finally {
      this.busy.set(false);
    }
  }
}

/** Commands that go into one change. */
const MOST_AT_ONCE = 100;

function money(minor: number): string {
  return (minor / 100).toFixed(2);
}
