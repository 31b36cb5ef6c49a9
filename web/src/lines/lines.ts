import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  type TemplateRef,
  untracked,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { drawingToSvg, holds, runSheet, type JudgedLine, type SizeColumn } from '@gewinde/core';
import { NgbModal, NgbOffcanvas, NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { InSight } from '../data/in-sight';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { Messages } from '../data/messages';
import { Icon } from '../shared/icon';
import { saveFile } from '../shared/save-file';
import { WideScreen } from '../shared/wide-screen';
import { KeyboardCommands } from '../shell/keyboard-commands';
import { FlowView } from '../sizing/flow-view';
import { SizingView } from '../sizing/sizing-view';
import { TakeSize } from '../sizing/take-size';
import { WhatFlows } from '../sizing/what-flows';
import { ComponentPanel } from '../system/component-panel';
import { SystemView } from '../system/system-view';
import { JointInspector } from './joint-inspector';
import { LineForm } from './line-form';
import { LineRack } from './line-rack';
import { NewLineDialog } from './new-line-dialog';
import { SealRow } from './seal-row';
import { WaysTable } from './ways-table';

const looks = [
  { id: 'sheet', name: 'Run sheet' },
  { id: 'sizing', name: 'Sizing' },
  { id: 'system', name: 'System' },
] as const;
type Look = (typeof looks)[number]['id'];

/** The heart: the rack of lines, the chosen one drawn as it would lie on the bench, its joints, its ways, its figures. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ComponentPanel,
    DrawingView,
    Icon,
    JointInspector,
    LineForm,
    LineRack,
    NgbTooltip,
    NgTemplateOutlet,
    SealRow,
    SizingView,
    SystemView,
    WaysTable,
    WhatFlows,
  ],
  templateUrl: './lines.html',
  styleUrl: './lines.scss',
  host: { '[class.racked]': 'racked()' },
})
export class Lines {
  readonly lineId = input<string>();
  /** `?new=1` opens the dialog for a new line. */
  readonly new = input<string>();

  /** `?show=sizing`: what is looked at, beside the rack. */
  readonly show = input<string>();
  /** The joint to begin with, by its id. */
  readonly joint = input<string>();

  private readonly router = inject(Router);
  private readonly modal = inject(NgbModal);
  private readonly preferences = inject(Preferences);
  protected readonly view = inject(JobView);
  /** On a phone the rack slides over, and away with the line that is taken from it. */
  protected readonly racked = signal(false);
  /** Number of the chosen joint; null shows the line itself. */
  protected readonly jointNumber = signal<number | null>(null);
  protected readonly screen = inject(WideScreen);
  private readonly offcanvas = inject(NgbOffcanvas);
  private readonly drawer = viewChild.required<TemplateRef<unknown>>('drawer');

  protected readonly chosen = computed(
    (): JudgedLine | undefined => this.view.lines().find((l) => l.line.id === this.lineId()) ?? this.view.lines()[0],
  );
  protected readonly looks = looks;
  protected readonly look = computed((): Look => looks.find((l) => l.id === this.show())?.id ?? 'sheet');
  private readonly flow = inject(FlowView);
  private readonly sizes = inject(TakeSize);
  private readonly messages = inject(Messages);
  /** The construction that sizes are looked at in, and the size. */
  protected readonly construction = signal<string | null>(null);
  protected readonly shownSize = signal<number | null>(null);
  protected readonly sizing = computed(() => {
    const line = this.chosen();
    return line && this.look() !== 'sheet' ? this.flow.sizing(line, this.construction() ?? undefined) : null;
  });
  /** The component that was pressed in the system; its figures stand in the inspector. */
  private readonly componentId = signal<string | null>(null);
  protected readonly component = computed(() =>
    this.look() === 'system' ? this.view.document()?.components.find((c) => c.id === this.componentId()) : undefined,
  );
  /** Where the rack is on its way to, so that keys pressed quickly all count. */
  private heading: string | undefined;
  private readonly chosenId = computed(() => this.chosen()?.line.id ?? null);
  protected readonly inHand = computed(() => this.chosen()?.joints.find((j) => j.number === this.jointNumber()));
  protected readonly sheet = computed(() => {
    const chosen = this.chosen();
    const document = this.view.document();
    return chosen && document
      ? runSheet(chosen, {
          width: 780,
          height: 362,
          jobNumber: document.job.number,
          system: this.preferences.system(),
          held: heldJoints(chosen),
        })
      : null;
  });
  protected readonly freePorts = computed(() => {
    const document = this.view.document();
    const used = new Set(document?.lines.flatMap((l) => [l.portA, l.portB]));
    return (document?.ports ?? []).filter((p) => !used.has(p.id)).length;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.offcanvas.dismiss());
    inject(KeyboardCommands)
      .toView.pipe(takeUntilDestroyed())
      .subscribe((command) => {
        if (command === 'new-line') void this.add();
        else if (command === 'solve-all') void this.solveAll();
        else if (command !== 'thread-bench') this.move(command === 'next' ? 1 : -1);
      });
    effect(() => {
      if (this.chosenId() !== null)
        untracked(() => {
          this.jointNumber.set(null);
          this.construction.set(null);
          this.shownSize.set(null);
          this.componentId.set(null);
        });
    });
    effect(() => {
      const [id, lineId] = [this.joint(), this.chosenId()];
      if (id !== undefined && lineId !== null)
        untracked(() => this.jointNumber.set(this.chosen()?.joints.find((j) => j.id === id)?.number ?? null));
    });
    const sight = inject(InSight);
    effect(() => {
      const line = this.chosen();
      const component = this.component();
      const job = this.look() === 'sheet' ? [] : [line?.line.jobId ?? ''];
      sight.show(this, [
        ...(line ? [line.line.id, line.portA.port.id, line.portB.port.id] : []),
        ...(component ? [component.id] : []),
        ...job,
      ]);
    });
    inject(DestroyRef).onDestroy(() => sight.leave(this));
    effect(() => {
      if (this.new()) untracked(() => void this.add());
    });
  }

  protected open(line: JudgedLine): void {
    this.racked.set(false);
    this.heading = line.line.id;
    void this.go(line.line.id).then(() => (this.heading = undefined));
  }

  /** To a line, looked at as before. */
  private go(id: string | undefined): Promise<boolean> {
    const show = this.show();
    const queryParams = show ? { show } : {};
    return this.router.navigate(['/job', this.view.document()?.job.id, 'lines', ...(id === undefined ? [] : [id])], { queryParams });
  }

  protected openById(id: string): void {
    this.componentId.set(null);
    void this.go(id);
    if (!this.screen.wide()) this.showInspector();
  }

  protected openComponent(id: string): void {
    this.componentId.set(id);
    if (!this.screen.wide()) this.showInspector();
  }

  protected lookAt(look: Look): void {
    void this.router.navigate([], { queryParams: { show: look === 'sheet' ? null : look }, queryParamsHandling: 'merge' });
  }

  /** Takes a size as one change; a way that could not be solved again is told. */
  protected takeSize(column: SizeColumn): void {
    const line = this.chosen();
    if (!line) return;
    this.sizes.take(line, column).subscribe((open) => {
      this.construction.set(null);
      this.shownSize.set(null);
      if (open > 0) this.messages.tell(`${open === 1 ? 'One way is' : `${open} ways are`} still open: choose below the run sheet.`);
    });
  }

  protected chooseJoint(number: number): void {
    this.jointNumber.update((n) => (n === number ? null : number));
    if (!this.screen.wide() && this.jointNumber() !== null) this.showInspector();
  }

  /** On a tablet the inspector slides over the sheet. */
  protected showInspector(): void {
    if (!this.offcanvas.hasOpenOffcanvas())
      this.offcanvas.open(this.drawer(), { position: 'end', backdrop: false, scroll: true, animation: false });
  }

  protected async solveAll(): Promise<void> {
    if (this.view.lines().length === 0) return;
    const { SolveDialog } = await import('./solve-dialog');
    this.modal.open(SolveDialog, { ariaLabelledBy: 'solve-title', size: 'xl', scrollable: true });
  }

  /** To all that must be gone before the start. */
  protected async beforeStart(): Promise<void> {
    await this.router.navigate(['/job', this.view.document()?.job.id, 'audit'], { queryParams: { before: 'start' } });
  }

  protected print(): void {
    window.print();
  }

  protected saveSvg(): void {
    const drawing = this.sheet();
    const line = this.chosen()?.line;
    const number = this.view.document()?.job.number.replace(/[^\w.-]+/g, '_');
    if (drawing && line) saveFile(`${number}-L${line.number}.svg`, drawingToSvg(drawing), 'image/svg+xml');
  }

  protected async add(): Promise<void> {
    const dialog = this.modal.open(NewLineDialog, { ariaLabelledBy: 'new-line-title' });
    const id = (await dialog.result.catch(() => undefined)) as string | undefined;
    if (id) void this.router.navigate(['/job', this.view.document()?.job.id, 'lines', id]);
    else if (this.new()) void this.router.navigate([], { queryParams: {}, replaceUrl: true });
  }

  private move(by: number): void {
    const list = this.view.lines();
    const from = this.heading ?? this.chosen()?.line.id;
    const at = list.findIndex((l) => l.line.id === from);
    const next = list[(at + by + list.length) % list.length];
    if (next) this.open(next);
  }
}

/** Joints that something speaks against, and nobody has accepted. */
function heldJoints({ findings }: JudgedLine): ReadonlySet<string> {
  return new Set(findings.filter(holds).flatMap(({ at }) => at.joint ?? []));
}
