import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  bedWords,
  checkRing,
  compounds,
  fluids,
  formatQuantity,
  ringWords,
  specifyRing,
  type FluidId,
  type RingBed,
  type SealUse,
} from '@gewinde/core';
import { map } from 'rxjs';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { ChoiceField, type Choice } from './choice-field';
import { QuantityInput } from './quantity-input';

/** The ring for a groove: which of the catalogue, what to ask for where there is none, and whether one in hand would do. */
@Component({
  selector: 'g-ring-check',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule],
  templateUrl: './ring-check.html',
  styleUrl: './ring-check.scss',
})
export class RingCheck {
  readonly bed = input.required<RingBed>();
  /** What it must bear; asked for where no line says it. */
  readonly use = input<SealUse | null>(null);
  protected readonly preferences = inject(Preferences);
  private readonly shop = inject(ShopStore);
  /** Rings are told apart by hundredths of a millimetre. */
  protected readonly fine = { decimals: 2, inchDecimals: 3 };
  protected readonly fluids: readonly Choice<FluidId>[] = fluids.filter((f) => !f.refused).map(({ id }) => ({ value: id, name: id }));
  protected readonly compounds: readonly Choice<string | null>[] = [
    { value: null, name: 'not known' },
    ...compounds.map(({ id, name }) => ({ value: id, name })),
  ];
  protected readonly form = new FormGroup({
    fluid: new FormControl<FluidId>('engine oil', { nonNullable: true }),
    insideMm: new FormControl<number | null>(null),
    sectionMm: new FormControl<number | null>(null),
    compound: new FormControl<string | null>(null),
  });
  private readonly typed = toSignal(this.form.valueChanges.pipe(map(() => this.form.getRawValue())), {
    initialValue: this.form.getRawValue(),
  });
  private readonly met = computed((): SealUse => this.use() ?? { fluid: this.typed().fluid });

  protected readonly where = computed(() => bedWords(this.bed()));
  protected readonly answer = computed(() => {
    const said = specifyRing(this.bed(), this.met(), this.shop.catalogue()?.supplies ?? [], this.shop.schools().seals);
    const { best, others, wanted } = said;
    return {
      ...said,
      name: best?.part?.name,
      others: others.map((ring) => ({ name: ring.part?.name, words: ringWords(ring) })),
      ask: best || !wanted ? undefined : `${this.size(wanted.insideMm)} inside, cord ${this.size(wanted.sectionMm)}`,
    };
  });
  protected readonly inHand = computed(() => {
    const { insideMm, sectionMm, compound } = this.typed();
    if (insideMm === null || sectionMm === null || this.form.controls.insideMm.invalid || this.form.controls.sectionMm.invalid) return null;
    return checkRing(this.bed(), { insideMm, sectionMm, ...(compound ? { compound } : {}) }, this.met());
  });

  private size(mm: number): string {
    return formatQuantity(mm, 'length', this.preferences.system(), this.fine);
  }
}
