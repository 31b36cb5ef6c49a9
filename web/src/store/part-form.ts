import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormArray, FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  checkFitting,
  fittingKind,
  fittingDrawing,
  fittingKinds,
  formatConnector,
  formatPassages,
  formatPlaces,
  materials,
  MOST_ENDS,
  newPart,
  type Body,
  type CataloguePart,
  type Connector,
  type Fitting,
  type FittingKindId,
  type GivenPart,
  type ShopCommand,
} from '@gewinde/core';
import {
  NgbAccordionBody,
  NgbAccordionButton,
  NgbAccordionCollapse,
  NgbAccordionDirective,
  NgbAccordionHeader,
  NgbAccordionItem,
} from '@ng-bootstrap/ng-bootstrap';
import { map } from 'rxjs';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { DrawingView } from '../shared/drawing';
import { refuse } from '../shared/field-problem';
import { QuantityInput } from '../shared/quantity-input';
import { endNotation, readNotation } from '../shared/read-notation';
import { SetOver } from '../shared/set-over';
import { TextField } from '../shared/text-field';
import { bodyAsSaid, bodyGroup, ENDS, givenBody } from './part-body';
import { compact, figure, figureText, length, number, text } from './part-fields';

/** A part being written: its ends in notation, drawn as they are typed; what is left empty follows from them. */
@Component({
  selector: 'g-part-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ChoiceField,
    DrawingView,
    NgbAccordionBody,
    NgbAccordionButton,
    NgbAccordionCollapse,
    NgbAccordionDirective,
    NgbAccordionHeader,
    NgbAccordionItem,
    QuantityInput,
    ReactiveFormsModule,
    TextField,
  ],
  templateUrl: './part-form.html',
  styleUrl: './part-form.scss',
})
export class PartForm {
  /** The part as it stood when its form was opened, whatever becomes of it meanwhile; null for a new one. */
  readonly part = input<{ readonly part: Fitting; readonly version: number } | null>(null);
  readonly saved = output<CataloguePart>();
  readonly cancelled = output<void>();
  private readonly shop = inject(ShopStore);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  protected readonly preferences = inject(Preferences);
  protected readonly kinds: readonly Choice<FittingKindId | null>[] = [
    { value: null, name: 'by its ends' },
    ...fittingKinds.map(({ id }) => ({ value: id, name: id })),
  ];
  protected readonly metals: readonly Choice<string | null>[] = [
    { value: null, name: 'by its ends' },
    ...materials.map((metal) => ({ value: metal, name: metal })),
  ];
  protected readonly form = new FormGroup({
    ends: new FormArray(ENDS.map(() => text(endNotation))),
    body: bodyGroup(),
    name: text(),
    kind: new FormControl<FittingKindId | null>(null),
    angleDeg: text(figure('an angle')),
    lengthMm: length(),
    hexMm: length(),
    boreMm: length(),
    material: new FormControl<string | null>(null),
    massG: text(figure('a mass')),
    maxBar: new FormControl<number | null>(null),
    price: text(figure('a price')),
    shelf: text(figure('a number of pieces', true)),
    leadDays: text(figure('a number of days', true)),
    supplier: text(),
    code: text(),
    oneWay: new FormControl(false, { nonNullable: true }),
  });
  protected readonly lengths = [
    { label: 'Stack, seat to seat', control: this.form.controls.lengthMm },
    { label: 'Across flats', control: this.form.controls.hexMm },
    { label: 'Bore', control: this.form.controls.boreMm },
  ];
  protected readonly shapes: readonly Choice<Body['shape'] | null>[] = [
    { value: null, name: 'by its ends' },
    { value: 'round', name: 'round' },
    { value: 'square', name: 'square' },
  ];
  protected readonly bodySizes = [
    { label: 'Across', control: this.form.controls.body.controls.acrossMm },
    { label: 'Height', control: this.form.controls.body.controls.heightMm },
  ];
  /** Figures follow from the ends; they are laid open where one was said, or cannot be taken. */
  protected readonly figuresClosed = signal(true);
  protected readonly error = signal<string | null>(null);
  protected saving = this.savingOver(0);
  private readonly values = toSignal(this.form.valueChanges.pipe(map(() => this.form.getRawValue())), {
    initialValue: this.form.getRawValue(),
  });
  /** How many of the ends are asked for: one more than are said, two at least. */
  protected readonly endsShown = computed(() =>
    Math.min(MOST_ENDS, Math.max(2, this.values().ends.findLastIndex((e) => e.trim() !== '') + 2)),
  );
  private readonly connectors = computed(() =>
    this.values()
      .ends.filter((e) => e.trim() !== '')
      .map((text) => readNotation(text).connector)
      .filter((c): c is Connector => c !== null),
  );
  /** The whole part as it would be saved. */
  protected readonly whole = computed((): Fitting | undefined => {
    const said = this.values();
    if (said.ends.some((e) => e.trim() !== '' && readNotation(e).connector === null) || this.connectors().length === 0) return undefined;
    return newPart({ ...this.kept(), ...given(said), ...this.body(), ends: this.connectors() });
  });
  /** What the part is, as it stands: whether it has a body is asked for by it. */
  protected readonly kind = computed(() => {
    const { kind } = this.values();
    return kind ?? (this.connectors().length > 4 ? 'manifold' : null);
  });
  protected readonly bodied = computed(() => {
    const kind = this.kind();
    return kind !== null && fittingKind(kind).bodied === true;
  });
  /** What each end and passage is where nothing is said. */
  protected readonly usual = computed(() => {
    const body = this.whole()?.body;
    return body ? { places: body.places.map((p) => formatPlaces([p])), passages: formatPassages(body.passages) } : null;
  });
  protected readonly drawing = computed(() => {
    const part = this.whole();
    return part && checkFitting(part).length === 0 ? fittingDrawing(part, { width: 332, height: 130 }) : null;
  });

