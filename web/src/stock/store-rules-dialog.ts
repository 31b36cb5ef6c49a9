import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { usualStoreRules, type StoreRules, taped } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { StockroomStore } from '../data/stockroom-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { TextField } from '../shared/text-field';
import { SetOver } from '../shared/set-over';

/** How the shop cuts, keeps and buys: each rule with its reason. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule, TextField],
  templateUrl: './store-rules-dialog.html',
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
    h3 {
      margin: 8px 0 0;
      font: 600 18px/1.2 var(--head);
    }
    .tick {
      display: flex;
      gap: 8px;
      align-items: baseline;
    }
  `,
})
export class StoreRulesDialog {
  protected readonly modal = inject(NgbActiveModal);
  protected readonly rough = taped(20);
  private readonly store = inject(StockroomStore);
  protected readonly goals: readonly Choice<StoreRules['goal']>[] = [
    { value: 'cost', name: 'the least money that comes in time' },
    { value: 'soonest', name: 'as soon as can be' },
    { value: 'fewest', name: 'as few suppliers as can be' },
  ];
  protected readonly papers: readonly Choice<StoreRules['paper']>[] = [
    { value: 'A4', name: 'A4' },
    { value: 'Letter', name: 'Letter' },
  ];
  protected readonly form = new FormGroup(
    Object.fromEntries(Object.entries(usualStoreRules).map(([name, value]) => [name, new FormControl(value, { nonNullable: true })])) as {
      [K in keyof StoreRules]: FormControl<StoreRules[K]>;
    },
  );
  /** What stood when the dialog was opened: what somebody else sets meanwhile is not gone over unasked. */
  private readonly setting = new SetOver(this.store.room().rulesVersion);
  protected readonly error = this.setting.error;

  constructor() {
    this.form.setValue(this.store.rules());
  }

  protected usual(): void {
    this.form.setValue({ ...usualStoreRules, shop: this.form.controls.shop.value });
  }

  protected async save(): Promise<void> {
    if (this.form.invalid) return;
    if (await this.setting.run((over) => this.store.change({ do: 'set-store-rules', version: over, rules: this.form.getRawValue() })))
      this.modal.close();
  }
}
