import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { openBeforeStart, type Finding, type Line } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { FlowView } from '../sizing/flow-view';

/** A line to go to; its sizing, where that is what is to be looked at. */
export interface LookAt {
  readonly lineId: string;
  readonly joint?: string;
  readonly show?: 'sizing';
}

/**
 * What is provisional in a job, and what was found bad and is still as it was: to be empty before the engine is started. Beside it what the
 * flow complains of, and which joints nobody has said to be made up.
 */
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
                  <button type="button" class="g-button small" [attr.aria-label]="'Look at ' + r.line" (click)="look(r.finding.at)">
                    Look
                  </button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      }
      @if (flowing().length > 0) {
        <table class="g-table" aria-label="What the flow complains of">
          <thead>
            <tr>
              <th scope="col">line</th>
              <th scope="col">what the flow complains of</th>
              <th scope="col"><span class="g-visually-hidden">look</span></th>
            </tr>
          </thead>
          <tbody>
            @for (r of flowing(); track $index) {
              <tr>
                <td>{{ r.line }}</td>
                <td>
                  {{ r.finding.message }} <small class="quiet">{{ r.finding.hint }}</small>
                </td>
                <td class="buttons">
                  <button
                    type="button"
                    class="g-button small"
                    [attr.aria-label]="'See the figures of ' + r.line"
                    (click)="look({ lineId: r.finding.lineId, show: 'sizing' })"
                  >
                    See the figures
                  </button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      }
      @if (unmade().length > 0) {
        <p>
          <strong>Not said to be made up:</strong>
          @for (u of unmade(); track u.lineId) {
            <button type="button" class="g-button small" (click)="look(u)">L{{ u.number }}: {{ u.left }} of {{ u.all }} joints</button>
          }
        </p>
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
    .g-table {
      margin-top: 10px;
    }
    p {
      margin-top: 14px;
    }
    p .g-button {
      margin: 2px 0 2px 6px;
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
  private readonly flow = inject(FlowView);

  protected readonly rows = computed(() =>
    openBeforeStart({ findings: this.view.lines().flatMap((l) => l.findings) }).map((finding) => {
      const { line } = this.view.lines().find((l) => l.line.id === finding.at.lineId)!;
      return { finding, line: nameOf(line) };
    }),
  );
  /** What will not do; advice is told with the line itself. */
  protected readonly flowing = computed(() =>
    this.view.lines().flatMap((line) =>
      this.flow
        .heard(line)
        .filter(({ severity }) => severity === 'attention')
        .map((finding) => ({ finding, line: nameOf(line.line) })),
    ),
  );
  protected readonly unmade = computed(() =>
    this.view.lines().flatMap(({ line, joints }) => {
      const left = joints.filter((joint) => joint.state !== 'made').length;
      return left > 0 ? [{ lineId: line.id, number: line.number, left, all: joints.length }] : [];
    }),
  );

  protected look({ lineId, joint, show }: LookAt): void {
    this.modal.close({ lineId, ...(joint ? { joint } : {}), ...(show ? { show } : {}) });
  }

  protected mend({ remedies }: Finding): void {
    this.store.attempt(() => this.store.change(...remedies[0]!.commands), 'Final now');
  }
}

function nameOf({ number, name }: Line): string {
  return `L${number} ${name}`;
}
