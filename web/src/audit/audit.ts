import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  untracked,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  placeKey,
  putRightWhatIsCertain,
  ruleById,
  severities,
  standsBefore,
  type Before,
  type Finding,
  type JudgedLine,
} from '@gewinde/core';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { InSight } from '../data/in-sight';
import { WideScreen } from '../shared/wide-screen';
import { StoreFactsView } from '../stock/store-facts';
import { FindingPanel } from './finding-panel';
import { WhatIfPanel } from './what-if-panel';
import { whereOf, type Where } from './where';

const views = [
  { id: 'worst', name: 'Worst first' },
  { id: 'lines', name: 'By line' },
  { id: 'accepted', name: 'Accepted' },
] as const;
type View = (typeof views)[number]['id'];

const stages: readonly { readonly id: Before; readonly words: string }[] = [
  { id: 'saw', words: 'before the saw' },
  { id: 'order', words: 'before the order' },
  { id: 'start', words: 'before the start' },
];

interface Row {
  readonly key: string;
  readonly finding: Finding;
  readonly where: Where;
  readonly remedies: string;
}
interface Group {
  readonly title: string;
  readonly rows: readonly Row[];
}

/** All that would leak, starve or not last, before a hose is cut: worst first or by line, each with its remedies beside it. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FindingPanel, RouterLink, WhatIfPanel],
  templateUrl: './audit.html',
  styleUrl: './audit.scss',
})
export class Audit {
  /** Of the address: how the list is laid out, what it is held to, and which finding is open. */
  readonly view = input<string>();
  readonly before = input<string>();
  readonly at = input<string>();
  private readonly router = inject(Router);
  private readonly store = inject(JobStore);
  private readonly screen = inject(WideScreen);
  private readonly panel = viewChild<ElementRef<HTMLElement>>('panel');
  /** With what the store says of it. */
  protected readonly job = inject(StoreFactsView).job;

  protected readonly views = views;
  protected readonly shown = computed((): View => views.find((v) => v.id === this.view())?.id ?? 'worst');
  protected readonly supposing = computed(() => this.view() === 'what-if');
  protected readonly stage = computed((): Before | null => stages.find((s) => s.id === this.before())?.id ?? null);
  protected readonly stages = computed(() => {
    const findings = this.job()?.findings ?? [];
    return stages.map((s) => {
      const standing = standsBefore(findings, s.id);
      return { ...s, count: standing.length, red: standing.some((f) => f.severity === 'leak') };
    });
  });
  protected readonly accepted = computed(() => (this.job()?.findings ?? []).filter((f) => f.accepted).length);

  protected readonly groups = computed((): readonly Group[] => {
    const job = this.job();
    if (!job) return [];
    const stage = this.stage();
    const all = stage ? standsBefore(job.findings, stage) : job.findings;
    const kept = all.filter(
      (f) => (this.shown() === 'accepted' ? f.accepted : !f.accepted) && (stage === 'start' || f.rule !== 'joints-not-made'),
    );
    const rowOf = (finding: Finding): Row => ({
      key: keyOf(finding),
      finding,
      where: whereOf(finding, job, (rule) => ruleById(rule).check.reads === 'flow'),
      remedies: remedyWords(finding),
    });
    if (this.shown() !== 'lines') return kept.length > 0 ? [{ title: '', rows: kept.map(rowOf) }] : [];
    const ofLine = (line: JudgedLine): Row[] => kept.filter((f) => f.at.lineId === line.line.id).map(rowOf);
    const groups = job.lines.map((line) => ({ title: `L${line.line.number} ${line.line.name}`, rows: ofLine(line) }));
    const rest = kept.filter((f) => f.at.lineId === undefined).map(rowOf);
    return [...groups, { title: 'The job as a whole', rows: rest }].filter(({ rows }) => rows.length > 0);
  });
  private readonly rows = computed(() => this.groups().flatMap((g) => g.rows));
  protected readonly open = computed((): Row | undefined => this.rows().find((r) => r.key === this.at()) ?? this.rows()[0]);
  protected readonly certain = computed(() => {
    const job = this.job();
    return job ? putRightWhatIsCertain(job, { newId: uuid }) : null;
  });

  constructor() {
    const sight = inject(InSight);
    // whatever of the job changes, the list shows it
    effect(() => {
      const document = this.store.document();
      const ids = document ? [document.job, ...document.components, ...document.ports, ...document.lines].map(({ id }) => id) : [];
      untracked(() => sight.show(this, ids));
    });
    inject(DestroyRef).onDestroy(() => sight.leave(this));
  }

  protected readonly mark = { leak: '✕', risk: '!', open: '?', advice: 'i' } as const;
  protected readonly says = { leak: 'will not do', risk: 'a risk', open: 'open', advice: 'advice' } as const;

  protected look(view: string): void {
    this.go({ view: view === 'worst' ? null : view, at: null });
  }

  protected hold(stage: Before): void {
    this.go({ before: this.stage() === stage ? null : stage, at: null });
  }

  protected choose(row: Row): void {
    this.go({ at: row.key });
    // under the list, where there is no room beside it
    if (!this.screen.wide()) setTimeout(() => this.panel()?.nativeElement.scrollIntoView({ block: 'nearest' }));
  }

  protected putRight(): void {
    const certain = this.certain();
    if (!certain) return;
    const n = certain.labels.length;
    this.store.attempt(() => this.store.change(...certain.commands), `${n === 1 ? certain.labels[0] : `${n} put right`}`);
  }

  private go(queryParams: Record<string, string | null>): void {
    void this.router.navigate([], { queryParams, queryParamsHandling: 'merge' });
  }
}

/** The same as long as the finding says the same of the same place. */
function keyOf({ rule, at }: Finding): string {
  return `${rule}:${placeKey(at)}`;
}

function remedyWords({ remedies, severity, hint }: Finding): string {
  if (remedies.length > 0) return remedies.length === 1 ? '1 remedy' : `${remedies.length} remedies`;
  return severities.indexOf(severity) < 2 ? 'see what puts it right' : hint.length < 28 ? hint : '';
}
