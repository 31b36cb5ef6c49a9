import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { serviceById, type ServiceId } from '@gewinde/core';

/** Each service by what the oil does in it. */
const GLYPHS: Record<ServiceId, string> = {
  'turbo-feed': 'M2 10h11M9 5.5l5 4.5-5 4.5M17 4.5v11',
  'turbo-drain': 'M10 2v12M5.5 10l4.5 5 4.5-5M4 18h12',
  scavenge: 'M3 3h14l-5 7v7H8v-7zM10 12.5v0M6.5 5.5h7',
  pressure: 'M2 10h11M9 5.5l5 4.5-5 4.5',
  cooler: 'M3 4v12M7 4v12M11 4v12M15 4v12M1.5 2.5h15M1.5 17.5h15',
  suction: 'M3 3h14l-5 7v7H8v-7z',
  'cooler-back': 'M3 4v12M7 4v12M11 4v12M15 4v12M1.5 2.5h15M1.5 17.5h15M18.5 7l-2.5 3 2.5 3',
  filter: 'M5 3h10v14H5zM7.5 3v14M10 3v14M12.5 3v14',
  'bypass-feed': 'M2 6h16M7 6v7h6M10.5 10.5L13 13l-2.5 2.5',
  'bypass-return': 'M5 3v6h6v8M8 14l3 3 3-3',
  return: 'M4 6h8a4 4 0 0 1 0 8H4M7.5 10.5L4 14l3.5 3.5',
  tank: 'M4 4c0-2.5 12-2.5 12 0v12c0 2.5-12 2.5-12 0zM4 4c0 2.5 12 2.5 12 0',
  breather: 'M2 8c3-4 5 4 8 0s5-4 8 0M2 14c3-4 5 4 8 0s5-4 8 0',
  gauge: 'M3 15a7 7 0 1 1 14 0M10 15l4-5',
  sample: 'M8 2v6l-4 8a1.5 1.5 0 0 0 1.5 2h9a1.5 1.5 0 0 0 1.5-2l-4-8V2M6.5 2h7',
  coolant: 'M10 2c3.5 4.5 5 7 5 9.5a5 5 0 0 1-10 0C5 9 6.5 6.5 10 2zM7.5 12a2.5 2.5 0 0 0 2.5 2.5',
  'coolant-return': 'M10 2c3.5 4.5 5 7 5 9.5a5 5 0 0 1-10 0C5 9 6.5 6.5 10 2zM13 19l-3-2 3-2',
  heater: 'M5 3c3 3-3 5 0 8s-3 4 0 6M10 3c3 3-3 5 0 8s-3 4 0 6M15 3c3 3-3 5 0 8s-3 4 0 6',
  fuel: 'M4 18V3h8v15M2.5 18h11M6 6h4M12 8h3v6a1.5 1.5 0 0 0 3 0V7l-3-3',
  'fuel-return': 'M4 18V3h8v15M2.5 18h11M6 6h4M18 8h-4M16 6l-2 2 2 2',
  'fuel-vapour': 'M4 18V3h8v15M2.5 18h11M14 12c2-2 0-3 2-5M17 13c2-2 0-3 2-5',
  vacuum: 'M10 4.5a5.5 5.5 0 1 1 0 11 5.5 5.5 0 0 1 0-11zM10 1v5M10 14v5M1 10h5M14 10h5',
  boost: 'M3 10h9M9 6l4 4-4 4M16 5v10M18.5 7v6',
  'brake-booster': 'M10 3a7 7 0 1 0 0 14M10 3v14M13 7h4v6h-4',
  'charge-air': 'M2 7h5c2 0 2 6 4 6h7M2 13h4M12 7h6',
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
