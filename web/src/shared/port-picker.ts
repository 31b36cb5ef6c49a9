import { ChangeDetectionStrategy, Component, computed, effect, type ElementRef, input, untracked, viewChild } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { matchingPorts, portCases, type PortChoice, portDrawing } from '@gewinde/core';
import { NgbTypeahead, type NgbTypeaheadSelectItemEvent } from '@ng-bootstrap/ng-bootstrap';
import { map, merge, type Observable, startWith, Subject, switchMap } from 'rxjs';
import { DrawingView } from './drawing';
import { fieldProblem } from './field-problem';

let pickers = 0;
/** Choices shown at a time; more letters bring the rest. */
const MOST = 9;

/** Picks a port by a few letters of its component, its name or its thread, in the order of the survey, free ones first. */
@Component({
  selector: 'g-port-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, NgbTypeahead, ReactiveFormsModule],
  templateUrl: './port-picker.html',
  styleUrl: './picker.scss',
})
export class PortPicker {
  /** The id of the port; empty while none is picked. */
  readonly control = input.required<FormControl<string>>();
  readonly label = input.required<string>();
  readonly choices = input.required<readonly PortChoice[]>();

  protected readonly id = `port${++pickers}`;
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  private readonly list = viewChild.required(NgbTypeahead);
  /** What is in the field: a choice, or text that is none. */
  protected readonly picked = new FormControl<PortChoice | string>('', { nonNullable: true });
  private readonly opened = new Subject<string>();
  private readonly value = toSignal(
    toObservable(computed(() => this.control())).pipe(switchMap((c) => c.valueChanges.pipe(startWith(c.value)))),
    { initialValue: '' },
  );
  protected readonly problem = fieldProblem(
    this.control,
    computed(() => ({ required: 'Choose a port from the list.' })),
  );
  protected readonly search = (typed: Observable<string>): Observable<PortChoice[]> =>
    merge(typed, this.opened).pipe(
      map((text) => {
        // leaving the field with Tab takes the marked row: none is marked before a letter says which is meant
        this.list().focusFirst = text.trim() !== '';
        return matchingPorts(this.choices(), text).slice(0, MOST);
      }),
    );

  constructor() {
    effect(() => {
      const choice = this.choices().find((c) => c.id === this.value());
      untracked(() => {
        const now = this.picked.value;
        if (choice && (typeof now === 'string' ? now !== choice.name : now.id !== choice.id || now.name !== choice.name))
          this.picked.setValue(choice, { emitEvent: false });
        if (!choice && typeof now !== 'string') this.picked.setValue('', { emitEvent: false });
      });
    });
  }

  focus(): void {
    this.field().nativeElement.focus();
  }

  protected readonly shown = (choice: PortChoice | string): string =>
    typeof choice === 'string' ? choice : `${choice.name} · ${choice.notation}`;

  protected drawing({ port }: PortChoice): ReturnType<typeof portDrawing> | null {
    const [connector] = portCases(port);
    return connector ? portDrawing(connector, { width: 64, height: 40 }) : null;
  }

  /** All of them, before a letter is typed. */
  protected open(): void {
    this.field().nativeElement.select();
    this.opened.next('');
  }

  protected pick({ item, preventDefault }: NgbTypeaheadSelectItemEvent<PortChoice>): void {
    preventDefault();
    this.picked.setValue(item, { emitEvent: false });
    const control = this.control();
    control.setValue(item.id);
    control.markAsDirty();
    control.markAsTouched();
    if (item.usedBy) control.setErrors({ refused: `${item.port.label} is already used by ${item.usedBy}.` });
    else this.field().nativeElement.dispatchEvent(new Event('change', { bubbles: true }));
  }

  /** Text that is no port puts back the one that was there. */
  protected left(): void {
    const control = this.control();
    const choice = this.choices().find((c) => c.id === control.value);
    if (typeof this.picked.value === 'string' && this.picked.value.trim() !== '') this.picked.setValue(choice ?? '', { emitEvent: false });
    if (!choice) control.markAsTouched();
  }
}
