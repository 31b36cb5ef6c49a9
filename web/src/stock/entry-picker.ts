import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { headOf, type PartEntry } from '@gewinde/core';
import { NgbTypeahead, type NgbTypeaheadSelectItemEvent } from '@ng-bootstrap/ng-bootstrap';
import { debounceTime, map, type Observable } from 'rxjs';
import { ShopStore } from '../data/shop-store';
import { findEntries } from './find-entries';

let pickers = 0;
const MOST = 10;

/** Picks a part of any kind by a few letters. */
@Component({
  selector: 'g-entry-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgbTypeahead, ReactiveFormsModule],
  template: `
    <label class="g-field" [attr.for]="id"
      ><span>{{ label() }}</span></label
    >
    <ng-template #row let-e="result"
      ><span class="what"
        ><span class="name">{{ e.part.name }}</span
        ><small>{{ detail(e) }}</small></span
      ></ng-template
    >
    <input
      class="g-input"
      type="text"
      autocomplete="off"
      spellcheck="false"
      placeholder="name, code or size"
      popupClass="g-picker"
      [id]="id"
      [formControl]="typed"
      [ngbTypeahead]="search"
      [resultTemplate]="row"
      [inputFormatter]="nameOf"
      (selectItem)="pick($event)"
    />
  `,
  styles: `
    :host {
      display: block;
    }
    small {
      display: block;
      color: var(--quiet);
    }
  `,
})
export class EntryPicker {
  readonly label = input.required<string>();
  /** Which parts are offered. */
  readonly wanted = input<(entry: PartEntry) => boolean>(() => true);
  /** The part stays in the field once it is picked. */
  readonly keeps = input(false);
  readonly picked = output<PartEntry>();
  private readonly shop = inject(ShopStore);
  protected readonly id = `entry${++pickers}`;
  protected readonly typed = new FormControl<PartEntry | string>('', { nonNullable: true });
  protected readonly search = (typed: Observable<string>): Observable<PartEntry[]> =>
    typed.pipe(
      debounceTime(120),
      map((words) => {
        const catalogue = this.shop.catalogue();
        return !catalogue || words.trim().length < 2 ? [] : findEntries(catalogue, words, MOST, this.wanted());
      }),
    );
  protected readonly nameOf = (e: PartEntry | string): string => (typeof e === 'string' ? e : e.part.name);

  protected detail(entry: PartEntry): string {
    const { code, shelf } = headOf(entry);
    return [code, entry.kind === 'hose' ? '' : shelf ? `${shelf} on the shelf` : ''].filter(Boolean).join(' · ');
  }
  protected pick({ item, preventDefault }: NgbTypeaheadSelectItemEvent<PartEntry>): void {
    preventDefault();
    this.typed.setValue(this.keeps() ? item : '');
    this.picked.emit(item);
  }
}
