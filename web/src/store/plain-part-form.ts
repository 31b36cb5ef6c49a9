import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked } from '@angular/core';
import {
  type AbstractControl,
  FormControl,
  FormGroup,
  FormRecord,
  ReactiveFormsModule,
  type ValidationErrors,
  Validators,
} from '@angular/forms';
import {
  checkPart,
  cutToLength,
  entryFrom,
  fieldsOf,
  figuresIn,
  fluidIds,
  formatConnector,
  headOf,
  parseConnector,
  partSections,
  type CataloguePart,
  type PartEntry,
  type PartField,
  type PartHead,
  type PartSection,
  type QuantityKind,
  type ShopCommand,
} from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { type Choice, ChoiceField, plainChoices } from '../shared/choice-field';
import { refuse } from '../shared/field-problem';
import { QuantityInput } from '../shared/quantity-input';
import { endNotation } from '../shared/read-notation';
import { SetOver } from '../shared/set-over';
import { TextField } from '../shared/text-field';

type Value = string | number | null;
const KINDS = { mm: 'length', bar: 'pressure', celsius: 'temperature' } as const;
const MEASURED = new Set<PartField['type']>(['mm', 'bar', 'celsius']);
const read = (value: string): number => Number(value.trim().replace(',', '.'));
/** A figure in its bounds, or nothing where it may be left. */
const figure =
  (min: number, max: number, whole: boolean) =>
  ({ value }: AbstractControl<Value>): ValidationErrors | null => {
    const text = String(value ?? '').trim();
    if (text === '') return null;
    const number = read(text);
    if (!Number.isFinite(number)) return { said: `"${text}" is not a number.` };
    if (number < min || number > max) return { said: `It lies between ${min} and ${max}.` };
    return whole && !Number.isInteger(number) ? { said: `"${text}" is not a whole number.` } : null;
  };
const filled = ({ value }: AbstractControl<Value>): ValidationErrors | null =>
  value === null || String(value).trim() === '' ? { said: 'This must be said.' } : null;
const text = () => new FormControl('', { nonNullable: true });

