import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { connectorName, formatConnector, type Port } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { Icon } from '../shared/icon';

/** The ports of a component, numbered as in the drawing, with the line each is used by. */
@Component({
  selector: 'g-port-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, RouterLink],
  templateUrl: './port-table.html',
  styles: `
    :host {
      display: block;
      margin-top: 14px;
    }
    tr.editing td {
      background: color-mix(in srgb, var(--blue) 10%, transparent);
    }
    .words {
      color: var(--quiet);
      font-size: 13px;
    }
    .actions {
      text-align: right;
      white-space: nowrap;
    }
  `,
})
export class PortTable {
  readonly ports = input.required<readonly Port[]>();
  readonly editing = input<Port | null>(null);
  readonly edit = output<Port>();
  private readonly api = inject(Api);
  private readonly store = inject(JobStore);

  protected readonly jobId = this.store.jobId;
  protected readonly rows = computed(() =>
    this.ports().map((port) => ({
      port,
      notation: formatConnector(port.connector),
      words: connectorName(port.connector),
      line: this.store.document()?.lines.find((l) => l.endA.portId === port.id || l.endB.portId === port.id),
    })),
  );

  protected async duplicate(port: Port): Promise<void> {
    await this.attempt(() => firstValueFrom(this.api.duplicate('port', port.id)), `${port.label} duplicated`);
  }

  protected async remove(port: Port): Promise<void> {
    await this.attempt(() => firstValueFrom(this.api.remove('port', port.id, port.version)), `${port.label} deleted`);
  }

  private async attempt(what: () => Promise<unknown>, done: string): Promise<void> {
    try {
      await this.store.act(what, () => ({ text: done, tone: 'plain', undo: true }));
    } catch (error) {
      this.store.say(error);
    }
  }
}
