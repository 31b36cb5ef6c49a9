import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl } from '@angular/forms';
import { benchContracts, formatQuantity, type FittingSeen, type Jaws, type Place, type Reading } from '@gewinde/core';
import { firstValueFrom, type Subscription } from 'rxjs';
import { BenchApi } from '../data/bench-api';
import { Outside } from '../data/outside';
import { Preferences } from '../data/preferences';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { MeasurementStore } from './measurement-store';

const PLACES: readonly { readonly place: Place; readonly name: string }[] = [
  { place: 'crest', name: 'diameter' },
  { place: 'front', name: 'front' },
  { place: 'back', name: 'back' },
  { place: 'span', name: 'pitch' },
];

/** The calliper: a fitting off the tray between its jaws, single readings or a stream of them, taken over into the figures. */
@Component({
  selector: 'g-calliper-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField],
  templateUrl: './calliper-panel.html',
  styleUrl: './calliper-panel.scss',
})
export class CalliperPanel {
  /** The fitting the drill hands out; where it is given there is no tray to choose from. */
  readonly given = input<FittingSeen | null>(null);
  private readonly api = inject(BenchApi);
  private readonly store = inject(MeasurementStore);
  protected readonly preferences = inject(Preferences);
  private readonly outside = inject(Outside);
  protected readonly calliper = computed(() => this.outside.told()?.calliper);

  protected readonly places = PLACES;
  protected readonly tray = signal<readonly FittingSeen[]>([]);
  private readonly chosen = signal<FittingSeen | null>(null);
  protected readonly pick = new FormControl<string | null>(null);
  protected readonly offered = computed((): Choice<string | null>[] => [
    { value: null, name: 'take one' },
    ...this.tray().map((f) => ({ value: f.id, name: `${f.id.slice(1)} · ${f.seen}, ${f.side === 'external' ? 'outside' : 'inside'}` })),
  ]);
  protected readonly fitting = computed(() => this.given() ?? this.chosen());
  protected readonly jaws = signal<Jaws>('outside');
  protected readonly place = signal<Place>('crest');
  protected readonly readings = signal<readonly Reading[]>([]);
  protected readonly problem = signal<string | null>(null);
  protected readonly live = signal(false);
  private stream: Subscription | null = null;

  protected readonly display = computed(() => {
    const last = this.readings()[this.readings().length - 1];
    return last ? formatQuantity(last.mm, 'length', this.preferences.system(), { decimals: 2, inchDecimals: 4 }) : '–.––';
  });
  protected readonly meaning = computed(() => {
    const list = this.readings();
    const last = list[list.length - 1];
    if (!last) return 'Set the jaws and take a reading.';
    const mean = list.length > 1 ? ` Middle of ${list.length}: ${this.figure(middle(list))}.` : '';
    if (last.place !== 'span') return `${this.jaws() === 'outside' ? 'Over the crests' : 'Across the hole'}.${mean}`;
    return `Over ${last.pitches} pitches: ${this.figure(middle(list) / last.pitches!, 3)} each.${mean}`;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.off());
    this.pick.valueChanges.pipe(takeUntilDestroyed()).subscribe((id) => this.put(this.tray().find((f) => f.id === id) ?? null));
    effect(() => {
      if (this.given()) untracked(() => this.put(this.given()));
      else if (untracked(this.tray).length === 0) void untracked(() => this.load());
    });
  }

  protected set(jaws: Jaws, place: Place): void {
    this.off();
    this.jaws.set(jaws);
    this.place.set(place);
    this.readings.set([]);
    this.problem.set(null);
  }

  protected async read(): Promise<void> {
    const fitting = this.fitting();
    if (!fitting) return;
    try {
      this.take(
        await firstValueFrom(
          this.api.api.call(benchContracts.takeReading, { body: { fitting: fitting.id, jaws: this.jaws(), place: this.place() } }),
        ),
      );
    } catch (error) {
      this.problem.set((error as Error).message);
    }
  }

  protected toggleLive(): void {
    const fitting = this.fitting();
    if (this.live()) return this.off();
    if (!fitting) return;
    this.problem.set(null);
    this.live.set(true);
    this.stream = this.api.live(fitting.id, this.jaws(), this.place()).subscribe({
      next: (reading) => this.take(reading),
      complete: () => this.off(),
      error: (error: Error) => {
        this.off();
        this.problem.set(`${error.message} Check that the jaws suit the thread.`);
      },
    });
  }

  private put(fitting: FittingSeen | null): void {
    this.off();
    this.chosen.set(fitting);
    this.set(fitting?.side === 'internal' ? 'inside' : 'outside', 'crest');
    if (fitting) {
      this.store.clear();
      this.store.set({ side: fitting.side });
    }
  }

  /** A reading goes where it belongs; several of one place count by their middle, so that one askew does not matter. */
  private take(reading: Reading): void {
    this.problem.set(null);
    this.readings.update((list) => [...list.filter((r) => r.place === reading.place).slice(-8), reading]);
    const mm = round(middle(this.readings()));
    switch (reading.place) {
      case 'crest':
        return this.store.set({ diameterMm: mm });
      case 'front':
        return this.store.set({ frontMm: mm, apartMm: reading.apartMm ?? 4 });
      case 'back':
        return this.store.set({ backMm: mm, apartMm: reading.apartMm ?? 4 });
      case 'span':
        return this.store.set({ pitchMm: Math.round((middle(this.readings()) / reading.pitches!) * 1000) / 1000, threadsPerInch: null });
    }
  }

  private off(): void {
    this.stream?.unsubscribe();
    this.stream = null;
    this.live.set(false);
  }

  private async load(): Promise<void> {
    try {
      this.tray.set((await firstValueFrom(this.api.api.call(benchContracts.readTray, {}))).fittings);
    } catch (error) {
      this.problem.set((error as Error).message);
    }
  }

  private figure(mm: number, decimals = 2): string {
    return formatQuantity(mm, 'length', this.preferences.system(), { decimals, inchDecimals: 4 });
  }
}

function middle(readings: readonly Reading[]): number {
  const sorted = readings.map((r) => r.mm).sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

function round(mm: number): number {
  return Math.round(mm * 1000) / 1000;
}
