import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { formatQuantity } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { FlowView } from '../sizing/flow-view';
import { stepCounts } from './step-counts';
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
    return steps.map((step) => ({ ...step, shown: job && stepCounts[step.path](job) }));
  });
  private readonly modal = inject(NgbModal);
  private readonly preferences = inject(Preferences);
  private readonly flow = inject(FlowView);
  /** What the lines add to the oil of the engine, and what to buy. */
  protected readonly oil = computed(() => {
    const oil = this.flow.oil();
    if (!oil || oil.lines.length === 0) return null;
    const litres = (value: number): string => formatQuantity(value, 'volume', this.preferences.system(), { decimals: 1 });
    return {
      words: `Oil${oil.missing.length > 0 ? ' over' : ''} ${oil.totalL === undefined ? `${litres(oil.addedL)} added` : litres(oil.totalL)}`,
      buy: oil.cans ? `buy ${oil.cans.number} × ${litres(oil.cans.litres)}` : null,
    };
  });
  protected readonly jobId = computed(() => this.view.document()?.job.id);

  protected async showOil(): Promise<void> {
    const { OilDialog } = await import('../sizing/oil-dialog');
    this.modal.open(OilDialog, { ariaLabelledBy: 'oil-title', size: 'lg', scrollable: true });
  }
}
