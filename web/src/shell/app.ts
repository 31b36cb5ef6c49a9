import { ChangeDetectionStrategy, Component, effect, inject, untracked } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore, type Conflict } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { ConflictDialog } from './conflict-dialog';
import { KeyboardCommands } from './keyboard-commands';
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
