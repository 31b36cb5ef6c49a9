import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { CommandError, services, type ServiceId } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { refuse } from '../shared/field-problem';
import { portChoices } from '../shared/port-choices';
import { PortPicker } from '../shared/port-picker';
import { TextField } from '../shared/text-field';

const port = () => new FormControl('', { nonNullable: true, validators: [(c) => Validators.required(c)] });

/** What connects to what, for which service. Closes with the new line's id. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, PortPicker, ReactiveFormsModule, TextField],
  templateUrl: './new-line-dialog.html',
  styles: `
    .bare {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: 34px;
      cursor: pointer;
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
