import { CdkVirtualScrollViewport, ScrollingModule } from '@angular/cdk/scrolling';
import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked, viewChild } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { jobContracts, letters, type Job } from '@gewinde/core';
import { NgbModal, NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { debounceTime, distinctUntilChanged, EMPTY, firstValueFrom, map, switchMap } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api, ApiError } from '../data/api';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';
import { Icon } from '../shared/icon';
import { placeInJob } from '../shared/job-place';
import { Whole } from '../shared/whole';
import { WideScreen } from '../shared/wide-screen';
import { TopBar } from '../shell/top-bar';
import { JobDialog } from './job-dialog';
import { JobPages, type Summary } from './job-pages';
import { LeftUnsent } from './left-unsent';
import { TakeInJob, type OtherParts } from './take-in-job';

interface Grade {
  readonly name: string;
  /** 0…1 of the step done. */
  readonly done: number;
}
type Found = NonNullable<Summary['found']>[number];

/** The jobs as they stand: how far each is, what blocks it, what comes next. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DecimalPipe, Icon, NgbTooltip, ReactiveFormsModule, RouterLink, ScrollingModule, TopBar, Whole],
  providers: [JobPages, LeftUnsent],
  templateUrl: './board.html',
  styleUrl: './board.scss',
})
export class Board {
  /** `?find=`: what is looked for. */
  readonly find = input<string>();

  private readonly api = inject(Api);
  private readonly modal = inject(NgbModal);
  private readonly router = inject(Router);
  private readonly messages = inject(Messages);
  private readonly screen = inject(WideScreen);
  private readonly jobFiles = inject(TakeInJob);
  protected readonly pages = inject(JobPages);
  protected readonly unsent = inject(LeftUnsent);

  protected readonly most = letters.search;
  protected readonly archived = signal(false);
  protected readonly importError = signal<string | null>(null);
  /** A file that brings other parts under our names: somebody has to say which are meant. */
  protected readonly otherParts = signal<{ readonly file: File; readonly words: string } | null>(null);
  protected readonly words = new FormControl('', { nonNullable: true });
  protected readonly rowHeight = computed(() => (this.screen.wide() ? 80 : 132));
  private readonly viewport = viewChild(CdkVirtualScrollViewport);

  constructor() {
    inject(JobStore).close();
    let typed = '';
    effect(() => {
      const find = this.find() ?? '';
      // what is being typed is left alone; an address that says otherwise has come from elsewhere
      if (find !== typed) this.words.setValue(find, { emitEvent: false });
      const asked = { archived: this.archived(), find: find.trim() };
      untracked(() => {
        this.pages.ask(asked);
        this.viewport()?.scrollToIndex(0);
      });
    });
    this.words.valueChanges
      .pipe(
        debounceTime(200),
        map((words) => words.trim()),
        distinctUntilChanged(),
        takeUntilDestroyed(),
      )
      .subscribe((find) => {
        typed = find;
        void this.router.navigate([], { queryParams: { find: find || null }, replaceUrl: true });
      });
    toObservable(this.viewport)
      .pipe(
        switchMap((viewport) => viewport?.renderedRangeStream ?? EMPTY),
        takeUntilDestroyed(),
      )
      .subscribe((range) => this.pages.show(range));
  }

  protected readonly trackRow = (at: number, summary: Summary | undefined): string | number => summary?.job.id ?? at;

  protected load(): void {
    this.pages.ask({ archived: this.archived(), find: this.find()?.trim() ?? '' });
  }

  protected all(): void {
    this.words.setValue('');
  }

  protected grades(s: Summary): Grade[] {
    const share = (part: number, whole: number): number => (whole === 0 ? 0 : part / whole);
    return [
      { name: 'Survey', done: s.ports >= 2 ? 1 : s.ports / 2 },
      { name: 'Lines', done: share(s.linesThatSeal, s.lines) },
      { name: 'Checked', done: share(s.linesChecked, s.lines) },
    ];
  }

  protected place({ job }: Summary, found: Found) {
    return placeInJob(job.id, found);
  }

  protected async edit(summary?: Summary): Promise<void> {
    const dialog = this.modal.open(JobDialog, { ariaLabelledBy: 'job-title' });
    (dialog.componentInstance as JobDialog).job.set(summary?.job ?? null);
    const saved = (await dialog.result.catch(() => undefined)) as Job | undefined;
    if (saved && !summary) void this.router.navigate(['/job', saved.id, 'survey']);
    else if (saved) this.load();
  }

  protected async archive({ job }: Summary): Promise<void> {
    const commands = [{ do: 'edit-job' as const, version: job.version, set: { archived: !job.archived } }];
    try {
      await firstValueFrom(this.api.call(jobContracts.changeJob, { params: { id: job.id }, body: { key: uuid(), commands } }));
      this.messages.tell(job.archived ? `${job.number} is back on the board` : `${job.number} is archived; find it under Archived`);
    } catch (error) {
      this.messages.fault(error);
    }
    this.load();
  }

  protected importFile(event: Event): void {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (file) void this.takeIn(file);
  }

  protected async takeIn(file: File, parts?: OtherParts): Promise<void> {
    this.importError.set(null);
    this.otherParts.set(null);
    try {
      const { summary, renumberedFrom } = await this.jobFiles.take(file, parts);
      const { number } = summary.job;
      this.messages.tell(renumberedFrom ? `Number ${renumberedFrom} is taken; the job came in as ${number}` : `Job ${number} came in`);
      if (this.archived()) this.archived.set(false);
      else this.load();
    } catch (error) {
      if (error instanceof ApiError && error.code === 'parts-differ') return this.otherParts.set({ file, words: error.message });
      const place = error instanceof ApiError && error.field ? ` (at ${error.field})` : '';
      this.importError.set(`${file.name}: ${(error as Error).message}${place} Nothing was changed.`);
    }
  }

  /** A job as one calls it, where it is on the board. */
  protected called(jobId: string): string {
    const job = this.pages.listed()?.rows.find((row) => row?.job.id === jobId)?.job;
    return job ? `${job.number} ${job.name}` : 'a job that is not listed here';
  }
}
