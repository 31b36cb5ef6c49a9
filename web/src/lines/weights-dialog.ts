import { ChangeDetectionStrategy, Component, inject, linkedSignal, signal } from '@angular/core';
import { usualWeights, type ChainWeights } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { ShopWeights } from '../data/shop-weights';

type MoneyWeight = Exclude<keyof ChainWeights, 'price' | 'elbows'>;

/** What the shop counts after the joints, figure by figure, each with what it changes. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, templateUrl: './weights-dialog.html', styleUrl: './weights-dialog.scss' })
export class WeightsDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(ShopWeights);
  protected readonly weights = linkedSignal(() => this.store.weights());
  protected readonly error = signal<string | null>(null);
  protected readonly figures: readonly { id: MoneyWeight; words: string; per: string; why: string }[] = [
    { id: 'toOrderMinor', words: 'Not on the shelf', per: 'a part', why: 'Higher: ways from the shelf come first.' },
    { id: 'leadDayMinor', words: 'Waiting', per: 'a day', why: 'For the slowest part of a way, in steps of 3, 7, 14 and 30 days.' },
    { id: 'furtherPartMinor', words: 'A further kind of part', per: 'a part', why: 'Higher: fewer different parts over the whole job.' },
    { id: 'unpricedMinor', words: 'A part without a price', per: 'a part', why: 'What it is taken to cost.' },
    { id: 'stackMmMinor', words: 'Stack', per: 'a millimetre', why: 'A long stack levers on its port and is in the way.' },
    {
      id: 'smallThreadGramMinor',
      words: 'Weight on a small thread',
      per: 'a gram',
      why: 'In full at M10 and 1/8, nothing from 18 mm: engines shake.',
    },
    { id: 'boreMmMinor', words: 'Narrower than the hose end', per: 'a millimetre', why: 'For each fitting that throttles the line.' },
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

  protected money(id: MoneyWeight): string {
    return (this.weights()[id] / 100).toFixed(2);
  }

  protected set(id: MoneyWeight, text: string): void {
    const value = Number(text.trim().replace(',', '.'));
    const good = text.trim() !== '' && Number.isFinite(value) && value >= 0 && value <= 1000;
    this.error.set(good ? null : `"${text}" is not an amount from 0 to 1000.`);
    if (good) this.weights.update((w) => ({ ...w, [id]: Math.round(value * 100) }));
  }

  protected setElbows(elbows: string): void {
    this.weights.update((w) => ({ ...w, elbows: elbows as ChainWeights['elbows'] }));
  }

  protected usual(): void {
    this.weights.set(usualWeights);
    this.error.set(null);
  }

  protected async save(): Promise<void> {
    if (this.error()) return;
    try {
      await this.store.set(this.weights());
      this.modal.close();
    } catch (error) {
      this.error.set((error as Error).message);
    }
  }
}
