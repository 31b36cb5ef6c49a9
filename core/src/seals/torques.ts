import type { Metal } from './metals.js';

/** A joint's torque where this is the weaker of its two materials, N·m. */
export interface TorqueChoice {
  readonly metal: Metal;
  readonly low: number;
  readonly high: number;
  readonly source: string;
  /** Where two sources differ: what each of them prints; the figure is what both allow, or the lower where they have nothing in common. */
  readonly readings?: readonly { readonly low: number; readonly high: number; readonly source: string }[];
}

type Range = readonly [low: number, high: number];
type ByDash = Readonly<Record<string, Range>>;
type ByDiameter = readonly (readonly [mm: number, low: number, high: number])[];

/** Torque of a heavy-duty steel boss stud in steel, N·m, by dash size. Source: SAE J1926-2, from memory; -32 estimated, on the safe side. */
const BOSS_STEEL: ByDash = {
  '2': [7, 8],
  '3': [9, 10],
  '4': [18, 22],
  '5': [24, 27],
  '6': [30, 35],
  '8': [60, 70],
  '10': [90, 100],
  '12': [155, 170],
  '14': [195, 215],
  '16': [245, 270],
  '20': [260, 285],
  '24': [340, 370],
  '32': [400, 440],
};

/**
 * The same of the light-duty stud, which most adapters of this trade are, from -8 up, where the two sheets part. Source: SAE J1926-3, from
 * memory: of about the same thread as the light series of ISO 6149-3, which prints about the same figures.
 */
const BOSS_STEEL_LIGHT: ByDash = {
  '8': [45, 50],
  '10': [54, 60],
  '12': [86, 95],
  '14': [108, 120],
  '16': [135, 150],
  '20': [180, 200],
  '24': [210, 230],
};

/** Share of the steel figure that a stud on a ring takes in an aluminium thread: the ring seals, not the force. Common practice. */
const IN_ALUMINIUM = 0.6;

/** Torque of a 37° swivel nut by dash size, N·m, in steel. Source: SAE J514 practice, from memory. */
const FLARE_STEEL: ByDash = {
  '2': [8, 10],
  '3': [11, 14],
  '4': [15, 16],
  '5': [19, 21],
  '6': [24, 28],
  '8': [49, 53],
  '10': [77, 85],
  '12': [107, 119],
  '14': [127, 140],
  '16': [147, 154],
  '20': [172, 181],
  '24': [215, 226],
  '32': [332, 350],
};

/** The same on aluminium, N·m. Source: FAA AC 43.13-1B, aluminium flared tube, converted from lbf·in, from memory. */
const FLARE_ALUMINIUM: ByDash = {
  '2': [2.3, 3.4],
  '3': [2.8, 4],
  '4': [5.6, 7.3],
  '5': [6.8, 9],
  '6': [8.5, 14],
  '8': [17, 28],
  '10': [23, 40],
  '12': [34, 56],
  '14': [45, 68],
  '16': [56, 79],
  '20': [68, 102],
  '24': [68, 102],
  '32': [120, 160],
};

/** The same by another handbook, N·m, converted from lbf·in inwards. Source: tube assembly practice for aircraft, from memory. */
const FLARE_ALUMINIUM_OTHER: ByDash = { '6': [12.5, 14.7], '8': [26, 29], '10': [37.5, 40.5], '12': [52, 56] };

/** A solid steel stud or plug with a flat washer in steel or iron, N·m, by diameter. Source: ISO 9974-2 light series, from memory. */
const WASHER_STEEL: ByDiameter = [
  [5, 3, 5],
  [6, 5, 8],
  [8, 8, 12],
  [10, 12, 18],
  [12, 20, 28],
  [14, 25, 35],
  [16, 35, 50],
  [18, 45, 60],
  [20, 55, 75],
  [22, 65, 90],
  [24, 75, 100],
  [26, 90, 125],
  [27, 100, 140],
  [30, 120, 170],
  [33, 150, 210],
  [36, 180, 250],
  [42, 240, 330],
  [48, 300, 420],
];

/** Enough to crush an annealed copper washer, and no more than an aluminium thread bears, N·m, solid and hollow bolts alike. Common practice. */
const WASHER_ALUMINIUM: ByDiameter = [
  [5, 3, 4],
  [6, 5, 7],
  [8, 8, 10],
  [10, 10, 15],
  [12, 20, 25],
  [14, 25, 30],
  [16, 30, 38],
  [18, 35, 45],
  [20, 42, 55],
  [22, 50, 65],
  [24, 55, 70],
  [26, 65, 85],
  [27, 70, 90],
  [30, 80, 105],
  [33, 95, 125],
  [36, 110, 145],
  [42, 150, 195],
  [48, 190, 250],
];

/** Hollow banjo bolts of steel in steel or iron, N·m, by diameter: less than a solid stud takes. Common practice. */
const BANJO_STEEL: ByDiameter = [
  [8, 8, 11],
  [10, 12, 17],
  [12, 20, 27],
  [14, 25, 33],
  [16, 33, 44],
  [18, 42, 54],
  [20, 50, 65],
  [22, 58, 75],
  [24, 66, 85],
  [26, 75, 98],
];

/** Steel studs in O-ring ports, N·m, by diameter: the most of the standard. Source: ISO 6149-3 light series, from memory. */
const PORT_RING_STEEL: Readonly<Record<string, number>> = {
  '8': 8,
  '10': 15,
  '12': 25,
  '14': 35,
  '16': 40,
  '18': 45,
  '20': 50,
  '22': 60,
  '27': 100,
  '33': 160,
  '42': 210,
  '48': 260,
};

