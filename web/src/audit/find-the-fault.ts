import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { benchContracts, NOTHING_WRONG, ruleById, type AnswerOf, type RuleId } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { exampleDrawing } from './example-drawing';
import { Api } from '../data/api';
import { Preferences } from '../data/preferences';
import { Attempt } from '../shared/attempt';
import { DrawingView } from '../shared/drawing';
import { DrillResults } from '../bench/drill-results';
import { lastAtTheBench, WhoAtTheBench } from '../bench/who-at-the-bench';

const SOUND = 'Nothing: it is sound';

/** A made line to be looked over before its hose is cut: what is wrong with it, or nothing. What was missed comes back. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, DrillResults, ReactiveFormsModule, RouterLink, WhoAtTheBench],
  templateUrl: './find-the-fault.html',
  styleUrl: './find-the-fault.scss',
})
export class FindTheFault {
  private readonly api = inject(Api);
  private readonly preferences = inject(Preferences);
  private apprentice = lastAtTheBench();

  protected readonly asked = signal<AnswerOf<typeof benchContracts.nextLine> | null>(null);
  protected readonly answer = new FormControl('', { nonNullable: true });
  protected readonly verdict = signal<AnswerOf<typeof benchContracts.answerFault> | null>(null);
  protected readonly results = signal<AnswerOf<typeof benchContracts.faultResults> | null>(null);
  private readonly trying = new Attempt();
  protected readonly problem = this.trying.error;
  protected readonly busy = this.trying.busy;

  protected readonly drawing = computed(() => {
    const asked = this.asked();
    return asked && exampleDrawing(asked.job, this.preferences.system(), { wide: true, unjudged: this.verdict() === null });
  });
  protected readonly choices = computed(() => [
    ...(this.asked()?.choices ?? []).map((id) => ({ id, name: this.nameOf(id) })),
    { id: NOTHING_WRONG as string, name: SOUND },
  ]);
  /** The rule that it breaks, with its reason, once that is said. */
  protected readonly broken = computed(() => {
    const truth = this.verdict()?.truth;
    return truth === undefined || truth === NOTHING_WRONG ? null : ruleById(truth as RuleId);
  });

  constructor() {
    if (this.apprentice) void this.begin(this.apprentice);
  }

  protected readonly nameOf = (answer: string): string => (answer === NOTHING_WRONG ? SOUND : ruleById(answer as RuleId).title);

  protected async begin(apprentice: string): Promise<void> {
    this.apprentice = apprentice;
    await this.trying.run(async () => {
      await this.count();
      await this.take();
    });
  }

  protected async say(): Promise<void> {
    const [asked, said] = [this.asked(), this.answer.value];
    if (!asked) return;
    if (this.verdict()) {
      await this.trying.run(() => this.take());
      return;
    }
    if (said === '') return this.problem.set('Choose one of them first.');
    await this.trying.run(async () => {
      const body = { apprentice: this.apprentice, question: asked.id, answer: said };
      this.verdict.set(await firstValueFrom(this.api.call(benchContracts.answerFault, { body })));
      this.answer.disable();
      await this.count();
    });
  }

  protected async forget(): Promise<void> {
    await this.trying.run(async () => {
      await firstValueFrom(this.api.call(benchContracts.forgetFaults, { body: { apprentice: this.apprentice } }));
      this.results.set({ asked: 0, right: 0, weak: [] });
    });
  }

  private async count(): Promise<void> {
    const query = { apprentice: this.apprentice };
    this.results.set(await firstValueFrom(this.api.call(benchContracts.faultResults, { query })));
  }

  private async take(): Promise<void> {
    this.asked.set(await firstValueFrom(this.api.call(benchContracts.nextLine, { body: { apprentice: this.apprentice } })));
    this.verdict.set(null);
    this.answer.reset();
    this.answer.enable();
  }
}
