import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { openBeforeStart, type Finding } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';

/** What is provisional in a job, and what was found bad and is still as it was: to be empty before the engine is started. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="g-dialog">
      <h2 id="before-start-title">Before the engine is started</h2>
      @if (rows().length === 0) {
        <p class="quiet">Nothing is provisional, and whatever was found bad has been put right.</p>
      } @else {
        <table class="g-table" aria-label="Still open">
          <thead>
            <tr>
              <th scope="col">line</th>
              <th scope="col">still open</th>
              <th scope="col"><span class="g-visually-hidden">look, put right</span></th>
            </tr>
          </thead>
          <tbody>
            @for (r of rows(); track $index) {
              <tr>
                <td>{{ r.line }}</td>
                <td>
                  {{ r.finding.message }} <small class="quiet">{{ r.finding.hint }}</small>
                </td>
                <td class="buttons">
                  @for (m of r.finding.remedies; track m.label) {
                    <button type="button" class="g-button small" (click)="mend(r.finding)">{{ m.label }}</button>
                  }
                  <button type="button" class="g-button small" [attr.aria-label]="'Look at ' + r.line" (click)="modal.close(r.finding)">
                    Look
                  </button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      }
      <div class="actions">
        <button type="button" class="g-button" (click)="modal.dismiss()">Close</button>
      </div>
    </div>
  `,
  styles: `
    .quiet {
      color: var(--quiet);
    }
    .buttons {
      text-align: right;
      white-space: nowrap;
    }
    .buttons button + button {
      margin-left: 6px;
    }
    .actions {
      margin-top: 12px;
      text-align: right;
    }
  `,
})
export class BeforeStartDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly view = inject(JobView);
  private readonly store = inject(JobStore);

  protected readonly rows = computed(() =>
    openBeforeStart({ findings: this.view.lines().flatMap((l) => l.findings) }).map((finding) => {
      const line = this.view.lines().find((l) => l.line.id === finding.at.lineId)!.line;
      return { finding, line: `L${line.number} ${line.name}` };
    }),
  );

  protected mend({ remedies }: Finding): void {
    this.store.attempt(() => this.store.change(...remedies[0]!.commands), 'Final now');
  }
}
