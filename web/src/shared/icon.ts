import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** The few icons used, single files of bootstrap-icons copied at build time; no icon font. */
export type IconName =
  | 'trash'
  | 'copy'
  | 'pencil'
  | 'plus'
  | 'printer'
  | 'download'
  | 'upload'
  | 'archive'
  | 'arrow-counterclockwise'
  | 'x-lg'
  | 'sun'
  | 'moon'
  | 'layout-sidebar-reverse'
  | 'check2'
  | 'arrow-left-right'
  | 'pin-angle';

@Component({
  selector: 'g-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="icon" aria-hidden="true" [style.mask-image]="url()"></span>`,
  styles: `
    :host {
      display: inline-flex;
    }
    .icon {
      width: 16px;
      height: 16px;
      background: currentcolor;
      mask-repeat: no-repeat;
      mask-size: contain;
    }
  `,
})
export class Icon {
  readonly name = input.required<IconName>();
  protected readonly url = computed(() => `url(icons/${this.name()}.svg)`);
}
