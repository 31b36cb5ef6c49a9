import { FormControl } from '@angular/forms';

/** Something that may be said or not. */
export function maybe<T>(): FormControl<T | null> {
  return new FormControl<T | null>(null);
}

/** What was said with some of it said anew; what is null is not said any more. */
export function saidWith<T extends object>(before: T | undefined, set: Readonly<Record<string, unknown>>): T {
  const next: Record<string, unknown> = { ...before };
  for (const [key, value] of Object.entries(set)) {
    if (value === null || value === undefined) delete next[key];
    else next[key] = value;
  }
  return next as T;
}
