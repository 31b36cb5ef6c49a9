import { computed, inject, Injectable, signal } from '@angular/core';
import {
  carryOne,
  jobNeeds,
  orderProblemFor,
  planContracts,
  plannedOffer,
  type JobNeeds,
  type OrderPlan,
  type StoreRules,
} from '@gewinde/core';
import { answered } from '../data/answered';
import { Api } from '../data/api';
import { JobView } from '../data/job-view';
import { StockroomStore } from '../data/stockroom-store';
import { CutPlans } from './cut-plans';
import { daysUntil } from '../data/today';

/** The plan that is looked at: by a goal of the shop, or of one supplier alone. */
export type PlanChoice = StoreRules['goal'] | { readonly alone: string };

/** After the last change the plan is worked out, ms. */
const SETTLED_MS = 200;

/** What the open job needs, less what is there, and who is ordered what: worked out beside the requests, anew when anything of it changes. */
@Injectable({ providedIn: 'root' })
export class OrderPlans {
  private readonly view = inject(JobView);
  private readonly stock = inject(StockroomStore);
  private readonly cuts = inject(CutPlans);
  private readonly api = inject(Api);

  readonly needs = computed((): JobNeeds | null => {
    const job = this.view.job();
    const work = this.cuts.work();
    return job && work ? jobNeeds(job, work, this.cuts.plans(), this.stock.room()) : null;
  });
  readonly withinDays = computed(() => {
    const day = this.view.document()?.job.neededBy;
    return day == null ? undefined : Math.max(0, daysUntil(day));
  });
  readonly problem = computed(() => {
    const needs = this.needs();
    const catalogue = this.view.catalogue();
    if (!needs || !catalogue || !this.stock.loaded()) return null;
    return orderProblemFor(needs.rows, this.stock.room(), catalogue, 'cost', this.withinDays());
  });
  readonly offers = computed(() => this.problem()?.offers ?? []);
  private readonly question = computed(
    () => {
      const problem = this.problem();
      if (!problem || problem.needs.length === 0) return null;
      const { needs, suppliers, withinDays } = problem;
      return { needs, offers: problem.offers.map(plannedOffer), suppliers, ...(withinDays === undefined ? {} : { withinDays }) };
    },
    { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) },
  );
  private readonly planned = answered(
    this.question,
    (problem) => this.api.call(planContracts.planOrders, { body: { problem } }),
    SETTLED_MS,
  );
  readonly working = this.planned.waiting;
  readonly failed = this.planned.failed;
  readonly plans = this.planned.answer;
  /** Null until somebody chooses: as the rules of the shop have it. */
  readonly chosen = signal<PlanChoice | null>(null);
  readonly choice = computed((): PlanChoice => this.chosen() ?? this.stock.rules().goal);
  readonly plan = computed((): OrderPlan | undefined => {
    const plans = this.plans();
    const choice = this.choice();
    if (!plans) return undefined;
    if (typeof choice === 'string') return plans[choice];
    return plans.singles.find((s) => s.supplier === choice.alone)?.plan;
  });
  /** Parts that nobody brings in time for a weekend, and that no spare is bought of. */
  readonly carry = computed((): ReadonlySet<string> => {
    const needs = this.needs();
    const catalogue = this.view.catalogue();
    if (!needs || !catalogue) return new Set();
    const all = orderProblemFor(
      needs.rows.map((r) => ({ part: r.part, toBuy: 1 })),
      this.stock.room(),
      catalogue,
      'cost',
    );
    const shelf = new Map(needs.rows.map((r) => [r.part, r.fromShelf - r.needed]));
    return new Set(
      carryOne(
        needs.rows.filter((r) => r.unit === 'pc' && !r.unknown),
        all.offers,
        (part) => Math.max(0, shelf.get(part) ?? 0),
        this.stock.rules().carryDays,
      ),
    );
  });
}
