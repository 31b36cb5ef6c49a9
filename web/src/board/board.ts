import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import type { JobFile } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { Api, ApiError, type JobSummary } from '../data/api';
import { CatalogueStore } from '../data/catalogue-store';
import { JobStore } from '../data/job-store';
import { Icon } from '../shared/icon';
import { TopBar } from '../shell/top-bar';
import { JobDialog } from './job-dialog';

interface Grade {
  readonly name: string;
  /** 0…1 of the step done. */
  readonly done: number;
}

/** The jobs as they stand: how far each is, what blocks it, what comes next. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Icon, TopBar],
  templateUrl: './board.html',
  styleUrl: './board.scss',
})
export class Board {
  private readonly api = inject(Api);
  private readonly modal = inject(NgbModal);
  private readonly router = inject(Router);
  private readonly catalogue = inject(CatalogueStore);
  private readonly store = inject(JobStore);

  protected readonly archived = signal(false);
  protected readonly jobs = signal<JobSummary[] | null>(null);
  protected readonly error = signal<string | null>(null);
  protected readonly importError = signal<string | null>(null);

  constructor() {
    this.store.close();
    void this.load();
  }

  protected async load(): Promise<void> {
    try {
      this.jobs.set(await firstValueFrom(this.api.jobs(this.archived())));
      this.error.set(null);
    } catch (error) {
      this.error.set((error as ApiError).message);
    }
  }

  protected grades(s: JobSummary): Grade[] {
    const share = (part: number, whole: number): number => (whole === 0 ? 0 : part / whole);
    return [
      { name: 'Survey', done: s.ports >= 2 ? 1 : s.ports / 2 },
      { name: 'Lines', done: share(s.linesThatSeal, s.lines) },
      { name: 'Checked', done: share(s.linesChecked, s.lines) },
    ];
  }

  protected showArchived(archived: boolean): void {
    this.archived.set(archived);
    this.jobs.set(null);
    void this.load();
  }

  protected async edit(summary?: JobSummary): Promise<void> {
    const dialog = this.modal.open(JobDialog, { ariaLabelledBy: 'job-title' });
    (dialog.componentInstance as JobDialog).job.set(summary?.job ?? null);
    const made = (await dialog.result.catch(() => undefined)) as string | undefined;
    if (made && !summary) void this.router.navigate(['/job', made, 'survey']);
    else if (made) void this.load();
  }

  protected async archive({ job }: JobSummary): Promise<void> {
    try {
      await firstValueFrom(this.api.edit('job', job.id, job.version, { archived: !job.archived }));
      this.store.messages.next({
        text: job.archived ? `${job.number} is back on the board` : `${job.number} is archived; find it under Archived`,
        tone: 'plain',
      });
    } catch (error) {
      this.store.say(error);
    }
    void this.load();
  }

  protected async importFile(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.importError.set(null);
    try {
      const { job, renumberedFrom } = await firstValueFrom(this.api.importJob(parseFile(await file.text())));
      this.catalogue.refresh();
      this.store.messages.next({
        text: renumberedFrom ? `Number ${renumberedFrom} is taken; the job came in as ${job.number}` : `Job ${job.number} came in`,
        tone: 'plain',
      });
      this.archived.set(false);
      await this.load();
    } catch (error) {
      const field = error instanceof ApiError && error.field ? ` (at ${error.field})` : '';
      this.importError.set(`${file.name}: ${(error as Error).message}${field} Nothing was changed.`);
    }
  }
}

function parseFile(text: string): JobFile {
  try {
    return JSON.parse(text) as JobFile;
  } catch (error) {
    throw new Error(`this is not JSON: ${(error as Error).message}.`);
  }
}
