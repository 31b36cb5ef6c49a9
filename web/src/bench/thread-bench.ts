import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { JobStore } from '../data/job-store';
import { TopBar } from '../shell/top-bar';

/** The thread bench: naming, pair check, matrix and the apprentice's drills, beside any job. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterOutlet, RouterLink, RouterLinkActive, TopBar],
  template: `
    <g-top-bar>Thread bench</g-top-bar>
    <nav aria-label="Parts of the thread bench">
      @for (tab of tabs; track tab.path) {
        <a [routerLink]="['/bench', tab.path]" routerLinkActive="here" ariaCurrentWhenActive="page">{{ tab.name }}</a>
      }
      @if (store.document(); as d) {
        <a class="back" [routerLink]="['/job', d.job.id]">Back to {{ d.job.number }} {{ d.job.name }}</a>
      }
    </nav>
    <main><router-outlet /></main>
  `,
  styleUrl: './thread-bench.scss',
})
export class ThreadBench {
  protected readonly store = inject(JobStore);
  protected readonly tabs = [
    { path: 'name', name: 'Name a thread' },
    { path: 'pair', name: 'Pair check' },
    { path: 'matrix', name: 'What joins what' },
    { path: 'drill', name: 'Drill' },
    { path: 'fault', name: 'Find the fault' },
  ];
}
