import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { formatDecimal } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { QuantityInput } from '../shared/quantity-input';
import { MeasurementStore, type Figures } from './measurement-store';

/** The measured figures, in any unit; what cannot be is said at the field. */
@Component({
  selector: 'g-measurement-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityInput],
  templateUrl: './measurement-form.html',
  styleUrl: './measurement-form.scss',
})
export class MeasurementForm {
  protected readonly store = inject(MeasurementStore);
  protected readonly preferences = inject(Preferences);
  protected readonly figures = this.store.figures;
  protected readonly fine = { decimals: 2, inchDecimals: 4 };
  protected readonly pitchPlaces = { decimals: 3, inchDecimals: 4 };
  protected readonly tapers = ['unknown', 'parallel', 'tapered'] as const;
  protected readonly taperWords = computed(() => {
    const taper = this.store.taperPerMm();
    if (taper === null) return null;
    if (taper < 1e-6) return 'No taper between the two places: parallel.';
    const words = `1 in ${formatDecimal(1 / taper, 0)}`;
    return this.store.measurement().taper === 'tapered'
      ? `${words}: tapered (pipe threads have 1 in 16).`
      : `${words}: parallel, within the reading.`;
  });
  private readonly typedCount = signal('');
  /** What was typed stays, even where it is no number. */
  protected readonly count = computed(() => {
    const count = this.figures().threadsPerInch;
    return Number.isNaN(count) ? this.typedCount() : (count ?? '');
  });
  protected readonly countProblem = computed(() => this.store.problem('threadsPerInch'));

  protected set(change: Partial<Figures>): void {
    this.store.set(change);
  }

  /** Reads a count such as `18`, `11.5` or `11 1/2`; what is no number is said, and the last good one kept. */
  protected counted(event: Event): void {
    this.typedCount.set((event.target as HTMLInputElement).value);
    const text = this.typedCount().trim().replace(',', '.').replace(' 1/2', '.5');
    this.set({ threadsPerInch: text === '' ? null : Number(text) });
  }
}
