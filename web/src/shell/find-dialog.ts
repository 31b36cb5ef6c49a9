import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { entriesIn, formatPortThread, partSections, portThreadName } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { KeyboardCommands } from './keyboard-commands';
import { steps } from './steps';

interface Finding {
  readonly kind: string;
  readonly name: string;
  readonly detail: string;
  readonly open: () => unknown;
}

const MOST = 12;

/** Finds any line, port, component, part or command of the open job by a few letters. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, templateUrl: './find-dialog.html', styleUrl: './find-dialog.scss' })
export class FindDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly router = inject(Router);
  private readonly store = inject(JobStore);
  private readonly shop = inject(ShopStore);
  private readonly preferences = inject(Preferences);
  private readonly keyboard = inject(KeyboardCommands);

  protected readonly text = signal('');
  protected readonly at = signal(0);
  private readonly everything = computed(() => this.gather());
  protected readonly found = computed(() => {
    const words = this.text().toLowerCase().split(/\s+/).filter(Boolean);
    return this.everything()
      .filter((f) => words.every((w) => `${f.kind} ${f.name} ${f.detail}`.toLowerCase().includes(w)))
      .slice(0, MOST);
  });

  protected typed(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
    this.at.set(0);
  }

  protected move(event: Event, by: number): void {
    event.preventDefault();
    const count = this.found().length;
    if (count > 0) this.at.update((i) => (i + by + count) % count);
  }

  protected open(finding: Finding | undefined): void {
    if (!finding) return;
    this.modal.close();
    finding.open();
  }

  private gather(): Finding[] {
    const document = this.store.document();
    const jobId = document?.job.id;
    const go =
      (...path: string[]) =>
      () =>
        this.router.navigate(['/job', jobId, ...path]);
    const componentName = (id: string): string => document?.components.find((c) => c.id === id)?.name ?? '';
    const commands: Finding[] = [
      { kind: 'command', name: 'Board', detail: 'all jobs', open: () => this.router.navigate(['/']) },
      { kind: 'view', name: 'Store', detail: 'catalogue of parts · c', open: () => this.router.navigate(['/store']) },
      { kind: 'view', name: 'Thread bench', detail: 'name a thread · t', open: () => this.router.navigate(['/bench/name']) },
      { kind: 'view', name: 'Pair check', detail: 'thread bench', open: () => this.router.navigate(['/bench/pair']) },
      { kind: 'view', name: 'What joins what', detail: 'thread bench', open: () => this.router.navigate(['/bench/matrix']) },
      { kind: 'view', name: 'Drill', detail: 'thread bench', open: () => this.router.navigate(['/bench/drill']) },
      { kind: 'command', name: 'Swap units', detail: 'mm · in', open: () => this.preferences.swapUnits() },
      { kind: 'command', name: 'Swap light and dark', detail: 'theme', open: () => this.preferences.swapTheme() },
      { kind: 'command', name: 'Show the keys', detail: '?', open: () => this.keyboard.showKeys() },
    ];
    if (!document) return [...commands, ...this.parts()];
    return [
      ...document.lines.map((l): Finding => ({
        kind: 'line',
        name: `L${l.number} ${l.name}`,
        detail: l.service.replace('-', ' '),
        open: go('lines', l.id),
      })),
      ...document.ports.map((p): Finding => ({
        kind: 'port',
        name: `${componentName(p.componentId)}, ${p.label}`,
        detail: `${formatPortThread(p)} · ${portThreadName(p)}`,
        open: () => this.router.navigate(['/job', jobId, 'survey'], { queryParams: { component: p.componentId, port: p.id } }),
      })),
      ...document.components.map((c): Finding => ({
        kind: 'component',
        name: c.name,
        detail: c.kind,
        open: () => this.router.navigate(['/job', jobId, 'survey'], { queryParams: { component: c.id } }),
      })),
      ...steps.map((s): Finding => ({ kind: 'step', name: s.name, detail: '', open: go(s.path) })),
      ...commands,
      { kind: 'command', name: 'Undo', detail: 'Ctrl Z', open: () => this.store.step('undo') },
      { kind: 'command', name: 'Do again', detail: 'Ctrl Shift Z', open: () => this.store.step('redo') },
      ...this.parts(),
    ];
  }

  /** Parts of every kind that are not taken out. */
  private parts(): Finding[] {
    const catalogue = this.shop.catalogue();
    if (!catalogue) return [];
    return partSections.flatMap(({ id, one }) =>
      entriesIn(catalogue, id)
        .filter(({ part }) => !part.retired)
        .map((entry): Finding => {
          const { code, boreMm } = entry.part as { code?: string; boreMm?: number };
          return {
            kind: entry.kind === 'fitting' ? 'part' : one,
            name: entry.part.name,
            detail: [code, boreMm === undefined ? '' : `bore ${boreMm} mm`].filter(Boolean).join(' · '),
            open: () => this.router.navigate(['/store'], { queryParams: { part: entry.part.id } }),
          };
        }),
    );
  }
}
