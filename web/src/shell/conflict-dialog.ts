import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { formatConnector, jobEntities, parseConnector, type Connector } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import type { Conflict } from '../data/job-store';

/** Fields as they are called, of whatever row it is; what a command says in other words is under those. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.values(jobEntities).flatMap((entity) => Object.entries(entity.fields))),
  notation: 'thread',
};

/** Both versions side by side; nothing is overwritten until one is chosen. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="g-dialog">
      <h2 id="conflict-title">Changed by somebody else in the meantime</h2>
      <table class="g-table">
        <thead>
          <tr>
            <th scope="col">field</th>
            <th scope="col">yours</th>
            <th scope="col">theirs</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.field) {
            <tr>
              <th scope="row">{{ row.field }}</th>
              <td>{{ row.mine }}</td>
              <td>{{ row.theirs }}</td>
            </tr>
          }
        </tbody>
      </table>
      <div class="actions">
        <button type="button" class="g-button" (click)="modal.close('theirs')">Take theirs</button>
        <button type="button" class="g-button filled" ngbAutofocus (click)="modal.close('mine')">Keep mine</button>
      </div>
    </div>
  `,
})
export class ConflictDialog {
  protected readonly modal = inject(NgbActiveModal);
  readonly conflict = signal<Conflict | null>(null);
  protected readonly rows = computed(() => {
    const conflict = this.conflict();
    if (!conflict) return [];
    return Object.entries(readable(conflict.mine)).map(([field, mine]) => ({
      field: capital(FIELD_WORDS[field] ?? field),
      mine: words(mine),
      theirs: words(conflict.theirs[field]),
    }));
  });
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function readable({ notation, ...patch }: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return typeof notation === 'string' ? { ...patch, connector: parseConnector(notation) } : patch;
}

function words(value: unknown): string {
  if (value === null || value === undefined || value === '') return '—';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'object' && 'family' in value) return formatConnector(value as Connector);
  if (typeof value === 'object' && 'fittings' in value) {
    const end = value as { angleDeg?: number; fittings: { id: string }[] | null };
    return `${end.angleDeg === undefined ? '' : `${end.angleDeg}°, `}${end.fittings === null ? 'no way chosen' : end.fittings.map((f) => f.id).join(', ') || 'straight on the port'}`;
  }
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  return JSON.stringify(value);
}
