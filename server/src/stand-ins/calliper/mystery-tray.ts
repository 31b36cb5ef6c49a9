import type { Side } from '@gewinde/core';

/** A fitting of the tray as it is; only the stand-in knows its thread. */
export interface MysteryFitting {
  readonly id: string;
  /** What the eye sees of it. */
  readonly seen: string;
  readonly side: Side;
  readonly thread: string;
  /** Wear (metal gone) or plating (metal added, negative), mm on the diameter. */
  readonly wearMm: number;
}

const OUTSIDE = [
  'M14×1.5',
  '9/16-18 UNF',
  'G 1/4',
  '1/4-18 NPT',
  'R 1/4',
  'M20×1.5',
  '3/4-16 UNF',
  'M22×1.5',
  '7/8-14 UNF',
  '13/16-16 UN',
  'M18×1.5',
  '11/16-16 UN',
  'M12×1.5',
  '1/2-20 UNF',
  'M12×1.25',
  'M10×1',
  '1/8-27 NPT',
  'R 1/8',
  '3/8-24 UNF',
  'M16×1.5',
  '5/8-18 UNF',
  '1 1/16-12 UN',
  'M26×1.5',
  'M27×2',
  '1/2-14 NPT',
  'R 1/2',
  'M10×1 keg',
  'G 1/8',
];
const INSIDE = [
  'M14×1.5',
  '9/16-18 UNF',
  '1/8-27 NPT',
  'Rc 1/8',
  'G 1/4',
  'M10×1',
  '3/4-16 UNF',
  'M20×1.5',
  'Rc 1/4',
  '1/4-18 NPT',
  'M18×1.5',
  '7/8-14 UNF',
];
const LOOKS_OUTSIDE = ['brass plug', 'zinc-plated adapter', 'black anodised adapter', 'steel stud', 'brass sender', 'stainless plug'];
const LOOKS_INSIDE = ['aluminium port block', 'cast iron boss', 'brass tee', 'steel union', 'cooler end tank'];
/** New, a little worn, plated, worn. */
const WEARS = [0, 0.03, -0.01, 0.06, 0.02];

const trayOf = (threads: readonly string[], side: Side, looks: readonly string[], first: number): MysteryFitting[] =>
  threads.map((thread, i) => ({
    id: `f${String(first + i).padStart(2, '0')}`,
    seen: looks[(i * 7 + 3) % looks.length]!,
    side,
    thread,
    wearMm: WEARS[(i * 3 + 1) % WEARS.length]!,
  }));

/** The order on the tray says nothing of what lies beside what. */
const shuffled = <T>(list: readonly T[]): T[] => list.map((_, i) => list[(i * 17 + 5) % list.length]!);

/** Forty loose fittings without a name. Invented; part of the stand-in. */
export const mysteryTray: readonly MysteryFitting[] = shuffled([
  ...trayOf(OUTSIDE, 'external', LOOKS_OUTSIDE, 1),
  ...trayOf(INSIDE, 'internal', LOOKS_INSIDE, OUTSIDE.length + 1),
]);

export function fittingOnTray(id: string): MysteryFitting | undefined {
  return mysteryTray.find((fitting) => fitting.id === id);
}
