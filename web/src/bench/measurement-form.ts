import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { formatDecimal, formatQuantity } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { QuantityInput } from '../shared/quantity-input';
import { TextField } from '../shared/text-field';
import { countOf, MeasurementStore, nothingMeasured, type Figures } from './measurement-store';
import { TrialRows } from './trial-rows';

/** The measured figures, in any unit; what cannot be is said at the field. */
@Component({
  selector: 'g-measurement-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityInput, ReactiveFormsModule, TextField, TrialRows],
  templateUrl: './measurement-form.html',
  styleUrl: './measurement-form.scss',
})
export class MeasurementForm {
  protected readonly store = inject(MeasurementStore);
  protected readonly preferences = inject(Preferences);
  protected readonly figures = this.store.figures;
  protected readonly example = computed(() =>
    formatQuantity(this.figures().side === 'external' ? 13.87 : 12.5, 'length', this.preferences.system(), {
      decimals: 2,
      inchDecimals: 3,
      bare: true,
    }),
  );
  protected readonly fine = { decimals: 2, inchDecimals: 4 };
  protected readonly pitchPlaces = { decimals: 3, inchDecimals: 4 };
  protected readonly tapers = ['unknown', 'parallel', 'tapered'] as const;
  protected readonly flanks = [null, 55, 60] as const;
  protected readonly taperWords = computed(() => {
    const taper = this.store.taperPerMm();
    if (taper === null) return null;
    if (taper < 1e-6) return 'No taper between the two places: parallel.';
    const words = `1 in ${formatDecimal(1 / taper, 0)}`;
    return this.store.measurement().taper === 'tapered'
      ? `${words}: tapered (pipe threads have 1 in 16).`
      : `${words}: parallel, within the reading.`;
  });
  protected readonly form = new FormGroup({
    diameterMm: new FormControl<number | null>(null),
    uncertaintyMm: new FormControl<number | null>(nothingMeasured.uncertaintyMm),
    pitchMm: new FormControl<number | null>(null),
    /** Read as it is left: a count such as `18`, `11.5` or `11 1/2`; what is no number is said. */
    threadsPerInch: new FormControl('', { nonNullable: true, updateOn: 'blur' }),
    frontMm: new FormControl<number | null>(null),
    backMm: new FormControl<number | null>(null),
    apartMm: new FormControl<number | null>(nothingMeasured.apartMm),
  });

  constructor() {
    effect(() => {
      const { threadsPerInch, ...figures } = this.figures();
      untracked(() => {
        for (const [name, control] of Object.entries(this.form.controls))
          if (name !== 'threadsPerInch' && control.value !== figures[name as keyof typeof figures])
            control.setValue(figures[name as keyof typeof figures] as never, { emitEvent: false });
        // what was typed stays, even where it is no number
        if (!Number.isNaN(threadsPerInch) && countOf(this.form.controls.threadsPerInch.value) !== threadsPerInch)
          this.form.controls.threadsPerInch.setValue(threadsPerInch === null ? '' : String(threadsPerInch), { emitEvent: false });
      });
    });
    this.form.valueChanges.pipe(takeUntilDestroyed()).subscribe(() => {
      const { threadsPerInch, uncertaintyMm, apartMm, ...rest } = this.form.getRawValue();
      const said: Partial<Figures> = {
        ...rest,
        threadsPerInch: countOf(threadsPerInch),
        uncertaintyMm: uncertaintyMm ?? nothingMeasured.uncertaintyMm,
        apartMm: apartMm ?? nothingMeasured.apartMm,
      };
      const now = this.figures();
      const changed = Object.entries(said).filter(([name, value]) => !Object.is(value, now[name as keyof Figures]));
      if (changed.length > 0) this.set(Object.fromEntries(changed));
    });
  }

  protected set(change: Partial<Figures>): void {
    this.store.set(change);
  }
}
