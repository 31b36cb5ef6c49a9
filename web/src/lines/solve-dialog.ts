import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { findFitting, findHoseEnd, takeWayCommands, type SolvedJob, type SolvedWay, type SolveProgress } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { catchError, endWith, map, type Observable, of, scan, startWith, Subject, switchMap, takeUntil } from 'rxjs';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Messages } from '../data/messages';
import { ShopStore } from '../data/shop-store';
import { WaysService } from '../workers/ways-service';

interface Run {
  readonly progress?: SolveProgress;
  readonly solved?: SolvedJob;
  readonly error?: string;
}

const NOT_RUN: Run = {};

/** All ends of the job at once: progress, what was found, and taking it in one change that one undo takes back. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule],
  templateUrl: './solve-dialog.html',
  styleUrl: './solve-dialog.scss',
})
export class SolveDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly messages = inject(Messages);
  private readonly weights = inject(ShopStore).weights;
  private readonly ways = inject(WaysService);
  /** Ends that are not to be taken, by key. */
  private readonly left = signal<ReadonlySet<string>>(new Set());
  protected readonly openEnds = computed(
    () =>
      this.view
        .lines()
        .filter((l) => !l.line.checked)
        .flatMap((l) => l.ways)
        .filter((w) => w.kept.chosen === null).length,
  );
  protected readonly decidedToo = new FormControl(false, { nonNullable: true });
  private readonly stopped = new Subject<void>();
  /** The job is solved as it stands when the dialog opens or the box is ticked. */
  private readonly run = toSignal(
    this.decidedToo.valueChanges.pipe(
      startWith(this.decidedToo.value),
      switchMap((decidedToo): Observable<Run> => {
        const document = this.view.document();
        this.left.set(new Set());
        if (!document) return of({});
        return this.ways.job(document, { weights: this.weights(), decidedToo }).pipe(
          map((reply): Run => (reply.kind === 'progress' ? { progress: reply.progress } : { solved: reply.solved })),
          startWith<Run>({ progress: { done: 0, of: Math.max(1, this.openEnds()), words: '' } }),
          catchError((error: Error) => of<Run>({ error: error.message })),
          takeUntil(this.stopped),
          // stopped before it was solved: no progress to show any more
          endWith<Run | undefined>(undefined),
          scan((last: Run, run) => run ?? (last.progress ? {} : last), {}),
        );
      }),
    ),
    { initialValue: NOT_RUN },
  );
  private readonly refused = signal<string | null>(null);
  protected readonly progress = computed(() => this.run().progress ?? null);
  protected readonly solved = computed(() => this.run().solved ?? null);
  protected readonly error = computed(() => this.refused() ?? this.run().error ?? null);
  protected readonly rows = computed(() =>
    (this.solved()?.ends ?? []).map((end) => ({
      end,
      key: keyOf(end),
      which: this.which(end),
      take: end.way !== undefined && !end.same && !this.left().has(keyOf(end)),
      other: findHoseEnd(this.view.catalogue()!, end.way?.otherEnd ?? null)?.name,
      parts:
        end.way?.fittings.map(({ id }) => findFitting(this.view.catalogue()!, id)?.name ?? id).join('; ') || 'no fitting between the two',
      price: end.way ? (end.way.priceMinor / 100).toFixed(2) : '',
      supply: !end.way ? '' : !end.toOrder ? 'on the shelf' : `${end.toOrder} · ${end.leadDays ?? 0} d`,
    })),
  );
  protected readonly taking = computed(() => this.rows().filter((r) => r.take).length);

  /** `A`, `B`, `between 1 and 2`; nothing for a line without hose. */
  private which({ lineId, at }: SolvedWay): string {
    const last = (this.view.job()?.lineById.get(lineId)?.ways.length ?? 1) - 1;
    if (last === 0) return '';
    return at === 0 ? 'A' : at === last ? 'B' : `between ${at} and ${at + 1}`;
  }

  protected cancel(): void {
    this.stopped.next();
  }

  protected toggle(key: string): void {
    this.left.update((left) => {
      const next = new Set(left);
      if (!next.delete(key)) next.add(key);
      return next;
    });
  }

  protected take(): void {
    const taken = this.rows().filter((r) => r.take);
    const drafts = taken.flatMap(({ end }) => {
      const place = this.view.job()?.lineById.get(end.lineId)?.ways[end.at];
      return place ? takeWayCommands(end.lineId, place, end.way!) : [];
    });
    this.refused.set(null);
    try {
      this.store.change(...drafts);
      this.messages.tell(`${taken.length} ${taken.length === 1 ? 'way' : 'ways'} taken`, { undo: true });
      this.modal.close();
    } catch (error) {
      this.refused.set((error as Error).message);
    }
  }
}

function keyOf(end: SolvedWay): string {
  return `${end.lineId} ${end.at}`;
}
