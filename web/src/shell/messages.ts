import { ChangeDetectionStrategy, Component, DestroyRef, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { JobStore, type Message } from '../data/job-store';
import { Icon } from '../shared/icon';

/** The last thing that happened, said once at the foot of the screen; errors stay until put away. */
@Component({
  selector: 'g-messages',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon],
  template: `
    <div class="region" role="status" aria-live="polite">
      @if (message(); as m) {
        <div class="message" [class.error]="m.tone === 'error'">
          <span>{{ m.text }}</span>
          @if (m.undo) {
            <button type="button" class="undo" (click)="undo()">Undo</button>
          }
          <button type="button" class="close" aria-label="Put the message away" (click)="message.set(null)">
            <g-icon name="x-lg" />
          </button>
        </div>
      }
    </div>
  `,
  styles: `
    .region {
      position: fixed;
      bottom: 14px;
      left: 50%;
      z-index: 1080;
      transform: translateX(-50%);
    }
    .message {
      display: flex;
      align-items: center;
      gap: 14px;
      max-width: min(720px, 92vw);
      padding: 8px 8px 8px 16px;
      border-left: 4px solid var(--blue);
      background: var(--bar);
      color: var(--bar-ink);
    }
    .error {
      border-color: var(--red);
    }
    .undo {
      border: 1px solid currentcolor;
      border-radius: 2px;
      background: none;
      color: inherit;
      font: 600 16px var(--head);
      padding: 2px 12px;
    }
    .close {
      display: grid;
      place-items: center;
      width: 28px;
      height: 28px;
      border: 0;
      background: none;
      color: inherit;
    }
    @media print {
      .region {
        display: none;
      }
    }
  `,
})
export class Messages {
  private readonly store = inject(JobStore);
  protected readonly message = signal<Message | null>(null);
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
    this.store.messages.pipe(takeUntilDestroyed()).subscribe((message) => {
      clearTimeout(this.timer);
      this.message.set(message);
      if (message.tone === 'plain') this.timer = setTimeout(() => this.message.set(null), 6000);
    });
  }

  protected undo(): void {
    this.message.set(null);
    void this.store.step('undo');
  }
}
