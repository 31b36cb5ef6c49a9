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

const ALUMINIUM = "Steel into steel or iron. In aluminium take the maker's figure, commonly about 60 %.";

export function flareMakeUp(dash: string): MakeUp {
  const [low, high] = FLARE_FLATS[dash] ?? [1, 1.5];
  return { kind: 'flats', low, high, unit: 'flats', note: 'From wrench resistance, with a second wrench on the adapter.' };
}

export function bossMakeUp(dash: string, adjustable: boolean): MakeUp {
  const [low, high] = BOSS_TORQUE[dash] ?? [30, 35];
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

/** Turns past finger tight for a taper pipe thread, by size. Source: SAE J514 practice, from memory. */
export function taperMakeUp(size: string): MakeUp {
  const large = ['1', '1 1/4', '1 1/2', '2'].includes(size);
  return {
    kind: 'turns',
    low: large ? 1.5 : 2,
    high: large ? 2.5 : 3,
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
