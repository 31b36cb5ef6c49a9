import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  findEntry,
  partsList,
  soldByLength,
  planContracts,
  substitutesFor,
  type AnswerOf,
  type Carried,
  type LineNeed,
  formatRun,
} from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { catchError, map, of, switchMap } from 'rxjs';
import { Api } from '../data/api';
import { JobView } from '../data/job-view';
import { StockroomStore } from '../data/stockroom-store';
import { OrderPlans } from '../stock/order-plans';
import { Preferences } from '../data/preferences';

type Answered = { readonly set: AnswerOf<typeof planContracts.planSpares> } | { readonly failed: string };

/** The fewest parts from which any one line of the job can be made anew, for the trailer; and what nobody brings in time. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="g-dialog">
      <h2 id="spares-title">Spares for the trailer</h2>
      <p class="quiet">
        The smallest set from which any one line can be made anew. What mates the same way stands in for another; of hose the longest piece
        serves all.
      </p>
      @if (problem().lines.length === 0) {
        <p class="quiet">No line of this job is whole yet.</p>
      } @else if (answered(); as a) {
        @if ('failed' in a) {
          <p class="g-error" role="alert">{{ a.failed }}</p>
        } @else {
          <p class="g-figure sum">
            {{ a.set.parts.length }} kinds of part{{ a.set.proven ? ', no smaller set does' : ', the best found' }}
          </p>
          <table class="g-table">
            <thead>
              <tr>
                <th scope="col">part</th>
                <th scope="col" class="number">carry</th>
                <th scope="col" class="number">shelf</th>
                <th scope="col">serves</th>
                <th scope="col"></th>
              </tr>
            </thead>
            <tbody>
              @for (p of rows(); track p.part) {
                <tr>
                  <td>{{ p.name }}</td>
                  <td class="number">{{ p.quantity }}</td>
                  <td class="number">{{ p.shelf || '' }}</td>
                  <td>{{ p.lines }}</td>
                  <td class="carry">{{ p.carry ? 'carry one: nobody brings it within ' + days() + ' days' : '' }}</td>
                </tr>
              }
            </tbody>
          </table>
        }
      } @else {
        <p class="quiet" role="status">Working it out …</p>
      }
      <div class="actions"><button type="button" class="g-button" (click)="modal.dismiss()">Close</button></div>
    </div>
  `,
  styles: `
    .quiet {
      color: var(--quiet);
    }
    .sum {
      font-size: 18px;
    }
    .carry {
      color: var(--brass);
      font-size: 13px;
    }
  `,
})
export class SparesDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly preferences = inject(Preferences);
  private readonly view = inject(JobView);
  private readonly stock = inject(StockroomStore);
  private readonly plans = inject(OrderPlans);
  private readonly api = inject(Api);
  protected readonly days = computed(() => this.stock.rules().carryDays);
  protected readonly problem = computed(() => {
    const job = this.view.job();
    if (!job) return { lines: [], carried: [] };
    const document = { ...job.document, components: [] };
    const lines = job.lines.map((l): LineNeed => {
      const { rows } = partsList({ ...job, document, lines: [l] });
      return {
        line: `L${l.line.number}`,
        needs: rows.filter((r) => r.unit !== 'joint' && findEntry(job.catalogue, r.id)).map((r) => ({ part: r.id, quantity: r.quantity })),
      };
    });
    const parts = [...new Set(lines.flatMap((l) => l.needs.map((n) => n.part)))];
    const asked = new Set(parts);
    const carried = parts.map((part): Carried => {
      const entry = findEntry(job.catalogue, part)!;
      const priceMinor = entry.kind === 'hose' ? entry.part.pricePerMetreMinor : entry.part.priceMinor;
      const alike = substitutesFor(part, job.catalogue).map((s) => s.part);
      return {
        part,
        // a part that is longer or narrower by a hand's breadth is no spare: only what the job has itself
        servesAs: [part, ...alike.filter((other) => asked.has(other))],
        ...(soldByLength(entry) ? { byLength: true } : {}),
        ...(priceMinor === undefined ? {} : { priceMinor }),
      };
    });
    return { lines: lines.filter((l) => l.needs.length > 0), carried };
  });
  protected readonly answered = toSignal(
    toObservable(this.problem).pipe(
      switchMap((problem) => {
        if (problem.lines.length === 0) return of(null);
        return this.api.call(planContracts.planSpares, { body: problem }).pipe(
          map((set): Answered => ({ set })),
          catchError((error: Error) => of<Answered>({ failed: error.message })),
        );
      }),
    ),
    { initialValue: null },
  );
  protected readonly rows = computed(() => {
    const a = this.answered();
    const catalogue = this.view.catalogue();
    if (!a || 'failed' in a || !catalogue) return [];
    return a.set.parts.map((p) => {
      const entry = findEntry(catalogue, p.part);
      const long = entry && soldByLength(entry);
      return {
        part: p.part,
        name: entry?.part.name ?? p.part,
        quantity: long ? formatRun(p.quantity, this.preferences.system()) : String(p.quantity),
        shelf: long ? (entry.part.shelf ? `${entry.part.shelf} m` : '') : (entry?.part.shelf ?? 0),
        lines: p.lines.join(' '),
        carry: this.plans.carry().has(p.part),
      };
    });
  });
}
