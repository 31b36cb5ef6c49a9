import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { map } from 'rxjs';
import {
  differenceBetweenJobs,
  fluidOf,
  fluidById,
  fluids,
  judgedIf,
  oils,
  type Finding,
  type FluidId,
  type JudgedJob,
  type OilId,
  type Suppose,
} from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { altitudeChoices } from '../sizing/altitudes';

/** The whole job judged for another oil, a colder start, more power, another fuel, a height: what would be found then, without changing it. */
@Component({
  selector: 'g-what-if-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule],
  templateUrl: './what-if-panel.html',
  styleUrl: './what-if-panel.scss',
})
export class WhatIfPanel {
  readonly job = input.required<JudgedJob>();
  private readonly preferences = inject(Preferences);

  protected readonly form = new FormGroup({
    oil: new FormControl<OilId | null>(null),
    coldC: new FormControl<number | null>(null),
    moreBar: new FormControl<number | null>(null),
    fuel: new FormControl<FluidId | null>(null),
    altitudeM: new FormControl<number | null>(null),
    planned: new FormControl(false, { nonNullable: true }),
  });
  private readonly said = toSignal(this.form.valueChanges.pipe(map(() => this.form.getRawValue())), {
    initialValue: this.form.getRawValue(),
  });

  protected readonly oilChoices: readonly Choice<OilId | null>[] = [
    { value: null, name: 'as it is' },
    ...oils.map(({ id, name }) => ({ value: id as OilId, name })),
  ];
  protected readonly fuelChoices: readonly Choice<FluidId | null>[] = [
    { value: null, name: 'as it is' },
    ...fluids.filter((f) => f.group === 'fuel').map(({ id }) => ({ value: id as FluidId, name: id })),
  ];
  protected readonly altitudes = computed(() => altitudeChoices(this.preferences.system(), 'as it is'));
  protected readonly hasFuel = computed(() => this.job().lines.some(({ line }) => fluidById(fluidOf(line)).group === 'fuel'));
  protected readonly hasPlan = computed(() => {
    const { plannedKw, plannedRevs } = this.job().document.job.running ?? {};
    return plannedKw !== undefined || plannedRevs !== undefined;
  });

  private readonly suppose = computed((): Suppose => {
    const { oil, coldC, moreBar, fuel, altitudeM, planned } = this.said();
    return {
      ...(oil ? { oil: { grade: oil } } : {}),
      ...(coldC === null ? {} : { coldC }),
      ...(moreBar === null || moreBar === 0 ? {} : { moreBar }),
      ...(fuel ? { fuel } : {}),
      ...(altitudeM === null ? {} : { altitudeM }),
      ...(planned ? { planned: true as const } : {}),
    };
  });
  protected readonly asked = computed(() => Object.keys(this.suppose()).length > 0);
  protected readonly difference = computed(() => {
    const [job, suppose] = [this.job(), this.suppose()];
    return this.asked() ? differenceBetweenJobs(job, judgedIf(job, suppose)) : null;
  });
  protected readonly lists = computed(() => {
    const d = this.difference();
    const told = (list: readonly Finding[]) => list.map((finding) => ({ finding, line: this.lineOf(finding) }));
    return d
      ? [
          { title: 'It would be found', rows: told(d.new) },
          { title: 'It would be gone', rows: told(d.gone) },
        ]
      : [];
  });

  private lineOf({ at }: Finding): string {
    const line = at.lineId === undefined ? undefined : this.job().lineById.get(at.lineId);
    return line ? `L${line.line.number} ${line.line.name}` : 'The job';
  }
}
