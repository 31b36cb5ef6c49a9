import { ChangeDetectionStrategy, Component, effect, inject, signal } from '@angular/core';
import { type AbstractControl, FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { jobContracts, letters, type Frozen, type Job } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom, map } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api, ApiError } from '../data/api';
import { refuse } from '../shared/field-problem';
import { TextField } from '../shared/text-field';

const required = [(control: AbstractControl) => Validators.required(control), Validators.pattern(/\S/)];

/** Makes a job, or renames and renumbers one. Closes with the job as it is then. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, imports: [ReactiveFormsModule, TextField], templateUrl: './job-dialog.html' })
export class JobDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly api = inject(Api);
  readonly job = signal<Frozen<Job> | null>(null);
  protected readonly error = signal<string | null>(null);
  protected readonly form = new FormGroup({
    number: new FormControl('', { nonNullable: true, validators: [...required, Validators.maxLength(letters.jobNumber)] }),
    name: new FormControl('', { nonNullable: true, validators: [...required, Validators.maxLength(letters.jobName)] }),
    description: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(letters.note)] }),
  });
  protected readonly words = {
    number: { required: 'Give the job a number, for example 2411.', pattern: 'Give the job a number, for example 2411.' },
    name: { required: 'Give the job a name.', pattern: 'Give the job a name.' },
  };
  /** Sent again after an answer was lost, the job is made once. */
  private readonly id = uuid();

  constructor() {
    effect(() => {
      const job = this.job();
      if (job) this.form.setValue({ number: job.number, name: job.name, description: job.description });
    });
  }

  protected async save(): Promise<void> {
    this.form.markAllAsTouched();
    this.error.set(null);
    if (this.form.invalid) return;
    try {
      this.modal.close(await firstValueFrom(this.send()));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (!refuse(this.form.controls, error.field, error.message)) this.error.set(error.message);
    }
  }

  private send() {
    const job = this.job();
    const fields = this.form.getRawValue();
    if (!job) return this.api.call(jobContracts.createJob, { body: { id: this.id, ...fields } });
    const commands = [{ do: 'edit-job' as const, version: job.version, set: fields }];
    return this.api
      .call(jobContracts.changeJob, { params: { id: job.id }, body: { key: uuid(), commands } })
      .pipe(map(({ put }) => put.find((entity) => entity.type === 'job')!.row as Job));
  }
}
