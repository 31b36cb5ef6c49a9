import { ChangeDetectionStrategy, Component, effect, inject, input, untracked } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { RouterLink, RouterOutlet } from '@angular/router';
import { JobStore } from '../data/job-store';
import { StepBar } from './step-bar';
import { TopBar } from './top-bar';

/** An open job: bar, steps, and the step that is open. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterOutlet, RouterLink, TopBar, StepBar],
  template: `
    <g-top-bar />
    <g-step-bar />
    <main>
      @if (store.loadError(); as error) {
        <div class="g-empty lost">
          <h2>{{ error.code === 'not-found' ? 'This job does not exist' : 'The job cannot be loaded' }}</h2>
          <p>{{ error.message }}</p>
          <button type="button" class="g-button filled" (click)="again()">Try again</button>
          <a class="g-button" routerLink="/">To the board</a>
        </div>
      } @else if (store.document()) {
        <router-outlet />
      }
    </main>
  `,
  styleUrl: './workspace.scss',
})
export class Workspace {
  readonly jobId = input.required<string>();
  protected readonly store = inject(JobStore);

  constructor() {
    const title = inject(Title);
    // only the address decides what is opened, not what the store does then
    effect(() => {
      const jobId = this.jobId();
      untracked(() => this.store.open(jobId));
    });
    effect(() => {
      const job = this.store.document()?.job;
      if (job) title.setTitle(`${job.number} ${job.name} · Gewinde`);
    });
  }

  protected again(): void {
    this.store.reload();
  }
}
