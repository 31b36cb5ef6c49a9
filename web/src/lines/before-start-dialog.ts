import { LowerCasePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { openBeforeStart, type Line, type Remedy } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { FlowView } from '../sizing/flow-view';

/** A line to go to; its sizing, where that is what is to be looked at. */
export interface LookAt {
  readonly lineId: string;
  readonly joint?: string;
  readonly show?: 'sizing';
}

interface Row {
  readonly line: string;
  readonly finding: { readonly message: string; readonly hint: string };
  readonly remedies: readonly Remedy[];
  readonly at: LookAt;
}

/**
 * What is provisional in a job, and what was found bad and is still as it was: to be empty before the engine is started. Beside it what the
 * flow complains of, and which joints nobody has said to be made up.
 */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LowerCasePipe],
  template: `
    <div class="g-dialog">
      <h2 id="before-start-title">Before the engine is started</h2>
      @if (open().length === 0) {
        <p class="quiet">Nothing is provisional, and whatever was found bad has been put right.</p>
      }
      @for (list of lists(); track list.head) {
        <table class="g-table" [attr.aria-label]="list.head">
          <thead>
            <tr>
              <th scope="col">line</th>
              <th scope="col">{{ list.head | lowercase }}</th>
              <th scope="col"><span class="g-visually-hidden">look, put right</span></th>
            </tr>
          </thead>
          <tbody>
            @for (r of list.rows; track $index) {
              <tr>
                <td>{{ r.line }}</td>
                <td>
                  {{ r.finding.message }} <small class="quiet">{{ r.finding.hint }}</small>
                </td>
                <td class="buttons">
                  @for (m of r.remedies; track m.label) {
                    <button type="button" class="g-button small" (click)="mend(m)">{{ m.label }}</button>
                  }
                  <button type="button" class="g-button small" [attr.aria-label]="list.leads + ' ' + r.line" (click)="look(r.at)">
                    {{ list.look }}
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

  protected readonly open = computed((): readonly Row[] =>
    this.view
      .lines()
      .flatMap(({ line, findings }) =>
        openBeforeStart({ findings }).map((finding) => ({ line: nameOf(line), finding, remedies: finding.remedies, at: finding.at })),
      ),
  );
  /** What will not do; advice is told with the line itself. */
  private readonly flowing = computed((): readonly Row[] =>
    this.view.lines().flatMap((assembled) =>
      this.flow
        .heard(assembled)
        .filter(({ severity }) => severity === 'attention')
        .map((finding) => ({
          line: nameOf(assembled.line),
          finding,
          remedies: [],
          at: { lineId: finding.lineId, show: 'sizing' as const },
        })),
    ),
  );
  protected readonly lists = computed(() =>
    [
      { head: 'Still open', look: 'Look', leads: 'Look at', rows: this.open() },
      { head: 'What the flow complains of', look: 'See the figures', leads: 'See the figures of', rows: this.flowing() },
    ].filter(({ rows }) => rows.length > 0),
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

  protected mend({ commands }: Remedy): void {
    this.store.attempt(() => this.store.change(...commands), 'Final now');
  }
}

function nameOf({ number, name }: Line): string {
  return `L${number} ${name}`;
}
