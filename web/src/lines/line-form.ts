import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { Router } from '@angular/router';
import {
  constructions,
  findHoseEnd,
  formatConnector,
  formatDash,
  formatQuantity,
  hoseEndAngles,
  LONGEST_LINE_MM,
  serviceById,
  services,
  type AssembledLine,
  type Line,
} from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { Icon } from '../shared/icon';
import { portChoices } from '../shared/port-choices';
import { PortPicker } from '../shared/port-picker';
import { QuantityInput } from '../shared/quantity-input';
import { RowForm } from '../shared/row-form';
import { TextField } from '../shared/text-field';

type Angle = Line['endA']['angleDeg'];
const CHOOSE = { value: null, name: 'Choose', disabled: true } as const;

/** The line's own data: service, hose, ends, lengths with their arithmetic, and what is still open. */
@Component({
  selector: 'g-line-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, Icon, PortPicker, QuantityInput, ReactiveFormsModule, TextField],
  templateUrl: './line-form.html',
  styleUrl: './inspector.scss',
})
export class LineForm {
  readonly assembled = input.required<AssembledLine>();
  readonly choose = output<number>();

  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly router = inject(Router);
  protected readonly preferences = inject(Preferences);
  protected readonly longest = LONGEST_LINE_MM;
  protected readonly line = computed(() => this.assembled().line);
  protected readonly service = computed(() => serviceById(this.line().service));
  protected readonly services: readonly Choice<Line['service']>[] = services.map(({ id, name }) => ({ value: id, name }));
  protected readonly hoses = computed((): Choice<string | null>[] => [
    ...(this.line().construction === null ? [CHOOSE] : []),
    ...constructions.map(({ id, name }) => ({ value: id, name })),
  ]);
  protected readonly school = computed(() => constructions.find((c) => c.id === this.line().construction)?.school ?? null);
  protected readonly sizes = computed((): Choice<number | null>[] => {
    const made = (this.view.catalogue()?.hoses ?? []).filter((h) => h.construction === this.line().construction);
    return [...(this.line().dash === null ? [CHOOSE] : []), ...made.map((h) => ({ value: h.dash, name: formatDash(h.dash) }))];
  });
  protected readonly angles = computed((): Choice<Angle>[] => {
    const catalogue = this.view.catalogue();
    const { construction, dash } = this.line();
    const made =
      catalogue && construction !== null && dash !== null
        ? hoseEndAngles.filter((angle) => findHoseEnd(catalogue, construction, dash, angle))
        : [this.line().endA.angleDeg, this.line().endB.angleDeg];
    return [...new Set(made)].map((value) => ({ value, name: `${value}°` }));
  });
  protected readonly ports = computed(() => {
    const document = this.view.document();
    return document ? portChoices(document, this.line().id) : [];
  });
  protected readonly nameWords = { required: 'A line needs a name.', pattern: 'A line needs a name.' };

  protected readonly row = new RowForm(
    new FormGroup({
      name: new FormControl('', { nonNullable: true, validators: [(c) => Validators.required(c), Validators.pattern(/\S/)] }),
      service: new FormControl<Line['service']>('other', { nonNullable: true }),
      portA: new FormControl('', { nonNullable: true }),
      portB: new FormControl('', { nonNullable: true }),
      construction: new FormControl<string | null>(null),
      dash: new FormControl<number | null>(null),
      angleA: new FormControl<Angle>(0, { nonNullable: true }),
      angleB: new FormControl<Angle>(0, { nonNullable: true }),
      taped: new FormControl<number | null>(null),
      slack: new FormControl<number | null>(0),
    }),
    this.line,
    (line) => ({
      name: line.name,
      service: line.service,
      portA: line.endA.portId,
      portB: line.endB.portId,
      construction: line.construction,
      dash: line.dash,
      angleA: line.endA.angleDeg,
      angleB: line.endB.angleDeg,
      taped: line.tapedLengthMm,
      slack: line.slackPercent,
    }),
    (line, set, version) => this.save(line, set, version),
    (id) => this.store.versionOf('line', id),
  );
  protected readonly sum = computed(() => {
    const { cut } = this.assembled();
    if (!cut) return null;
    const show = (mm: number) => formatQuantity(mm, 'length', this.preferences.system(), { bare: true });
    return {
      taped: show(cut.tapedMm),
      endA: show(-cut.endAMm),
      endB: show(-cut.endBMm),
      slack: show(cut.slackMm),
      percent: cut.slackPercent,
      cut: formatQuantity(cut.cutMm, 'length', this.preferences.system()),
    };
  });

  protected check(checked: boolean): void {
    this.store.edit('line', this.line().id, { checked });
  }

  protected remove(): void {
    const { id, number, name, jobId } = this.line();
    if (this.store.attempt(() => this.store.change({ do: 'delete-line', id }), `L${number} ${name} deleted`))
      void this.router.navigate(['/job', jobId, 'lines']);
  }

  /** What was set in the form, as the line keeps it. */
  private save(line: Line, set: Partial<ReturnType<typeof this.row.group.getRawValue>>, version: number): void {
    const { name, service, taped, slack } = set;
    const hose = set.construction !== undefined || set.dash !== undefined ? this.hose(line, set) : undefined;
    const end = (side: 'A' | 'B'): Partial<Line> => {
      const field = side === 'A' ? 'endA' : 'endB';
      const portId = set[`port${side}`];
      const angleDeg = set[`angle${side}`];
      const before = hose?.[field] ?? line[field];
      if (portId !== undefined) return { [field]: { ...before, portId, fittings: null } };
      return angleDeg !== undefined ? { [field]: { ...before, angleDeg } } : {};
    };
    this.store.edit(
      'line',
      line.id,
      {
        ...(name === undefined ? {} : { name }),
        ...(service === undefined ? {} : { service }),
        ...(taped === undefined ? {} : { tapedLengthMm: taped }),
        ...(slack === undefined ? {} : { slackPercent: slack ?? 0 }),
        ...hose,
        ...end('A'),
        ...end('B'),
      },
      version,
    );
  }

  /** Another construction keeps the size where it is made in it; chains stay where the hose end has the same connector. */
  private hose(
    line: Line,
    set: { construction?: string | null; dash?: number | null },
  ): Pick<Line, 'construction' | 'dash' | 'endA' | 'endB'> {
    const catalogue = this.view.catalogue();
    const construction = set.construction === undefined ? line.construction : set.construction;
    const sizes = (catalogue?.hoses ?? []).filter((h) => h.construction === construction).map((h) => h.dash);
    const wanted = set.dash === undefined ? line.dash : set.dash;
    const dash = wanted !== null && sizes.includes(wanted) ? wanted : (sizes[0] ?? null);
    const made = (angleDeg: number) =>
      catalogue && construction !== null && dash !== null ? findHoseEnd(catalogue, construction, dash, angleDeg) : undefined;
    const end = (i: 0 | 1): Line['endA'] => {
      const current = i === 0 ? line.endA : line.endB;
      const angleDeg = made(current.angleDeg) || construction === null || dash === null ? current.angleDeg : 0;
      const next = made(angleDeg);
      const before = this.assembled().ends[i].hoseEnd;
      const same = next && before && formatConnector(next.connector) === formatConnector(before.connector);
      return { ...current, angleDeg, fittings: same ? current.fittings : null };
    };
    return { construction, dash, endA: end(0), endB: end(1) };
  }
}
