import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ruleGroups, shopRules, type RuleGroup } from '@gewinde/core';
import { JobView } from '../data/job-view';
import { TopBar } from '../shell/top-bar';
import { ShopRule } from './shop-rule';

const names: Readonly<Record<RuleGroup, string>> = {
  judging: 'Judging',
  flow: 'Flow and heat',
  seals: 'Seals',
  ways: 'Adapters',
  store: 'Saw, store, orders',
};

/** Every school, limit and habit of the house in one place: what it is, why, what other shops do, and what it changes. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, ShopRule, TopBar],
  template: `
    <g-top-bar>Shop rules</g-top-bar>
    <nav aria-label="Shop rules">
      @for (g of groups; track g) {
        <a [routerLink]="['/shop-rules', g]" [attr.aria-current]="g === group() ? 'page' : null">{{ names[g] }}</a>
      }
      <a routerLink="/rules">What is judged</a>
      @if (job(); as j) {
        <a class="back" [routerLink]="['/job', j.document.job.id, 'audit']">Back to {{ j.document.job.number }}</a>
      }
    </nav>
    <main>
      <h2>{{ names[group()] }}</h2>
      <p class="quiet">
        Where practitioners differ, the house decides; it holds for every job, and a job may do it another way with a reason. A maker's
        figure goes before all of it.
      </p>
      @for (e of entries(); track e.id) {
        <g-shop-rule [entry]="e" />
      }
    </main>
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      height: 100%;
      min-height: 0;
    }
    nav {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
      padding: 0 14px;
      border-bottom: 1px solid var(--ink);
      background: var(--sheet);
    }
    nav a {
      padding: 12px 12px 9px;
      border-bottom: 3px solid transparent;
      color: var(--ink);
      font: 600 18px/1 var(--head);
      text-decoration: none;
    }
    nav a[aria-current] {
      border-color: var(--blue);
    }
    .back {
      margin-left: auto;
      color: var(--blue);
    }
    main {
      flex: 1;
      padding: 14px 20px 60px;
      overflow-y: auto;
    }
    .quiet {
      max-width: 80ch;
      color: var(--quiet);
    }
  `,
})
export class ShopRules {
  /** Of the address. */
  readonly of = input<string>();
  protected readonly names = names;
  protected readonly groups = ruleGroups;
  protected readonly job = inject(JobView).job;
  protected readonly group = computed((): RuleGroup => ruleGroups.find((g) => g === this.of()) ?? 'judging');
  protected readonly entries = computed(() => shopRules.filter((e) => e.group === this.group()));
}
