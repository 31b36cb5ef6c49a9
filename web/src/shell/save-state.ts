import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NgbDropdown, NgbDropdownMenu, NgbDropdownToggle } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import type { PendingChange } from '../data/outbox';

/** Whether what was done is on the server; pressed, what still waits, why, and what can be done about it. */
@Component({
  selector: 'g-save-state',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, NgbDropdown, NgbDropdownMenu, NgbDropdownToggle],
  template: `
    @let s = store.saveState();
    <div ngbDropdown placement="bottom-end" container="body">
      <button type="button" class="saved g-figure" ngbDropdownToggle [class.waiting]="s.at === 'waiting'">
        <span role="status" aria-live="polite">
          @switch (s.at) {
            @case ('saved') {
              saved {{ s.time | date: 'HH:mm' }}
            }
            @case ('saving') {
              saving
            }
            @case ('waiting') {
              not saved yet, kept here
            }
          }
        </span>
      </button>
      <div ngbDropdownMenu class="g-waiting">
        @if (s.at === 'saved') {
          <p>Everything is on the server since {{ s.time | date: 'HH:mm:ss' }}.</p>
        } @else {
          <p>{{ s.at === 'waiting' ? s.reason : 'On its way to the server.' }} Kept in this browser until it has arrived.</p>
          <ul>
            @for (w of waiting(); track w.key) {
              <li>
                <span>{{ w.words }}</span>
                <button type="button" class="g-button small" (click)="store.giveUp(w.key)" [attr.aria-label]="'Give up: ' + w.words">
                  Give up
                </button>
              </li>
            }
          </ul>
          <button type="button" class="g-button" (click)="store.sendNow()">Try now</button>
        }
      </div>
    </div>
  `,
  styles: `
    .saved {
      /* as wide while it saves: what stands beside it does not move under the pointer */
      min-width: 80px;
      min-height: 28px;
      border: 0;
      background: none;
      color: inherit;
      font-size: 15px;
      white-space: nowrap;
    }
    .waiting {
      color: var(--bar-brass, var(--brass));
    }
    .g-waiting {
      width: 340px;
      padding: 12px 14px;
    }
    ul {
      margin: 8px 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      justify-content: space-between;
      align-items: center;
      gap: 10px;
      padding: 4px 0;
      border-top: 1px solid var(--line);
    }
  `,
})
export class SaveState {
  protected readonly store = inject(JobStore);
  protected readonly waiting = computed(() => this.store.pending().map((change) => ({ key: change.key, words: inWords(change) })));
}

function inWords(change: PendingChange): string {
  if (!('commands' in change)) return change.step === 'undo' ? 'Undo' : 'Do again';
  const [first] = change.commands;
  const words = (first?.do ?? '').replace('-', ' ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}${change.commands.length > 1 ? ` and ${change.commands.length - 1} more` : ''}`;
}
