import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import type { Working } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';

/** How a figure was come by: step by step, with its sources. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="g-dialog">
      <h2 id="working-title">{{ working().title }}</h2>
      <table class="g-table" aria-label="Working">
        <thead>
          <tr>
            <th scope="col">what</th>
            <th scope="col">how</th>
            <th scope="col" class="number">comes to</th>
          </tr>
        </thead>
        <tbody>
          @for (s of working().steps; track $index) {
            <tr>
              <td>{{ s.what }}</td>
              <td class="how">{{ s.formula }}</td>
              <td class="number">{{ s.result }}</td>
            </tr>
          }
        </tbody>
      </table>
      @for (s of working().sources; track s) {
        <p class="quiet">{{ s }}.</p>
      }
      <div class="actions"><button type="button" class="g-button" ngbAutofocus (click)="modal.dismiss()">Close</button></div>
    </div>
  `,
  styles: `
    .how {
      color: var(--quiet);
      font-size: 13.5px;
    }
    .g-table .number {
      font-size: 16px;
    }
    td {
      padding: 3px 10px;
    }
    .quiet {
      margin: 6px 0 0;
      color: var(--quiet);
      font-size: 13px;
    }
  `,
})
export class WorkingDialog {
  protected readonly modal = inject(NgbActiveModal);
  readonly working = signal<Working>({ title: '', steps: [], sources: [] });
}
