import { computed, inject, Injectable } from '@angular/core';
import { flowFindings, oilVolume, sizeLine, type AssembledLine, type FlowQuestion, type LineSizing, type Running } from '@gewinde/core';
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
    return job && { job, running: job.document.job.running ?? NOTHING_SAID, rules: this.shop.flowRulesRow().rules };
  });
  readonly oil = computed(() => {
    const question = this.question();
    return question && oilVolume(question.job, question.running);
  });

  sizing(line: AssembledLine, construction?: string): LineSizing | null {
    const question = this.question();
    return question && sizeLine(line, question, construction);
  }

  findings(sizing: LineSizing) {
    const question = this.question();
    return question ? flowFindings(sizing, question) : [];
  }

  /** What the flow complains of in a line, but for what the line itself says of its drain already. */
  heard(line: AssembledLine) {
    const sizing = this.sizing(line);
    const saidOfDrain = line.findings.some(({ rule }) => rule === 'drain-narrow');
    return sizing ? this.findings(sizing).filter(({ rule }) => !(saidOfDrain && rule.startsWith('size-'))) : [];
  }
}
