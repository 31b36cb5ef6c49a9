import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { toSignal } from '@angular/core/rxjs-interop';
import { fluids, ringCompound, compounds, usualSealRules, type SealRules } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { ShopStore } from '../data/shop-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { SetOver } from '../shared/set-over';

/** Which seals the shop takes where several would do: each choice with its school and its reason. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ReactiveFormsModule],
  templateUrl: './seal-rules-dialog.html',
  styles: `
    ol {
      margin: 0 0 6px;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 22px minmax(190px, auto) 1fr auto;
      gap: 8px;
      align-items: center;
      padding: 4px 0;
      border-bottom: 1px solid var(--line);
    }
    h3 {
      margin: 14px 0 4px;
      font-size: 15px;
    }
    .quiet,
    li small {
      color: var(--quiet);
      font-size: 13px;
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 18px;
    }
  `,
})
export class SealRulesDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(ShopStore);
  /** In the order in which they are tried. */
  protected readonly rings = new FormControl<SealRules['rings']>([], { nonNullable: true });
  private readonly order = toSignal(this.rings.valueChanges, { initialValue: [] as SealRules['rings'] });
  protected readonly listed = computed(() =>
    this.order().map((id) => {
      const { name, maxC, note } = compounds.find((c) => c.id === id)!;
      return { id, name: name.charAt(0).toUpperCase() + name.slice(1), note: `to ${maxC} °C. ${note}` };
    }),
  );
  /** What each fluid gets by this order, at its usual heat. */
  protected readonly taken = computed(() => {
    const rules = { ...usualSealRules, rings: this.order() };
    return fluids
      .filter((fluid) => !fluid.refused)
      .map(({ id }) => `${id} ${ringCompound({ fluid: id }, rules)?.id.toUpperCase() ?? 'none'}`)
      .join(', ');
  });
  protected readonly washer = new FormControl<SealRules['flatWasher']>('copper', { nonNullable: true });
  protected readonly washers: readonly Choice<SealRules['flatWasher']>[] = [
    { value: 'copper', name: 'copper' },
    { value: 'aluminium', name: 'aluminium' },
  ];
  protected readonly sealant = new FormControl<SealRules['sealant']>('liquid', { nonNullable: true });
  protected readonly sealants: readonly Choice<SealRules['sealant']>[] = [
    { value: 'liquid', name: 'liquid sealant' },
    { value: 'tape', name: 'tape' },
  ];
  protected readonly form = new FormGroup({ washer: this.washer, sealant: this.sealant });
  /** What stood when the dialog was opened: what somebody else sets meanwhile is not gone over unasked. */
  private readonly before = this.store.sealRulesRow();
  private readonly setting = new SetOver(this.before.version);
  protected readonly error = this.setting.error;

  constructor() {
    this.fill(this.before.rules);
  }

  protected usual(): void {
    this.fill(usualSealRules);
  }

  protected move(at: number, by: 1 | -1): void {
    const next = [...this.rings.value];
    const [taken] = next.splice(at, 1);
    next.splice(at + by, 0, taken!);
    this.rings.setValue(next);
  }

  protected async save(): Promise<void> {
    const rules = { rings: this.rings.value, flatWasher: this.washer.value, sealant: this.sealant.value };
    if (await this.setting.run((over) => this.store.change({ do: 'set-seal-rules', version: over, rules }))) this.modal.close();
  }

  private fill({ rings, flatWasher, sealant }: SealRules): void {
    // a compound that is not in the list is tried last
    this.rings.setValue([...rings, ...compounds.map((c) => c.id).filter((id) => !rings.includes(id))]);
    this.washer.setValue(flatWasher);
    this.sealant.setValue(sealant);
    this.error.set(null);
  }
}
