import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { cutTickets } from '@gewinde/core';
import { JobView } from '../data/job-view';
import { Icon } from '../shared/icon';
import { Ticket } from './ticket';

/** The cut tickets of the job, one a hose, and the lines that cannot be cut yet. Prints one ticket after another. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Icon, Ticket],
  templateUrl: './cut.html',
  styleUrl: './cut.scss',
})
export class Cut {
  private readonly view = inject(JobView);
  protected readonly job = computed(() => this.view.document()?.job);
  protected readonly plan = computed(() => {
    const assembled = this.view.job();
    return assembled ? cutTickets(assembled) : null;
  });

  protected print(): void {
    window.print();
  }
}
