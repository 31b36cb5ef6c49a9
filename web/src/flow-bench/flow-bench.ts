import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import {
  alongHose,
  downDrain,
  FlowFigureError,
  formatQuantity,
  oils,
  throughHole,
  type JobOil,
  type OilId,
  type OneAnswer,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { TopBar } from '../shell/top-bar';
import { houseTemperature, houseValue } from '../sizing/figure';
import { LineChart, type Curve } from '../sizing/line-chart';
import { WorkingDialog } from '../sizing/working-dialog';

type Question = 'hole' | 'drain' | 'hose';
const questions: readonly { readonly id: Question; readonly name: string; readonly asks: string }[] = [
  { id: 'hole', name: 'Through a hole', asks: 'How much passes a restrictor or orifice at a pressure?' },
  { id: 'drain', name: 'Down a drain', asks: 'How much does a drain carry by its fall alone?' },
  { id: 'hose', name: 'Along a hose', asks: 'What does a length of hose take of the pressure?' },
];
const CURVE_STEPS = 13;

/** One question of flow, without a job: cold, warm and hot at once. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, LineChart, QuantityInput, ReactiveFormsModule, RouterLink, TopBar],
  templateUrl: './flow-bench.html',
  styleUrl: './flow-bench.scss',
})
export class FlowBench {
  protected readonly store = inject(JobStore);
  protected readonly preferences = inject(Preferences);
  private readonly shop = inject(ShopStore);
  private readonly modal = inject(NgbModal);
  protected readonly questions = questions;
  protected readonly asked = signal<Question>('hole');
  protected readonly asks = computed(() => questions.find((q) => q.id === this.asked())!.asks);
  protected readonly oils: readonly Choice<OilId>[] = oils.map(({ id, name }) => ({ value: id as OilId, name }));
  protected readonly form = new FormGroup({
    oil: new FormControl<OilId>('10w40', { nonNullable: true }),
    coldC: new FormControl(0, { nonNullable: true }),
    hotC: new FormControl(120, { nonNullable: true }),
    holeMm: new FormControl(1.2, { nonNullable: true }),
    dropBar: new FormControl(3, { nonNullable: true }),
    drainMm: new FormControl(12.7, { nonNullable: true }),
    fallMm: new FormControl(150, { nonNullable: true }),
    drainLengthMm: new FormControl(400, { nonNullable: true }),
    hoseMm: new FormControl(10.3, { nonNullable: true }),
    lengthMm: new FormControl(3000, { nonNullable: true }),
    flowLpm: new FormControl(20, { nonNullable: true }),
  });
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.getRawValue() });
  /** Bores of the usual hoses, to choose from. */
  protected readonly bores = computed(() =>
    (this.shop.catalogue()?.hoses ?? [])
      .filter((h) => h.construction === 'ptfe' && h.core !== 'conductive')
      .map((h) => ({ name: `-${h.dash}`, mm: h.boreMm })),
  );

  protected readonly answered = computed((): { readonly answers: readonly OneAnswer[]; readonly problem: string | null } => {
    void this.typed();
    const { coldC, hotC } = this.form.getRawValue();
    if (!(coldC < hotC)) return { answers: [], problem: 'The cold start has to be colder than the hottest.' };
    try {
      return { answers: [coldC, Math.round((coldC + hotC) / 2), hotC].map((t) => this.at(t)), problem: null };
    } catch (error) {
      if (error instanceof FlowFigureError) return { answers: [], problem: `${error.message} ${error.hint}` };
      throw error;
    }
  });
  protected readonly curves = computed((): Curve[] => {
    if (this.answered().answers.length === 0) return [];
    const { coldC, hotC } = this.form.getRawValue();
    const system = this.preferences.system();
    const points = Array.from({ length: CURVE_STEPS }, (_, i) => this.at(coldC + ((hotC - coldC) * i) / (CURVE_STEPS - 1))).map((a) => ({
      x: houseTemperature(a.tempC, system),
      y: houseValue(a.value, a.unit, system),
    }));
    return [{ name: this.asks(), points, ink: 'blue', thick: true }];
  });
  protected readonly unit = computed(() => {
    const unit = this.asked() === 'hose' ? 'bar' : 'L/min';
    return this.preferences.system() === 'metric' ? unit : unit === 'bar' ? 'psi' : 'gal/min';
  });

  protected degrees(): string {
    return this.preferences.system() === 'metric' ? '°C' : '°F';
  }

  protected figure({ value, unit }: OneAnswer): string {
    const system = this.preferences.system();
    return formatQuantity(value, unit === 'bar' ? 'pressure' : 'flow', system, { decimals: value < 1 ? 2 : 1 });
  }

  protected temperature({ tempC }: OneAnswer): string {
    return formatQuantity(tempC, 'temperature', this.preferences.system(), { decimals: 0 });
  }

  protected working({ working }: OneAnswer): void {
    const dialog = this.modal.open(WorkingDialog, { ariaLabelledBy: 'working-title', size: 'lg', scrollable: true });
    (dialog.componentInstance as WorkingDialog).working.set(working);
  }

  protected takeBore(mm: number): void {
    this.form.controls[this.asked() === 'drain' ? 'drainMm' : 'hoseMm'].setValue(mm);
  }

  private at(tempC: number): OneAnswer {
    const v = this.form.getRawValue();
    const oil: JobOil = { grade: v.oil };
    switch (this.asked()) {
      case 'hole':
        return throughHole({ boreMm: v.holeMm, dropBar: v.dropBar, oil }, tempC);
      case 'drain': {
        const { drainFillPercent, froth } = this.shop.flowRulesRow().rules;
        return downDrain(
          { boreMm: v.drainMm, fallMm: v.fallMm, lengthMm: v.drainLengthMm, oil, filling: drainFillPercent / 100, froth },
          tempC,
        );
      }
      case 'hose':
        return alongHose({ boreMm: v.hoseMm, lengthMm: v.lengthMm, flowLpm: v.flowLpm, oil }, tempC);
    }
  }
}
