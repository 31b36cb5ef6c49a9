import { type Signal, computed } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import type { AbstractControl, ValidationErrors } from '@angular/forms';
import { switchMap } from 'rxjs';
import { stillUnderPress } from './press';

/** What to say for each kind of error; `said` and `refused` bring their own words. */
export type ProblemWords = Readonly<Record<string, string>>;

/** What is wrong with a field, in words, once it has been touched; null where nothing is. */
export function fieldProblem(control: Signal<AbstractControl>, words: Signal<ProblemWords>): Signal<string | null> {
  const events = toSignal(toObservable(control).pipe(switchMap((c) => c.events)), { initialValue: null });
  const problem = computed(() => {
    events();
    const c = control();
    return c.invalid && (c.touched || c.hasError('refused')) ? inWords(c.errors ?? {}, words()) : null;
  });
  // a press on a button leaves the field: its words would push the button away from under the press
  return stillUnderPress(problem);
}

function inWords(errors: ValidationErrors, words: ProblemWords): string {
  const [kind = '', detail]: [string?, unknown?] = Object.entries(errors)[0] ?? [];
  return typeof detail === 'string' ? detail : (words[kind] ?? 'This cannot be taken as it is.');
}

/** Puts a refusal at the field it is about. It goes with the next key. @returns false where the form has no such field */
export function refuse(controls: Readonly<Record<string, AbstractControl>>, field: string | undefined, message: string): boolean {
  const control = field === undefined ? undefined : controls[field];
  control?.setErrors({ refused: message });
  control?.markAsTouched();
  return control !== undefined;
}
