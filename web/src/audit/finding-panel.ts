import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  formatCut,
  holds,
  leastChange,
  placeKey,
  previewOf,
  remediesFor,
  ruleById,
  type Finding,
  type JudgedJob,
  type LeastChange,
  type Preview,
  type Remedy,
} from '@gewinde/core';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { Accepting } from '../shared/accepting';
import { price } from '../shared/price';
import { RuleDrawing } from './rule-drawing';
import type { Where } from './where';

interface Shown {
  readonly remedy: Remedy;
  readonly preview: Preview;
}

/** A finding with all that it says, and each remedy with what it would change before it is taken. */
@Component({
  selector: 'g-finding-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, RuleDrawing],
  templateUrl: './finding-panel.html',
  styleUrl: './finding-panel.scss',
})
export class FindingPanel {
  readonly job = input.required<JudgedJob>();
  readonly finding = input.required<Finding>();
  readonly where = input.required<Where>();
  private readonly store = inject(JobStore);
  private readonly shop = inject(ShopStore);
  private readonly preferences = inject(Preferences);
  private readonly accepting = inject(Accepting);
  private readonly key = computed(() => `${this.finding().rule} ${placeKey(this.finding().at)}`);

  protected readonly rule = computed(() => ruleById(this.finding().rule));
  protected readonly says = computed(() => {
    const { severity, accepted } = this.finding();
    const words = { leak: 'will not do', risk: 'a risk', open: 'open', advice: 'advice' }[severity];
    return `${accepted ? 'accepted' : words} · ${this.rule().area}`;
  });
  protected readonly canBeAccepted = computed(() => holds(this.finding()));
  protected readonly joint = computed(() => {
    const { lineId, joint } = this.finding().at;
    return this.job()
      .lineById.get(lineId ?? '')
      ?.joints.find((j) => j.id === joint);
  });
  protected readonly shown = computed((): readonly Shown[] => {
    const [job, finding] = [this.job(), this.finding()];
    if (finding.accepted) return [];
    const remedies = remediesFor(job, finding, { newId: uuid, weights: this.shop.weights() });
    return remedies.map((remedy) => ({ remedy, preview: previewOf(job, remedy.commands, { newId: uuid }) }));
  });
  /** Asked for by a press; gone when another finding is looked at, or the job changes. */
  protected readonly least = linkedSignal<string, LeastChange | 'none' | null>({
    source: () => `${this.key()} ${this.job().document.job.version}`,
    computation: () => null,
  });
  protected readonly leaksOfLine = computed(() => {
    const line = this.job().lineById.get(this.finding().at.lineId ?? '');
    return line?.findings.filter((f) => f.severity === 'leak' && !f.accepted).length ?? 0;
  });

  protected price(minor: number): string {
    return `${minor < 0 ? '−' : '+'}${price(Math.abs(minor))}`;
  }

  protected cut(mm: number | undefined): string {
    return mm === undefined ? 'none' : formatCut(mm, this.preferences.system());
  }

  protected partsWords({ parts }: Preview): string {
    return parts
      .filter((p) => p.unit !== 'mm')
      .map((p) => `${p.quantity > 0 ? '+' : '−'}${Math.abs(p.quantity)} ${p.name}`)
      .join('; ');
  }

  protected take({ label, commands }: Remedy): void {
    this.store.attempt(() => this.store.change(...commands), label);
  }

  protected findLeast(): void {
    const lineId = this.finding().at.lineId;
    const found = lineId === undefined ? undefined : leastChange(this.job(), lineId, { newId: uuid, weights: this.shop.weights() });
    this.least.set(found ?? 'none');
  }

  protected takeLeast({ remedies }: LeastChange): void {
    this.store.attempt(() => this.store.change(...remedies.flatMap((r) => r.commands)), remedies.map((r) => r.label).join('; '));
  }

  protected asLeast(found: LeastChange | 'none' | null): LeastChange {
    return found as LeastChange;
  }

  protected accept(): void {
    void this.accepting.ask(this.finding());
  }

  protected withdraw(): void {
    this.accepting.withdraw(this.finding());
  }
}
