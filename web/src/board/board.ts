import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { jobContracts, type AnswerOf, type Job } from '@gewinde/core';
import { NgbModal, NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { catchError, firstValueFrom, from, map, merge, of, scan, Subject, switchMap } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api, ApiError } from '../data/api';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';
import { Icon } from '../shared/icon';
import { Whole } from '../shared/whole';
import { TopBar } from '../shell/top-bar';
import { JobDialog } from './job-dialog';

type Summary = AnswerOf<typeof jobContracts.listJobs>[number];
interface Grade {
  readonly name: string;
  /** 0…1 of the step done. */
  readonly done: number;
}
interface Listed {
  readonly jobs: readonly Summary[] | null;
  readonly error: string | null;
}

/** The jobs as they stand: how far each is, what blocks it, what comes next. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Icon, NgbTooltip, TopBar, Whole],
  templateUrl: './board.html',
  styleUrl: './board.scss',
})
export class Board {
  private readonly api = inject(Api);
  private readonly modal = inject(NgbModal);
  private readonly router = inject(Router);
  private readonly messages = inject(Messages);

  protected readonly archived = signal(false);
  protected readonly importError = signal<string | null>(null);
  private readonly again = new Subject<void>();
  private readonly changed = new Subject<(jobs: readonly Summary[]) => readonly Summary[]>();

  private readonly listed = toSignal(
    toObservable(this.archived).pipe(
      switchMap((archived) =>
        merge(of(undefined), this.again).pipe(
          switchMap(() =>
            this.api.call(jobContracts.listJobs, { query: { archived: archived ? 'true' : 'false' } }).pipe(
              switchMap((jobs) =>
                merge(
                  of(() => jobs),
                  this.changed,
                ).pipe(scan((list: readonly Summary[], change) => change(list), [])),
              ),
              map((jobs): Listed => ({ jobs, error: null })),
              catchError((error: ApiError) => of<Listed>({ jobs: null, error: error.message })),
            ),
          ),
        ),
      ),
    ),
    { initialValue: { jobs: null, error: null } satisfies Listed },
  );
  protected readonly jobs = computed(() => this.listed().jobs);
  protected readonly error = computed(() => this.listed().error);

  constructor() {
    inject(JobStore).close();
  }

  protected load(): void {
    this.again.next();
  }

  protected grades(s: Summary): Grade[] {
    const share = (part: number, whole: number): number => (whole === 0 ? 0 : part / whole);
    return [
      { name: 'Survey', done: s.ports >= 2 ? 1 : s.ports / 2 },
      { name: 'Lines', done: share(s.linesThatSeal, s.lines) },
      { name: 'Checked', done: share(s.linesChecked, s.lines) },
    ];
  }

  protected async edit(summary?: Summary): Promise<void> {
    const dialog = this.modal.open(JobDialog, { ariaLabelledBy: 'job-title' });
    (dialog.componentInstance as JobDialog).job.set(summary?.job ?? null);
    const saved = (await dialog.result.catch(() => undefined)) as Job | undefined;
    if (saved && !summary) void this.router.navigate(['/job', saved.id, 'survey']);
    else if (saved) this.changed.next((jobs) => sorted(jobs.map((s) => (s.job.id === saved.id ? { ...s, job: saved } : s))));
  }

  protected async archive({ job }: Summary): Promise<void> {
    const commands = [{ do: 'edit-job' as const, version: job.version, set: { archived: !job.archived } }];
    try {
      await firstValueFrom(this.api.call(jobContracts.changeJob, { params: { id: job.id }, body: { key: uuid(), commands } }));
      this.changed.next((jobs) => jobs.filter((s) => s.job.id !== job.id));
      this.messages.tell(job.archived ? `${job.number} is back on the board` : `${job.number} is archived; find it under Archived`);
    } catch (error) {
      this.messages.fault(error);
      this.load();
    }
  }

  protected async importFile(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.importError.set(null);
    try {
      const { summary, renumberedFrom } = await firstValueFrom(
        from(file.text()).pipe(
          map(parseFile),
          switchMap((body) => this.api.call(jobContracts.importJob, { body })),
        ),
      );
      const { number } = summary.job;
      this.messages.tell(renumberedFrom ? `Number ${renumberedFrom} is taken; the job came in as ${number}` : `Job ${number} came in`);
      if (this.archived()) this.archived.set(false);
      else this.changed.next((jobs) => sorted([...jobs, summary]));
    } catch (error) {
      const place = error instanceof ApiError && error.field ? ` (at ${error.field})` : '';
      this.importError.set(`${file.name}: ${(error as Error).message}${place} Nothing was changed.`);
    }
  }
}

function sorted(jobs: readonly Summary[]): Summary[] {
  return [...jobs].sort((a, b) => a.job.number.localeCompare(b.job.number));
}

function parseFile(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Error(`this is not JSON: ${(error as Error).message}.`);
  }
}
