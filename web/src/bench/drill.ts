import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import {
  benchContracts,
  howToTell,
  measurableThreads,
  parseThread,
  UnknownThreadError,
  type AnswerOf,
  type DrillVerdict,
  type FittingSeen,
  letters,
} from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { Preferences } from '../data/preferences';
import { Attempt } from '../shared/attempt';
import { CalliperPanel } from './calliper-panel';
import { DrillResults } from './drill-results';
import { MeasurementForm } from './measurement-form';
import { MeasurementStore } from './measurement-store';
import { ThreadMap } from './thread-map';
import { lastAtTheBench, WhoAtTheBench } from './who-at-the-bench';

/** The apprentice's drill: a fitting off the tray, measured by hand, named without help; what is mixed up comes back. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CalliperPanel, DrillResults, MeasurementForm, ReactiveFormsModule, ThreadMap, WhoAtTheBench],
  providers: [MeasurementStore],
  templateUrl: './drill.html',
  styleUrl: './drill.scss',
})
export class Drill {
  protected readonly maxLetters = letters.drillAnswer;
  private readonly api = inject(Api);
  private readonly preferences = inject(Preferences);
  protected readonly store = inject(MeasurementStore);

  private apprentice = lastAtTheBench();
  protected readonly fitting = signal<FittingSeen | null>(null);
  protected readonly answer = new FormControl('', { nonNullable: true });
  protected readonly verdict = signal<DrillVerdict | null>(null);
  protected readonly results = signal<AnswerOf<typeof benchContracts.drillResults> | null>(null);
  private readonly trying = new Attempt();
  protected readonly problem = this.trying.error;
  protected readonly busy = this.trying.busy;
  protected readonly names = computed(() => measurableThreads(this.fitting()?.side ?? 'external').map((t) => t.designation));
  /** The test that settles a mistake, in the units of the house. */
  protected readonly settles = computed(() => {
    const [verdict, fitting] = [this.verdict(), this.fitting()];
    return verdict && fitting
      ? howToTell(parseThread(verdict.truth), parseThread(verdict.answer), fitting.side, this.preferences.system())
      : '';
  });

  constructor() {
    if (this.apprentice) void this.begin(this.apprentice);
  }

  protected async begin(apprentice: string): Promise<void> {
    this.apprentice = apprentice;
    await this.trying.run(async () => {
      this.results.set(await firstValueFrom(this.api.call(benchContracts.drillResults, { query: { apprentice } })));
      await this.take();
    });
  }

  protected async next(): Promise<void> {
    await this.trying.run(() => this.take());
  }

  protected async say(): Promise<void> {
    const [fitting, said] = [this.fitting(), this.answer.value.trim()];
    if (!fitting || this.verdict()) return;
    try {
      parseThread(said);
    } catch (error) {
      if (!(error instanceof UnknownThreadError)) throw error;
      this.problem.set(said === '' ? 'Name the thread first.' : error.message);
      return;
    }
    await this.trying.run(async () => {
      const { apprentice } = this;
      const verdict = await firstValueFrom(
        this.api.call(benchContracts.answerDrill, { body: { apprentice, fitting: fitting.id, answer: said } }),
      );
      this.verdict.set(verdict);
      this.store.picked.set(verdict.truth);
      this.results.set(await firstValueFrom(this.api.call(benchContracts.drillResults, { query: { apprentice } })));
    });
  }

  protected async forget(): Promise<void> {
    await this.trying.run(async () => {
      await firstValueFrom(this.api.call(benchContracts.forgetDrill, { body: { apprentice: this.apprentice } }));
      this.results.set({ asked: 0, right: 0, weak: [] });
    });
  }

  private async take(): Promise<void> {
    const fitting = await firstValueFrom(this.api.call(benchContracts.nextFitting, { body: { apprentice: this.apprentice } }));
    this.fitting.set(fitting);
    this.verdict.set(null);
    this.answer.reset();
    this.store.picked.set(null);
  }
}
