import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { figuresOfFinding, letters, placeKey, type Finding } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { today } from '../data/today';
import { TextField } from './text-field';

/** Accepts a finding as it is: by whom, and why. It comes back when its figures change, and the papers show it. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, TextField],
  template: `
    <div class="g-dialog">
      <h2 id="accept-title">Accept it as it is</h2>
      @if (finding(); as f) {
        <p>{{ f.message }}</p>
        <p class="quiet">{{ f.why }} It stands on ticket and card with your reason, and comes back when its figures change.</p>
      }
      <form [formGroup]="form" (ngSubmit)="accept()" novalidate>
        <g-text-field label="Reason" limit="jointWords" [control]="form.controls.reason" [words]="{ required: 'Say why it may stay.' }" />
        <g-text-field label="Initials" limit="initials" [control]="form.controls.by" [words]="{ required: 'Say who accepts it.' }" />
        <div class="actions">
          <button type="button" class="g-button" (click)="modal.dismiss()">Cancel</button>
          <button type="submit" class="g-button filled">Accept it</button>
        </div>
      </form>
    </div>
  `,
  styles: `
    .quiet {
      color: var(--quiet);
    }
  `,
})
export class AcceptDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(JobStore);
  private readonly preferences = inject(Preferences);
  readonly finding = signal<Finding | null>(null);
  protected readonly form = new FormGroup({
    reason: new FormControl('', {
      nonNullable: true,
      validators: [(c) => Validators.required(c), Validators.pattern(/\S/), Validators.maxLength(letters.jointWords)],
    }),
    by: new FormControl(this.preferences.initials(), {
      nonNullable: true,
      validators: [(c) => Validators.required(c), Validators.pattern(/\S/), Validators.maxLength(letters.initials)],
    }),
  });

  protected accept(): void {
    const finding = this.finding();
    this.form.markAllAsTouched();
    if (!finding || this.form.invalid) return;
    const { reason, by } = this.form.getRawValue();
    this.preferences.initials.set(by.trim());
    const waiver = {
      rule: finding.rule,
      at: placeKey(finding.at),
      figures: figuresOfFinding(finding),
      by: by.trim(),
      reason: reason.trim(),
      on: today(),
    };
    if (this.store.attempt(() => this.store.change({ do: 'accept-finding', waiver }), `${finding.title}: accepted`)) this.modal.close();
  }
}
