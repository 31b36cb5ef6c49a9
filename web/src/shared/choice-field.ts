import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type FormControl, ReactiveFormsModule } from '@angular/forms';

/** One of the values a field can have, as it is shown. */
export interface Choice<T> {
  readonly value: T;
  readonly name: string;
  /** Shown, but not to be chosen: the invitation to choose. */
  readonly disabled?: boolean;
}

let fields = 0;

/** A labelled choice of one among a few. */
@Component({
  selector: 'g-choice-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule],
  template: `
    <label class="g-field" [attr.for]="id"
      ><span [class.g-visually-hidden]="quiet()">{{ label() }}</span></label
    >
    <select
      class="g-select"
      [id]="id"
      [formControl]="control()"
      [attr.ngbAutofocus]="first() ? '' : null"
      [attr.aria-describedby]="hint() ? id + '-hint' : null"
    >
      @for (c of choices(); track $index) {
        <option [ngValue]="c.value" [disabled]="c.disabled ?? false">{{ c.name }}</option>
      }
    </select>
    @if (hint(); as h) {
      <p class="hint" [id]="id + '-hint'">{{ h }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .hint {
      margin-top: 3px;
      color: var(--quiet);
      font-size: 13px;
    }
  `,
})
export class ChoiceField<T> {
  readonly control = input.required<FormControl<T>>();
  readonly label = input.required<string>();
  readonly quiet = input(false);
  readonly choices = input.required<readonly Choice<T>[]>();
  /** Why one would choose what is chosen. */
  readonly hint = input<string | null>(null);
  /** Where a dialog puts the focus. */
  readonly first = input(false);
  protected readonly id = `choice${++fields}`;
}

/** Choices whose names are their values. */
export function plainChoices<T extends string | number>(values: readonly T[], name: (value: T) => string = String): Choice<T>[] {
  return values.map((value) => ({ value, name: name(value) }));
}