/** Bolts of a flange or face on its gasket, N·m, by bolt. Common practice; the maker's figure goes first. */
const GASKET_BOLTS: Readonly<Record<string, Readonly<Record<'aluminium' | 'steel', Range>>>> = {
  M6: { aluminium: [8, 10], steel: [9, 12] },
  M8: { aluminium: [15, 22], steel: [20, 25] },
};

const inMetals = (aluminium: Range, aluminiumSource: string, steel: Range, steelSource: string): TorqueChoice[] => [
  { metal: 'aluminium', low: aluminium[0], high: aluminium[1], source: aluminiumSource },
  { metal: 'steel', low: steel[0], high: steel[1], source: steelSource },
];
const share = ([low, high]: Range): Range => [Math.round(low * IN_ALUMINIUM), Math.round(high * IN_ALUMINIUM)];
const SHARED = 'about 60 % of the steel figure, common practice';

/** Torques of a 37° nut. @throws {RangeError} for a size the tables do not have: no figure is better than a wrong one */
export function flareTorques(dash: string): TorqueChoice[] {
  const [steel, own, other] = [ofSize(FLARE_STEEL, dash), ofSize(FLARE_ALUMINIUM, dash), FLARE_ALUMINIUM_OTHER[dash]];
  return [
    agreed('aluminium', [own, 'FAA AC 43.13-1B, from memory'], other && [other, 'another handbook of aircraft tube assembly, from memory']),
    { metal: 'steel', low: steel[0], high: steel[1], source: 'SAE J514 practice, from memory' },
  ];
}

/** Torques of an O-ring boss stud. @throws {RangeError} for a size the table does not have */
export function bossTorques(dash: string): TorqueChoice[] {
  const [heavy, light] = [ofSize(BOSS_STEEL, dash), BOSS_STEEL_LIGHT[dash]];
  const lighter = light ?? heavy;
  const [low, high] = share(lighter);
  return [
    { metal: 'aluminium', low, high, source: SHARED },
    agreed(
      'steel',
      [lighter, light ? 'light duty, SAE J1926-3, from memory' : 'SAE J1926-3, from memory'],
      light && [heavy, 'heavy duty, SAE J1926-2, from memory'],
    ),
  ];
}

type Reading = readonly [range: Range, source: string];

/** What two readings both allow; where they have nothing in common the lower, which hurts nothing: a ring or a cone seals, not the force. */
function agreed(metal: Metal, one: Reading, other: Reading | undefined): TorqueChoice {
  const [[low, high], source] = one;
  if (!other) return { metal, low, high, source };
  const readings = [one, other].map(([range, from]) => ({ low: range[0], high: range[1], source: from }));
  const [from, to] = [Math.max(low, other[0][0]), Math.min(high, other[0][1])];
  if (from <= to) return { metal, low: from, high: to, source: `what two sources both allow: ${source}; ${other[1]}`, readings };
  const lower = high < other[0][0] ? one : other;
  return { metal, low: lower[0][0], high: lower[0][1], source: `the lower of two that differ: ${lower[1]}`, readings };
}

/** Torques of a stud in an O-ring port, by its diameter in mm. */
export function portRingTorques(diameterMm: number): TorqueChoice[] {
  const most = PORT_RING_STEEL[String(diameterMm)];
  const steel: Range = most === undefined ? nearest(WASHER_STEEL, diameterMm) : [Math.round(most * 0.9), most];
  return inMetals(share(steel), SHARED, steel, most === undefined ? 'as on a washer' : 'ISO 6149-3, from memory');
}

/** Torques of a stud or plug on a washer, by its diameter in mm. */
export function washerTorques(diameterMm: number): TorqueChoice[] {
  return inMetals(
    nearest(WASHER_ALUMINIUM, diameterMm),
    'crushes annealed copper; common practice',
    nearest(WASHER_STEEL, diameterMm),
    'ISO 9974-2, from memory',
  );
}

/** Torques of a hollow banjo bolt, by its diameter in mm. */
export function banjoTorques(diameterMm: number): TorqueChoice[] {
  return inMetals(
    nearest(WASHER_ALUMINIUM, diameterMm),
    'crushes annealed copper; common practice',
    nearest(BANJO_STEEL, diameterMm),
    'common practice',
  );
}

/** A bulkhead's locknut draws washers onto a sheet: by the flare nut in aluminium at most, whatever the metals. Common practice. */
export function locknutTorques(dash: string): TorqueChoice[] {
  const [low, high] = ofSize(FLARE_ALUMINIUM, dash);
  return [{ metal: 'aluminium', low, high, source: 'at most the aluminium flare nut; common practice' }];
}

/** Torques of the bolts on a gasket: `M6`, `M8`; those of M6, the smaller, where the bolt is not said. */
export function gasketBoltTorques(bolt = 'M6'): TorqueChoice[] {
  const { aluminium, steel } = GASKET_BOLTS[bolt]!;
  return inMetals(aluminium, 'common practice', steel, 'common practice');
}

function ofSize(table: ByDash, dash: string): Range {
  const row = table[dash];
  if (!row) throw new RangeError(`No make-up is known for size ${dash}`);
  return row;
}

function nearest(table: ByDiameter, mm: number): Range {
  const [, low, high] = table.reduce((best, row) => (Math.abs(row[0] - mm) < Math.abs(best[0] - mm) ? row : best));
  return [low, high];
}
