import { signal, type WritableSignal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, FormGroup, Validators } from '@angular/forms';
import { RowForm } from './row-form';

interface Row {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly mm: number | null;
}
const one: Row = { id: 'one', version: 3, name: 'feed', mm: 600 };
const other: Row = { id: 'other', version: 8, name: 'drain', mm: null };

describe('a form of a row that is saved as one goes', () => {
  let row: WritableSignal<Row | undefined>;
  let form: RowForm<Row, { name: FormControl<string | null>; mm: FormControl<number | null> }>;
  const saved: [id: string, set: object, version: number][] = [];
  const versions = new Map<string, number>();
  const shown = () => form.group.getRawValue();
  const type = <K extends 'name' | 'mm'>(field: K, value: Row[K]) => {
    const control = form.group.controls[field] as FormControl<Row[K]>;
    control.setValue(value);
    control.markAsDirty();
    form.typed();
  };
  const becomes = (next: Row | undefined) => {
    row.set(next);
    if (next) versions.set(next.id, next.version);
    TestBed.tick();
  };
  beforeEach(() => {
    saved.length = 0;
    row = signal<Row | undefined>(undefined);
    form = TestBed.runInInjectionContext(
      () =>
        new RowForm(
          new FormGroup({ name: new FormControl<string | null>('', [Validators.required]), mm: new FormControl<number | null>(null) }),
          row,
          ({ name, mm }: Row) => ({ name, mm }),
          ({ id }, set, version) => saved.push([id, set, version]),
          (id) => versions.get(id)!,
        ),
    );
    becomes(one);
  });

  it('shows the row, and follows it, whoever changes it', () => {
    expect(shown()).toEqual({ name: 'feed', mm: 600 });
    becomes({ ...one, mm: 640, version: 4 });
    expect(shown()).toEqual({ name: 'feed', mm: 640 });
  });

  it('hands over what was typed, with the version on which the typing was begun', () => {
    type('name', 'turbo feed');
    becomes({ ...one, mm: 640, version: 4 });
    // what others change comes in beside it, not into it
    expect(shown()).toEqual({ name: 'turbo feed', mm: 640 });
    form.commit();
    expect(saved).toEqual([['one', { name: 'turbo feed' }, 3]]);
    // typed again, it is begun on what stands by now
    type('name', 'oil feed');
    form.commit();
    expect(saved[1]).toEqual(['one', { name: 'oil feed' }, 4]);
  });

  it('hands nothing over that is as it was', () => {
    type('name', 'turbo feed');
    type('name', 'feed');
    form.commit();
    expect([saved, form.group.dirty]).toEqual([[], false]);
  });

  it('keeps what cannot be taken in its field, with its word, and hands over the rest', () => {
    type('name', '');
    type('mm', 700);
    form.commit();
    expect(saved).toEqual([['one', { mm: 700 }, 3]]);
    expect([form.group.controls.name.touched, form.group.controls.name.invalid, form.group.controls.name.dirty]).toEqual([
      true,
      true,
      true,
    ]);
    form.restore();
    expect([shown().name, form.group.controls.name.touched]).toEqual(['feed', false]);
  });

  it('takes nothing of one row to another, not even what could not be read', () => {
    type('name', '');
    type('mm', 700);
    becomes(other);
    expect([shown(), form.group.dirty, form.group.controls.name.touched]).toEqual([{ name: 'drain', mm: null }, false, false]);
    form.commit();
    expect(saved).toEqual([]);
    becomes(one);
    expect(shown()).toEqual({ name: 'feed', mm: 600 });
  });

  it('of no row hands over nothing', () => {
    becomes(undefined);
    type('name', 'x');
    form.commit();
    form.restore();
    expect(saved).toEqual([]);
  });
});
