import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { findEntry, substitutesFor } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { JobView } from '../data/job-view';

/** Parts that mate the same way as one that is needed: told with what is other about them, never taken unasked. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    <div class="g-dialog">
      <h2 id="substitutes-title">In place of {{ name() }}</h2>
      <p class="quiet">
        These mate the same way. None is taken by itself: take it in its line, where the joint, its torque and the lengths are worked out
        anew.
      </p>
      <table class="g-table">
        <thead>
          <tr>
            <th scope="col">part</th>
            <th scope="col">what is other</th>
            <th scope="col" class="number">shelf</th>
            <th scope="col" class="number">each €</th>
            <th scope="col" class="number">days</th>
          </tr>
        </thead>
        <tbody>
          @for (s of list(); track s.part) {
            <tr>
              <td>
                <a [routerLink]="['/store']" [queryParams]="{ part: s.part }" (click)="modal.dismiss()">{{ s.name }}</a>
              </td>
              <td>{{ s.differs.join(', ') }}</td>
              <td class="number">{{ s.shelf || '' }}</td>
              <td class="number">{{ s.priceMinor === undefined ? '—' : (s.priceMinor / 100).toFixed(2) }}</td>
              <td class="number">{{ s.leadDays ?? '' }}</td>
            </tr>
          }
        </tbody>
      </table>
      <div class="actions"><button type="button" class="g-button" (click)="modal.dismiss()">Close</button></div>
    </div>
  `,
  styles: `
    .quiet {
      color: var(--quiet);
    }
  `,
})
export class SubstitutesDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly view = inject(JobView);
  readonly part = signal('');
  protected readonly name = computed(() => {
    const catalogue = this.view.catalogue();
    return (catalogue && findEntry(catalogue, this.part())?.part.name) ?? this.part();
  });
  protected readonly list = computed(() => {
    const catalogue = this.view.catalogue();
    return catalogue ? substitutesFor(this.part(), catalogue).slice(0, 40) : [];
  });
}
