import { ChangeDetectionStrategy, Component, effect, inject, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NavigationStart, Router, RouterOutlet } from '@angular/router';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore, type Conflict } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { ConflictDialog } from './conflict-dialog';
import { KeyboardCommands } from './keyboard-commands';
import { RestingPointer } from '../shared/resting-pointer';
import { Messages } from './messages';

@Component({
  selector: 'g-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterOutlet, Messages],
  template: `<router-outlet /><g-messages />`,
  styles: `
    :host {
      display: block;
      height: 100%;
    }
  `,
  host: { '(document:keydown)': 'keyboard.pressed($event)' },
})
export class App {
  protected readonly keyboard = inject(KeyboardCommands);
  private readonly modal = inject(NgbModal);
  private readonly store = inject(JobStore);

  constructor() {
    inject(Preferences);
    inject(RestingPointer);
    // a dialog belongs to the page it was opened on: back and forward close it
    const router = inject(Router);
    router.events.pipe(takeUntilDestroyed()).subscribe((event) => {
      if (!(event instanceof NavigationStart)) return;
      // the one that asks whose change stands is answered first
      if (pathOf(event.url) !== pathOf(router.url) && !this.store.conflict()) this.modal.dismissAll('left');
      if (event.id === 1 && !/^\/(job\/|$)/.test(pathOf(event.url))) this.store.resume();
    });
    effect(() => {
      const conflict = this.store.conflict();
      if (conflict) untracked(() => this.ask(conflict));
    });
  }

  /** Shows both versions and waits for the word. */
  private ask(conflict: Conflict): void {
    const dialog = this.modal.open(ConflictDialog, { backdrop: 'static', keyboard: false, ariaLabelledBy: 'conflict-title', size: 'lg' });
    (dialog.componentInstance as ConflictDialog).conflict.set(conflict);
    dialog.result.then(
      (keep: 'mine' | 'theirs') => this.store.settle(keep),
      () => undefined,
    );
  }
}

function pathOf(url: string): string {
  return url.split(/[?#]/)[0]!;
}
