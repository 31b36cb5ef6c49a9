import { ChangeDetectionStrategy, Component, computed, effect, type ElementRef, input, output, viewChild } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { type AbstractControl, type FormControl, ReactiveFormsModule, type ValidationErrors } from '@angular/forms';
import { RouterLink } from '@angular/router';
import {
  connectorName,
  describeConnector,
  drillInWords,
  formatConnector,
  formatPortThread,
  formatQuantity,
  portDrawing,
  type Connector,
  type ConnectorSyntaxError,
  type PortThread,
  type UnitSystem,
  letters,
} from '@gewinde/core';
import { switchMap } from 'rxjs';
import { DrawingView } from './drawing';
import { readNotation, readPortThread } from './read-notation';

let inputs = 0;

/**
 * One line of notation, read as it is typed: shown back in full words with the thread's dimensions and its section; a mistake is
 * pointed at where it stands, with a suggestion that a click or Tab takes. Of a port it may be said what it may be, or that it is not known.
 */
@Component({
  selector: 'g-notation-input',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, ReactiveFormsModule, RouterLink],
  templateUrl: './notation-input.html',
  styleUrl: './notation-input.scss',
})
export class NotationInput {
  protected readonly most = letters;
  /** Kept by whoever asks: a form's control or a plain one. */
  readonly control = input.required<FormControl<string>>();
  readonly label = input('Port in one line');
  readonly system = input<UnitSystem>('metric');
  /** A port need not be certain: `npt 1/8 f | rc 1/8 f`, `? about 14 mm`. */
  readonly ofPort = input(false);
  /** The connector, where it is certain. */
  readonly accept = output<Connector | null>();

  protected readonly id = `notation${++inputs}`;
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  private readonly events = toSignal(toObservable(this.control).pipe(switchMap((c) => c.events)), { initialValue: null });
  protected readonly text = computed(() => {
    this.events();
    return this.control().value;
  });
  /** Why it was refused by somebody who knows more than the notation tells. */
  protected readonly refused = computed(() => {
    this.events();
    return (this.control().getError('refused') as string | null) ?? null;
  });
  private readonly reading = computed((): { readonly thread: PortThread | null; readonly error: ConnectorSyntaxError | null } => {
    if (this.ofPort()) return readPortThread(this.text());
    const { connector, error } = readNotation(this.text());
    return { thread: connector && { connector }, error };
  });
  readonly connector = computed(() => this.reading().thread?.connector ?? null);
  protected readonly error = computed(() => this.reading().error);
  /** A port that is read, and is not certain. */
  protected readonly open = computed(() => {
    const { thread } = this.reading();
    if (!thread || thread.connector) return null;
    return {
      said: thread.said,
      cases: (thread.maybe ?? []).map((c) => ({ name: connectorName(c), drawing: portDrawing(c, { width: 100, height: 70 }) })),
      written: formatPortThread(thread),
    };
  });
  protected readonly words = computed(() => {
    const connector = this.connector();
    if (!connector) return null;
    const { name, designation, thread, sealsOn, standard } = describeConnector(connector);
    const mm = (value: number) => formatQuantity(value, 'length', this.system(), { decimals: 2, inchDecimals: 4 });
    const dimensions = thread
      ? [
          ['major', mm(thread.majorMm)],
          [
            'pitch',
            `${formatQuantity(thread.pitchMm, 'length', 'metric', { decimals: 3 })} · ${(25.4 / thread.pitchMm).toFixed(1).replace(/\.0$/, '')} per inch`,
          ],
          ['minor, inside', mm(thread.minorInternalMm)],
          ['tap drill', drillInWords(thread, this.system())],
        ]
      : [];
    return {
      name: name.charAt(0).toUpperCase() + name.slice(1),
      designation,
      sealsOn,
      standard,
      dimensions,
      canonical: formatConnector(connector),
    };
  });
  protected readonly drawing = computed(() => {
    const connector = this.connector();
    return connector ? portDrawing(connector, { width: 170, height: 118 }) : null;
  });
  /** The typed text in three pieces: before, at and after the mistake. */
  protected readonly pieces = computed(() => {
    const error = this.error();
    const text = this.text();
    if (!error || text.trim() === '') return null;
    return [
      text.slice(0, error.position),
      text.slice(error.position, error.position + error.length) || ' ',
      text.slice(error.position + error.length),
    ];
  });

  constructor() {
    effect(() => this.field().nativeElement.setAttribute('aria-invalid', String(this.error() !== null && this.text().trim() !== '')));
  }

  focus(): void {
    this.field().nativeElement.focus();
  }

  protected entered(event: Event): void {
    if (this.error()) return;
    event.preventDefault();
    this.accept.emit(this.connector());
  }

  /** Of a port that can be either, both at once: it is settled later. */
  protected readonly either = computed(() => {
    const choices = this.error()?.choices ?? [];
    return this.ofPort() && choices.length === 2 && !this.text().includes('|') ? choices.join(' | ') : null;
  });

  protected takeSuggestion(suggestion = this.error()?.suggestion ?? this.error()?.choices[0]): void {
    if (suggestion === undefined) return;
    this.control().setValue(suggestion);
    this.control().markAsDirty();
    this.focus();
  }
}

/** A port's notation must read; what is wrong is shown by the field itself. */
export function readablePort(control: AbstractControl<string>): ValidationErrors | null {
  return readPortThread(control.value).error ? { notation: true } : null;
}
