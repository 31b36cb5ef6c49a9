import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, viewChild } from '@angular/core';
import { type FormControl, ReactiveFormsModule } from '@angular/forms';
import { letters, type TextLimit } from '@gewinde/core';
import { fieldProblem, type ProblemWords } from './field-problem';

let fields = 0;

/** A labelled line of text with what is wrong with it tied to it. */
@Component({
  selector: 'g-text-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule],
  template: `
    <label class="g-field" [attr.for]="id"
      ><span [class.g-visually-hidden]="quiet()">{{ label() }}</span></label
    >
    <input
      #field
      type="text"
      autocomplete="off"
      [class]="'g-input ' + look()"
      [id]="id"
      [formControl]="control()"
      [attr.ngbAutofocus]="first() ? '' : null"
      [attr.maxlength]="max()"
      [attr.inputmode]="inputmode()"
      [attr.placeholder]="placeholder()"
      [attr.spellcheck]="look().includes('g-mono') ? 'false' : null"
      [attr.aria-invalid]="problem() !== null"
      [attr.aria-describedby]="problem() ? id + '-problem' : null"
    />
    @if (problem(); as p) {
      <p class="g-error" role="alert" [id]="id + '-problem'">{{ p }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .g-input {
      padding-inline: var(--figure-inset, 9px);
    }
  `,
})
export class TextField {
  readonly control = input.required<FormControl<string>>();
  readonly label = input.required<string>();
  /** The label is heard and not seen: what stands around says it. */
  readonly quiet = input(false);
  readonly placeholder = input<string | null>(null);
  /** How much it takes, by the table of limits. */
  readonly limit = input<TextLimit | null>(null);
  readonly inputmode = input<string | null>(null);
  /** Classes of the input: `g-mono`, `g-figure`. */
  readonly look = input('');
  readonly words = input<ProblemWords>({});
  /** Where a dialog puts the focus. */
  readonly first = input(false);

  protected readonly id = `text${++fields}`;
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  protected readonly max = computed(() => letters[this.limit()!] ?? null);
  protected readonly problem = fieldProblem(this.control, this.words);

  focus(): void {
    this.field().nativeElement.focus();
  }
}
