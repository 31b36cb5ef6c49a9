import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormControl } from '@angular/forms';
import { type Choice, ChoiceField } from './choice-field';

/** What a preview of a list says of its headings and lines, whatever the list is of. */
export interface ListLook {
  readonly headings: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly lines: number;
  readonly mapping: Readonly<Record<string, number>>;
  readonly counts: { readonly added: number; readonly changed: number; readonly unchanged: number; readonly errors: number };
  readonly errors: readonly { readonly line: number; readonly column?: string; readonly message: string }[];
}

/** Which column of a list is which, what it would change, and what is wrong with which line. */
@Component({
  selector: 'g-list-columns',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField],
  templateUrl: './list-columns.html',
  styleUrl: './list-columns.scss',
})
export class ListColumns {
  readonly look = input.required<ListLook>();
  readonly columns = input.required<readonly Choice<string>[]>();
  /** A heading is taken for another column. */
  readonly matched = output<Record<string, number>>();
  /** For each heading of the file, the column it is taken for. */
  protected readonly taken = computed(() => {
    const { headings, mapping } = this.look();
    const byIndex = new Map(Object.entries(mapping).map(([id, at]) => [at, id]));
    return headings.map((_, at) => new FormControl(byIndex.get(at) ?? '', { nonNullable: true }));
  });
  protected readonly headings = computed(() => {
    const { headings, sample } = this.look();
    return headings.map((heading, at) => ({
      heading: heading || `column ${at + 1}`,
      sample: sample.map((row) => row[at] ?? '').find((cell) => cell !== '') || 'empty',
    }));
  });

  /** A column goes with one heading only, the one chosen last. */
  protected match(at: number): void {
    const taken = this.taken();
    const id = taken[at]!.value;
    const pairs = taken.flatMap((control, i): [string, number][] =>
      control.value === '' || (i !== at && control.value === id) ? [] : [[control.value, i]],
    );
    this.matched.emit(Object.fromEntries(pairs));
  }
}
