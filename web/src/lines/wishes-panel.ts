import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule } from '@angular/forms';
import {
  findFitting,
  formatConnector,
  metalNames,
  parseConnector,
  USUAL_MOST_FITTINGS,
  type Fitting,
  type Port,
  type Wishes,
} from '@gewinde/core';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { filter, map } from 'rxjs';
import { type Choice, ChoiceField, plainChoices } from '../shared/choice-field';
import { PartPicker } from '../shared/part-picker';
import { QuantityInput } from '../shared/quantity-input';
import { endNotation } from '../shared/read-notation';
import { TextField } from '../shared/text-field';

/** What is asked of the chain at one end beside that it seals. Every change solves anew, in place. */
@Component({
  selector: 'g-wishes-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, PartPicker, QuantityInput, ReactiveFormsModule, TextField],
  templateUrl: './wishes-panel.html',
  styleUrl: './wishes-panel.scss',
})
export class WishesPanel {
  readonly wishes = input.required<Wishes>();
  /** The ports beside it in which a sensor sits. */
  readonly seated = input.required<readonly Port[]>();
  readonly changed = output<Wishes>();
  protected readonly preferences = inject(Preferences);
  private readonly view = inject(JobView);
  protected readonly turns: readonly Choice<number | null>[] = [
    { value: null, name: 'as it comes' },
    ...[0, 30, 45, 60, 90, 135, 180].map((deg) => ({ value: deg, name: deg === 0 ? 'straight' : `${deg}°` })),
  ];
  protected readonly counts = plainChoices([1, 2, 3, 4, 5]);
  protected readonly metals = metalNames;
  protected readonly form = new FormGroup({
    turn: new FormControl<number | null>(null),
    bore: new FormControl<number | null>(null),
    stack: new FormControl<number | null>(null),
    most: new FormControl(USUAL_MOST_FITTINGS, { nonNullable: true }),
    branch: new FormControl('', { nonNullable: true, updateOn: 'blur', validators: [endNotation] }),
    keep: new FormControl(false, { nonNullable: true }),
    metals: new FormRecord(Object.fromEntries(metalNames.map((metal) => [metal, new FormControl(false, { nonNullable: true })]))),
  });
  protected readonly parts = computed(() => {
    const catalogue = this.view.catalogue();
    const named = (wish: 'use' | 'avoid') =>
      (this.wishes()[wish] ?? []).map((id) => ({ wish, id, name: (catalogue && findFitting(catalogue, id)?.name) ?? id }));
    return [...named('use'), ...named('avoid')];
  });

  constructor() {
    effect(() => {
      const w = this.wishes();
      untracked(() => this.fill(w));
    });
    this.form.valueChanges
      .pipe(
        filter(() => this.form.valid),
        map(() => this.said()),
        filter((said) => JSON.stringify(said) !== JSON.stringify(tidy(this.wishes()))),
        takeUntilDestroyed(),
      )
      .subscribe((said) => this.changed.emit(said));
  }

  /** A part that must be in the way. */
  protected use({ id }: Fitting): void {
    const { use = [], avoid = [], ...rest } = this.wishes();
    this.changed.emit({ ...rest, use: [...use.filter((p) => p !== id), id].slice(-3), avoid: avoid.filter((p) => p !== id) });
  }

  /** Follows the wishes, but in a field that something is being typed into. */
  private fill(w: Wishes): void {
    const { controls } = this.form;
    const set = <T>(control: FormControl<T>, value: T): void => {
      if (!control.dirty || control.value === value) control.reset(value, { emitEvent: false });
    };
    set(controls.turn, w.turnDeg ?? null);
    set(controls.bore, w.leastBoreMm ?? null);
    set(controls.stack, w.mostStackMm ?? null);
    set(controls.most, w.mostFittings ?? USUAL_MOST_FITTINGS);
    if (!controls.branch.invalid) set(controls.branch, w.branchFor ? formatConnector(w.branchFor) : '');
    set(controls.keep, w.keepSensor ?? false);
    for (const metal of metalNames) set(controls.metals.controls[metal]!, w.materials?.includes(metal) ?? false);
  }

  /** The wishes as the form has them, with the parts wished for. */
  private said(): Wishes {
    const { turn, bore, stack, most, branch, keep, metals } = this.form.getRawValue();
    const wanted = metalNames.filter((metal) => metals[metal]);
    const { use, avoid } = this.wishes();
    return tidy({
      ...(turn === null ? {} : { turnDeg: turn }),
      ...(bore ? { leastBoreMm: Math.round(bore * 1000) / 1000 } : {}),
      ...(stack ? { mostStackMm: Math.round(stack * 1000) / 1000 } : {}),
      materials: wanted,
      use: use ?? [],
      avoid: avoid ?? [],
      ...(most === USUAL_MOST_FITTINGS ? {} : { mostFittings: most }),
      ...(keep ? { keepSensor: true } : {}),
      ...(branch.trim() === '' ? {} : { branchFor: parseConnector(branch) }),
    });
  }

  protected drop(wish: 'use' | 'avoid', id: string): void {
    this.changed.emit({ ...this.wishes(), [wish]: (this.wishes()[wish] ?? []).filter((p) => p !== id) });
  }
}

/** In one order, without what says nothing, so that two sets of wishes can be told apart. */
function tidy(wishes: Wishes): Wishes {
  const order = ['turnDeg', 'leastBoreMm', 'mostStackMm', 'materials', 'use', 'avoid', 'mostFittings', 'keepSensor', 'branchFor'] as const;
  return Object.fromEntries(
    order.flatMap((key) => {
      const value = wishes[key];
      return value === undefined || (Array.isArray(value) && value.length === 0) ? [] : [[key, value]];
    }),
  );
}
