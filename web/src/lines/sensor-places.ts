import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormControl } from '@angular/forms';
import { branchesIn, findFitting, formatConnector, type Port, type SensorPlace } from '@gewinde/core';
import { of, startWith, switchMap } from 'rxjs';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { WaysService } from '../workers/ways-service';

/** Where the sensor goes that a line pushes out of its port: on a tee here, or to a free port. */
@Component({
  selector: 'g-sensor-places',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField],
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

  protected readonly sensor = computed(() => this.port().sensor!);
  protected readonly notation = computed(() => formatConnector(this.sensor().connector));
  /** On a tee of this or another line already. */
  protected readonly kept = computed(() =>
    this.view.document()!.lines.some((l) => branchesIn(l).some((b) => b.to === 'sensor' && b.portId === this.port().id)),
  );
  protected readonly movedTo = computed(() => {
    const move = this.sensor().movedTo;
    return move && this.describe(move.portId, move.fittings);
  });
  private readonly places = toSignal(
    toObservable(
      computed(() => ({ port: this.port(), document: this.view.document(), settled: this.kept() || !!this.port().sensor?.movedTo })),
    ).pipe(
      switchMap(({ port, document, settled }) =>
        !document || settled
          ? of<readonly SensorPlace[] | null>(null)
          : this.ways.places(port.sensor!.connector, port, document).pipe(startWith<readonly SensorPlace[] | null>(null)),
      ),
    ),
    { initialValue: null },
  );
  protected readonly choices = computed(() => this.places()?.slice(0, 8));
  protected readonly offered = computed((): Choice<SensorPlace | null>[] => [
    { value: null, name: 'or move it to a free port', disabled: true },
    ...(this.choices() ?? []).map((place) => ({
      value: place,
      name: `${this.describe(place.port.id, place.chain.fittings)} · ${place.chain.jointCount} ${place.chain.jointCount === 1 ? 'joint' : 'joints'}`,
    })),
  ]);
  protected readonly place = new FormControl<SensorPlace | null>(null);

  constructor() {
    this.place.valueChanges.pipe(takeUntilDestroyed()).subscribe((place) => {
      if (place) this.set({ portId: place.port.id, fittings: place.chain.fittings.map((link) => ({ ...link })) });
      this.place.reset(null, { emitEvent: false });
    });
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
