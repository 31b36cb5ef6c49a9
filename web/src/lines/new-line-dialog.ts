import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { CommandError, portChoices, type ServiceId, services } from '@gewinde/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { refuse } from '../shared/field-problem';
import { PortPicker } from '../shared/port-picker';
import { TextField } from '../shared/text-field';
import { LineText } from './line-text';

const port = () => new FormControl('', { nonNullable: true, validators: [(c) => Validators.required(c)] });

/** What connects to what, for which service. Closes with the new line's id. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, LineText, PortPicker, ReactiveFormsModule, TextField],
  templateUrl: './new-line-dialog.html',
  styles: `
    .bare {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: 34px;
      cursor: pointer;
    }
    h3 {
      margin: 14px 0 8px;
      padding-top: 12px;
      border-top: 1px solid var(--line);
      font: 600 17px/1.2 var(--head);
    }
    .bare input {
      width: 18px;
      height: 18px;
    }
  `,
})
export class NewLineDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(JobStore);
  protected readonly services: readonly Choice<ServiceId>[] = services.map(({ id, name }) => ({ value: id, name }));
  protected readonly form = new FormGroup({
    service: new FormControl<ServiceId>('turbo-feed', { nonNullable: true }),
    from: port(),
    to: port(),
    name: new FormControl('', { nonNullable: true }),
    bare: new FormControl(false, { nonNullable: true }),
  });
  protected readonly error = signal<string | null>(null);
  protected readonly ports = computed(() => {
    const document = this.store.document();
    return document ? portChoices(document) : [];
  });

  private readonly from = toSignal(this.form.controls.from.valueChanges, { initialValue: '' });
  /** Where it comes from is never where it goes to. */
  protected readonly toPorts = computed(() => this.ports().filter((p) => p.id !== this.from()));

  protected save(): void {
    this.form.markAllAsTouched();
    this.error.set(null);
    if (this.form.invalid) return;
    const { service, from, to, name, bare } = this.form.getRawValue();
    const id = uuid();
    try {
      this.store.change({
        do: 'add-line',
        id,
        service,
        fromPortId: from,
        toPortId: to,
        ...(bare ? { hose: false } : {}),
        ...(name.trim() ? { name: name.trim() } : {}),
      });
      this.modal.close(id);
    } catch (error) {
      const { message } = error as Error;
      const field = error instanceof CommandError ? error.field : undefined;
      const { from: portA, to: portB } = this.form.controls;
      if (!refuse({ portA, portB }, field, message)) this.error.set(message);
    }
  }
}
