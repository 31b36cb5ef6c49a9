import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  bodyColumns,
  endColumns,
  listLimits,
  otherCurrencyCodes,
  partColumns,
  partSections,
  plainColumns,
  shopContracts,
  type AnswerOf,
  type ListMoney,
  type PartSection,
} from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { ShopStore } from '../data/shop-store';
import { Attempt } from '../shared/attempt';
import { readTextFile } from '../shared/read-text-file';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { ListColumns } from '../shared/list-columns';
import { TextField } from '../shared/text-field';
import { figure, read } from './part-fields';

type ListPreview = AnswerOf<typeof shopContracts.previewList>;

/** Largest list the server takes. */
const MOST_BYTES = listLimits.letters;
type Currency = ListMoney['currency'] | 'EUR';

/** A supplier's list: which column is which, what it would change, which lines cannot be read; then all of it or nothing. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ListColumns, ReactiveFormsModule, TextField],
  templateUrl: './import-dialog.html',
  styleUrl: './import-dialog.scss',
})
export class ImportDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private csv = '';
  protected readonly fileName = signal('');
  protected readonly preview = signal<ListPreview | null>(null);
  private readonly trying = new Attempt();
  protected readonly error = this.trying.error;
  protected readonly busy = this.trying.busy;

  /** What the list is of. */
  readonly section = signal<PartSection>('fitting');
  protected readonly many = computed(() => partSections.find((s) => s.id === this.section())!.many);
  protected readonly columns = computed((): Choice<string>[] => {
    const section = this.section();
    const known =
      section === 'fitting' ? [...partColumns, ...bodyColumns, ...endColumns.map((name) => ({ id: name, name }))] : plainColumns(section);
    return [{ value: '', name: 'left out' }, ...known.map(({ id, name }) => ({ value: id, name }))];
  });
  /** The money of the list belongs to it: asked for, and kept beside the price in euros. */
  protected readonly currencies: readonly Choice<Currency>[] = [
    { value: 'EUR', name: 'euros' },
    ...otherCurrencyCodes.map((code) => ({ value: code, name: code })),
  ];
  protected readonly money = new FormGroup({
    currency: new FormControl<Currency>('EUR', { nonNullable: true }),
    euros: new FormControl('', { nonNullable: true, validators: [figure('a rate', false, 0.0001)] }),
  });
  /** The list is a count of the shelves. */
  protected readonly counted = new FormControl(false, { nonNullable: true });
  protected readonly shown = computed(() => {
    const p = this.preview();
    if (!p) return [];
    const row = (mark: string) => (f: ListPreview['added'][number]) => ({
      mark,
      code: f.code ?? '',
      name: f.name,
      says: f.says,
      price: f.priceMinor === undefined ? '—' : (f.priceMinor / 100).toFixed(2),
    });
    return [...p.added.slice(0, 8).map(row('new')), ...p.changed.slice(0, 8).map(row('changed'))];
  });

  protected async choose(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    this.preview.set(null);
    this.counted.setValue(false);
    this.fileName.set(file.name);
    if (file.size > MOST_BYTES) {
      this.error.set(`The file is ${(file.size / 1024 / 1024).toFixed(1)} MB, and 8 MB are the most. Split the list.`);
      return;
    }
    this.csv = await readTextFile(file);
    await this.look();
  }

  /** Another money, or another rate: the list is looked at anew, by the columns as they are matched. */
  protected async reckon(): Promise<void> {
    if (this.preview() && this.moneyGiven() !== null) await this.look(this.preview()!.mapping);
  }

  /** Null while the rate is not said. */
  protected moneyGiven(): ListMoney | undefined | null {
    const { currency, euros } = this.money.getRawValue();
    if (currency === 'EUR') return undefined;
    return this.money.controls.euros.invalid || euros.trim() === '' ? null : { currency, euros: read(euros) };
  }

  protected async take(): Promise<void> {
    const p = this.preview();
    // the money that is said now, whatever the preview was reckoned with: a list must never be taken for euros by a slip
    const money = this.moneyGiven();
    if (!p || money === null) return;
    const { added, changed } = p.counts;
    const counted = this.counted.value;
    await this.trying.run(async () => {
      await firstValueFrom(this.shop.importList(this.csv, this.section(), p.mapping, money, counted));
      this.modal.close({ added, changed });
    });
  }

  protected async look(mapping?: ListPreview['mapping']): Promise<void> {
    const money = this.moneyGiven() ?? undefined;
    const body = {
      csv: this.csv,
      section: this.section(),
      ...(mapping ? { mapping } : {}),
      ...(money ? { money } : {}),
      ...(this.counted.value ? { counted: true } : {}),
    };
    await this.trying.run(async () => this.preview.set(await firstValueFrom(this.api.call(shopContracts.previewList, { body }))));
  }
}
