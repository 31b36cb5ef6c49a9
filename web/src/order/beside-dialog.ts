import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { findEntry, formatQuantity, parseQuantity, QuantitySyntaxError, soldByLength, type Beside, type PartEntry } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { Icon } from '../shared/icon';
import { EntryPicker } from '../stock/entry-picker';

/** A new piece of what is cut, mm, until it is said otherwise. */
const FIRST_MM = 1000;

/** Parts that the job needs beside what its lines and components take: added by hand, with how many. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [EntryPicker, Icon],
  template: `
    <header class="modal-header">
      <h2 id="beside-title">Parts beside the lines</h2>
    </header>
    <div class="modal-body">
      <p class="quiet">
        Bolts, brackets, oil, a spare switch: what no line and no component takes by itself. It is netted and ordered with the rest.
      </p>
      <g-entry-picker label="Add a part" (picked)="add($event)" />
      @if (rows().length > 0) {
        <table class="g-table" aria-label="Added by hand">
          <thead>
            <tr>
              <th scope="col">part</th>
              <th scope="col" class="number">quantity</th>
              <th scope="col"><span class="g-visually-hidden">remove</span></th>
            </tr>
          </thead>
          <tbody>
            @for (r of rows(); track r.part) {
              <tr>
                <th scope="row">{{ r.name }}</th>
                <td class="number">
                  <input
                    class="g-input g-figure"
                    type="text"
                    autocomplete="off"
                    [attr.aria-label]="'Quantity of ' + r.name"
                    [value]="r.shown"
                    (change)="set(r.part, $event)"
                  />
                </td>
                <td>
                  <button type="button" class="g-icon-button" [attr.aria-label]="'Remove ' + r.name" (click)="remove(r.part)">
                    <g-icon name="trash" />
                  </button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      }
    </div>
    <footer class="modal-footer"><button type="button" class="g-button filled" (click)="modal.close()">Done</button></footer>
  `,
  styles: `
    .modal-body {
      display: grid;
      gap: 12px;
    }
    .quiet {
      color: var(--quiet);
    }
    table {
      width: 100%;
    }
    th[scope='row'] {
      font-weight: 400;
      text-align: left;
    }
    .number {
      width: 130px;
      text-align: right;
    }
    td:last-child {
      width: 44px;
    }
  `,
})
export class BesideDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly messages = inject(Messages);
  private readonly preferences = inject(Preferences);
  private readonly beside = computed((): readonly Beside[] => this.view.document()?.job.beside ?? []);
  protected readonly rows = computed(() =>
    this.beside().map(({ part, quantity }) => {
      const entry = this.entry(part);
      const byLength = entry !== undefined && soldByLength(entry);
      return {
        part,
        name: entry?.part.name ?? part,
        byLength,
        shown: byLength ? formatQuantity(quantity, 'length', this.preferences.system()) : String(quantity),
      };
    }),
  );

  protected add(entry: PartEntry): void {
    const { id } = entry.part;
    if (this.beside().some((b) => b.part === id)) return this.messages.tell(`${entry.part.name} is in the list already`);
    this.put([...this.beside(), { part: id, quantity: soldByLength(entry) ? FIRST_MM : 1 }]);
  }

  protected set(part: string, event: Event): void {
    const field = event.target as HTMLInputElement;
    const row = this.rows().find((r) => r.part === part)!;
    try {
      const quantity = row.byLength
        ? Math.round(parseQuantity(field.value, 'length', { system: this.preferences.system() }).value)
        : Number(field.value);
      if (!Number.isInteger(quantity) || quantity < 1) throw new Error(`${row.name}: say how many, a whole number from 1.`);
      this.put(this.beside().map((b) => (b.part === part ? { ...b, quantity } : b)));
    } catch (error) {
      field.value = row.shown;
      this.messages.fault(error instanceof QuantitySyntaxError ? new Error(`${error.message} ${error.hint}`) : error);
    }
  }

  protected remove(part: string): void {
    this.put(this.beside().filter((b) => b.part !== part));
  }

  private put(beside: readonly Beside[]): void {
    const job = this.view.document()?.job;
    if (job) this.store.edit('job', job.id, { beside: [...beside] });
  }

  private entry(part: string): PartEntry | undefined {
    const catalogue = this.view.catalogue();
    return catalogue ? findEntry(catalogue, part) : undefined;
  }
}
