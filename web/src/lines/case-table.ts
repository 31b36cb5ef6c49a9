import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  findFitting,
  formatConnector,
  howToSettle,
  type AssembledWay,
  type CaseWays,
  type Command,
  type GapCase,
  type Port,
  type Way,
  type WaysOptions,
} from '@gewinde/core';
import { answered } from '../data/answered';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { WaysService } from '../workers/ways-service';

/** A place of a line whose ports are not certain: the best way of every case side by side, what they share, and how to settle it. */
@Component({
  selector: 'g-case-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './case-table.html',
  styleUrl: './case-table.scss',
})
export class CaseTable {
  readonly way = input.required<AssembledWay>();
  readonly cases = input.required<readonly GapCase[]>();
  readonly options = input.required<WaysOptions>();
  /** A way that seals whichever it is. */
  readonly take = output<Way>();
  private readonly ways = inject(WaysService);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly preferences = inject(Preferences);

  /** An edit elsewhere asks nothing. */
  private readonly question = computed(() => ({ cases: this.cases(), options: this.options() }), {
    equal: (a, b) => JSON.stringify(a) === JSON.stringify(b),
  });
  protected readonly asked = answered(this.question, (question) => this.ways.cases(question));
  protected readonly rows = computed(() => (this.asked.answer()?.cases ?? []).map((one) => this.rowOf(one)));
  protected readonly either = computed(() => this.names(this.asked.answer()?.either ?? []));
  protected readonly hoses = computed(() =>
    [this.way().from, this.way().to].some((t) => t.kind === 'hose end') ? 'The hose and its ends are the same.' : '',
  );
  protected readonly serving = computed(() => {
    const best = this.asked.answer()?.serving[0];
    return best && { way: best, names: this.names(best.fittings.map((f) => f.id)) || 'straight on the port' };
  });
  private readonly openPorts = computed((): Port[] =>
    [this.way().from, this.way().to].flatMap((t) => (t.kind === 'port' && !t.port.connector ? [t.port] : [])),
  );
  protected readonly settling = computed(() =>
    this.openPorts().map((port) => ({ port, tests: howToSettle(port, this.preferences.system()) })),
  );

  protected settle({ taken, words }: GapCase): void {
    const commands = taken.map(({ portId, connector }): Command => {
      const { id, version } = this.openPorts().find((p) => p.id === portId)!;
      return { do: 'edit-port', id, version, set: { notation: formatConnector(connector) } };
    });
    this.store.attempt(() => this.store.change(...commands), `Settled: ${words}`);
  }

  private rowOf({ case: gapCase, answer, beyond }: CaseWays) {
    const best = answer.ways[0];
    const priced = best?.fittings.every((f) => this.fitting(f.id)?.priceMinor !== undefined);
    return {
      case: gapCase,
      parts: best ? this.names(best.fittings.map((f) => f.id)) || 'straight on the port' : answer.explanation || 'No way.',
      beyond: this.names(beyond),
      joints: best?.jointCount,
      price: best && priced ? (best.priceMinor / 100).toFixed(2) : '—',
    };
  }

  private names(ids: readonly string[]): string {
    return ids.map((id) => this.fitting(id)?.name ?? id).join('; ');
  }
  private fitting(id: string) {
    const catalogue = this.view.catalogue();
    return catalogue && findFitting(catalogue, id);
  }
}
