import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { findFitting, formatConnector, type Port, type SensorPlace } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { WaysService } from '../workers/ways-service';

/** Where the sensor goes that a line pushes out of its port: on a tee here, or to a free port. */
@Component({
  selector: 'g-sensor-places',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sensor-places.html',
  styleUrl: './sensor-places.scss',
})
export class SensorPlaces {
  readonly port = input.required<Port>();
  /** It stays on a tee at this end. */
  readonly keep = output<void>();
  private readonly ways = inject(WaysService);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly places = signal<readonly SensorPlace[] | null>(null);

  protected readonly sensor = computed(() => this.port().sensor!);
  protected readonly notation = computed(() => formatConnector(this.sensor().connector));
  /** On a tee of this or another line already. */
  protected readonly kept = computed(() =>
    this.view
      .document()!
      .lines.some((l) => [l.endA, l.endB].some((e) => e.branches?.some((b) => b.to === 'sensor' && b.portId === this.port().id))),
  );
  protected readonly movedTo = computed(() => {
    const move = this.sensor().movedTo;
    return move && this.describe(move.portId, move.fittings);
  });
  protected readonly choices = computed(() =>
    this.places()
      ?.slice(0, 8)
      .map((place) => ({ place, words: this.describe(place.port.id, place.chain.fittings), joints: place.chain.jointCount })),
  );

  constructor() {
    effect((onCleanup) => {
      const port = this.port();
      const document = this.view.document();
      this.places.set(null);
      if (!document || port.sensor?.movedTo || this.kept()) return;
      const asked = this.ways.places(port.sensor!.connector, port, document).subscribe((places) => this.places.set(places));
      onCleanup(() => asked.unsubscribe());
    });
  }

  protected move(choice: number): void {
    const { port, chain } = this.choices()![choice]!.place;
    this.set({ portId: port.id, fittings: chain.fittings.map((link) => ({ ...link })) });
  }

  protected set(movedTo: NonNullable<Port['sensor']>['movedTo']): void {
    const { name } = this.sensor();
    this.store.edit('port', this.port().id, { sensor: { name, notation: this.notation(), movedTo } });
  }

  private describe(portId: string, fittings: readonly { id: string }[]): string {
    const document = this.view.document()!;
    const catalogue = this.view.catalogue();
    const port = document.ports.find((p) => p.id === portId);
    const component = document.components.find((c) => c.id === port?.componentId);
    const through = fittings.map(({ id }) => (catalogue && findFitting(catalogue, id)?.name) ?? id);
    return `${component?.name ?? 'a port that is gone'}, ${port?.label ?? ''}${through.length > 0 ? ` through ${through.join(' and ')}` : ''}`;
  }
}
