import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import {
  cheapestFor,
  eitherOr,
  endsForHose,
  findEntry,
  gapsByCase,
  offersFor,
  planContracts,
  plannedOffer,
  plannedSupplier,
  type CasePart,
  type EitherOrPlan,
  type PossibleCase,
} from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { catchError, combineLatest, firstValueFrom, map, of, startWith, switchMap } from 'rxjs';
import { Api } from '../data/api';
import { JobView } from '../data/job-view';
import { Messages } from '../data/messages';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { writeOrders } from '../stock/write-orders';
import { WaysService } from '../workers/ways-service';

/** Something of the job that may turn out one way or another. */
interface Question {
  readonly id: string;
  readonly name: string;
  readonly cases: readonly Omit<PossibleCase, 'share'>[];
}

/** What to buy while a port is not certain, or the mock-up may ask for another angle: what keeps the job going at least cost. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule],
  templateUrl: './either-or-dialog.html',
  styleUrl: './either-or-dialog.scss',
})
export class EitherOrDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly view = inject(JobView);
  private readonly shop = inject(ShopStore);
  private readonly stock = inject(StockroomStore);
  private readonly ways = inject(WaysService);
  private readonly api = inject(Api);
  private readonly messages = inject(Messages);
  /** What a day of standing still costs the shop, €. */
  protected readonly dayEuros = new FormControl(60, { nonNullable: true });
  private readonly day = toSignal(this.dayEuros.valueChanges.pipe(startWith(60)), { initialValue: 60 });
  protected readonly shares = signal<Readonly<Record<string, number>>>({});
  protected readonly busy = signal(false);
  protected readonly error = signal<string | null>(null);

  /** Ports that are not certain, each with the parts of the best way of every case. */
  private readonly ports = toSignal(
    toObservable(
      computed(() =>
        (this.view.job()?.lines ?? []).flatMap((l) =>
          l.ways.flatMap((way, at) => {
            const cases = gapsByCase(way);
            return cases.length > 1
              ? [{ line: l.line, at, cases, options: { wishes: l.line.ways[at]?.wishes ?? {}, weights: this.shop.weights() } }]
              : [];
          }),
        ),
      ),
    ).pipe(
      switchMap((asked) =>
        asked.length === 0
          ? of<Question[]>([])
          : combineLatest(
              asked.map(({ line, at, cases, options }) =>
                this.ways.cases({ cases, options }).pipe(
                  map((answer): Question => ({
                    id: `${line.id} ${at}`,
                    name: `L${line.number} ${line.name}: the thread of a port is not certain`,
                    cases: answer.cases.map((c, i) => ({
                      id: `${line.id} ${at} ${i}`,
                      name: c.case.words,
                      parts: counted((c.answer.ways[0]?.fittings ?? []).map((f) => f.id)),
                    })),
                  })),
                  catchError(() => of<Question>({ id: line.id, name: '', cases: [] })),
                ),
              ),
            ),
      ),
    ),
    { initialValue: null },
  );
  /** Hose ends whose angle the mock-up may change: as drawn, or the nearest others. */
  private readonly angles = computed((): Question[] => {
    const catalogue = this.view.catalogue();
    if (!catalogue) return [];
    return (this.view.job()?.lines ?? []).flatMap((l) =>
      l.pieces.flatMap(({ piece, hose, endA, endB }) =>
        (['A', 'B'] as const).flatMap((side): Question[] => {
          const end = side === 'A' ? endA : endB;
          if (!hose || !end || piece.source !== 'cut' || end.socketLengthMm === 0) return [];
          const others = endsForHose(catalogue, hose)
            .filter(
              (e) => e.connector.family === end.connector.family && e.connector.size === end.connector.size && e.angleDeg !== end.angleDeg,
            )
            .sort((a, b) => Math.abs(a.angleDeg - end.angleDeg) - Math.abs(b.angleDeg - end.angleDeg))
            .slice(0, 2);
          if (others.length === 0) return [];
          const id = `${l.line.id} ${piece.key} ${side}`;
          return [
            {
              id,
              name: `L${l.line.number} ${l.line.name}, end ${side}: another angle`,
              cases: [end, ...others].map((e) => ({
                id: `${id} ${e.id}`,
                name: e.angleDeg === 0 ? 'straight' : `${e.angleDeg}°`,
                parts: [{ part: e.id, quantity: 1 }],
              })),
            },
          ];
        }),
      ),
    );
  });
  protected readonly loading = computed(() => this.ports() === null);
  protected readonly questions = computed(() => [...(this.ports() ?? []).filter((q) => q.cases.length > 1), ...this.angles()]);
  protected readonly picked = signal<string | null>(null);
  protected readonly question = computed(() => this.questions().find((q) => q.id === this.picked()) ?? this.questions()[0] ?? null);
  private readonly offers = computed(() => {
    const catalogue = this.view.catalogue();
    const parts = this.question()?.cases.flatMap((c) => c.parts.map((p) => p.part)) ?? [];
    return catalogue ? offersFor(parts, this.stock.room(), catalogue) : [];
  });
  protected readonly answer = computed(() => {
    const question = this.question();
    const catalogue = this.view.catalogue();
    if (!question || !catalogue) return null;
    const shares = this.shares();
    const cases = question.cases.map((c, i): PossibleCase => ({
      ...c,
      share: (shares[c.id] ?? usualShare(i, question.cases.length)) / 100,
    }));
    const terms = new Map(this.stock.suppliers().map((s) => [s.id, s]));
    const parts = [...new Set(cases.flatMap((c) => c.parts.map((p) => p.part)))].flatMap((part): CasePart[] => {
      const own = this.offers().filter((o) => o.holds.length === 1 && o.holds[0]!.part === part);
      const shelf = findEntry(catalogue, part)?.part.shelf ?? 0;
      if (shelf > 0) return [{ part, priceMinor: 0, leadDays: 0, lostWhenReturned: 0 }];
      const priceMinor = cheapestFor(part, 1, own);
      if (priceMinor === undefined) return [];
      const cheapest = own.find((o) => cheapestFor(part, 1, [o]) === priceMinor)!;
      const keeps = terms.get(cheapest.supplier);
      const lost = keeps?.returnDays === undefined ? priceMinor : Math.round((priceMinor * (keeps.returnKeepsPercent ?? 0)) / 100);
      return [{ part, priceMinor, leadDays: cheapest.leadDays, lostWhenReturned: lost }];
    });
    const result = eitherOr(cases.slice(0, 6), parts, Math.round((Number(this.day()) || 0) * 100));
    return {
      result,
      cases,
      columns: [
        { name: 'Least cost', plan: result.best },
        { name: 'Wait until it is known', plan: result.waiting },
        { name: 'Be ready for all', plan: result.all },
      ],
    };
  });

  protected pick(event: Event): void {
    this.picked.set((event.target as HTMLSelectElement).value);
  }
  protected share(id: string, i: number, of: number): number {
    return this.shares()[id] ?? usualShare(i, of);
  }
  protected setShare(id: string, event: Event): void {
    const value = Number((event.target as HTMLInputElement).value);
    if (Number.isFinite(value) && value >= 0 && value <= 100) this.shares.update((s) => ({ ...s, [id]: value }));
  }
  protected name(part: string): string {
    const catalogue = this.view.catalogue();
    return (catalogue && findEntry(catalogue, part)?.part.name) ?? part;
  }
  protected ready(plan: EitherOrPlan): string {
    const cases = this.answer()?.cases ?? [];
    if (plan.ready.length === 0) return 'what all cases share';
    return plan.ready.map((id) => cases.find((c) => c.id === id)?.name ?? id).join(', ');
  }
  protected money(minor: number): string {
    return `€ ${(minor / 100).toFixed(2)}`;
  }

  /** What is bought now, from whoever has it for least; what is not needed goes back by the supplier's terms. */
  protected async order(plan: EitherOrPlan): Promise<void> {
    const job = this.view.document()?.job;
    const catalogue = this.view.catalogue();
    if (!job || !catalogue) return;
    this.busy.set(true);
    this.error.set(null);
    try {
      const needs = plan.buyNow.map(({ part, quantity }) => ({
        part,
        quantity: Math.max(0, quantity - (findEntry(catalogue, part)?.part.shelf ?? 0)),
      }));
      const offers = this.offers().filter((o) => o.holds.length === 1);
      const suppliers = this.stock.suppliers().map(plannedSupplier);
      const { cost } = await firstValueFrom(
        this.api.call(planContracts.planOrders, { body: { problem: { needs, offers: offers.map(plannedOffer), suppliers } } }),
      );
      const commands = writeOrders(cost, offers, job, {
        note: `Not certain yet: ${this.question()?.name ?? ''}. What is not needed goes back.`,
      });
      if (commands.length === 0) throw new Error('The shelf has it all: nothing has to be bought.');
      await firstValueFrom(this.stock.change(...commands));
      this.messages.tell('The orders are written: look at them under Orders');
      this.modal.close();
    } catch (error) {
      this.error.set((error as Error).message);
    } finally {
      this.busy.set(false);
    }
  }
}

/** The first is what is drawn, or likeliest. */
const usualShare = (i: number, of: number): number => (i === 0 ? 70 : Math.round(30 / (of - 1)));

function counted(ids: readonly string[]): { part: string; quantity: number }[] {
  const sums = new Map<string, number>();
  for (const id of ids) sums.set(id, (sums.get(id) ?? 0) + 1);
  return [...sums].map(([part, quantity]) => ({ part, quantity }));
}
