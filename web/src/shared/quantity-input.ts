import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal, untracked } from '@angular/core';
import {
  formatBoth,
  formatQuantity,
  parseQuantity,
  QuantitySyntaxError,
  type FormatOptions,
  type QuantityKind,
  type UnitSystem,
} from '@gewinde/core';

let inputs = 0;

/**
 * A figure with its unit: takes `5/16`, `0.3125 in`, `7,94` or `7.94 mm`, shows house units, tells the other system on hover.
 * What cannot be read stays as typed, with a word about it; only what can be read is emitted.
 */
@Component({
  selector: 'g-quantity-input',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="g-field">
      <span>{{ label() }}</span>
      <input
        class="g-input g-figure"
        type="text"
        inputmode="text"
        autocomplete="off"
        [id]="id"
        [value]="text()"
        [attr.placeholder]="placeholder()"
        [attr.title]="other()"
        [attr.aria-invalid]="problem() !== null"
        [attr.aria-describedby]="id + '-problem'"
        (input)="typed($event)"
        (blur)="leave()"
        (keydown.enter)="leave()"
        (keydown.escape)="restore()"
      />
    </label>
    <p class="g-error" [id]="id + '-problem'" role="alert">{{ problem() ?? '' }}</p>
  `,
  styles: `
    :host {
      display: block;
    }
    .g-input {
      padding-inline: var(--figure-inset, 9px);
      font-size: var(--figure-size, 17px);
    }
    .g-error:empty {
      display: none;
    }
  `,
})
export class QuantityInput {
  readonly label = input.required<string>();
  readonly kind = input<QuantityKind>('length');
  readonly system = input<UnitSystem>('metric');
  readonly value = input<number | null>(null);
  readonly placeholder = input<string | null>(null);
  /** Bounds in the base unit of the kind; the lower one itself is allowed. */
  readonly least = input(0);
  readonly most = input(Infinity);
  /** Places shown, where lengths of the house are too coarse. */
  readonly format = input<FormatOptions>({});
  /** Whether the field may be emptied (gives null). */
  readonly optional = input(false);
  readonly changed = output<number | null>();

  protected readonly id = `quantity${++inputs}`;
  protected readonly text = signal('');
  protected readonly problem = signal<string | null>(null);
  protected readonly other = computed(() =>
    this.value() === null ? null : formatBoth(this.value()!, this.kind(), this.system(), this.format()),
  );

  constructor() {
    effect(() => {
      this.value();
      this.system();
      untracked(() => this.restore());
    });
  }

  protected typed(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
    this.problem.set(null);
  }

  protected restore(): void {
    const value = this.value();
    this.text.set(value === null ? '' : formatQuantity(value, this.kind(), this.system(), this.format()));
    this.problem.set(null);
  }

  protected leave(): void {
    const typed = this.text();
    const shown = this.value() === null ? '' : formatQuantity(this.value()!, this.kind(), this.system(), this.format());
    if (typed === shown) return;
    if (typed.trim() === '' && this.optional()) {
      this.changed.emit(null);
      return;
    }
    try {
      const { value } = parseQuantity(typed, this.kind(), { system: this.system() });
      const problem = this.outOfBounds(value);
      this.problem.set(problem);
      if (!problem) this.changed.emit(value);
    } catch (error) {
      if (!(error instanceof QuantitySyntaxError)) throw error;
      this.problem.set(`${error.message} ${error.hint}`);
    }
  }

  private outOfBounds(value: number): string | null {
    const show = (bound: number) => formatQuantity(bound, this.kind(), this.system());
    if (value < this.least())
      return value < 0 ? `${this.label()} cannot be negative.` : `${this.label()} must be at least ${show(this.least())}.`;
    if (value > this.most())
      return `${this.label()} must be at most ${show(this.most())}. Check the unit: a bare number is read in ${this.system() === 'metric' ? 'millimetres' : 'inches'}.`;
    return null;
  }
}
