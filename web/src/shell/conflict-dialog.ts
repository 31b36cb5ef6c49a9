import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  formatConnector,
  formatPortThread,
  jobEntities,
  parsePortThread,
  type Component as EngineComponent,
  type Connector,
  type Found,
  type Line,
  type Port,
} from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import type { Conflict } from '../data/job-store';

/** Fields as they are called, of whatever row it is; what a command says in other words is under those. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.values(jobEntities).flatMap((entity) => Object.entries(entity.fields))),
  notation: 'thread',
  hose: 'hose',
  length: 'length',
  slackPercent: 'slack',
  source: 'where it comes from',
  hasMm: 'length it has',
  provisional: 'provisional',
  wanted: 'hose wanted',
  chosen: 'way',
  wishes: 'wishes',
  pinned: 'ways kept in sight',
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
    return Object.entries(readable(conflict.mine)).map(([path, mine]) => ({
      field: capital(fieldName(path, conflict.theirs)),
      mine: words(mine),
      theirs: words(standing(path, conflict.theirs)),
    }));
  });
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The row's value at a path such as `name`, `pieces.p1.length` or `ways.0.chosen`. */
function standing(path: string, row: Conflict['theirs']): unknown {
  if (path === 'notation') return formatPortThread(row as Port);
  return path.split('.').reduce((value: unknown, step) => {
    if (Array.isArray(value)) return value.find((v: { key?: string }, i) => v.key === step || String(i) === step) as unknown;
    return (value as Record<string, unknown> | undefined)?.[step];
  }, row);
}

/** `Length of hose 2`, `way at A`. */
function fieldName(path: string, theirs: Conflict['theirs']): string {
  const [list, which = '', field = ''] = path.split('.');
  const name = FIELD_WORDS[field || path] ?? (field || path);
  const row = theirs as unknown as Partial<Line>;
  if (list === 'pieces' && (row.pieces?.length ?? 0) > 1) return `${name} of hose ${row.pieces!.findIndex((p) => p.key === which) + 1}`;
  if (list !== 'ways') return name;
  return `${name} ${which === '0' ? 'at A' : Number(which) === (row.ways?.length ?? 0) - 1 ? 'at B' : `between hoses ${which} and ${Number(which) + 1}`}`;
}

function readable({ notation, ...patch }: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return typeof notation === 'string' ? { ...patch, notation: formatPortThread(parsePortThread(notation)) } : patch;
}

function words(value: unknown): string {
  if (value === null || value === undefined || value === '') return '—';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.map(words).join('; ') || '—';
  if (typeof value === 'object' && 'action' in value) {
    const { joint, state, action } = value as Found;
    return `${joint}: ${state}, ${action}`;
  }
  if (typeof value === 'object' && 'family' in value) return formatConnector(value as Connector);
  if (typeof value === 'object' && 'fittings' in value) {
    const { fittings } = value as { fittings: { id: string }[] };
    return fittings.map((f) => f.id).join(', ') || 'no fittings';
  }
  if (typeof value === 'object' && 'mm' in value) return `${String(value.mm)} mm, ${String((value as { as?: string }).as)}`;
  if (typeof value === 'object' && 'digest' in value) return 'yes';
  if (typeof value === 'object' && 'there' in value) {
    const { id, there } = value as NonNullable<EngineComponent['part']>;
    return `${id}, ${there ? 'there already' : 'to be bought'}`;
  }
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  return JSON.stringify(value);
}