  constructor() {
    effect(() => {
      const part = this.part();
      untracked(() => this.fill(part?.part ?? null));
    });
  }

  protected labelOf(end: number): string {
    if (this.bodied()) return `End ${end + 1}`;
    return end === 0 ? 'First end' : end === 1 ? 'Second end (none for a plug)' : 'Branch';
  }

  protected async save(): Promise<void> {
    this.form.markAllAsTouched();
    this.error.set(null);
    const whole = this.whole();
    if (!whole && this.connectors().length === 0)
      refuse({ ends: this.form.controls.ends.at(0) }, 'ends', 'Say its ends first, in notation such as npt 1/8 m.');
    this.openFigures();
    if (!whole || this.form.invalid) return this.toFirstRefused();
    const problem = checkFitting(whole)[0];
    if (problem) return this.refuse(problem.field, problem.message);
    const answer = await this.saving.ask((over) => this.shop.change(this.command(whole, over)));
    if (answer) this.saved.emit(answer.put.find((entity) => entity.type === 'part')!.row);
  }

  /** What is refused may be out of sight. */
  private toFirstRefused(): void {
    afterNextRender(() => this.host.nativeElement.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus(), {
      injector: this.injector,
    });
  }

  private body(): Pick<GivenPart, 'body'> {
    const kind = this.kind();
    return kind && this.bodied() ? { body: givenBody(this.values().body, this.connectors(), kind) } : {};
  }

  private command({ id, retired, ...part }: Fitting, over: number): ShopCommand {
    const before = this.part();
    if (!before) return { do: 'add-part', entry: { kind: 'fitting', part: { id, ...part } } };
    return {
      do: 'edit-part',
      id: before.part.id,
      version: over,
      entry: { kind: 'fitting', part: { ...part, id: before.part.id, ...(retired ? { retired } : {}) } },
    };
  }

  /** What somebody else saved since the form was opened is said first. */
  private savingOver(version: number): SetOver {
    return new SetOver(version, 'Save again to put yours over it, or cancel to see it as it is.', (message, field) =>
      this.refuse(field?.replace(/^commands\/0\/entry\/part\//, ''), message),
    );
  }

  /** At the field it is about, whatever it is called there; below the form otherwise. */
  private refuse(field: string | undefined, message: string): void {
    // what is wrong with a body can be put right at its ends or at its passages: told below, it stands in nobody's way
    const { body: _, ...controls } = this.form.controls;
    const named = { ...controls, ends: controls.ends.at(0), priceMinor: controls.price };
    if (!refuse(named, field, message)) this.error.set(message);
    this.openFigures();
  }

  private openFigures(): void {
    const { angleDeg, lengthMm, hexMm, boreMm, material, massG, maxBar } = this.form.controls;
    if ([angleDeg, lengthMm, hexMm, boreMm, material, massG, maxBar].some((control) => control.invalid)) this.figuresClosed.set(false);
  }

  private fill(part: Fitting | null): void {
    this.saving = this.savingOver(this.part()?.version ?? 0);
    this.figuresClosed.set(part === null);
    this.form.reset({
      ends: ENDS.map((i) => (part?.ends[i] ? formatConnector(part.ends[i]) : '')),
      body: bodyAsSaid(part?.body),
      name: part?.name ?? '',
      kind: part?.kind ?? null,
      angleDeg: figureText(part?.angleDeg),
      lengthMm: part?.lengthMm ?? null,
      hexMm: part?.hexMm ?? null,
      boreMm: part?.boreMm ?? null,
      material: part?.material ?? null,
      massG: figureText(part?.massG),
      maxBar: part?.maxBar ?? null,
      price: part?.priceMinor === undefined ? '' : (part.priceMinor / 100).toFixed(2),
      shelf: figureText(part?.shelf),
      leadDays: figureText(part?.leadDays),
      supplier: part?.supplier ?? '',
      code: part?.code ?? '',
      oneWay: part?.oneWay ?? false,
    });
  }

  /** What the form does not show of the part; legs belong to the ends they were measured with. */
  private kept(): Partial<Fitting> {
    const part = this.part()?.part;
    if (!part) return {};
    const { id, legsMm, minTempC, maxTempC, rarity, retired, source } = part;
    const sameEnds = JSON.stringify(part.ends) === JSON.stringify(this.connectors());
    return compact<Fitting>({ id, legsMm: sameEnds ? legsMm : undefined, minTempC, maxTempC, rarity, retired, source });
  }
}

/** What was said in the form, as a part has it; what was left empty is not there. */
function given(said: ReturnType<PartForm['form']['getRawValue']>): GivenPart {
  const words = (value: string): string | undefined => value.trim() || undefined;
  const price = number(said.price);
  return compact<GivenPart>({
    name: words(said.name),
    kind: said.kind ?? undefined,
    angleDeg: number(said.angleDeg),
    lengthMm: said.lengthMm ?? undefined,
    hexMm: said.hexMm ?? undefined,
    boreMm: said.boreMm ?? undefined,
    material: said.material ?? undefined,
    massG: number(said.massG),
    maxBar: said.maxBar ?? undefined,
    priceMinor: price === undefined ? undefined : Math.round(price * 100),
    shelf: number(said.shelf),
    leadDays: number(said.leadDays),
    supplier: words(said.supplier),
    code: words(said.code),
    oneWay: said.oneWay || undefined,
  });
}
