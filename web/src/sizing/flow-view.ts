import { computed, inject, Injectable } from '@angular/core';
import { oilVolume, schoolsOfJob, sizeLine, type AssembledLine, type FlowQuestion, type LineSizing, type Running } from '@gewinde/core';
import { JobView } from '../data/job-view';
import { ShopStore } from '../data/shop-store';

const NOTHING_SAID: Running = {};

/** The open job with what runs in it: what sizing, system and the oil to buy are reckoned from. */
@Injectable({ providedIn: 'root' })
export class FlowView {
  private readonly view = inject(JobView);
  private readonly shop = inject(ShopStore);
  readonly question = computed((): FlowQuestion | null => {
    const job = this.view.job();
    return (
      job && {
        job: job.facts,
        running: job.document.job.running ?? NOTHING_SAID,
        rules: schoolsOfJob(job.document.job.deviations, this.shop.schools()).flow,
      }
    );
  });
  readonly oil = computed(() => {
    const question = this.question();
    return question && oilVolume(question.job, question.running);
  });

  sizing(line: AssembledLine, construction?: string): LineSizing | null {
    const question = this.question();
    return question && sizeLine(line, question, construction);
  }
}
