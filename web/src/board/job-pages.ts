import { inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { jobContracts, type AnswerOf } from '@gewinde/core';
import {
  catchError,
  EMPTY,
  filter,
  ignoreElements,
  map,
  merge,
  mergeMap,
  of,
  scan,
  Subject,
  switchMap,
  tap,
  timer,
  type Observable,
} from 'rxjs';
import { Api, type ApiError } from '../data/api';
import { Messages } from '../data/messages';

type Page = AnswerOf<typeof jobContracts.listJobs>;
export type Summary = Page['jobs'][number];

/** Which jobs are asked for. */
export interface Asked {
  readonly archived: boolean;
  readonly find: string;
}
/** The jobs that were asked for; those that nobody has scrolled to yet are not there. */
export interface Listed {
  readonly asked: Asked;
  readonly rows: readonly (Summary | undefined)[];
  readonly behind: number;
}

/** When to look again for what was behind, ms. */
const AGAIN_MS = 1500;
/** Jobs read at once. */
export const PAGE = 30;

/** The jobs on the board, read page by page as they come into sight. */
@Injectable()
export class JobPages {
  private readonly api = inject(Api);
  private readonly messages = inject(Messages);
  private readonly asked = new Subject<Asked>();
  private wanted = new Subject<number>();
  private inSight: readonly number[] = [0];

  /** Null until the first answer; what was listed before stays while the next is awaited. */
  readonly listed = signal<Listed | null>(null);
  readonly error = signal<string | null>(null);

  constructor() {
    this.asked
      .pipe(
        switchMap((asked) =>
          this.pagesOf(asked).pipe(
            // jobs that are read anew meanwhile: looked for again, until none is left
            switchMap((listed) =>
              listed.behind === 0
                ? of(listed)
                : merge(
                    of(listed),
                    timer(AGAIN_MS).pipe(
                      tap(() => this.ask(asked)),
                      ignoreElements(),
                    ),
                  ),
            ),
          ),
        ),
        takeUntilDestroyed(),
      )
      .subscribe((listed) => this.listed.set(listed));
  }

  /** Reads anew what is in sight, of these jobs; others begin at the top. */
  ask(asked: Asked): void {
    const before = this.listed()?.asked;
    if (before && (before.archived !== asked.archived || before.find !== asked.find)) this.inSight = [0];
    this.error.set(null);
    this.asked.next(asked);
  }

  /** Rows that have come into sight, from the first to before the last. */
  show({ start, end }: { readonly start: number; readonly end: number }): void {
    const first = Math.floor(start / PAGE);
    const last = Math.floor(Math.max(start, end - 1) / PAGE);
    this.inSight = Array.from({ length: last - first + 1 }, (_, i) => first + i);
    for (const page of this.inSight) this.wanted.next(page);
  }

  private pagesOf(asked: Asked): Observable<Listed> {
    const wanted = (this.wanted = new Subject<number>());
    const seen = new Set<number>();
    return merge(of(...this.inSight), wanted).pipe(
      filter((page) => !seen.has(page) && !!seen.add(page)),
      mergeMap((page) =>
        this.read(asked, page).pipe(
          map((answer) => ({ page, answer })),
          catchError((error: ApiError) => {
            seen.delete(page);
            if (seen.size === 0) this.error.set(error.message);
            else this.messages.fault(error);
            return EMPTY;
          }),
        ),
      ),
      scan((listed: Listed, { page, answer }) => withPage(listed, page, answer), { asked, rows: [], behind: 0 }),
    );
  }

  private read({ archived, find }: Asked, page: number): Observable<Page> {
    const query = {
      archived: archived ? 'true' : 'false',
      from: String(page * PAGE),
      most: String(PAGE),
      ...(find ? { find } : {}),
    } as const;
    return this.api.call(jobContracts.listJobs, { query });
  }
}

function withPage({ asked, rows }: Listed, page: number, { jobs, total, behind }: Page): Listed {
  const next = Array.from({ length: total }, (_, i) => rows[i]);
  next.splice(page * PAGE, jobs.length, ...jobs);
  return { asked, rows: next, behind };
}
