import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { FormGroup, ReactiveFormsModule } from '@angular/forms';
import { formatQuantity, type Line, type LineFlow, type LineSizing } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { RowForm } from '../shared/row-form';
import { maybe, saidWith } from './flow-row';

/** What runs in a line, where it is known better than by its service; a field that is left empty goes by the service. */
@Component({
  selector: 'g-line-flow-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule],
  templateUrl: './line-flow-form.html',
  styleUrl: './flow-form.scss',
})
export class LineFlowForm {
  readonly sizing = input.required<LineSizing>();
  private readonly store = inject(JobStore);
  protected readonly preferences = inject(Preferences);
  private readonly line = computed(() => this.sizing().line.line);
  protected readonly service = computed(() => this.line().service);
  protected readonly drive = computed(() => this.sizing().duty.figures.drive);
  /** What is reckoned with where nothing is said. */
  protected readonly usual = computed(() => {
    const { flow, pressure, hottest } = this.sizing().duty;
    const system = this.preferences.system();
    return {
      flow: flow ? formatQuantity(flow.value, 'flow', system) : null,
      pressure: formatQuantity(pressure.value, 'pressure', system),
      hottest: formatQuantity(hottest.value, 'temperature', system),
    };
  });
  protected readonly bearings: readonly Choice<NonNullable<LineFlow['bearing']> | null>[] = [
    { value: null, name: 'not said' },
    { value: 'ball', name: 'ball bearings' },
    { value: 'journal', name: 'journal bearings' },
  ];
  protected readonly returns: readonly Choice<NonNullable<LineFlow['comesBack']> | null>[] = [
    { value: null, name: 'as usual' },
    { value: 'gravity', name: 'by its fall' },
    { value: 'pump', name: 'by a pump' },
    { value: 'filler cap', name: 'through the filler cap' },
  ];
  protected readonly sleeves: readonly Choice<true | null>[] = [
    { value: null, name: 'bare' },
    { value: true, name: 'in a heat sleeve' },
  ];
  protected readonly asksReturn = computed(() => ['turbo-drain', 'bypass-return', 'return', 'tank'].includes(this.service()));
  protected readonly asksLength = computed(() => this.sizing().line.pieces.some((p) => !p.cut));

  protected readonly row = new RowForm(
    new FormGroup({
      flowLpm: maybe<number>(),
      pressureBar: maybe<number>(),
      hottestC: maybe<number>(),
      aroundC: maybe<number>(),
      sleeved: maybe<true>(),
      fallMm: maybe<number>(),
      restrictorMm: maybe<number>(),
      bearing: maybe<NonNullable<LineFlow['bearing']>>(),
      comesBack: maybe<NonNullable<LineFlow['comesBack']>>(),
      bendMm: maybe<number>(),
      reckonMm: maybe<number>(),
    }),
    this.line,
    ({ flow = {} }: Line) => ({
      flowLpm: flow.flowLpm ?? null,
      pressureBar: flow.pressureBar ?? null,
      hottestC: flow.hottestC ?? null,
      aroundC: flow.aroundC ?? null,
      sleeved: flow.sleeved ?? null,
      fallMm: flow.fallMm ?? null,
      restrictorMm: flow.restrictorMm ?? null,
      bearing: flow.bearing ?? null,
      comesBack: flow.comesBack ?? null,
      bendMm: flow.bendMm ?? null,
      reckonMm: flow.reckonMm ?? null,
    }),
    (line, set, version) => this.store.edit('line', line.id, { flow: saidWith(line.flow, set) }, version),
    (id) => this.store.versionOf('line', id),
  );
}
