import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { areas, rules, type Rule } from '@gewinde/core';
import { JobView } from '../data/job-view';
import { TopBar } from '../shell/top-bar';
import { RuleExample } from './rule-example';

const all: readonly Rule[] = Object.values(rules);

/** Every rule by which a job is judged: what it says, why, its source, and how it looks right and wrong. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, RuleExample, TopBar],
  templateUrl: './rule-pages.html',
  styleUrl: './rule-pages.scss',
})
export class RulePages {
  readonly rule = input<string>();
  private readonly job = inject(JobView).job;
  protected readonly count = all.length;
  protected readonly groups = areas
    .map((area) => ({ area, rules: all.filter((r) => r.area === area) }))
    .filter((group) => group.rules.length > 0);
  protected readonly chosen = computed((): Rule | undefined => all.find((r) => r.id === this.rule()) ?? all[0]);
  protected readonly says = { leak: 'Will not do', risk: 'A risk', open: 'Open', advice: 'Advice' } as const;
  protected readonly before = { saw: 'the saw', order: 'the order', start: 'the start' } as const;
  /** Where it is found in the job that is open. */
  protected readonly found = computed(() => {
    const [job, rule] = [this.job(), this.chosen()];
    return (job?.findings ?? []).filter((f) => f.rule === rule?.id);
  });
  protected readonly jobId = computed(() => this.job()?.document.job.id);
}
