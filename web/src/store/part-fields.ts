import { type AbstractControl, FormControl, type ValidationErrors } from '@angular/forms';

/** The fields of a part's form: as texts, with what is wrong with them in words. */
export const text = (...validators: ((control: AbstractControl<string>) => ValidationErrors | null)[]) =>
  new FormControl('', { nonNullable: true, validators });
export const read = (value: string): number => Number(value.trim().replace(',', '.'));
/** A figure from `least` up, or nothing; whole where it counts pieces or days. */
export const figure =
  (words: string, whole = false, least = 0) =>
  ({ value }: AbstractControl<string>): ValidationErrors | null => {
    if (value.trim() === '') return null;
    const number = read(value);
    if (!Number.isFinite(number)) return { said: `"${value}" is not ${words}.` };
    if (number < least)
      return { said: `${words.charAt(0).toUpperCase()}${words.slice(1)} is ${least === 0 ? 'not negative' : `at least ${least}`}.` };
    return whole && !Number.isInteger(number) ? { said: `"${value}" is not a whole number.` } : null;
  };
/** Of a length, nothing is not a figure: it is left empty. */
const aboveNothing = ({ value }: AbstractControl<number | null>): ValidationErrors | null =>
  value === 0 ? { said: 'Leave it empty where it is not known: 0 cannot be.' } : null;
export const length = () => new FormControl<number | null>(null, { validators: [aboveNothing] });
/** A figure as it was said, or nothing. */
export function number(value: string): number | undefined {
  return value.trim() === '' || !Number.isFinite(read(value)) ? undefined : read(value);
}

export function figureText(value: number | undefined): string {
  return value === undefined ? '' : String(value);
}

/** What was left empty is not there. */
export function compact<T extends object>(fields: { [K in keyof T]?: T[K] | undefined }): Partial<T> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>;
}
