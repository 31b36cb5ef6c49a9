import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { FormGroup, ReactiveFormsModule } from '@angular/forms';
import { CommandError, coolerOfJob, formatQuantity, thermostatsOf, type Component as ComponentRow } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { QuantityInput } from '../shared/quantity-input';
import { RowForm } from '../shared/row-form';
import { maybe, saidWith } from '../sizing/flow-row';
import { FlowView } from '../sizing/flow-view';

/** What a component holds, takes and cools, by its maker; for a cooler what follows from it. */
@Component({
  selector: 'g-component-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityInput, ReactiveFormsModule],
  templateUrl: './component-panel.html',
  styleUrl: './component-panel.scss',
})
export class ComponentPanel {
  readonly component = input.required<ComponentRow>();
  private readonly store = inject(JobStore);
  private readonly flow = inject(FlowView);
  protected readonly preferences = inject(Preferences);
  protected readonly cools = computed(() => this.component().kind === 'cooler');
  protected readonly cooler = computed(() => {
    const question = this.flow.question();
    return this.cools() && question ? coolerOfJob(this.component(), question) : undefined;
  });
  protected readonly thermostat = computed(() => {
    const question = this.flow.question();
    return question && thermostatsOf(question.job).find((t) => t.component?.id === this.component().id);
  });

  protected readonly row = new RowForm(
    new FormGroup({ holdsL: maybe<number>(), takesBar: maybe<number>(), atLpm: maybe<number>(), coolsWPerK: maybe<number>() }),
    this.component,
    ({ flow = {} }: ComponentRow) => ({
      holdsL: flow.holdsL ?? null,
      takesBar: flow.takesBar ?? null,
      atLpm: flow.atLpm ?? null,
      coolsWPerK: flow.coolsWPerK ?? null,
    }),
    (component, set, version) => this.save(component, set, version),
    (id) => this.store.versionOf('component', id),
  );

  /** What it takes belongs to a flow: the one typed first waits for the other. */
  private save(component: ComponentRow, set: Readonly<Record<string, unknown>>, version: number): void {
    const { takesBar, atLpm, ...rest } = this.row.group.getRawValue();
    const both = takesBar !== null && atLpm !== null ? { takesBar, atLpm } : { takesBar: null, atLpm: null };
    try {
      this.store.change({ do: 'edit-component', id: component.id, version, set: { flow: saidWith(component.flow, { ...rest, ...both }) } });
    } catch (error) {
      if (!(error instanceof CommandError)) throw error;
      const name = Object.keys(set)[0] as keyof typeof this.row.group.controls;
      this.row.group.controls[name].setErrors({ refused: error.message });
    }
    if (takesBar !== null && atLpm === null) this.row.group.controls.takesBar.markAsDirty();
    if (atLpm !== null && takesBar === null) this.row.group.controls.atLpm.markAsDirty();
  }

  protected bar(value: number): string {
    return formatQuantity(value, 'pressure', this.preferences.system(), { decimals: 2 });
  }

  protected degrees(value: number): string {
    return formatQuantity(value, 'temperature', this.preferences.system(), { decimals: 0 });
  }

  protected heat(kw: number): string {
    return formatQuantity(kw, 'power', this.preferences.system(), { decimals: 1 });
  }

  /** A difference of temperatures, K. */
  protected drop(kelvin: number): string {
    return this.preferences.system() === 'metric' ? `${kelvin.toFixed(0)} K` : `${(kelvin * 1.8).toFixed(0)} °F`;
  }

  protected lpm(value: number): string {
    return formatQuantity(value, 'flow', this.preferences.system());
  }

  protected minutes(value: number): string {
    return Number.isFinite(value) ? `${value.toFixed(0)} min` : 'never';
  }
}
