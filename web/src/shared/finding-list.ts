import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { holds, type Finding, type Remedy } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { Accepting } from './accepting';

/** Findings where they are heard: what is found, what to do about it, what puts it right, and accepting it with a reason. */
@Component({
  selector: 'g-finding-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  templateUrl: './finding-list.html',
  styleUrl: './finding-list.scss',
})
export class FindingList {
  readonly findings = input.required<readonly Finding[]>();
  readonly label = input.required<string>();
  private readonly store = inject(JobStore);
  private readonly accepting = inject(Accepting);
  protected readonly holds = holds;

  protected putRight({ label, commands }: Remedy): void {
    this.store.attempt(() => this.store.change(...commands), label);
  }

  protected accept(finding: Finding): void {
    void this.accepting.ask(finding);
  }

  protected withdraw(finding: Finding): void {
    this.accepting.withdraw(finding);
  }
}
