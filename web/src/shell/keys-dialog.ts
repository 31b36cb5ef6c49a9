import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { KeyboardCommands } from './keyboard-commands';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="g-dialog">
      <h2 id="keys-title">Keys</h2>
      <dl>
        @for (c of commands; track c.keys) {
          <div>
            <dt>
              <kbd class="g-key">{{ c.keys }}</kbd>
            </dt>
            <dd>{{ c.words }}</dd>
          </div>
        }
      </dl>
      <div class="actions">
        <button type="button" class="g-button" ngbAutofocus (click)="modal.close()">Close</button>
      </div>
    </div>
  `,
  styles: `
    dl {
      margin: 0;
      columns: 2;
    }
    div {
      break-inside: avoid;
    }
    dl > div {
      display: grid;
      grid-template-columns: 96px 1fr;
      padding: 4px 0;
    }
    dd {
      margin: 0;
    }
    kbd {
      background: none;
      color: inherit;
    }
  `,
})
export class KeysDialog {
  protected readonly modal = inject(NgbActiveModal);
  protected readonly commands = inject(KeyboardCommands).commands;
}
