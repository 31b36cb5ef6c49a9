import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import {
  entriesIn,
  findablesOf,
  hasWords,
  readLabelCode,
  jobContracts,
  partSections,
  searchWords,
  type AnswerOf,
  type Catalogue,
  type Findable,
} from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { catchError, debounceTime, map, of, startWith, switchMap } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { StepsBack } from '../data/steps-back';
import { placeInJob } from '../shared/job-place';
import { KeyboardCommands } from './keyboard-commands';
import { OpenLabel } from './open-label';
import { steps } from './steps';

interface Finding {
  readonly kind: string;
  readonly name: string;
  readonly detail: string;
  readonly open: () => unknown;
}

type Page = AnswerOf<typeof jobContracts.listJobs>;

const MOST = 12;
/** Of other jobs, below what this one has. */
const MOST_JOBS = 6;
const WAIT_MS = 150;
const NONE: Catalogue = { fittings: [], hoses: [], hoseEnds: [], supplies: [] };

/** Finds any line, port, component, part or command of the open job by a few letters, and other jobs by what they have of these. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, templateUrl: './find-dialog.html', styleUrl: './find-dialog.scss' })
export class FindDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  private readonly store = inject(JobStore);
  private readonly back = inject(StepsBack);
  private readonly shop = inject(ShopStore);
  private readonly preferences = inject(Preferences);
  private readonly keyboard = inject(KeyboardCommands);
  private readonly labels = inject(OpenLabel);

  protected readonly text = signal('');
  protected readonly at = signal(0);
  private readonly everything = computed(() => this.gather());
  /** Jobs that have all the words, as the server tells them; nothing while it does not answer. */
  private readonly jobs = toSignal(
    toObservable(this.text).pipe(
      map((text) => text.trim().slice(0, 120)),
      debounceTime(WAIT_MS),
      switchMap((find) =>
        (find === ''
          ? of([])
          : this.api.call(jobContracts.listJobs, { query: { find, most: String(MOST_JOBS) } }).pipe(
              map(({ jobs }) => jobs),
              catchError(() => of([])),
            )
        ).pipe(startWith([])),
      ),
    ),
    { initialValue: [] as Page['jobs'] },
  );
  protected readonly found = computed(() => {
    const label = readLabelCode(this.text());
    const words = searchWords(this.text());
    const here = this.everything().filter((f) => hasWords(f, words));
    const elsewhere = this.jobs().map((summary) => this.asFinding(summary));
    const scanned: Finding[] = label
      ? [
          {
            kind: 'label',
            name: this.text().trim(),
            detail: `line ${label.line} of job ${label.job}`,
            open: () => this.labels.open(this.text()),
          },
        ]
      : [];
    return [...scanned, ...here.slice(0, MOST - elsewhere.length), ...elsewhere];
  });

  protected typed(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
    this.at.set(0);
  }

  protected move(event: Event, by: number): void {
    event.preventDefault();
    const count = this.found().length;
    if (count > 0) this.at.update((i) => (i + by + count) % count);
  }

  protected open(finding: Finding | undefined): void {
    if (!finding) return;
    this.modal.close();
    finding.open();
  }

  private gather(): Finding[] {
    const document = this.store.document();
    const jobId = document?.job.id;
    const go =
      (...path: string[]) =>
      () =>
        this.router.navigate(['/job', jobId, ...path]);
    const commands: Finding[] = [
      { kind: 'command', name: 'Board', detail: 'all jobs', open: () => this.router.navigate(['/']) },
      { kind: 'view', name: 'Store', detail: 'catalogue of parts · c', open: () => this.router.navigate(['/store']) },
      { kind: 'view', name: 'Shelf', detail: 'what lies there, counts', open: () => this.router.navigate(['/store/shelf']) },
      { kind: 'view', name: 'Hose rack', detail: 'reels, lengths, offcuts', open: () => this.router.navigate(['/store/rack']) },
      { kind: 'view', name: 'Suppliers', detail: 'offers, price lists, orders', open: () => this.router.navigate(['/store/suppliers']) },
      { kind: 'view', name: 'Thread bench', detail: 'name a thread · t', open: () => this.router.navigate(['/bench/name']) },
      { kind: 'view', name: 'Pair check', detail: 'thread bench', open: () => this.router.navigate(['/bench/pair']) },
      { kind: 'view', name: 'What joins what', detail: 'thread bench', open: () => this.router.navigate(['/bench/matrix']) },
      { kind: 'view', name: 'Drill', detail: 'thread bench', open: () => this.router.navigate(['/bench/drill']) },
      { kind: 'view', name: 'Find the fault', detail: 'thread bench', open: () => this.router.navigate(['/bench/fault']) },
      { kind: 'view', name: 'Rules', detail: 'what the audit looks for, with examples', open: () => this.router.navigate(['/rules']) },
      {
        kind: 'view',
        name: 'Shop rules',
        detail: 'schools, limits and habits of the house',
        open: () => this.router.navigate(['/shop-rules']),
      },
      { kind: 'command', name: 'Swap units', detail: 'mm · in', open: () => this.preferences.swapUnits() },
      { kind: 'command', name: 'Swap light and dark', detail: 'theme', open: () => this.preferences.swapTheme() },
      { kind: 'command', name: 'Show the keys', detail: '?', open: () => this.keyboard.showKeys() },
    ];
    if (!document) return [...commands, ...this.parts()];
    return [
      // the parts of the store come last, with those of the job among them
      ...findablesOf(document, NONE)
        .filter(({ kind }) => kind !== 'part')
        .map((findable): Finding => ({ ...findable, open: () => this.goTo(document.job.id, findable) })),
      ...steps.map((s): Finding => ({ kind: 'step', name: s.name, detail: '', open: go(s.path) })),
      ...commands,
      { kind: 'command', name: 'Undo', detail: 'Ctrl Z', open: () => this.back.step('undo') },
      { kind: 'command', name: 'Redo', detail: 'Ctrl Shift Z', open: () => this.back.step('redo') },
      ...this.parts(),
    ];
  }

  private asFinding({ job, found }: Page['jobs'][number]): Finding {
    const [first] = found ?? [];
    return {
      kind: 'job',
      name: `${job.number} ${job.name}`,
      detail: first ? `${first.kind} ${first.name} · ${first.detail}` : job.description,
      open: () => (first ? this.goTo(job.id, first) : this.router.navigate(['/job', job.id])),
    };
  }

  private goTo(jobId: string, findable: Pick<Findable, 'kind' | 'id'> & { readonly componentId?: string | undefined }): Promise<boolean> {
    const { path, query } = placeInJob(jobId, findable);
    return this.router.navigate(path, { queryParams: query });
  }

  /** Parts of every kind that are not taken out. */
  private parts(): Finding[] {
    const catalogue = this.shop.catalogue();
    if (!catalogue) return [];
    return partSections.flatMap(({ id, one }) =>
      entriesIn(catalogue, id)
        .filter(({ part }) => !part.retired)
        .map((entry): Finding => {
          const { code, boreMm } = entry.part as { code?: string; boreMm?: number };
          return {
            kind: entry.kind === 'fitting' ? 'part' : one,
            name: entry.part.name,
            detail: [code, boreMm === undefined ? '' : `bore ${boreMm} mm`].filter(Boolean).join(' · '),
            open: () => this.router.navigate(['/store'], { queryParams: { part: entry.part.id } }),
          };
        }),
    );
  }
}