/** A hose, hose end, seal or what is used up, being written: its figures by the table of its kind. */
@Component({
  selector: 'g-plain-part-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule, TextField],
  templateUrl: './plain-part-form.html',
  styleUrl: './part-form.scss',
})
export class PlainPartForm {
  readonly section = input.required<Exclude<PartSection, 'fitting'>>();
  /** The part as it stood when its form was opened, whatever becomes of it meanwhile; null for a new one. */
  readonly part = input<CataloguePart | null>(null);
  readonly saved = output<CataloguePart>();
  readonly cancelled = output<void>();
  private readonly shop = inject(ShopStore);
  protected readonly preferences = inject(Preferences);
  protected readonly fluids = fluidIds.filter((fluid) => fluid !== 'brake fluid');
  protected readonly one = computed(() => partSections.find((s) => s.id === this.section())!.one);
  protected readonly fields = computed(() => fieldsOf(this.section()));
  /** Cut to length: priced by the metre, and kept by its lengths on the rack. */
  protected readonly long = computed(() => cutToLength(this.section()));
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: [(c) => Validators.required(c), Validators.pattern(/\S/)] }),
    connector: new FormControl('', { nonNullable: true, validators: [endNotation] }),
    figures: new FormRecord<FormControl<Value>>({}),
    fluids: new FormRecord(Object.fromEntries(fluidIds.map((fluid) => [fluid, new FormControl(false, { nonNullable: true })]))),
    price: new FormControl('', { nonNullable: true, validators: [figure(0, 1_000_000, false)] }),
    shelf: new FormControl('', { nonNullable: true, validators: [figure(0, 1_000_000, true)] }),
    leadDays: new FormControl('', { nonNullable: true, validators: [figure(0, 1000, true)] }),
    supplier: text(),
    code: text(),
  });
  protected readonly nameWords = { required: 'A part needs a name.', pattern: 'A part needs a name.' };
  protected readonly error = signal<string | null>(null);
  protected saving = this.savingOver(0);

  constructor() {
    effect(() => {
      const part = this.part();
      const fields = this.fields();
      untracked(() => this.fill(part, fields));
    });
  }

  protected control(field: PartField): FormControl<Value> {
    return this.form.controls.figures.controls[field.name]!;
  }
  protected textControl(field: PartField): FormControl<string> {
    return this.control(field) as unknown as FormControl<string>;
  }
  protected measured(field: PartField): boolean {
    return MEASURED.has(field.type);
  }
  protected kindOf({ type }: PartField): QuantityKind {
    return KINDS[type as keyof typeof KINDS];
  }
  protected figureControl(field: PartField): FormControl<number | null> {
    return this.control(field) as FormControl<number | null>;
  }
  protected choices(field: PartField): Choice<Value>[] {
    return [
      ...(field.required && this.control(field).value !== null ? [] : [{ value: null, name: field.required ? 'Choose' : 'not said' }]),
      ...plainChoices(field.choices ?? []),
    ];
  }

  protected async save(): Promise<void> {
    this.form.markAllAsTouched();
    this.error.set(null);
    if (this.section() === 'hose end' && this.form.controls.connector.value.trim() === '')
      refuse({ connector: this.form.controls.connector }, 'connector', 'Say what it goes on with, in notation such as an6 f swivel.');
    if (this.form.invalid) return this.error.set(this.missing());
    const entry = this.whole();
    const problem = checkPart(entry)[0];
    if (problem) return this.refuse(problem.field, problem.message);
    const answer = await this.saving.ask((over) => this.shop.change(this.command(entry, over)));
    if (answer) this.saved.emit(answer.put.find((entity) => entity.type === 'part')!.row);
  }

  /** Fields that are still empty, by their labels. */
  private missing(): string | null {
    const empty = this.fields().filter((field) => field.type !== 'fluids' && this.control(field).value === null);
    const open = empty.filter((field) => this.control(field).invalid).map((field) => field.label);
    return open.length > 0 ? `Still to be said: ${open.join(', ')}.` : null;
  }

  private command(entry: PartEntry, over: number): ShopCommand {
    const before = this.part();
    if (!before) return { do: 'add-part', entry: entry as Extract<ShopCommand, { do: 'add-part' }>['entry'] };
    return { do: 'edit-part', id: before.id, version: over, entry };
  }

  private whole(): PartEntry {
    const said = this.form.getRawValue();
    const before = this.part();
    const words = (value: string): string | undefined => value.trim() || undefined;
    const number = (value: string): number | undefined => (value.trim() === '' ? undefined : read(value));
    const price = number(said.price);
    const head = compact({
      ...(before ? headOf(before) : {}),
      id: before?.id ?? `own-${(words(said.code) ?? said.name.trim()).toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
      name: said.name.trim(),
      priceMinor: price === undefined ? undefined : Math.round(price * 100),
      ...(this.long() ? {} : { shelf: number(said.shelf) }),
      leadDays: number(said.leadDays),
      supplier: words(said.supplier),
      code: words(said.code),
    }) as unknown as PartHead;
    const figures = Object.fromEntries(this.fields().flatMap((field) => this.figureOf(field, said)));
    const connector = this.section() === 'hose end' ? parseConnector(said.connector) : undefined;
    return entryFrom(this.section(), head, figures, connector);
  }

  private figureOf({ name, type }: PartField, said: ReturnType<typeof this.form.getRawValue>): [string, unknown][] {
    if (type === 'fluids') {
      const chosen = fluidIds.filter((fluid) => said.fluids[fluid]);
      return chosen.length > 0 ? [[name, chosen]] : [];
    }
    const value = said.figures[name] ?? null;
    if (value === null || String(value).trim() === '') return [];
    return [[name, type === 'number' ? read(String(value)) : typeof value === 'string' ? value.trim() : value]];
  }

  /** What somebody else saved since the form was opened is said first. */
  private savingOver(version: number): SetOver {
    return new SetOver(version, 'Save again to put yours over it, or cancel to see it as it is.', (message, field) =>
      this.refuse(field?.replace(/^commands\/0\/entry\/part\/(figures\/)?/, ''), message),
    );
  }

  /** At the field it is about; below the form otherwise. */
  private refuse(field: string | undefined, message: string): void {
    const { name, connector, code, figures } = this.form.controls;
    if (!refuse({ name, connector, code, ...figures.controls }, field, message)) this.error.set(message);
  }

  private fill(row: CataloguePart | null, fields: readonly PartField[]): void {
    this.saving = this.savingOver(this.part()?.version ?? 0);
    const said = row ? figuresIn(row) : {};
    const { figures, fluids } = this.form.controls;
    for (const name of Object.keys(figures.controls)) figures.removeControl(name);
    for (const field of fields) {
      const { name, type, required, min = 0, max = 1e9, whole = false } = field;
      if (type === 'fluids') {
        const chosen = (said[name] ?? []) as readonly string[];
        for (const fluid of fluidIds) fluids.controls[fluid]!.reset(chosen.includes(fluid));
        continue;
      }
      const value = (said[name] ?? null) as Value;
      const shown = type === 'number' || type === 'text' ? String(value ?? '') : value;
      const validators = [...(required ? [filled] : []), ...(type === 'number' ? [figure(min, max, whole)] : [])];
      figures.addControl(name, new FormControl<Value>(shown, { validators }));
    }
    const head = row && headOf(row);
    const figureText = (value: number | undefined): string => (value === undefined ? '' : String(value));
    this.form.patchValue({
      name: head?.name ?? '',
      connector: row?.kind === 'hose end' ? formatConnector(row.part.connector) : '',
      price: head?.priceMinor === undefined ? '' : (head.priceMinor / 100).toFixed(2),
      shelf: figureText(head?.shelf),
      leadDays: figureText(head?.leadDays),
      supplier: head?.supplier ?? '',
      code: head?.code ?? '',
    });
    this.form.markAsPristine();
    this.form.markAsUntouched();
  }
}

function compact(fields: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
}
