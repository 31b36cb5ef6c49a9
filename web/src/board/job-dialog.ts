import { ChangeDetectionStrategy, Component, effect, inject, signal } from '@angular/core';
import { type AbstractControl, FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import type { Job } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { Api, ApiError } from '../data/api';

const required = [(control: AbstractControl) => Validators.required(control), Validators.pattern(/\S/)];

/** Makes a job, or renames and renumbers one. Closes with the job's id. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, imports: [ReactiveFormsModule], templateUrl: './job-dialog.html' })
export class JobDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly api = inject(Api);
  readonly job = signal<Job | null>(null);
  protected readonly tried = signal(false);
  protected readonly error = signal<{ field?: string; message: string } | null>(null);
  protected readonly form = new FormGroup({
    number: new FormControl('', { nonNullable: true, validators: [...required, Validators.maxLength(20)] }),
    name: new FormControl('', { nonNullable: true, validators: [...required, Validators.maxLength(120)] }),
    description: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(2000)] }),
  });

  constructor() {
    effect(() => {
      const job = this.job();
      if (job) this.form.setValue({ number: job.number, name: job.name, description: job.description });
    });
  }

  protected missing(field: 'number' | 'name'): boolean {
    return this.tried() && this.form.controls[field].invalid;
  }

  protected async save(): Promise<void> {
    this.tried.set(true);
    if (this.form.invalid) return;
    const fields = this.form.getRawValue();
    const job = this.job();
    try {
      const saved = await firstValueFrom(job ? this.api.edit<Job>('job', job.id, job.version, fields) : this.api.createJob(fields));
      this.modal.close(saved.id);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      this.error.set({ message: error.message, ...(error.field ? { field: error.field } : {}) });
    }
  }
}
