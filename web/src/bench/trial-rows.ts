import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormArray, FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MOST_TRIALS, trialResults, type TrialResult } from '@gewinde/core';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { Icon } from '../shared/icon';
import { TextField } from '../shared/text-field';
import { countOf, MeasurementStore, type TriedPart } from './measurement-store';

const DONE: Record<TrialResult, string> = {
  runs: 'runs on freely',
  rocks: 'goes on and rocks',
  binds: 'binds',
  'slides-in': 'slides in',
  'no-entry': 'does not start',
};

/** Known parts tried on the thread that is sought, and what they did. */
@Component({
  selector: 'g-trial-rows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, Icon, ReactiveFormsModule, TextField],
  templateUrl: './trial-rows.html',
  styleUrl: './trial-rows.scss',
})
export class TrialRows {
  protected readonly store = inject(MeasurementStore);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  protected readonly most = MOST_TRIALS;
  protected readonly outside = computed(() => this.store.figures().side === 'external');
  protected readonly results = computed((): Choice<TrialResult>[] =>
    trialResults.map((value) => ({ value, name: value === 'slides-in' && this.outside() ? 'slips over it' : DONE[value] })),
  );
  private readonly rows = new FormArray<ReturnType<typeof rowOf>>([]);
  protected readonly shown = signal<readonly ReturnType<typeof rowOf>[]>([]);

  constructor() {
    effect(() => {
      const { trials } = this.store.figures();
      untracked(() => this.follow(trials));
    });
    this.rows.valueChanges.pipe(takeUntilDestroyed()).subscribe(() => {
      const said = this.rows
        .getRawValue()
        .map(({ turns, ...row }): TriedPart => ({ ...row, turns: row.result === 'binds' ? countOf(turns) : null }));
      if (!same(said, this.store.figures().trials)) this.store.set({ trials: said });
    });
  }

  protected add(): void {
    this.store.set({ trials: [...this.store.figures().trials, { known: '', result: 'runs', turns: null }] });
    const typed = () => [...this.host.nativeElement.querySelectorAll<HTMLElement>('.known input')].at(-1)?.focus();
    afterNextRender(typed, { injector: this.injector });
  }

  protected remove(at: number): void {
    this.store.set({ trials: this.store.figures().trials.filter((_, i) => i !== at) });
  }

  /** The rows follow what is kept; what was typed and is no number stays to be put right. */
  private follow(trials: readonly TriedPart[]): void {
    while (this.rows.length > trials.length) this.rows.removeAt(this.rows.length - 1, { emitEvent: false });
    trials.forEach((trial, i) => {
      const row = this.rows.at(i) as ReturnType<typeof rowOf> | undefined;
      if (!row) return this.rows.push(rowOf(trial), { emitEvent: false });
      const { known, result, turns } = row.getRawValue();
      if (known !== trial.known || result !== trial.result || !Object.is(countOf(turns), trial.turns))
        row.setValue(rowOf(trial).getRawValue(), { emitEvent: false });
    });
    this.shown.set([...this.rows.controls]);
  }
}

function same(a: readonly TriedPart[], b: readonly TriedPart[]): boolean {
  return (
    a.length === b.length && a.every((t, i) => t.known === b[i]!.known && t.result === b[i]!.result && Object.is(t.turns, b[i]!.turns))
  );
}

function rowOf({ known, result, turns }: TriedPart) {
  const left = { nonNullable: true, updateOn: 'blur' } as const;
  return new FormGroup({
    known: new FormControl(known, left),
    result: new FormControl<TrialResult>(result, { nonNullable: true }),
    turns: new FormControl(turns === null || Number.isNaN(turns) ? '' : String(turns), left),
  });
}
