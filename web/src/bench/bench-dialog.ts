import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import type { Side } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { Icon } from '../shared/icon';
import { NameThread } from './name-thread';

/** The thread bench laid over the survey: what it names is taken over into the port. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, NameThread],
  template: `
    <header>
      <h2 id="bench-title">
        Thread bench <small>{{ start().port }}</small>
      </h2>
      <button type="button" class="g-icon-button" aria-label="Close the thread bench" (click)="modal.dismiss()">
        <g-icon name="x-lg" />
      </button>
    </header>
    <g-name-thread [usable]="true" [side]="start().side" [place]="start().place" (use)="modal.close($event)" />
  `,
  styles: `
    :host {
      display: grid;
      grid-template-rows: 46px minmax(0, 1fr);
      height: calc(100vh - 48px);
    }
    header {
      display: flex;
      justify-content: space-between;
      align-items: center;
      padding: 0 10px 0 16px;
      border-bottom: 1px solid var(--ink);
      background: var(--sheet);
    }
    h2 {
      margin: 0;
      font: 600 21px/1 var(--head);
    }
    small {
      margin-left: 8px;
      color: var(--quiet);
      font: 400 14px var(--text);
    }
  `,
})
export class BenchDialog {
  protected readonly modal = inject(NgbActiveModal);
  readonly start = signal<{ readonly port: string; readonly place: string; readonly side: Side | null }>({
    port: '',
    place: '',
    side: null,
  });
}
