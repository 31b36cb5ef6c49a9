import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal, untracked } from '@angular/core';
import {
  findHoseEnd,
  formatConnector,
  formatQuantity,
  wayStrip,
  type AssembledEnd,
  type AssembledLine,
  type Drawing,
  type Way,
} from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { WaysService } from '../workers/ways-service';
import type { WaysAnswer } from '../workers/ways-protocol';

/** The ways from a port to its hose end: only those that seal at every joint, fewest joints first, drawn small with what decides. */
@Component({
  selector: 'g-ways-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView],
  templateUrl: './ways-table.html',
  styleUrl: './ways-table.scss',
})
export class WaysTable {
  readonly line = input.required<AssembledLine>();
  protected readonly sides = ['A', 'B'] as const;
  private readonly waysService = inject(WaysService);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly preferences = inject(Preferences);

  /** Another line shows the end that still needs a way first; within a line the fabricator decides, until a way is taken. */
  protected readonly side = linkedSignal<string, 'A' | 'B'>({
    source: () => this.line().line.id,
    computation: () => untracked(() => (this.line().ends[0].chain && !this.line().ends[1].chain ? 'B' : 'A')),
  });
  protected readonly end = computed((): AssembledEnd => this.line().ends[this.side() === 'A' ? 0 : 1]);
  protected readonly answer = signal<Omit<WaysAnswer, 'id'> | null>(null);

  /** What the answer depends on, so that an edit elsewhere asks nothing. */
  private readonly question = computed(
    () => {
      const end = this.end();
      return end.hoseEnd && this.view.catalogue() ? { from: end.port.connector, hoseEnd: end.hoseEnd } : null;
    },
    { equal: (a, b) => a?.hoseEnd.id === b?.hoseEnd.id && JSON.stringify(a?.from) === JSON.stringify(b?.from) },
  );

  protected readonly rows = computed(() => {
    const chosen = JSON.stringify(this.end().chain?.map((p) => p.fitting.id) ?? null);
    return (this.answer()?.ways ?? []).map((way) => ({
      way,
      strip: this.strip(way),
      chosen: JSON.stringify(way.fittings.map((f) => f.id)) === chosen,
      joints: way.joints.length,
      price: way.priceMinor > 0 ? (way.priceMinor / 100).toFixed(2) : way.fittings.length === 0 ? '0.00' : '—',
      stack: formatQuantity(way.lengthMm, 'length', this.preferences.system(), { decimals: 0, bare: true }),
      bore: formatQuantity(way.leastBoreMm, 'length', this.preferences.system(), { decimals: 1, denominator: 64, bare: true }),
      narrow: way.leastBoreMm < (this.end().hoseEnd?.boreMm ?? 0) * 0.8,
    }));
  });
  protected readonly missing = computed(() =>
    (this.answer()?.missingLinks ?? []).map((l) => `${formatConnector(l.from)} to ${formatConnector(l.to)} ${l.saves}.`),
  );
  protected readonly unit = computed(() => (this.preferences.system() === 'metric' ? 'mm' : 'in'));

  constructor() {
    effect((onCleanup) => {
      const question = this.question();
      this.answer.set(null);
      if (!question) return;
      const asked = this.waysService.ways(question.from, question.hoseEnd).subscribe((answer) => this.answer.set(answer));
      onCleanup(() => asked.unsubscribe());
    });
  }

  protected choose(way: Way): void {
    const { line, ends } = this.line();
    const side = this.side();
    const field = side === 'A' ? 'endA' : 'endB';
    this.store.edit('line', line.id, { [field]: { ...line[field], fittings: way.fittings }, checked: false });
    // on to the other end, if that is still open
    if (!ends[side === 'A' ? 1 : 0].chain) this.side.set(side === 'A' ? 'B' : 'A');
  }

  /** The parts of a way by name, for the hover and for those who hear it. */
  protected names(way: Way): string {
    const fittings = this.view.catalogue()?.fittings ?? [];
    return (
      way.fittings.map((link) => fittings.find((f) => f.id === link.id)?.name ?? link.id).join('; ') || 'the hose end goes on the port'
    );
  }

  /** Small ways are drawn with a straight end: what differs is the chain. */
  private strip(way: Way): Drawing {
    const catalogue = this.view.catalogue()!;
    const { hoseEnd } = this.end();
    const straight = findHoseEnd(catalogue, hoseEnd!.construction, hoseEnd!.dash, 0) ?? hoseEnd!;
    const chain = way.fittings.map((link) => ({
      fitting: catalogue.fittings.find((f) => f.id === link.id)!,
      inEnd: link.inEnd,
      outEnd: link.outEnd,
    }));
    return wayStrip(chain, straight, this.line().hose, { width: 190, height: 40 }, way.name);
  }
}
