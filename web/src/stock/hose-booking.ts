import { computed, inject, Injectable } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { reservedByOthers, stockContracts, type AnswerOf, type HoseLength } from '@gewinde/core';
import { catchError, debounceTime, distinctUntilChanged, firstValueFrom, of, switchMap } from 'rxjs';
import { Api } from '../data/api';
import { JobView } from '../data/job-view';
import { StockroomStore } from '../data/stockroom-store';
import { CutPlans } from './cut-plans';

type Others = AnswerOf<typeof stockContracts.tellHosePlan>['others'];

/** After the plan has settled it is told, ms. */
const SETTLED_MS = 700;

/** What the plan of the open job takes of which length: told to the others, and reserved by a press. */
@Injectable({ providedIn: 'root' })
export class HoseBooking {
  private readonly view = inject(JobView);
  private readonly plans = inject(CutPlans);
  private readonly stock = inject(StockroomStore);
  private readonly api = inject(Api);
  private readonly jobId = computed(() => this.view.document()?.job.id);

  /** What is planned on what hangs on the rack, mm. */
  private readonly planned = computed(() =>
    this.plans
      .plans()
      .flatMap((plan) => plan.bars)
      .filter((bar) => bar.kind !== 'new' && bar.pieces.length > 0)
      .map((bar) => ({ id: bar.from, mm: Math.round((bar.lengthMm - bar.remainderMm) * 10) / 10 }))
      .filter(({ mm }) => mm > 0),
  );
  private readonly toTell = computed(
    () => {
      const id = this.jobId();
      return id === undefined || this.plans.work() === null || this.plans.working() ? null : { id, lengths: this.planned() };
    },
    { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) },
  );
  /** What others plan on the same lengths, as it was when this plan was told. */
  readonly others = toSignal(
    toObservable(this.toTell).pipe(
      debounceTime(SETTLED_MS),
      distinctUntilChanged(),
      switchMap((told) =>
        told
          ? this.api
              .call(stockContracts.tellHosePlan, { params: { id: told.id }, body: { lengths: told.lengths } })
              .pipe(catchError(() => of({ others: [] as Others })))
          : of({ others: [] as Others }),
      ),
    ),
    { initialValue: { others: [] as Others } },
  );
  private readonly mine = computed(() => {
    const id = this.jobId();
    return new Map(this.stock.lengths().flatMap((l) => (l.reserved ?? []).filter((r) => r.jobId === id).map((r) => [l.id, r.mm] as const)));
  });
  /** Something is planned that is not reserved for the job as it stands. */
  readonly toReserve = computed(() => this.planned().filter(({ id, mm }) => (this.mine().get(id) ?? 0) < mm - 0.5));
  readonly reserves = computed(() => this.mine().size > 0);

  /** @throws {ApiError} why it cannot be */
  async reserve(): Promise<void> {
    await this.say(this.planned());
  }

  /** @throws {ApiError} */
  async release(): Promise<void> {
    await this.say([]);
  }

  /** What is said of a length beside what this job plans on it; empty where nothing is. */
  said({ id, reserved }: Pick<HoseLength, 'id' | 'reserved'>, show: (mm: number) => string): string {
    const job = this.jobId();
    const own = this.mine().get(id);
    const others = job === undefined ? 0 : reservedByOthers({ reserved }, job);
    const planned = this.others().others.filter((o) => o.id === id);
    return [
      ...(own === undefined ? [] : [`${show(own)} reserved`]),
      ...(others > 0 ? [`${show(others)} reserved for other jobs`] : []),
      ...planned.map((o) => `${o.job} plans ${show(o.mm)} of it`),
    ].join(' · ');
  }

  private async say(lengths: readonly { readonly id: string; readonly mm: number }[]): Promise<void> {
    const jobId = this.jobId();
    if (jobId !== undefined) await firstValueFrom(this.stock.change({ do: 'reserve-lengths', jobId, lengths: [...lengths] }));
  }
}
