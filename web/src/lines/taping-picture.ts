import { ChangeDetectionStrategy, Component } from '@angular/core';

/** How the tape runs at a bent end: straight along the hose to the centreline of the port, not round the bend. */
@Component({
  selector: 'g-taping-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 150 86"
      width="104"
      height="60"
      role="img"
      aria-label="The tape runs straight along the hose to the port's centreline"
    >
      <path class="hose" d="M0 30 H78" />
      <path class="tube" d="M78 30 H92 Q112 30 112 50 V60" />
      <path class="nut" d="M103 60 h18 v12 h-18 z" />
      <path class="axis" d="M112 4 V84" />
      <path class="tape" d="M4 14 H112" />
      <path class="tape" d="M112 9 V19" />
      <path class="wrong" d="M60 41 H88 Q101 41 101 54 V64" />
      <text x="8" y="11">tape</text>
      <text class="no" x="54" y="56">not so</text>
      <text class="small" x="116" y="82">port</text>
    </svg>
  `,
  styles: `
    :host {
      display: block;
      line-height: 0;
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1;
    }
    .hose {
      stroke-width: 11;
      stroke: var(--faint);
    }
    .tube {
      stroke-width: 6;
      stroke: var(--quiet);
    }
    .nut {
      fill: var(--sheet);
    }
    .axis {
      stroke-dasharray: 9 2 2 2;
      stroke-width: 0.7;
    }
    .tape {
      stroke: var(--blue);
      stroke-width: 1.6;
    }
    .wrong {
      stroke: var(--red);
      stroke-dasharray: 3 3;
      stroke-width: 1.3;
    }
    text {
      fill: var(--blue);
      font: 500 11px var(--body);
    }
    .no {
      fill: var(--red);
    }
    .small {
      fill: var(--quiet);
    }
  `,
})
export class TapingPicture {}
