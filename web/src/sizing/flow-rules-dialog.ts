import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, type ValidatorFn } from '@angular/forms';
import { usualFlowRules, type FlowRules } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { ShopStore } from '../data/shop-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { SetOver } from '../shared/set-over';

/** A figure there is, and within its bounds. */
function within(least: number, most: number): ValidatorFn {
  return ({ value }) => (typeof value === 'number' && value >= least && value <= most ? null : { range: true });
}

/** What the shop reckons flow with where schools differ: each with its reason. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule],
  template: `
    <div class="g-dialog">
      <h2 id="flow-rules-title">What the shop reckons flow with</h2>
      <form [formGroup]="form" (ngSubmit)="save()" novalidate>
        <p class="quiet">
          Where practitioners differ, the house decides; this holds for every job. A maker's figure goes before all of it.
        </p>
        @let c = form.controls;
        <div class="two">
          <div>
            <g-quantity-input
              label="Heat into the oil, of the power"
              kind="percent"
              [min]="1"
              [max]="40"
              [formControl]="c.heatToOilPercent"
            />
            <p class="quiet">
              About 8 % in a road engine; boosted, with piston jets or on the track 10 to 15 % and more. 12 % errs to a larger cooler.
            </p>
          </div>
          <div>
            <g-quantity-input label="A drain runs quietly to" kind="percent" [min]="10" [max]="100" [formControl]="c.drainFillPercent" />
            <p class="quiet">Half: the other half lets air and blow-by past. It is told beside the verdict, which goes by the full bore.</p>
          </div>
          <div>
            <label class="g-field" for="froth"><span>Froth takes so many times the oil</span></label>
            <input id="froth" class="g-input g-figure" type="number" min="1" max="5" step="0.1" formControlName="froth" />
            <p class="quiet">At its full bore 1.5 is what practice bears out behind a turbo; 2 refuses most drains that run.</p>
          </div>
          <div>
            <label class="g-field" for="sleeve"><span>A heat sleeve takes off, K</span></label>
            <input id="sleeve" class="g-input g-figure" type="number" min="0" max="300" formControlName="sleeveK" />
            <p class="quiet">Off what is around the hose; its maker's figure where there is one. Inside it the oil is as hot as it is.</p>
          </div>
          <g-choice-field
            label="Hose taken first"
            [choices]="hoses"
            [control]="c.hoseSchool"
            hint="PTFE for heat and long life; rubber bends tighter and costs less."
          />
          <g-choice-field
            label="Oil coolers"
            [choices]="thermostats"
            [control]="c.thermostat"
            hint="With a thermostat for the road and cold places; without one for pure track cars, which then warm up longer."
          />
        </div>
        <p class="g-error" role="alert">{{ error() ?? '' }}</p>
        <div class="actions">
          <button type="button" class="g-button" (click)="usual()">The usual ones</button>
          <button type="button" class="g-button" (click)="modal.dismiss()">Cancel</button>
          <button type="submit" class="g-button filled" [disabled]="form.invalid">Set</button>
        </div>
      </form>
    </div>
  `,
  styles: `
    .quiet {
      margin: 3px 0 0;
      color: var(--quiet);
      font-size: 13px;
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 14px 18px;
    }
  `,
})
export class FlowRulesDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(ShopStore);
  protected readonly hoses: readonly Choice<FlowRules['hoseSchool']>[] = [
    { value: 'ptfe', name: 'PTFE' },
    { value: 'rubber', name: 'rubber' },
  ];
  protected readonly thermostats: readonly Choice<FlowRules['thermostat']>[] = [
    { value: 'thermostat', name: 'with a thermostat' },
    { value: 'none', name: 'without' },
  ];
  protected readonly form = new FormGroup({
    heatToOilPercent: new FormControl(0, { nonNullable: true }),
    drainFillPercent: new FormControl(0, { nonNullable: true }),
    froth: new FormControl(1, { nonNullable: true, validators: [within(1, 5)] }),
    hoseSchool: new FormControl<FlowRules['hoseSchool']>('ptfe', { nonNullable: true }),
    sleeveK: new FormControl(0, { nonNullable: true, validators: [within(0, 300)] }),
    thermostat: new FormControl<FlowRules['thermostat']>('thermostat', { nonNullable: true }),
  });
  /** What stood when the dialog was opened: what somebody else sets meanwhile is not gone over unasked. */
  private readonly setting = new SetOver(this.store.flowRulesRow().version);
  protected readonly error = this.setting.error;

  constructor() {
    this.form.patchValue(this.store.flowRulesRow().rules);
  }

  protected usual(): void {
    this.form.patchValue(usualFlowRules);
  }

  protected async save(): Promise<void> {
    if (
      await this.setting.run((over) =>
        this.store.change({
          do: 'set-flow-rules',
          version: over,
          rules: { ...this.store.flowRulesRow().rules, ...this.form.getRawValue() },
        }),
      )
    )
      this.modal.close();
  }
}
