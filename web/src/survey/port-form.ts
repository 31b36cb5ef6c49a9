import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked, viewChild } from '@angular/core';
import {
  ConnectorSyntaxError,
  formatConnector,
  parseConnector,
  sameConnector,
  type Component as EngineComponent,
  type Connector,
  type Port,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import type { BenchDialog as BenchDialogType } from '../bench/bench-dialog';
import { Api, type SensorFields } from '../data/api';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { NotationInput } from '../shared/notation-input';

/** One line of notation makes a port; with a port to edit, changes it. */
@Component({
  selector: 'g-port-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NotationInput],
  templateUrl: './port-form.html',
  styleUrl: './port-form.scss',
})
export class PortForm {
  readonly component = input.required<EngineComponent>();
  readonly editing = input<Port | null>(null);
  readonly done = output<void>();

  private readonly api = inject(Api);
  private readonly store = inject(JobStore);
  private readonly modal = inject(NgbModal);
  protected readonly preferences = inject(Preferences);
  private readonly notationField = viewChild.required(NotationInput);

  protected readonly notation = signal('');
  protected readonly label = signal('');
  protected readonly note = signal('');
  protected readonly sensorName = signal('');
  protected readonly sensorNotation = signal('');
  protected readonly sensorProblem = signal<string | null>(null);
  protected readonly refused = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly title = computed(() => (this.editing() ? `Change ${this.editing()!.label}` : `New port on ${this.component().name}`));

  constructor() {
    effect(() => {
      const port = this.editing();
      untracked(() => this.fill(port));
    });
    effect(() => {
      this.notation();
      untracked(() => this.refused.set(null));
    });
  }

  private fill(port: Port | null): void {
    this.notation.set(port ? formatConnector(port.connector) : '');
    this.label.set(port?.label ?? '');
    this.note.set(port?.note ?? '');
    this.sensorName.set(port?.sensor?.name ?? '');
    this.sensorNotation.set(port?.sensor ? formatConnector(port.sensor.connector) : '');
    this.sensorProblem.set(null);
    if (port) this.notationField().focus();
  }

  protected async save(): Promise<void> {
    if (!this.notationField().connector() || this.busy()) return;
    const port = this.editing();
    const sensor = this.readSensor(port?.sensor ?? null);
    if (sensor === undefined) return;
    const fields = {
      label: this.label().trim() || this.freeLabel(),
      notation: this.notation(),
      note: this.note(),
      ...(sensor || port?.sensor ? { sensor } : {}),
    };
    if (port) {
      this.store.edit('port', port.id, fields);
      this.done.emit();
      return;
    }
    this.busy.set(true);
    try {
      await this.store.act(() => firstValueFrom(this.api.addPort(this.component().id, fields)));
      this.fill(null);
      this.notationField().focus();
    } catch (error) {
      this.refused.set((error as Error).message);
    } finally {
      this.busy.set(false);
    }
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
        this.notation.set(formatConnector(named));
        this.notationField().focus();
      },
      () => this.notationField().focus(),
    );
  }

  protected cancel(): void {
    this.fill(null);
    this.done.emit();
  }

  /** What sits in the port; its new place stays while its thread does. Undefined where it cannot be read. */
  private readSensor(before: Port['sensor'] | null): SensorFields | null | undefined {
    const name = this.sensorName().trim();
    const notation = this.sensorNotation().trim();
    if (name === '' && notation === '') return null;
    try {
      const connector = parseConnector(notation);
      const movedTo = before?.movedTo && sameConnector(before.connector, connector) ? before.movedTo : null;
      return { name: name || 'sensor', notation, movedTo };
    } catch (error) {
      if (!(error instanceof ConnectorSyntaxError)) throw error;
      this.sensorProblem.set(notation === '' ? `Say the thread of the ${name}, such as r 1/8 m.` : `${error.message} ${error.hint}`);
      return undefined;
    }
  }

  private freeLabel(): string {
    const count = this.store.document()?.ports.filter((p) => p.componentId === this.component().id).length ?? 0;
    return `port ${count + 1}`;
  }
}
