import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  output,
  untracked,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  CommandError,
  ConnectorSyntaxError,
  formatConnector,
  formatPortThread,
  parseConnector,
  sameConnector,
  sensorMisfit,
  type Component as EngineComponent,
  type Connector,
  type Port,
  type SensorFields,
} from '@gewinde/core';
import { NgbModal, NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { map } from 'rxjs';
import type { BenchDialog as BenchDialogType } from '../bench/bench-dialog';
import { HalfTyped } from '../data/half-typed';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { refuse } from '../shared/field-problem';
import { NotationInput, readablePort } from '../shared/notation-input';
import { readNotation, readPortThread } from '../shared/read-notation';
import { TextField } from '../shared/text-field';

interface Kept {
  readonly typed: { notation: string; label: string; note: string; sensorName: string; sensorNotation: string };
  /** The version of the port it was begun on. */
  readonly begun: number;
}

/** One line of notation makes a port; with a port to edit, changes it. */
@Component({
  selector: 'g-port-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgbTooltip, NotationInput, ReactiveFormsModule, TextField],
  templateUrl: './port-form.html',
  styleUrl: './port-form.scss',
})
export class PortForm {
  readonly component = input.required<EngineComponent>();
  readonly editing = input<Port | null>(null);
  readonly done = output<void>();

  private readonly store = inject(JobStore);
  private readonly modal = inject(NgbModal);
  private readonly halfTyped = inject(HalfTyped);
  protected readonly preferences = inject(Preferences);
  private readonly notationField = viewChild.required(NotationInput);

  protected readonly form = new FormGroup({
    notation: new FormControl('', { nonNullable: true, validators: [readablePort] }),
    label: new FormControl('', { nonNullable: true }),
    note: new FormControl('', { nonNullable: true }),
    sensorName: new FormControl('', { nonNullable: true }),
    sensorNotation: new FormControl('', { nonNullable: true }),
  });
  protected readonly title = computed(() => (this.editing() ? `Change ${this.editing()!.label}` : `New port on ${this.component().name}`));
  /** What is typed does not go together; it can be logged all the same: it may be just what was found. */
  protected readonly misfit = toSignal(this.form.valueChanges.pipe(map(() => this.misfitOf())), { initialValue: undefined });
  /** The version the change was begun on. */
  private begun = 1;
  /** What the form held before anything was typed. */
  private untouched = '';
  private readonly edited = computed(() => this.editing()?.id);
  private readonly place = computed(() => `port ${this.component().id} ${this.edited() ?? ''}`);

  constructor() {
    this.form.valueChanges.pipe(takeUntilDestroyed()).subscribe(() => this.keep());
    inject(DestroyRef).onDestroy(() => this.halfTyped.leave(this));
    // another port or another component: the form starts afresh; what others do to the same one does not take the text away
    effect(() => {
      this.place();
      untracked(() => this.fill(this.editing()));
    });
  }

  private fill(port: Port | null): void {
    this.form.reset({
      notation: port ? formatPortThread(port) : '',
      label: port?.label ?? '',
      note: port?.note ?? '',
      sensorName: port?.sensor?.name ?? '',
      sensorNotation: port?.sensor ? formatConnector(port.sensor.connector) : '',
    });
    this.untouched = JSON.stringify(this.form.getRawValue());
    if (port) this.begun = this.store.versionOf('port', port.id);
    const kept = this.halfTyped.take<Kept>(this, this.place());
    if (kept) {
      this.begun = kept.begun;
      this.form.setValue(kept.typed);
      this.form.markAsDirty();
    }
    if (port) this.notationField().focus();
  }

  /** What differs from what was there is kept until it is saved or given up. */
  private keep(): void {
    if (!this.form.dirty) return;
    const typed = this.form.getRawValue();
    const half = JSON.stringify(typed) !== this.untouched;
    this.halfTyped.keep(this, this.place(), half ? ({ typed, begun: this.begun } satisfies Kept) : undefined);
  }

  protected save(): void {
    this.form.markAllAsTouched();
    const { notation, label, note } = this.form.getRawValue();
    const port = this.editing();
    const sensor = this.readSensor(port?.sensor ?? null);
    if (this.form.controls.notation.hasError('notation')) {
      this.notationField().focus();
      return;
    }
    if (sensor === undefined) return;
    const fields = {
      label: label.trim() || port?.label || this.freeLabel(),
      notation,
      note,
      ...(sensor || port?.sensor ? { sensor } : {}),
    };
    try {
      if (port) this.store.change({ do: 'edit-port', id: port.id, version: this.begun, set: fields });
      else this.store.change({ do: 'add-port', componentId: this.component().id, ...fields });
    } catch (error) {
      const field = error instanceof CommandError ? error.field : undefined;
      const { controls } = this.form;
      refuse(
        { notation: controls.notation, label: controls.label, sensor: controls.sensorNotation },
        field ?? 'notation',
        (error as Error).message,
      );
      return;
    }
    // at once: what is typed next is not to be wiped by an answer that comes late
    this.halfTyped.forget(this, this.place());
    this.fill(null);
    this.done.emit();
    this.notationField().focus();
  }

  /** Opens the thread bench over the form; the connector it names fills the notation. */
  async openBench(): Promise<void> {
    const { BenchDialog } = await import('../bench/bench-dialog');
    const dialog = this.modal.open(BenchDialog, { windowClass: 'g-wide', ariaLabelledBy: 'bench-title' });
    const connector = this.notationField().connector();
    (dialog.componentInstance as BenchDialogType).start.set({
      port: this.title(),
      place: `${this.component().id}.${this.editing()?.id ?? 'new'}`,
      side: connector ? (connector.gender === 'male' ? 'external' : 'internal') : 'internal',
    });
    dialog.result.then(
      (named: Connector) => {
        this.form.controls.notation.setValue(formatConnector(named));
        this.form.controls.notation.markAsDirty();
        this.notationField().focus();
      },
      () => this.notationField().focus(),
    );
  }

  protected cancel(): void {
    this.halfTyped.forget(this, this.place());
    this.fill(null);
    this.done.emit();
    this.notationField().focus();
  }

  /** What sits in the port; its new place stays while its thread does. Undefined where it cannot be read. */
  private readSensor(before: Port['sensor'] | null): SensorFields | null | undefined {
    const { sensorName, sensorNotation } = this.form.getRawValue();
    const name = sensorName.trim();
    const notation = sensorNotation.trim();
    if (name === '' && notation === '') return null;
    try {
      const connector = parseConnector(notation);
      const movedTo = before?.movedTo && sameConnector(before.connector, connector) ? before.movedTo : null;
      return { name: name || 'sensor', notation, movedTo };
    } catch (error) {
      if (!(error instanceof ConnectorSyntaxError)) throw error;
      const words = notation === '' ? `Say the thread of the ${name}, such as r 1/8 m.` : `${error.message} ${error.hint}`;
      refuse(this.form.controls, 'sensorNotation', words);
      return undefined;
    }
  }

  private misfitOf(): string | undefined {
    const { notation, sensorName, sensorNotation } = this.form.getRawValue();
    const { thread } = readPortThread(notation);
    const own = readNotation(sensorNotation).connector;
    return thread && own ? sensorMisfit({ ...thread, sensor: { name: sensorName, connector: own, movedTo: null } }) : undefined;
  }

  private freeLabel(): string {
    const taken =
      this.store
        .document()
        ?.ports.filter((p) => p.componentId === this.component().id)
        .map((p) => p.label) ?? [];
    for (let n = taken.length + 1; ; n++) if (!taken.includes(`port ${n}`)) return `port ${n}`;
  }
}
