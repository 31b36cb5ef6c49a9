import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { Subject } from 'rxjs';
import { HalfTyped } from '../data/half-typed';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { StepsBack } from '../data/steps-back';
import { OpenLabel } from './open-label';
import { steps } from './steps';

export type ViewCommand = 'new-line' | 'next' | 'previous' | 'thread-bench' | 'solve-all';

/** What a key does, as the help shows it and as it is carried out. */
export interface KeyCommand {
  readonly keys: string;
  readonly words: string;
  readonly matches: (event: KeyboardEvent) => boolean;
  readonly run: (event: KeyboardEvent) => void;
}

const plain =
  (key: string) =>
  (event: KeyboardEvent): boolean =>
    event.key === key && !event.ctrlKey && !event.metaKey && !event.altKey;

/** The keys of the whole app. They rest while something is being typed, a form is half filled, or a dialog is open. */
@Injectable({ providedIn: 'root' })
export class KeyboardCommands {
  private readonly router = inject(Router);
  private readonly modal = inject(NgbModal);
  private readonly store = inject(JobStore);
  private readonly back = inject(StepsBack);
  private readonly preferences = inject(Preferences);
  private readonly halfTyped = inject(HalfTyped);
  private readonly labels = inject(OpenLabel);
  /** Commands for the view that is open. */
  readonly toView = new Subject<ViewCommand>();

  readonly commands: readonly KeyCommand[] = [
    { keys: '/', words: 'Find a line, port, part, job or command', matches: plain('/'), run: () => void this.find() },
    ...steps.map((step, i): KeyCommand => ({
      keys: String(i + 1),
      words: `Go to ${step.name}`,
      matches: plain(String(i + 1)),
      run: () => this.go(step.path),
    })),
    { keys: 'j', words: 'Next in the rack', matches: plain('j'), run: () => this.toView.next('next') },
    { keys: 'k', words: 'Previous in the rack', matches: plain('k'), run: () => this.toView.next('previous') },
    { keys: 'n', words: 'New line', matches: plain('n'), run: () => this.newLine() },
    { keys: 't', words: 'Thread bench; in the survey, at the port', matches: plain('t'), run: () => this.threadBench() },
    { keys: 'f', words: 'Flow bench: one question of flow', matches: plain('f'), run: () => void this.router.navigate(['/flow']) },
    { keys: 'c', words: 'Store: the catalogue of parts', matches: plain('c'), run: () => void this.router.navigate(['/store']) },
    { keys: 'a', words: 'Solve all ends of the job', matches: plain('a'), run: () => this.solveAll() },
    { keys: 'u', words: 'Swap units', matches: plain('u'), run: () => this.preferences.swapUnits() },
    {
      keys: 'Ctrl Z',
      words: 'Undo',
      matches: (e) => (e.ctrlKey || e.metaKey) && !e.shiftKey && e.key.toLowerCase() === 'z',
      run: () => this.back.step('undo'),
    },
    {
      keys: 'Ctrl Shift Z',
      words: 'Redo',
      matches: (e) => (e.ctrlKey || e.metaKey) && e.shiftKey && e.key.toLowerCase() === 'z',
      run: () => this.back.step('redo'),
    },
    { keys: '#', words: 'A label is scanned: its line opens', matches: () => false, run: () => undefined },
    { keys: '?', words: 'Show the keys', matches: plain('?'), run: () => void this.showKeys() },
  ];

  pressed(event: KeyboardEvent): void {
    if (event.defaultPrevented || typing(event.target) || this.modal.hasOpenModals()) return;
    if (this.labels.takes(event)) return event.preventDefault();
    const command = this.commands.find((c) => c.matches(event));
    // a slip out of a half-filled form must not set anything going
    if (!command || (this.halfTyped.onScreen && !event.ctrlKey && !event.metaKey)) return;
    event.preventDefault();
    command.run(event);
  }

  async find(): Promise<void> {
    const { FindDialog } = await import('./find-dialog');
    this.modal.open(FindDialog, { ariaLabelledBy: 'find-title', size: 'lg' });
  }

  async showKeys(): Promise<void> {
    const { KeysDialog } = await import('./keys-dialog');
    this.modal.open(KeysDialog, { ariaLabelledBy: 'keys-title' });
  }

  go(path: string): void {
    const jobId = this.store.jobId();
    if (jobId) void this.router.navigate(['/job', jobId, path]);
  }

  threadBench(): void {
    if (/\/survey/.test(this.router.url)) this.toView.next('thread-bench');
    else void this.router.navigate(['/bench']);
  }

  private solveAll(): void {
    if (this.router.url.includes('/lines')) this.toView.next('solve-all');
  }

  private newLine(): void {
    if (this.router.url.includes('/lines')) this.toView.next('new-line');
    else if (this.store.jobId()) void this.router.navigate(['/job', this.store.jobId(), 'lines'], { queryParams: { new: 1 } });
  }
}

function typing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
}
