import { computed, inject, Injectable } from '@angular/core';
import {
  cutWork,
  offersFor,
  planCutsAtOnce,
  planGroupAtOnce,
  planContracts,
  type CutGroup,
  type CutWork,
  type GroupPlan,
  type GroupProblem,
  type NewLength,
} from '@gewinde/core';
import { answered } from '../data/answered';
import { Api } from '../data/api';
import { JobView } from '../data/job-view';
import { StockroomStore } from '../data/stockroom-store';
import { today } from '../data/today';

/** After the last change the plan is worked out, ms. */
const SETTLED_MS = 120;

/** What the open job is cut from: a plan at once, and the proven one as soon as it is there. */
@Injectable({ providedIn: 'root' })
export class CutPlans {
  private readonly view = inject(JobView);
  private readonly stock = inject(StockroomStore);
  private readonly api = inject(Api);

  readonly work = computed((): CutWork | null => {
    const job = this.view.job();
    if (!job || !this.stock.loaded()) return null;
    const { lengths, cuts, rules } = this.stock.room();
    return cutWork(job, { lengths, cuts, rules, today: today() });
  });
  /** What each part can be bought as. */
  readonly offers = computed(() => {
    const work = this.work();
    const catalogue = this.view.catalogue();
    if (!work || !catalogue) return [];
    return offersFor(
      work.groups.map((g) => g.part),
      this.stock.room(),
      catalogue,
    ).filter((o) => o.holds.length === 1);
  });
  readonly problems = computed((): readonly GroupProblem[] =>
    (this.work()?.groups ?? []).filter((g) => g.toCut.length > 0).map((g) => this.problemOf(g)),
  );
  readonly rules = computed(() => {
    const { kerfMm, endTrimMm, leastOffcutMm, offcutsFirst } = this.stock.rules();
    return { kerfMm, endTrimMm, leastOffcutMm, offcutsFirst };
  });
  private readonly question = computed(() => ({ groups: this.problems(), rules: this.rules() }), {
    equal: (a, b) => JSON.stringify(a) === JSON.stringify(b),
  });
  private readonly atOnce = computed(() => this.question().groups.map((g) => planGroupAtOnce(g, this.question().rules, planCutsAtOnce)));
  private readonly toProve = computed(() => (this.question().groups.length > 0 ? this.question() : null));
  private readonly proven = answered(this.toProve, (question) => this.api.call(planContracts.planCuts, { body: question }), SETTLED_MS);
  /** Still being proven. */
  readonly working = this.proven.waiting;
  readonly failed = this.proven.failed;
  readonly plans = computed((): readonly GroupPlan[] => this.proven.answer()?.plans ?? this.atOnce());

  problemOf({ part, toCut, lengths }: CutGroup): GroupProblem {
    return {
      part,
      pieces: toCut.map(({ id, lengthMm }) => ({ id, lengthMm })),
      lengths: lengths.map(({ id, kind, mm, sawnOn }) => ({ id, kind, mm, ...(sawnOn === today() ? { square: true } : {}) })),
      offers: this.offers()
        .filter((o) => o.holds[0]!.part === part)
        .map((o): NewLength => ({ id: o.id, mm: o.holds[0]!.quantity, ...(o.oneLength ? { oneLength: true } : {}) })),
    };
  }
}
