import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { SealKind } from '@gewinde/core';

/** Each way of sealing as it looks cut through: drawn for this app, told apart without colour. */
const GLYPHS: Record<SealKind, string> = {
  cone: 'M3 5l9 5-9 5M9 2.5L21 10 9 17.5',
  'o-ring': 'M3 3h18M3 17h18M12 6.2a3.8 3.8 0 1 1 0 7.6 3.8 3.8 0 0 1 0-7.6z',
  washer: 'M12 2.5a7.5 7.5 0 1 1 0 15 7.5 7.5 0 0 1 0-15zM12 6.8a3.2 3.2 0 1 1 0 6.4 3.2 3.2 0 0 1 0-6.4z',
  'two-washers': 'M5 3v14M9 3v14M15 3v14M19 3v14M9 10h6',
  taper: 'M3 4l18 3M3 16l18-3M6 4.6l2 10.6M11 5.4l2 9M16 6.2l2 7.3',
  gasket: 'M3 3v14M7 3v14M11 2v16h2.5V2zM17.5 3v14M21 3v14',
  push: 'M2 10h11M9 6l4 4-4 4M15 4h6M15 16h6M15 4v4M15 12v4',
  clamp: 'M5 4c5-2.6 9-2.6 14 0v12c-5 2.6-9 2.6-14 0zM9 2.6v14.8M15 2.6v14.8',
  olive: 'M2 10h6M8 4l7 6-7 6zM18 4v12',
  socket: 'M3 5h11v10H3M14 10h7M7 5v3M10 5v3M7 12v3M10 12v3',
  none: 'M5 3l14 14M19 3L5 17',
};
const WORDS: Record<SealKind, string> = {
  cone: 'cone',
  'o-ring': 'O-ring',
  washer: 'washer',
  'two-washers': 'two washers',
  taper: 'taper thread',
  gasket: 'gasket',
  push: 'push-in',
  clamp: 'clamp',
  olive: 'olive',
  socket: 'socket',
  none: 'no seal',
};

@Component({
  selector: 'g-seal-glyph',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 24 20" width="22" height="18" role="img" [attr.aria-label]="words()">
    <path [attr.d]="path()" />
  </svg>`,
  styles: `
    :host {
      display: inline-flex;
    }
    path {
      fill: none;
      stroke: currentcolor;
      stroke-width: 1.5;
      stroke-linejoin: round;
    }
  `,
})
export class SealGlyph {
  readonly kind = input.required<SealKind>();
  protected readonly path = computed(() => GLYPHS[this.kind()]);
  protected readonly words = computed(() => WORDS[this.kind()]);
}
