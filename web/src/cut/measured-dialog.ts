import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { QuantityInput } from '../shared/quantity-input';

/** What was measured at the saw: the piece, the end that was trimmed before it, what is left of the length. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityInput, ReactiveFormsModule],
  template: `
    <div class="g-dialog">
      <h2 id="measured-title">{{ title() }}</h2>
      <form [formGroup]="form" (ngSubmit)="say()" novalidate>
        <g-quantity-input label="The piece, as measured" kind="length" [min]="1" [max]="1000000" [formControl]="form.controls.measuredMm" />
        @if (!trimming()) {
          <g-quantity-input
            label="Cut off the end before it"
            kind="length"
            [min]="0"
            [max]="1000"
            [formControl]="form.controls.trimmedMm"
          />
          <g-quantity-input
            label="Left of the length, if you measured it"
            kind="length"
            [min]="0"
            [max]="1000000"
            [formControl]="form.controls.leftMm"
          />
          <p class="quiet">What you measured goes before what is reckoned; what is to be cut is planned anew from it.</p>
        }
        <div class="actions">
          <button type="button" class="g-button" (click)="modal.dismiss()">Cancel</button>
          <button type="submit" class="g-button filled" [disabled]="form.invalid || form.controls.measuredMm.value === null">
            {{ trimming() ? 'Trimmed' : 'Cut' }}
          </button>
        </div>
      </form>
    </div>
  `,
  styles: `
    .quiet {
      margin: 0;
      color: var(--quiet);
    }
  `,
})
export class MeasuredDialog {
  protected readonly modal = inject(NgbActiveModal);
  protected readonly title = signal('');
  protected readonly trimming = signal(false);
  protected readonly form = new FormGroup({
    measuredMm: new FormControl<number | null>(null),
    trimmedMm: new FormControl<number | null>(0),
    leftMm: new FormControl<number | null>(null),
  });

  start(ticket: string, plannedMm: number, lengthMm: number, trimmedMm: number): void {
    this.title.set(`${ticket} at the saw, off ${Math.round(lengthMm)} mm`);
    this.form.setValue({ measuredMm: plannedMm, trimmedMm, leftMm: null });
  }

  trim(ticket: string, cutMm: number, hasMm: number): void {
    this.title.set(`${ticket}, trimmed from ${Math.round(hasMm)} mm`);
    this.trimming.set(true);
    this.form.setValue({ measuredMm: cutMm, trimmedMm: 0, leftMm: null });
  }

  protected say(): void {
    const { measuredMm, trimmedMm, leftMm } = this.form.getRawValue();
    if (measuredMm === null || this.form.invalid) return;
    this.modal.close({ measuredMm, trimmedMm: trimmedMm ?? 0, ...(leftMm === null ? {} : { leftMm }) });
  }
}
