import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { JobView } from '../data/job-view';
import { steps } from './steps';

/** The steps of the job along a steel rule. */
@Component({
  selector: 'g-step-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, RouterLinkActive],
  templateUrl: './step-bar.html',
  styleUrl: './step-bar.scss',
})
export class StepBar {
  private readonly view = inject(JobView);
  protected readonly steps = computed(() => {
    const job = this.view.job();
    return steps.map((step) => ({ ...step, shown: job && step.count(job) }));
  });
  protected readonly jobId = computed(() => this.view.document()?.job.id);
}
