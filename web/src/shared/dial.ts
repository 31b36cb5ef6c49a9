import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/**
 * The clocking dial: looking along the hose from the near end, the far end hanging straight down at 0, the near end's direction
 * measured clockwise. Empty, with a word, while the angle is open.
 */
@Component({
  selector: 'g-dial',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-50 -50 100 100" role="img" [attr.aria-label]="words()">
      <circle r="40" class="ring" />
      @for (tick of ticks; track tick) {
        <line [attr.transform]="'rotate(' + tick + ')'" x1="0" y1="40" x2="0" [attr.y2]="tick % 90 === 0 ? 33 : 36.5" class="tick" />
      }
      <line x1="0" y1="0" x2="0" y2="30" class="far" />
      <path d="M-4 24L0 31L4 24" class="far" />
      @if (angle() !== null) {
        <g [attr.transform]="'rotate(' + angle() + ')'" class="near">
          <line x1="0" y1="0" x2="0" y2="30" />
          <path d="M-4 24L0 31L4 24" />
        </g>
      } @else {
        <text y="-8" text-anchor="middle">open</text>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
      width: 84px;
    }
    svg {
      width: 100%;
    }
    .ring,
    .far {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.4;
    }
    .far {
      stroke: var(--quiet);
    }
    .tick {
      stroke: var(--ink);
      stroke-width: 1;
    }
    .near {
      fill: none;
      stroke: var(--blue);
      stroke-width: 2.4;
    }
    text {
      font: 500 15px var(--head);
      fill: var(--brass);
    }
  `,
})
export class Dial {
  /** Degrees clockwise; null while open. */
  readonly angle = input<number | null>(null);
  protected readonly ticks = Array.from({ length: 24 }, (_, i) => i * 15);
  protected readonly words = computed(() =>
    this.angle() === null ? 'Clocking open' : `Clocking ${this.angle()}°, clockwise from straight down`,
  );
}
