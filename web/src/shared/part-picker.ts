import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { findParts, fittingDrawing, formatConnector, type Fitting } from '@gewinde/core';
import { NgbTypeahead, type NgbTypeaheadSelectItemEvent } from '@ng-bootstrap/ng-bootstrap';
import { debounceTime, map, type Observable } from 'rxjs';
import { ShopStore } from '../data/shop-store';
import { DrawingView } from './drawing';

let pickers = 0;
const MOST = 8;

/** Picks a part of the catalogue by a few letters of its name, code or ends; those on the shelf first. */
@Component({
  selector: 'g-part-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, NgbTypeahead, ReactiveFormsModule],
  template: `
    <label class="g-field" [attr.for]="id"
      ><span>{{ label() }}</span></label
    >
    <ng-template #row let-f="result">
      <span class="picture"><g-drawing [drawing]="drawing(f)" /></span>
      <span class="what"
        ><span class="name">{{ f.name }}</span
        ><small>{{ detail(f) }}</small></span
      >
    </ng-template>
    <input
      class="g-input"
      type="text"
      autocomplete="off"
      spellcheck="false"
      [placeholder]="bodied() ? 'plate, filter, cooler …' : 'name, code or ends'"
      popupClass="g-picker"
      [id]="id"
      [formControl]="typed"
      [ngbTypeahead]="search"
      [resultTemplate]="row"
      [inputFormatter]="nameOf"
      (selectItem)="pick($event)"
    />
  `,
  styleUrl: './picker.scss',
})
export class PartPicker {
  readonly label = input.required<string>();
  /** Parts that are not offered. */
  readonly besides = input<readonly string[]>([]);
  /** Only parts with a body: plates, filters, coolers, valves. */
  readonly bodied = input(false);
  readonly picked = output<Fitting>();
  private readonly shop = inject(ShopStore);
  protected readonly id = `part${++pickers}`;
  protected readonly typed = new FormControl<Fitting | string>('', { nonNullable: true });
  private readonly offered = computed(() => {
    const left = new Set(this.besides());
    return (this.shop.catalogue()?.fittings ?? []).filter((f) => !f.retired && !left.has(f.id) && (!this.bodied() || f.body !== undefined));
  });
  protected readonly search = (typed: Observable<string>): Observable<Fitting[]> =>
    typed.pipe(
      debounceTime(120),
      map((words) => (words.trim().length < 2 ? [] : this.found(words))),
    );
  protected readonly nameOf = (f: Fitting | string): string => (typeof f === 'string' ? f : f.name);

  protected drawing(f: Fitting): ReturnType<typeof fittingDrawing> {
    return fittingDrawing(f, { width: 64, height: 40 });
  }

  protected detail(f: Fitting): string {
    const shelf = (f.shelf ?? 0) > 0 ? `${f.shelf} on the shelf` : f.leadDays === undefined ? '' : `${f.leadDays} days`;
    return [f.code, f.ends.map(formatConnector).join(' + '), shelf].filter(Boolean).join(' · ');
  }

  protected pick({ item, preventDefault }: NgbTypeaheadSelectItemEvent<Fitting>): void {
    preventDefault();
    this.typed.setValue('');
    this.picked.emit(item);
  }

  private found(words: string): Fitting[] {
    const found = findParts(this.offered(), { words });
    return [...found.filter((f) => (f.shelf ?? 0) > 0), ...found.filter((f) => !((f.shelf ?? 0) > 0))].slice(0, MOST);
  }
}
