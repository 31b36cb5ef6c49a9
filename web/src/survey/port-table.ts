import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { formatPortThread, portThreadName, sensorMisfit, userOfPort, type Port } from '@gewinde/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { Icon } from '../shared/icon';

/** The ports of a component, numbered as in the drawing, with the line each is used by. */
@Component({
  selector: 'g-port-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, NgbTooltip, RouterLink],
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
    .g-mono {
      white-space: nowrap;
    }
    .misfit {
      color: var(--brass);
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
  private readonly store = inject(JobStore);

  protected readonly jobId = this.store.jobId;
  protected readonly rows = computed(() =>
    this.ports().map((port) => ({
      port,
      notation: formatPortThread(port),
      words: portThreadName(port),
      ...this.usesOf(port),
      misfit: sensorMisfit(port),
    })),
  );

  private usesOf(port: Port) {
    const document = this.store.document();
    const user = document && userOfPort(port, document);
    const place = document?.ports.find((p) => p.id === port.sensor?.movedTo?.portId);
    return {
      line: user?.kind === 'line' ? user.line : undefined,
      sensor: user?.kind === 'sensor' ? user : undefined,
      /** Where the sensor of the port has gone. */
      movedTo: place?.label,
    };
  }

  protected duplicate(port: Port): void {
    this.store.attempt(() => this.store.change({ do: 'duplicate-port', id: port.id }), `${port.label} duplicated`);
  }

  protected remove(port: Port): void {
    this.store.attempt(() => this.store.change({ do: 'delete-port', id: port.id }), `${port.label} deleted`);
  }
}
