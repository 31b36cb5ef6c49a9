import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { findEntry, soldByLength, planContracts, formatRun, sparesProblem } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { answered } from '../data/answered';
import { Api } from '../data/api';
import { JobView } from '../data/job-view';
import { StockroomStore } from '../data/stockroom-store';
import { OrderPlans } from '../stock/order-plans';
import { Preferences } from '../data/preferences';

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
      } @else if (set.failed(); as why) {
        <p class="g-error" role="alert">{{ why }}</p>
      } @else if (set.answer(); as a) {
        <p class="g-figure sum">{{ a.parts.length }} kinds of part{{ a.proven ? ', no smaller set does' : ', the best found' }}</p>
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
    return job ? sparesProblem(job) : { lines: [], carried: [] };
  });
  private readonly asked = computed(() => (this.problem().lines.length > 0 ? this.problem() : null));
  protected readonly set = answered(this.asked, (problem) => this.api.call(planContracts.planSpares, { body: problem }));
  protected readonly rows = computed(() => {
    const a = this.set.answer();
    const catalogue = this.view.catalogue();
    if (!a || !catalogue) return [];
    return a.parts.map((p) => {
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
