import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationStart, Router } from '@angular/router';
import { NgbToast } from '@ng-bootstrap/ng-bootstrap';
import { filter, map, merge, scan, Subject } from 'rxjs';
import { Messages as Said, type Message } from '../data/messages';
import { StepsBack } from '../data/steps-back';
import { Icon } from '../shared/icon';

interface Shown extends Message {
  readonly id: number;
}
type Step = (shown: readonly Shown[]) => readonly Shown[];

const MOST = 3;

/** Undo takes back the newest change: only the newest message can offer it. */
function withoutUndo(shown: readonly Shown[]): Shown[] {
  return shown.map(({ undo: _, ...message }) => message);
}

/** What has happened, said once at the foot of the screen; what went well leaves by itself or with the view, errors stay until put away. */
@Component({
  selector: 'g-messages',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, NgbToast],
  template: `
    <div class="region" role="status" aria-live="polite">
      @for (m of shown(); track m.id) {
        <ngb-toast
          [class]="m.tone === 'error' ? 'error' : ''"
          [animation]="false"
          [autohide]="m.tone === 'plain'"
          [delay]="6000"
          (hidden)="away.next(m.id)"
        >
          <div class="message">
            <span>{{ m.text }}</span>
            @if (m.undo) {
              <button type="button" class="undo" (click)="undo(m)">Undo</button>
            }
            @if (m.action; as a) {
              <button type="button" class="undo" (click)="away.next(m.id); a.run()">{{ a.label }}</button>
            }
            <button type="button" class="close" aria-label="Put the message away" (click)="away.next(m.id)"><g-icon name="x-lg" /></button>
          </div>
        </ngb-toast>
      }
    </div>
  `,
  styles: `
    .region {
      position: fixed;
      bottom: 14px;
      left: 50%;
      z-index: 1080;
      display: grid;
      gap: 6px;
      justify-items: center;
      transform: translateX(-50%);
      pointer-events: none;
    }
    ngb-toast {
      pointer-events: auto;
    }
    .message {
      display: flex;
      align-items: center;
      gap: 14px;
      max-width: min(640px, 92vw);
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
      flex: none;
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
  private readonly back = inject(StepsBack);
  protected readonly away = new Subject<number>();
  private next = 0;

  protected readonly shown = toSignal(
    merge(
      inject(Said).said$.pipe(
        map(
          (message): Step =>
            (shown) =>
              [...withoutUndo(shown), { ...message, id: ++this.next }].slice(-MOST),
        ),
      ),
      this.away.pipe(
        map(
          (id): Step =>
            (shown) =>
              shown.filter((m) => m.id !== id),
        ),
      ),
      // another view: what went well in the last one has been read
      inject(Router).events.pipe(
        filter((event) => event instanceof NavigationStart && /^\/[^?]*/.exec(event.url)?.[0] !== location.pathname),
        map((): Step => (shown) => shown.filter((m) => m.tone === 'error' || m.undo)),
      ),
    ).pipe(scan((shown: readonly Shown[], step) => step(shown), [])),
    { initialValue: [] },
  );

  protected undo({ id, of }: Shown): void {
    this.away.next(id);
    this.back.step('undo', of);
  }
}
