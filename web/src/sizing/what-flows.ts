import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  bypassOfLine,
  clampFor,
  constructionById,
  couplersOfLine,
  growthOf,
  ruleById,
  stepUps,
  restrictorForTurbo,
  FlowFigureError,
  formatQuantity,
  outcomeIn,
  turboNeeds,
  type LineSizing,
  type SizeColumn,
  quantity,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { FindingList } from '../shared/finding-list';
import { EngineForm } from './engine-form';
import { houseFigure } from './figure';
import { FlowRulesDialog } from './flow-rules-dialog';
import { FlowView } from './flow-view';
import { LineFlowForm } from './line-flow-form';

/** The answer for a line and the figures that it is reckoned with; each can be changed here, and the answer follows. */
@Component({
  selector: 'g-what-flows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [EngineForm, FindingList, LineFlowForm],
  templateUrl: './what-flows.html',
  styleUrl: './what-flows.scss',
})
export class WhatFlows {
  readonly sizing = input.required<LineSizing>();
  readonly shown = input<number | null>(null);
  /** The size to take, with what it is built of. */
  readonly take = output<SizeColumn>();
  private readonly flow = inject(FlowView);
  private readonly view = inject(JobView);
  private readonly modal = inject(NgbModal);
  private readonly preferences = inject(Preferences);
  protected readonly system = this.preferences.system;
  protected readonly store = inject(JobStore);

  protected readonly question = this.flow.question;
  /** What the rules that read the flow say of the line as it is taken. */
  protected readonly findings = computed(() => {
    const line = this.view.job()?.lineById.get(this.sizing().line.line.id);
    return (line?.findings ?? []).filter(({ rule }) => ruleById(rule).check.reads === 'flow' && rule !== 'torque-not-known');
  });
  /** What the button takes: what is looked at, or what is recommended. */
  protected readonly offered = computed((): SizeColumn | undefined => {
    const { columns, recommended, taken } = this.sizing();
    const at = this.shown() ?? recommended;
    return at === undefined || at === taken ? undefined : columns[at];
  });
  protected readonly best = computed(() => {
    const { columns, recommended } = this.sizing();
    return recommended === undefined ? undefined : columns[recommended];
  });
  protected readonly growth = computed(() => {
    const question = this.flow.question();
    return question ? growthOf(this.sizing().line, question) : undefined;
  });
  protected readonly worst = computed(() => {
    const { columns, taken, recommended } = this.sizing();
    const column = columns[this.shown() ?? taken ?? recommended ?? -1];
    const outcome = column && (outcomeIn(column, 'hottest') ?? column.outcomes[0]);
    if (!outcome) return [];
    return [...outcome.loss.elements]
      .sort((a, b) => b.lossBar - a.lossBar)
      .slice(0, 4)
      .map((e) => ({ name: e.name, bar: houseFigure(e.lossBar, 'bar', 3, this.preferences.system()) }));
  });
  protected readonly hoses = computed(() =>
    this.sizing().hoses.map(({ hose, refusals, bearsBar, proofBar, burstBar }) => ({
      name: constructionById(hose.construction).name,
      school: constructionById(hose.construction).school,
      refusals,
      bears: [bearsBar, proofBar, burstBar].map((bar) =>
        formatQuantity(bar, 'pressure', this.preferences.system(), { decimals: 0, bare: true }),
      ),
    })),
  );
  protected readonly pressureUnit = computed(() => (this.preferences.system() === 'metric' ? 'bar' : 'psi'));
  /** Of a hose that is clamped: which clamp, at either end. */
  protected readonly clamp = computed(() => {
    const { columns, taken, recommended } = this.sizing();
    const hose = columns[this.shown() ?? taken ?? recommended ?? -1]?.hose;
    if (!hose || constructionById(hose.construction).endStyle !== 'clamp') return undefined;
    const c = clampFor(hose);
    if (!c) return 'No clamp that is made closes on it: look at its bore and its outside.';
    const span = [c.fromMm, c.toMm].map((mm) => formatQuantity(mm, 'length', this.preferences.system(), { bare: true })).join('–');
    const tight = quantity(c.torqueNm[0], 'N·m', c.torqueNm[1]);
    return `${c.kind} ${span} ${this.preferences.system() === 'metric' ? 'mm' : 'in'}, about ${tight}: ${c.why}`;
  });
  protected readonly steps = computed(() => {
    const { line } = this.sizing();
    const [a, b] = [line.portA.port.connector, line.portB.port.connector];
    const fittings = this.flow.question()?.job.catalogue.fittings ?? [];
    return a && b ? stepUps(a, b, fittings).slice(0, 3) : [];
  });
  /** Bore of the restrictor that gives a turbo the middle of what it takes, for the size that is taken. */
  protected readonly restrictor = computed(() => {
    const { line, duty, columns, taken, recommended } = this.sizing();
    const running = this.flow.question()?.running;
    const column = columns[taken ?? recommended ?? -1];
    const hot = column && outcomeIn(column, 'hottest');
    if (line.line.service !== 'turbo-feed' || !duty.said.bearing || !hot || running?.fullBar === undefined) return undefined;
    const { lpm, source } = turboNeeds[duty.said.bearing];
    const wanted = (lpm[0] + lpm[1]) / 2;
    const ofLine = hot.loss.elements.filter((e) => e.kind !== 'restrictor').reduce((sum, e) => sum + e.lossBar, 0);
    const lineBar = ofLine * Math.max(1, wanted / Math.max(0.01, hot.flowLpm)) ** 2;
    try {
      const bore = restrictorForTurbo(duty.said.bearing, wanted, running.fullBar, lineBar, hot.state.fluid);
      return {
        bore,
        take: `Take Ø ${quantity(bore.toFixed(1), 'mm')}`,
        words: `Ø ${quantity(bore.toFixed(2), 'mm')} gives ${quantity(wanted, 'L/min')} when hot`,
        source,
      };
    } catch (error) {
      if (error instanceof FlowFigureError) return { bore: undefined, take: '', words: `${error.message} ${error.hint}`, source };
      throw error;
    }
  });

