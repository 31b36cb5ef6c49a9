import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { serviceById, type ServiceId } from '@gewinde/core';

/** Each service by what the oil does in it. */
const GLYPHS: Record<ServiceId, string> = {
  'turbo-feed': 'M2 10h11M9 5.5l5 4.5-5 4.5M17 4.5v11',
  'turbo-drain': 'M10 2v12M5.5 10l4.5 5 4.5-5M4 18h12',
  cooler: 'M3 4v12M7 4v12M11 4v12M15 4v12M1.5 2.5h15M1.5 17.5h15',
  suction: 'M3 3h14l-5 7v7H8v-7z',
  return: 'M4 6h8a4 4 0 0 1 0 8H4M7.5 10.5L4 14l3.5 3.5',
  breather: 'M2 8c3-4 5 4 8 0s5-4 8 0M2 14c3-4 5 4 8 0s5-4 8 0',
  coolant: 'M10 2c3.5 4.5 5 7 5 9.5a5 5 0 0 1-10 0C5 9 6.5 6.5 10 2zM7.5 12a2.5 2.5 0 0 0 2.5 2.5',
  fuel: 'M4 18V3h8v15M2.5 18h11M6 6h4M12 8h3v6a1.5 1.5 0 0 0 3 0V7l-3-3',
  vacuum: 'M10 4.5a5.5 5.5 0 1 1 0 11 5.5 5.5 0 0 1 0-11zM10 1v5M10 14v5M1 10h5M14 10h5',
  other: 'M10 6a4 4 0 1 1 0 8 4 4 0 0 1 0-8z',
};

@Component({
  selector: 'g-service-glyph',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 20 20" width="18" height="18" role="img" [attr.aria-label]="name()">
    <path [attr.d]="path()" />
  </svg>`,
  styles: `
    :host {
      display: inline-flex;
    }
    path {
      fill: none;
      stroke: currentcolor;
      stroke-width: 1.6;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class ServiceGlyph {
  readonly service = input.required<ServiceId>();
  protected readonly path = computed(() => GLYPHS[this.service()]);
  protected readonly name = computed(() => serviceById(this.service()).name);
}
