import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { type AbstractControl, FormControl, FormRecord, ReactiveFormsModule, type ValidationErrors } from '@angular/forms';
import { houseUnits, unitBySymbol, usualWeights, type ChainWeights } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { ChoiceField, plainChoices } from '../shared/choice-field';
import { TextField } from '../shared/text-field';
import { SetOver } from '../shared/set-over';

type MoneyWeight = Exclude<keyof ChainWeights, 'price' | 'elbows' | 'metal'>;

const amount = (control: AbstractControl<string>): ValidationErrors | null => {
  const text = control.value.trim();
  const value = Number(text.replace(',', '.'));
  return text !== '' && Number.isFinite(value) && value >= 0 && value <= 1000
    ? null
    : { said: `"${control.value}" is not an amount from 0 to 1000.` };
};

interface Weighed {
  readonly id: MoneyWeight;
  readonly words: string;
  readonly per: string;
  /** Counted by length: kept a millimetre, said in the unit of the house. */
  readonly perLength?: true;
  readonly why: string;
}

/** What the shop counts after the joints, figure by figure, each with what it changes. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ReactiveFormsModule, TextField],
  templateUrl: './weights-dialog.html',
  styleUrl: './weights-dialog.scss',
})
export class WeightsDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(ShopStore);
  protected readonly elbows = plainChoices(
    ['unwanted', 'either', 'wanted'] as const,
    (e) => `elbows are ${e === 'either' ? 'all the same' : e}`,
  );
  protected readonly metals = plainChoices(['aluminium', 'steel', 'stainless', 'brass'] as const, (metal) => `preferred: ${metal}`);
  private readonly length = unitBySymbol(houseUnits[inject(Preferences).system()].length);
  private readonly aLength = this.length.symbol === 'in' ? 'an inch' : 'a millimetre';
  protected readonly figures: readonly Weighed[] = [
    { id: 'toOrderMinor', words: 'Not on the shelf', per: 'a part', why: 'Higher: ways from the shelf come first.' },
    { id: 'leadDayMinor', words: 'Waiting', per: 'a day', why: 'For the slowest part of a way, in steps of 3, 7, 14 and 30 days.' },
    { id: 'furtherPartMinor', words: 'A further kind of part', per: 'a part', why: 'Higher: fewer different parts over the whole job.' },
    {
      id: 'rareMinor',
      words: 'Not a common part',
      per: 'a part',
      why: 'For what has to be ordered; three times that for what is seldom made.',
    },
    { id: 'otherMetalMinor', words: 'Another metal', per: 'a part', why: 'By the metal the shop prefers.' },
    { id: 'unpricedMinor', words: 'A part without a price', per: 'a part', why: 'What it is taken to cost.' },
    { id: 'stackMmMinor', words: 'Stack', per: this.aLength, perLength: true, why: 'A long stack levers on its port and is in the way.' },
    {
      id: 'smallThreadGramMinor',
      words: 'Weight on a small thread',
      per: 'a gram',
      why: 'In full at M10 and 1/8, nothing from 18 mm: engines shake.',
    },
    {
      id: 'boreMmMinor',
      words: 'Narrower than the hose end',
      per: this.aLength,
      perLength: true,
      why: 'For each fitting that throttles the line.',
    },
    {
      id: 'sealantMinor',
      words: 'Sealed by sealant on threads',
      per: 'a joint',
      why: 'Faces and rings come apart and go together again more surely.',
    },
    {
      id: 'aimMinor',
      words: 'An elbow that cannot be aimed',
      per: 'an elbow',
      why: 'Without a swivel, adjustable end or banjo it points where it stops.',
    },
    { id: 'elbowMinor', words: 'Elbows', per: 'an elbow', why: 'By the choice beside: for each one, or once where none is there.' },
  ];

  protected readonly form = new FormRecord<FormControl<string>>(
    Object.fromEntries(this.figures.map(({ id }) => [id, new FormControl('', { nonNullable: true, validators: [amount] })])),
  );
  protected readonly elbow = new FormControl<ChainWeights['elbows']>('unwanted', { nonNullable: true });
  protected readonly metal = new FormControl<NonNullable<ChainWeights['metal']>>('aluminium', { nonNullable: true });

  /** What stood when the dialog was opened: what somebody else sets meanwhile is not gone over unasked. */
  private readonly before = this.store.weightsRow();
  private readonly setting = new SetOver(this.before.version);
  protected readonly error = this.setting.error;
  /** What the fields were filled from. */
  private filled = this.before.weights;

  constructor() {
    this.fill(this.before.weights);
  }

  protected usual(): void {
    this.fill(usualWeights);
  }

  protected async save(): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const typed = this.form.getRawValue();
    const amounts = this.figures.map((figure) => [figure.id, this.kept(figure, typed[figure.id]!)] as const);
    const weights = {
      ...this.before.weights,
      ...(Object.fromEntries(amounts) as Partial<ChainWeights>),
      elbows: this.elbow.value,
      metal: this.metal.value,
    };
    if (await this.setting.run((over) => this.store.change({ do: 'set-weights', version: over, weights }))) this.modal.close();
  }

  private fill(weights: ChainWeights): void {
    this.filled = weights;
    this.form.setValue(Object.fromEntries(this.figures.map((figure) => [figure.id, this.said(figure)])));
    this.elbow.setValue(weights.elbows);
    this.metal.setValue(weights.metal ?? usualWeights.metal!);
    this.error.set(null);
  }

  private said({ id, perLength }: Weighed): string {
    return (((this.filled[id] ?? usualWeights[id]!) * (perLength ? this.length.factor : 1)) / 100).toFixed(2);
  }

  /** What is typed, as it is kept; what was left as it stood stays to the last digit. */
  private kept(figure: Weighed, text: string): number {
    if (text === this.said(figure)) return this.filled[figure.id] ?? usualWeights[figure.id]!;
    const minor = Math.round(Number(text.trim().replace(',', '.')) * 100);
    return figure.perLength ? Number((minor / this.length.factor).toFixed(4)) : minor;
  }
}
