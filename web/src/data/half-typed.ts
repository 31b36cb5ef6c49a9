import { Injectable } from '@angular/core';

/** What is half typed in the forms of the app, by the place it is about: leaving the view does not lose it, and another place does not get it. */
@Injectable({ providedIn: 'root' })
export class HalfTyped {
  private readonly kept = new Map<string, unknown>();
  private readonly shown = new Map<object, string>();

  /** Something half typed is on the screen: keys that do something by themselves rest. */
  get onScreen(): boolean {
    return this.shown.size > 0;
  }

  /** Keeps what a form holds for its place; nothing where there is nothing to keep. */
  keep(form: object, place: string, typed: unknown): void {
    if (typed === undefined) return this.forget(form, place);
    this.kept.set(place, typed);
    this.shown.set(form, place);
  }

  /** What was kept for a place, now in this form. */
  take<T>(form: object, place: string): T | undefined {
    const typed = this.kept.get(place) as T | undefined;
    if (typed === undefined) this.shown.delete(form);
    else this.shown.set(form, place);
    return typed;
  }

  /** Saved, or given up. */
  forget(form: object, place: string): void {
    this.kept.delete(place);
    this.shown.delete(form);
  }

  /** The form goes; what it holds is kept. */
  leave(form: object): void {
    this.shown.delete(form);
  }
}