  /** What a bypass filter takes, in words. */
  protected readonly bypass = computed(() => {
    const question = this.flow.question();
    const found = question && bypassOfLine(this.sizing(), question);
    if (!found) return undefined;
    const lpm = (value: number): string => formatQuantity(value, 'flow', this.preferences.system(), { decimals: 2 });
    const share = (value: number): string => `${(value * 100).toFixed(0)} %`;
    return [
      `${lpm(found.idleLpm)} at hot idle, ${lpm(found.fullLpm)} at most revs`,
      ...(found.onceMin ? [`the sump passes it once in ${found.onceMin[1].toFixed(0)} to ${found.onceMin[0].toFixed(0)} min`] : []),
      ...(found.shareIdle === undefined
        ? []
        : [`it takes ${share(found.shareIdle)} of what the pump gives at idle; a tenth is usual at most`]),
    ];
  });
  protected readonly couplers = computed(() =>
    couplersOfLine(this.sizing()).map(({ where, words, minInsertedMm }) => ({
      where,
      words: `${words} At least ${formatQuantity(minInsertedMm, 'length', this.preferences.system())} over the pipe.`,
    })),
  );
  protected readonly mayStand = computed(() => formatQuantity(this.sizing().duty.pressure.value, 'pressure', this.preferences.system()));

  protected useRestrictor(bore: number): void {
    const { line } = this.sizing().line;
    // what a drill makes: to the tenth
    this.store.edit('line', line.id, { flow: { ...line.flow, restrictorMm: Math.round(bore * 10) / 10 } });
  }

  protected rules(): void {
    this.modal.open(FlowRulesDialog, { ariaLabelledBy: 'flow-rules-title', size: 'lg' });
  }
}
