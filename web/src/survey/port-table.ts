import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { formatPortThread, portThreadName, userOfPort, type Finding, type Port } from '@gewinde/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { FindingList } from '../shared/finding-list';
import { Icon } from '../shared/icon';

/** The ports of a component, numbered as in the drawing, with the line each is used by. */
@Component({
  selector: 'g-port-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FindingList, Icon, NgbTooltip, RouterLink],
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
    .found td {
      padding-top: 0;
    }
    tr:has(+ .found) td {
      border-bottom: 0;
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
  private readonly view = inject(JobView);

  protected readonly jobId = this.store.jobId;
  protected readonly rows = computed(() =>
    this.ports().map((port) => ({
      port,
      notation: formatPortThread(port),
      words: portThreadName(port),
      ...this.usesOf(port),
      closed: port.closed ? (port.closed.by === 'stays' ? 'stays as it is' : `closed: ${this.closingName(port)}`) : undefined,
      findings: this.findingsOf(port),
    })),
  );
  /** Free ports of which somebody wants to say what closes them. */
  protected readonly asked = signal<string | null>(null);

  private findingsOf({ id }: Port): readonly Finding[] {
    const own = (this.view.job()?.findings ?? []).filter(
      (f) => f.at.portId === id && (f.at.lineId === undefined || f.rule.startsWith('sensor-')),
    );
    // most ports are free until their line is drawn: what closes them is asked for, and not told at once
    return own.filter((f) => f.rule !== 'port-not-decided' || this.asked() === id);
  }

  private closingName({ closed }: Port): string {
    const last = closed?.fittings[closed.fittings.length - 1];
    return this.view.catalogue()?.fittings.find((f) => f.id === last?.id)?.name ?? 'a part that is gone';
  }

  protected openAgain({ id, version, label }: Port): void {
    this.store.attempt(() => this.store.change({ do: 'edit-port', id, version, set: { closed: null } }), `${label} is open again`);
  }

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
