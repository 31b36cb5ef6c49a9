import { effect, type Signal, untracked } from '@angular/core';
import type { AbstractControl, FormGroup } from '@angular/forms';

interface Row {
  readonly id: string;
}

/**
 * Ties a form to a row that is saved as one goes. The form follows the row, whoever changes it, except in the field that something is
 * being typed into; what was typed is handed over when its field is left, with the version on which the typing was begun.
 */
export class RowForm<R extends Row, C extends { [K in keyof C]: AbstractControl }> {
  private readonly begun = new Map<string, number>();
  private of: string | undefined;

  constructor(
    readonly group: FormGroup<C>,
    private readonly row: Signal<R | undefined>,
    private readonly read: (row: R) => { [K in keyof C]: C[K]['value'] },
    private readonly save: (row: R, set: Partial<{ [K in keyof C]: C[K]['value'] }>, version: number) => void,
    private readonly versionOf: (id: string) => number,
  ) {
    effect(() => {
      const now = row();
      untracked(() => now && this.follow(now));
    });
  }

  /** Something is being typed: from here on the field is the hand's. */
  typed(): void {
    const now = this.row();
    for (const [name, control] of this.controls())
      if (now && control.dirty && !this.begun.has(name)) this.begun.set(name, this.versionOf(now.id));
  }

  /** Hands over what was typed and can be taken; the rest stays as it is, with its word. */
  commit(): void {
    const now = this.row();
    if (!now) return;
    const shown = this.read(now);
    const set: Partial<{ [K in keyof C]: C[K]['value'] }> = {};
    let version = Infinity;
    for (const [name, control] of this.controls()) {
      if (!control.dirty) continue;
      control.markAsTouched();
      if (control.invalid) continue;
      if (control.value !== shown[name]) {
        set[name] = control.value as C[typeof name]['value'];
        version = Math.min(version, this.begun.get(name) ?? this.versionOf(now.id));
      }
      this.release(name, control);
    }
    if (Object.keys(set).length > 0) this.save(now, set, version);
  }

  /** Puts the field back as the row has it. */
  restore(): void {
    const now = this.row();
    if (!now) return;
    for (const [name, control] of this.controls()) this.release(name, control);
    this.follow(now);
  }

  private follow(row: R): void {
    const other = this.of !== row.id;
    this.of = row.id;
    const shown = this.read(row);
    for (const [name, control] of this.controls()) {
      if (other) this.release(name, control);
      // told to whoever looks at the control: a picker shows the name of what it holds. For another row the field is set in any case:
      // what could not be read in it is no value, and would stay
      if (other || (!control.dirty && control.value !== shown[name])) control.reset(shown[name]);
    }
  }

  private release(name: string, control: AbstractControl): void {
    control.markAsPristine();
    control.markAsUntouched();
    this.begun.delete(name);
  }

  private controls(): [keyof C & string, AbstractControl][] {
    return Object.entries(this.group.controls) as [keyof C & string, AbstractControl][];
  }
}
