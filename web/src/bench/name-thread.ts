import { ChangeDetectionStrategy, Component, effect, inject, input, output, signal, untracked } from '@angular/core';
import { letters, metInPlumbing, parseThread, UnknownThreadError, type Connector, type Side } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { CalliperPanel } from './calliper-panel';
import { CandidateList } from './candidate-list';
import { MeasurementForm } from './measurement-form';
import { MeasurementStore } from './measurement-store';
import { ThreadCard } from './thread-card';
import { ThreadMap } from './thread-map';

/** "What is this?": figures in at the left, the map in the middle, the ranked names and the card of one at the right. */
@Component({
  selector: 'g-name-thread',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CalliperPanel, CandidateList, MeasurementForm, ThreadCard, ThreadMap],
  providers: [MeasurementStore],
  templateUrl: './name-thread.html',
  styleUrl: './name-thread.scss',
})
export class NameThread {
  protected readonly maxLetters = letters.drillAnswer;
  /** Inside the survey, a connector can be taken over; the side is that of the port. */
  readonly usable = input(false);
  readonly side = input<Side | null>(null);
  /** Whose figures these are; the bench's own where it is empty. */
  readonly place = input('');
  readonly use = output<Connector>();
  protected readonly store = inject(MeasurementStore);
  protected readonly preferences = inject(Preferences);
  protected readonly met = metInPlumbing;
  protected readonly unknown = signal<string | null>(null);

  constructor() {
    effect(() => {
      const place = this.place();
      if (place) untracked(() => this.store.turnTo(place));
    });
    effect(() => {
      const side = this.side();
      if (side && side !== untracked(this.store.figures).side) untracked(() => this.store.set({ side }));
    });
  }

  /** Takes a connector over; the figures have done their work. */
  protected take(connector: Connector): void {
    this.store.clear();
    this.use.emit(connector);
  }

  /** Whether what plumbing meets counts, or all threads alike. */
  protected weigh(event: Event): void {
    this.store.set({ prior: (event.target as HTMLInputElement).checked ? 'plumbing' : 'even' });
  }

  /** Opens the card of a thread by its name. */
  protected look(event: Event): void {
    const field = event.target as HTMLInputElement;
    const name = field.value.trim();
    this.unknown.set(null);
    if (name === '') return;
    try {
      this.store.picked.set(parseThread(name).designation);
      field.value = '';
    } catch (error) {
      if (!(error instanceof UnknownThreadError)) throw error;
      this.unknown.set(error.message);
    }
  }
}
