import { taperEngagement } from '../threads/index.js';

export interface MakeUp {
  readonly kind: 'torque' | 'flats' | 'turns' | 'push' | 'clamp' | 'gap';
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  readonly note?: string;
}

/** Flats from wrench resistance for a 37° swivel nut, by dash size. Source: SAE J514 practice, from memory. */
const FLARE_FLATS: Readonly<Record<string, readonly [number, number]>> = {
  '2': [1.5, 2],
  '3': [1.5, 2],
  '4': [1.5, 1.75],
  '5': [1.25, 1.75],
  '6': [1, 1.5],
  '8': [1, 1.5],
  '10': [1, 1.5],
  '12': [1, 1.25],
  '14': [1, 1.25],
  '16': [0.75, 1],
  '20': [0.75, 1],
  '24': [0.75, 1],
  '32': [0.75, 1],
};

/** Torque of a steel boss stud in steel, N·m, by dash size. Source: SAE J1926-3, from memory. */
const BOSS_TORQUE: Readonly<Record<string, readonly [number, number]>> = {
  '2': [8, 10],
  '3': [10, 13],
  '4': [18, 22],
  '5': [24, 27],
  '6': [30, 35],
  '8': [60, 70],
  '10': [95, 105],
  '12': [160, 180],
  '14': [210, 240],
  '16': [260, 290],
  '20': [350, 400],
  '24': [400, 450],
  '32': [600, 660],
};

/** Torque of a steel stud with a flat copper washer in steel or iron, N·m, by diameter. Source: ISO 9974-2, from memory, light series. */
const WASHER_TORQUE: readonly (readonly [number, number, number])[] = [
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

/** Torque of a 37° swivel nut by dash size, N·m, in steel. Source: SAE J514 practice, from memory. */
const FLARE_STEEL: Readonly<Record<string, readonly [number, number]>> = {
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
const FLARE_ALUMINIUM: Readonly<Record<string, readonly [number, number]>> = {
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

/** Share of the steel figure that a steel stud takes in an aluminium thread (common practice). */
const IN_ALUMINIUM = 0.6;

export type MadeOf = 'steel into steel' | 'steel into aluminium' | 'aluminium nut';

/** A joint's torque for one pair of materials, N·m. */
export interface TorqueChoice {
  readonly materials: MadeOf;
  readonly low: number;
  readonly high: number;
  readonly source: string;
}

/** Torque of a 37° nut by material: flats from wrench resistance go first, torque is the second school. */
export function flareTorques(dash: string): TorqueChoice[] {
  const pick = (table: typeof FLARE_STEEL, materials: MadeOf, source: string): TorqueChoice[] => {
    const row = table[dash];
    return row ? [{ materials, low: row[0], high: row[1], source }] : [];
  };
  return [
    ...pick(FLARE_STEEL, 'steel into steel', 'SAE J514 practice, from memory'),
    ...pick(FLARE_ALUMINIUM, 'aluminium nut', 'FAA AC 43.13-1B, from memory'),
  ];
}

/** A stud's torque in steel and in aluminium. */
export function studTorques({ kind, low, high }: MakeUp): TorqueChoice[] {
  if (kind !== 'torque') return [];
  const share = (value: number): number => Math.round(value * IN_ALUMINIUM);
  return [
    { materials: 'steel into steel', low, high, source: 'as the make-up' },
    { materials: 'steel into aluminium', low: share(low), high: share(high), source: 'about 60 %, common practice' },
  ];
}

const ALUMINIUM = "Steel into steel or iron. In aluminium take the maker's figure, commonly about 60 %.";

/** @throws {RangeError} for a size that the table does not have: no figure is better than a wrong one */
function ofSize(table: Readonly<Record<string, readonly [number, number]>>, dash: string): readonly [number, number] {
  const row = table[dash];
  if (!row) throw new RangeError(`No make-up is known for size ${dash}`);
  return row;
}

export function flareMakeUp(dash: string): MakeUp {
  const [low, high] = ofSize(FLARE_FLATS, dash);
  return { kind: 'flats', low, high, unit: 'flats', note: 'From wrench resistance, with a second wrench on the adapter.' };
}

export function bossMakeUp(dash: string, adjustable: boolean): MakeUp {
  const [low, high] = ofSize(BOSS_TORQUE, dash);
  const note = adjustable ? `On the locknut, after aiming; back off at most one turn. ${ALUMINIUM}` : ALUMINIUM;
  return { kind: 'torque', low, high, unit: 'N·m', note };
}

export function washerMakeUp(boltMm: number): MakeUp {
  const [, low, high] = WASHER_TORQUE.reduce((best, row) => (Math.abs(row[0] - boltMm) < Math.abs(best[0] - boltMm) ? row : best));
  return { kind: 'torque', low, high, unit: 'N·m', note: ALUMINIUM };
}

/** A banjo bolt is hollow: it takes about two thirds of a solid stud's torque (common practice). */
export function banjoMakeUp(boltMm: number): MakeUp {
  const solid = washerMakeUp(boltMm);
  return {
    ...solid,
    low: Math.round((solid.low * 2) / 3),
    high: Math.round((solid.high * 2) / 3),
    note: "Hollow bolt: about two thirds of a solid stud. The maker's figure goes first.",
  };
}

/** Turns past finger tight for a taper thread, by size. Source: SAE J514 practice, from memory. */
export function taperMakeUp(designation: string): MakeUp {
  const turns = taperEngagement(designation)!.byWrenchTurns;
  return {
    kind: 'turns',
    ...turns,
    unit: 'turns',
    note: 'Past finger tight. Never back off to aim: go on, or start again. Not over-tight in aluminium.',
  };
}

export const clampMakeUp: MakeUp = {
  kind: 'clamp',
  low: 2,
  high: 4,
  unit: 'N·m',
  note: "By the clamp's own figure; behind the last ridge, not on it.",
};

/** A spin-on filter or plate on its gasket. Source: common practice; the filter maker's figure goes first. */
export const gasketMakeUp: MakeUp = {
  kind: 'turns',
  low: 0.75,
  high: 1,
  unit: 'turns',
  note: 'By hand after the gasket touches. A post bolt takes its torque by the plate maker; again after every filter change.',
};

/** Two small bolts on a gasket, N·m. Source: common practice for M8 in aluminium; the maker's figure goes first. */
export const flangeMakeUp: MakeUp = { kind: 'torque', low: 15, high: 25, unit: 'N·m', note: 'M8 bolts, in turn, a little at a time.' };

/** Bolts round a gasket face, N·m. Source: common practice for M8 and M6 in aluminium; the maker's figure goes first. */
export const faceMakeUp: MakeUp = {
  kind: 'torque',
  low: 15,
  high: 25,
  unit: 'N·m',
  note: "M8 bolts, crosswise, a little at a time; M6 take 8 to 10. The maker's figure goes first.",
};

export const pushMakeUp: MakeUp = { kind: 'push', low: 0, high: 0, unit: '', note: 'Push until it clicks, then tug.' };

/** A cutting-ring joint: turns from finger tight. Source: ISO 8434-1 practice, from memory. */
export const cuttingRingMakeUp: MakeUp = {
  kind: 'turns',
  low: 1.25,
  high: 1.5,
  unit: 'turns',
  note: 'A new cutting ring; a ring made up before takes a quarter turn, an O-ring nose a third.',
};

/** A swivel nut on a 30° or 60° cone: flats from wrench resistance. Source: common practice. */
export const coneMakeUp: MakeUp = {
  kind: 'flats',
  low: 1,
  high: 1.5,
  unit: 'flats',
  note: 'From wrench resistance, second wrench on the adapter.',
};
