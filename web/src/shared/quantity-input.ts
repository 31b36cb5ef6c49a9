import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type DoCheck,
  effect,
  type ElementRef,
  forwardRef,
  inject,
  Injector,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import {
  type ControlValueAccessor,
  NG_VALIDATORS,
  NG_VALUE_ACCESSOR,
  NgControl,
  type ValidationErrors,
  type Validator,
} from '@angular/forms';
import {
  formatBoth,
  formatQuantity,
  houseUnits,
  parseQuantity,
  QuantitySyntaxError,
  type FormatOptions,
  type QuantityKind,
  type UnitSystem,
} from '@gewinde/core';
import { Preferences } from '../data/preferences';

let inputs = 0;

/**
 * A figure with its unit, as a form control of a number in the base unit: takes `5/16`, `0.3125 in`, `7,94` or `7.94 mm`, shows house
 * units, and the other system under the field while one is in it. What cannot be read stays as typed, with a word about it.
 */
@Component({
  selector: 'g-quantity-input',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [
    { provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => QuantityInput), multi: true },
    { provide: NG_VALIDATORS, useExisting: forwardRef(() => QuantityInput), multi: true },
  ],
  template: `
    <label class="g-field" [attr.for]="id"
      ><span>{{ label() }}</span></label
    >
    <input
      #field
      class="g-input g-figure"
      type="text"
      inputmode="text"
      autocomplete="off"
      [id]="id"
      [value]="text()"
      [disabled]="disabled()"
      [attr.placeholder]="placeholder()"
      [attr.aria-invalid]="problem() !== null"
      [attr.aria-describedby]="problem() ? id + '-problem' : other() ? id + '-other' : null"
      (input)="typed($event)"
      (focus)="inside.set(true)"
      (blur)="inside.set(false); leave()"
      (keydown.enter)="leave()"
      (keydown.escape)="restore()"
    />
    @if (problem(); as p) {
      <p class="g-error" role="alert" [id]="id + '-problem'">{{ p }}</p>
    }
    @if (other(); as o) {
      <span class="other" [class.shown]="inside() && !problem()" [id]="id + '-other'">{{ o }}</span>
    }
  `,
  styles: `
    :host {
      display: block;
      position: relative;
    }
    .g-input {
      padding-inline: var(--figure-inset, 9px);
      font-size: var(--figure-size, 17px);
    }
    .other {
      position: absolute;
      top: 100%;
      left: 0;
      z-index: 3;
      visibility: hidden;
      padding: 1px 6px;
      background: var(--bar);
      color: var(--bar-ink);
      font-size: 13px;
      white-space: nowrap;
    }
    .shown,
    :host:hover .other {
      visibility: visible;
    }
  `,
})
export class QuantityInput implements ControlValueAccessor, Validator, DoCheck {
  readonly label = input.required<string>();
  readonly kind = input<QuantityKind>('length');
  /** The units of the house, where nobody says others. */
  readonly system = input<UnitSystem>();
  private readonly preferences = inject(Preferences);
  private readonly house = computed(() => this.system() ?? this.preferences.system());
  readonly placeholder = input<string | null>(null);
  /** Bounds in the base unit of the kind; the lower one itself is allowed. */
  readonly min = input(0);
  readonly max = input(Infinity);
  /** Places shown, where lengths of the house are too coarse. */
  readonly format = input<FormatOptions>({});
  /** Whether the field may be emptied (gives null). */
  readonly optional = input(false);

  protected readonly id = `quantity${++inputs}`;
  protected readonly value = signal<number | null>(null);
  protected readonly text = signal('');
  private readonly unread = signal<string | null>(null);
  private readonly refused = signal<string | null>(null);
  protected readonly problem = computed(() => this.unread() ?? this.refused());
  protected readonly disabled = signal(false);
  protected readonly inside = signal(false);
  protected readonly other = computed(() => {
    const value = this.value();
    // what is called the same everywhere needs no second name
    if (value === null || houseUnits.metric[this.kind()] === houseUnits.inch[this.kind()]) return null;
    return formatBoth(value, this.kind(), this.house(), this.format());
  });
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  private readonly injector = inject(Injector);
  private changed: (value: number | null) => void = () => undefined;
  private touched: () => void = () => undefined;
  private revalidate: () => void = () => undefined;
  /** Typed and not left yet: not to be written over. */
  private underWay = false;

  constructor() {
    effect(() => {
      this.house();
      untracked(() => this.underWay || this.restore());
    });
  }

  /** A refusal that the form puts here is said here. */
  ngDoCheck(): void {
    const refused: unknown = this.injector.get(NgControl, null, { self: true, optional: true })?.control?.getError('refused');
    this.refused.set(typeof refused === 'string' ? refused : null);
  }

  writeValue(value: number | null): void {
    this.value.set(value);
    this.restore();
  }

  registerOnChange(changed: (value: number | null) => void): void {
    this.changed = changed;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  registerOnValidatorChange(revalidate: () => void): void {
    this.revalidate = revalidate;
  }

  setDisabledState(disabled: boolean): void {
    this.disabled.set(disabled);
  }

  validate(): ValidationErrors | null {
    const unread = this.unread();
    return unread === null ? null : { quantity: unread };
  }

  protected typed(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
    this.say(null);
    if (!this.underWay) {
      this.underWay = true;
      // the form knows that the hand is in the field: what others do to it does not take the text away
      this.changed(this.value());
    }
  }

  protected restore(): void {
    this.underWay = false;
    this.text.set(this.shown());
    this.say(null);
  }

  protected leave(): void {
    const typed = this.text();
    this.touched();
    if (typed === this.shown()) {
      this.underWay = false;
      return;
    }
    if (typed.trim() === '' && this.optional()) return this.take(null);
    try {
      const { value } = parseQuantity(typed, this.kind(), { system: this.house() });
      const problem = this.outOfBounds(value);
      this.say(problem);
      if (!problem) this.take(value);
    } catch (error) {
      if (!(error instanceof QuantitySyntaxError)) throw error;
      this.say(`${error.message} ${error.hint}`);
    }
  }

  private take(value: number | null): void {
    this.underWay = false;
    this.value.set(value);
    this.changed(value);
    this.text.set(this.shown());
    // in the field at once: written a moment later, it would take the selection from under the next figure typed
    this.field().nativeElement.value = this.text();
  }

  private say(problem: string | null): void {
    if (problem === this.unread()) return;
    this.unread.set(problem);
    this.revalidate();
  }

  private shown(): string {
    const value = this.value();
    return value === null ? '' : formatQuantity(value, this.kind(), this.house(), this.format());
  }

  private outOfBounds(value: number): string | null {
    // to the side on which it is taken: what is told as the most may be typed
    const inches = this.kind() === 'length' && this.house() === 'inch' ? { inchDecimals: 2 } : {};
    const show = (bound: number, toward: 'down' | 'up') => formatQuantity(bound, this.kind(), this.house(), { ...inches, toward });
    if (value < this.min())
      return value < 0 && this.min() >= 0
        ? `${this.label()} cannot be negative.`
        : `${this.label()} must be at least ${show(this.min(), 'up')}.`;
    if (value > this.max())
      return `${this.label()} must be at most ${show(this.max(), 'down')}.${this.kind() === 'length' ? ` Check the unit: a bare number is read in ${this.house() === 'metric' ? 'millimetres' : 'inches'}.` : ''}`;
    return null;
  }
}
