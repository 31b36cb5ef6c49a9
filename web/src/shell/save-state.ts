import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { shopCommands, wordsOfCommands } from '@gewinde/core';
import { NgbDropdown, NgbDropdownMenu, NgbDropdownToggle } from '@ng-bootstrap/ng-bootstrap';
import { JobStore, type SaveState as SaveStateOf } from '../data/job-store';
import type { PendingChange } from '../data/outbox';
import { LiveStream } from '../data/live-stream';
import { ShopOutbox } from '../data/shop-outbox';

/** Whether what was done is on the server; pressed, what still waits, why, and what can be done about it. */
@Component({
  selector: 'g-save-state',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, NgbDropdown, NgbDropdownMenu, NgbDropdownToggle],
  template: `
    @let s = state();
    <div ngbDropdown placement="bottom-end" container="body">
      <button type="button" class="saved g-figure" ngbDropdownToggle [class.waiting]="s.at === 'waiting' || away()">
        <span role="status" aria-live="polite">
          @switch (s.at) {
            @case ('saved') {
              {{ away() ? 'no connection' : 'saved ' + (s.time | date: 'HH:mm') }}
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
          @if (away()) {
            <p>
              Nothing is heard of it just now: what others do is not seen here, and what you do is kept in this browser until it answers.
            </p>
          }
        } @else {
          <p>{{ s.at === 'waiting' ? s.reason : 'On its way to the server.' }} Kept in this browser until it has arrived.</p>
          <ul>
            @for (w of waiting(); track w.key) {
              <li>
                <span>{{ w.words }}</span>
                <button type="button" class="g-button small" (click)="w.giveUp()" [attr.aria-label]="'Give up: ' + w.words">Give up</button>
              </li>
            }
          </ul>
          <button type="button" class="g-button" (click)="sendNow()">Try now</button>
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
  private readonly store = inject(JobStore);
  private readonly shop = inject(ShopOutbox);
  protected readonly away = inject(LiveStream).away;
  private readonly shopPending = toSignal(this.shop.pending$, { initialValue: [] });
  private readonly shopTrouble = toSignal(this.shop.trouble$, { initialValue: null });
  /** Of the job and of what all jobs share: saved is what nothing waits of. */
  protected readonly state = computed((): SaveStateOf => {
    const job = this.store.saveState();
    if (this.shopPending().length === 0 || job.at === 'waiting') return job;
    const reason = this.shopTrouble();
    return reason === null ? { at: 'saving' } : { at: 'waiting', reason };
  });
  protected readonly waiting = computed(() => [
    ...this.store.pending().map((change) => ({ key: change.key, words: inWords(change), giveUp: () => this.store.giveUp(change.key) })),
    ...this.shopPending().map(({ key, commands }) => ({
      key,
      words: `${shopCommands[commands[0]!.do].words}${commands.length > 1 ? ` and ${commands.length - 1} more` : ''}`,
      giveUp: () => this.shop.giveUp(key),
    })),
  ]);

  protected sendNow(): void {
    this.store.sendNow();
    this.shop.sendNow();
  }
}

function inWords(change: PendingChange): string {
  if (!('commands' in change)) return change.step === 'undo' ? 'Undo' : 'Do again';
  return wordsOfCommands(change.commands);
}
