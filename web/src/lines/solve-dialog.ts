import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { branchesOf, findFitting, type SolvedEnd, type SolvedJob, type SolveProgress } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom, type Subscription } from 'rxjs';
import { Api, type WayTaken } from '../data/api';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { ShopWeights } from '../data/shop-weights';
import { WaysService } from '../workers/ways-service';

/** All ends of the job at once: progress, what was found, and taking it in one change that one undo takes back. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, templateUrl: './solve-dialog.html', styleUrl: './solve-dialog.scss' })
export class SolveDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly api = inject(Api);
  private readonly weights = inject(ShopWeights);
  private readonly ways = inject(WaysService);
  private running: Subscription | undefined;

  protected readonly decidedToo = signal(false);
  protected readonly progress = signal<SolveProgress | null>(null);
  protected readonly solved = signal<SolvedJob | null>(null);
  protected readonly error = signal<string | null>(null);
  /** Ends that are not to be taken, by key. */
  private readonly left = signal<ReadonlySet<string>>(new Set());
  protected readonly openEnds = computed(
    () =>
      this.view
        .lines()
        .filter((l) => !l.line.checked)
        .flatMap((l) => [l.line.endA, l.line.endB])
        .filter((e) => e.fittings === null).length,
  );
  protected readonly rows = computed(() =>
    (this.solved()?.ends ?? []).map((end) => ({
      end,
      key: keyOf(end),
      take: end.way !== undefined && !end.same && !this.left().has(keyOf(end)),
      parts:
        end.way?.fittings.map(({ id }) => findFitting(this.view.catalogue()!, id)?.name ?? id).join('; ') ||
        'the hose end goes on the port',
      price: end.way ? (end.way.priceMinor / 100).toFixed(2) : '',
      supply: !end.way ? '' : end.way.toOrder === 0 ? 'on the shelf' : `${end.way.toOrder} · ${end.way.leadDays} d`,
    })),
  );
  protected readonly taking = computed(() => this.rows().filter((r) => r.take).length);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.running?.unsubscribe());
    this.start();
  }

  protected start(): void {
    const document = this.view.document();
    this.running?.unsubscribe();
    this.solved.set(null);
    this.error.set(null);
    this.left.set(new Set());
    if (!document) return;
    this.progress.set({ done: 0, of: Math.max(1, this.openEnds()), words: '' });
    this.running = this.ways.job(document, { weights: this.weights.weights(), decidedToo: this.decidedToo() }).subscribe({
      next: (reply) => {
        if (reply.kind === 'progress') this.progress.set(reply.progress);
        else {
          this.solved.set(reply.solved);
          this.progress.set(null);
        }
      },
      error: (error: Error) => {
        this.error.set(error.message);
        this.progress.set(null);
      },
    });
  }

  protected cancel(): void {
    this.running?.unsubscribe();
    this.progress.set(null);
  }

  protected setDecidedToo(too: boolean): void {
    this.decidedToo.set(too);
    this.start();
  }

  protected toggle(key: string): void {
    this.left.update((left) => {
      const next = new Set(left);
      if (!next.delete(key)) next.add(key);
      return next;
    });
  }

  protected async take(): Promise<void> {
    const taken = this.rows().filter((r) => r.take);
    // asked for when what waited has been sent, so that the versions are those of the server
    const ways = (): WayTaken[] =>
      taken.map(({ end }) => ({
        lineId: end.lineId,
        version: this.view.document()!.lines.find((l) => l.id === end.lineId)!.version,
        side: end.side,
        fittings: end.way!.fittings,
        branches: branchesOf(end.way!, end.portId),
      }));
    try {
      await this.store.act(
        () => firstValueFrom(this.api.takeWays(this.view.document()!.job.id, ways())),
        () => ({ text: `${taken.length} ${taken.length === 1 ? 'way' : 'ways'} taken`, tone: 'plain', undo: true }),
      );
      this.modal.close();
    } catch (error) {
      this.error.set((error as Error).message);
    }
  }
}

function keyOf(end: SolvedEnd): string {
  return `${end.lineId}${end.side}`;
}
