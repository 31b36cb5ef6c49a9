import type { Component, Job } from '@gewinde/core';

/** What runs in the engine of job 2403. */
export const running: NonNullable<Job['running']> = {
  oil: { grade: '10w60' },
  coldC: 5,
  hottestC: 120,
  idleBar: 1.1,
  fullBar: 3.2,
  idleRevs: 1100,
  mostRevs: 7800,
  pumpLpm: 38,
  powerKw: 230,
  plannedKw: 290,
  plannedRevs: 8200,
  sumpL: 1.5,
  canL: 5,
  airC: 30,
};

/** A component of job 2403 with its ports. */
export interface SurveyRow {
  readonly key: string;
  readonly kind: Component['kind'];
  readonly name: string;
  readonly note: string;
  /** Where it is not aluminium, or that it is was looked at. */
  readonly metal?: Component['metal'];
  readonly flow?: Component['flow'];
  /** The part of the catalogue it is; its ports are the ends of the part in their order. */
  readonly part?: string;
  readonly ports: readonly (readonly [
    key: string,
    label: string,
    notation: string,
    note?: string,
    sensor?: readonly [name: string, notation: string],
  ])[];
}

export const survey: readonly SurveyRow[] = [
  {
    key: 'block',
    kind: 'block',
    name: 'Block',
    note: 'Aluminium, inline five. Left side is the cold side.',
    metal: 'aluminium',
    ports: [
      ['gallery', 'left gallery', 'm14x1.5 f washer', 'Spot-faced, was the pressure switch'],
      ['feed', 'main feed', 'm20x1.5 f washer'],
      ['water', 'water outlet, rear', 'm18x1.5 f washer'],
      ['vent', 'crankcase vent', 'barb 5/8'],
      ['sender', 'pressure sender', 'rc 1/8 f', 'British taper; the filter head has the American one', ['pressure sender', 'r 1/8 m']],
    ],
  },
  {
    key: 'turbo',
    kind: 'turbo',
    name: 'Turbo',
    note: "Ball bearing, water cooled. Restrictor by the maker's figure.",
    metal: 'cast iron',
    ports: [
      ['inlet', 'oil inlet', 'orb4 f', 'Faces up, 40 mm from the turbine housing'],
      ['drain', 'oil drain', 'orb10 f', 'Faces down'],
      ['waterIn', 'water inlet', 'm14x1.5 f washer'],
      ['waterOut', 'water outlet', 'm14x1.5 f washer'],
    ],
  },
  {
    key: 'pump',
    kind: 'pump',
    name: 'Dry-sump pump',
    note: 'Three scavenge stages, one pressure stage.',
    ports: [
      ['scav1', 'scavenge 1 in', 'orb12 f'],
      ['scav2', 'scavenge 2 in', 'orb12 f'],
      ['scav3', 'scavenge 3 in', 'orb10 f', 'Turbo stage'],
      ['scavOut', 'scavenge out', 'orb12 f'],
      ['pressIn', 'pressure in', 'orb16 f'],
      ['pressOut', 'pressure out', 'orb12 f'],
    ],
  },
  {
    key: 'pan',
    kind: 'pan',
    name: 'Pan',
    note: 'Fabricated, two pickups.',
    ports: [
      ['front', 'front pickup', 'an12 m'],
      ['rear', 'rear pickup', 'an12 m'],
    ],
  },
  {
    key: 'tank',
    kind: 'tank',
    name: 'Rear tank',
    note: '7 L, behind the seat.',
    flow: { holdsL: 7 },
    ports: [
      ['return', 'return', 'orb12 f', 'Tangential, above the level'],
      ['supply', 'supply', 'orb16 f'],
      ['breather', 'breather', 'orb10 f'],
    ],
  },
  {
    key: 'cooler',
    kind: 'cooler',
    name: 'Cooler',
    note: 'Left pod.',
    part: 'sample-cooler-19',
    flow: { holdsL: 0.7, takesBar: 0.35, atLpm: 40, coolsWPerK: 420 },
    ports: [
      ['in', 'in', 'orb10 f'],
      ['out', 'out', 'orb10 f'],
    ],
  },
  {
    key: 'filter',
    kind: 'filter head',
    name: 'Remote filter head',
    note: 'American taper ports.',
    part: 'sample-head-npt',
    ports: [
      ['in', 'in', 'npt 1/2 f'],
      ['out', 'out', 'npt 1/2 f'],
      ['gauge', 'gauge', 'npt 1/8 f'],
      ['post', 'filter', 'post 3/4-16 m 56x84'],
    ],
  },
  {
    key: 'element',
    kind: 'filter',
    name: 'Oil filter',
    note: 'Hangs down, can be filled first.',
    part: 'sample-filter-34',
    flow: { holdsL: 0.3, takesBar: 0.2, atLpm: 40 },
    ports: [['face', 'face', 'post 3/4-16 f 62x71']],
  },
  { key: 'catch', kind: 'other', name: 'Catch can', note: '', ports: [['in', 'in', 'barb 5/8']] },
  {
    key: 'gauge',
    kind: 'other',
    name: 'Gauge panel',
    note: 'Mechanical oil gauge, beside the wheel.',
    ports: [['oil', 'oil gauge', 'npt 1/8 f']],
  },
];
