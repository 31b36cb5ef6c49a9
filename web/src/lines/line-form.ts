import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { Router } from '@angular/router';
import {
  type AssembledPiece,
  type Finding,
  type FluidId,
  fluidIds,
  type JudgedLine,
  type Line,
  portChoices,
  ruleById,
  serviceById,
  services,
} from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { FindingList } from '../shared/finding-list';
import { Icon } from '../shared/icon';
import { PortPicker } from '../shared/port-picker';
import { RowForm } from '../shared/row-form';
import { TextField } from '../shared/text-field';
import { PieceForm } from './piece-form';

/** The line's own data: service, ports, its hoses one at a time, and what is still open, with what puts it right. */
@Component({
  selector: 'g-line-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, DatePipe, FindingList, Icon, PieceForm, PortPicker, ReactiveFormsModule, TextField],
  templateUrl: './line-form.html',
  styleUrl: './inspector.scss',
})
export class LineForm {
  readonly assembled = input.required<JudgedLine>();
  readonly choose = output<number>();

  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly router = inject(Router);
  protected readonly line = computed(() => this.assembled().line);
  protected readonly service = computed(() => serviceById(this.line().service));
  protected readonly services: readonly Choice<Line['service']>[] = services.map(({ id, name }) => ({ value: id, name }));
  /** Asked where the service alone does not say it. */
  protected readonly asksFluid = computed(() => ['fuel', 'other'].includes(this.line().service) || this.line().fluid !== undefined);
  protected readonly fluids = computed((): Choice<FluidId | null>[] => [
    { value: null, name: this.line().service === 'other' ? 'not said' : `as usual: ${this.service().fluid}` },
    ...fluidIds.map((fluid) => ({ value: fluid, name: fluid })),
  ]);
  /** Of the line itself; what is not ticked as made up stands on its joints. */
  protected readonly open = computed(() => this.assembled().findings.filter((f) => readsOf(f) !== 'flow' && f.rule !== 'joints-not-made'));
  /** Of what runs in it. */
  protected readonly heard = computed(() => this.assembled().findings.filter((f) => readsOf(f) === 'flow'));
  /** Which of its hoses is shown. */
  private readonly chosenPiece = signal<string | null>(null);
  protected readonly piece = computed((): AssembledPiece | undefined => {
    const { pieces } = this.assembled();
    return pieces.find((p) => p.piece.key === this.chosenPiece()) ?? pieces[0];
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
      fluid: new FormControl<FluidId | null>(null),
      portA: new FormControl('', { nonNullable: true }),
      portB: new FormControl('', { nonNullable: true }),
    }),
    this.line,
    (line) => ({ name: line.name, service: line.service, fluid: line.fluid ?? null, portA: line.portA, portB: line.portB }),
    (line, set, version) => this.store.edit('line', line.id, set, version),
    (id) => this.store.versionOf('line', id),
  );
  protected show(piece: AssembledPiece): void {
    this.chosenPiece.set(piece.piece.key);
  }

  /** Signs the line off as it stands now, or takes that back. */
  protected check(checked: boolean): void {
    const { line, digest } = this.assembled();
    this.store.attempt(() =>
      this.store.change({
        do: 'check-line',
        id: line.id,
        checked: checked ? { at: new Date().toISOString(), digest: { ...digest } } : null,
      }),
    );
  }

  protected showSizing(): void {
    void this.router.navigate([], { queryParams: { show: 'sizing' }, queryParamsHandling: 'merge' });
  }

  protected addHose(): void {
    this.store.attempt(() => this.store.change({ do: 'add-piece', id: this.line().id, at: 0 }));
  }

  protected remove(): void {
    const { id, number, name, jobId } = this.line();
    if (this.store.attempt(() => this.store.change({ do: 'delete-line', id }), `L${number} ${name} deleted`))
      void this.router.navigate(['/job', jobId, 'lines']);
  }
}

function readsOf({ rule }: Pick<Finding, 'rule'>): 'line' | 'flow' | 'job' {
  return ruleById(rule).check.reads;
}
