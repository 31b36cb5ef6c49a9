import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { formatConnector, services, type ServiceId } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';

/** What connects to what, for which service. Closes with the new line's id. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, templateUrl: './new-line-dialog.html' })
export class NewLineDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly api = inject(Api);
  private readonly store = inject(JobStore);
  protected readonly services = services;
  protected readonly service = signal<ServiceId>('turbo-feed');
  protected readonly from = signal('');
  protected readonly to = signal('');
  protected readonly name = signal('');
  protected readonly error = signal<string | null>(null);

  protected readonly ports = computed(() => {
    const document = this.store.document();
    if (!document) return [];
    return [...document.components]
      .sort((a, b) => a.position - b.position)
      .map((c) => ({
        name: c.name,
        ports: document.ports
          .filter((p) => p.componentId === c.id)
          .sort((a, b) => a.position - b.position)
          .map((p) => {
            const user = document.lines.find((l) => l.endA.portId === p.id || l.endB.portId === p.id);
            return {
              id: p.id,
              words: `${p.label} · ${formatConnector(p.connector)}${user ? ` (used by L${user.number})` : ''}`,
              used: user !== undefined,
            };
          }),
      }));
  });

  protected async save(): Promise<void> {
    const problem =
      !this.from() || !this.to() ? 'Choose both ports.' : this.from() === this.to() ? 'A line cannot run from a port to itself.' : null;
    this.error.set(problem);
    if (problem) return;
    const name = this.name().trim();
    try {
      const line = await this.store.act(() =>
        firstValueFrom(
          this.api.addLine(this.store.jobId()!, {
            service: this.service(),
            fromPortId: this.from(),
            toPortId: this.to(),
            ...(name ? { name } : {}),
          }),
        ),
      );
      this.modal.close(line.id);
    } catch (error) {
      this.error.set((error as Error).message);
    }
  }
}
