import { quantity as said } from '../units/index.js';
/** Something to cut from: so many of a length; any number where the quantity is null. */
export interface StockLength {
  readonly id: string;
  readonly lengthMm: number;
  readonly quantity: number | null;
}

/** Pieces of a length that are asked for. */
export interface Demand {
  readonly id: string;
  readonly lengthMm: number;
  readonly quantity: number;
}

export interface CutProblem {
  readonly stock: readonly StockLength[];
  /** What the saw takes between two pieces. */
  readonly kerfMm: number;
  readonly demand: readonly Demand[];
  /** A remainder that is shorter is waste, and no offcut. */
  readonly leastOffcutMm?: number;
  /** Where not all pieces fit: as few as can be are left out, or as little of their length. */
  readonly leaveOut?: 'fewest' | 'shortest';
}

/** Pieces and lengths that no bench has: told in words, nothing half planned. */
export class CutFigureError extends Error {
  readonly code = 'cut-figure';
  constructor(
    message: string,
    /** `stock/0/lengthMm`. */
    readonly field: string,
  ) {
    super(message);
    this.name = 'CutFigureError';
  }
}

/** Lengths are told apart to a hundredth of a millimetre. */
const GRAIN = 100;

/** A problem in whole hundredths, with like lengths put together: a kerf goes with every piece, and with the bar as well. */
export interface Grained {
  /** Different lengths that are asked for and that some bar holds, longest first: with a kerf, and how many. */
  readonly sizes: readonly { readonly length: number; readonly weight: number; readonly wanted: number; readonly ids: readonly string[] }[];
  /** Different bars: their length, what they hold with one more kerf, how many there are (Infinity where any number), whose. */
  readonly bars: readonly {
    readonly length: number;
    readonly holds: number;
    readonly count: number;
    readonly of: readonly StockLength[];
  }[];
  /** Pieces that no bar holds. */
  readonly tooLong: readonly string[];
  readonly kerf: number;
  readonly leaveOut: 'fewest' | 'shortest';
}

/**
 * The problem as it is worked on.
 * @throws {CutFigureError} for lengths that are none, negative counts, ids twice
 */
export function grained({ stock, kerfMm, demand, leaveOut = 'fewest' }: CutProblem): Grained {
  if (!(kerfMm >= 0 && Number.isFinite(kerfMm))) throw new CutFigureError(`A kerf of ${said(kerfMm, 'mm')} is none.`, 'kerfMm');
  stock.forEach(({ lengthMm, quantity, id }, i) => {
    if (!(lengthMm > 0 && Number.isFinite(lengthMm)))
      throw new CutFigureError(`Stock "${id}" has no length: ${said(lengthMm, 'mm')}.`, `stock/${i}/lengthMm`);
    if (quantity !== null && !(Number.isInteger(quantity) && quantity >= 0))
      throw new CutFigureError(`Of stock "${id}" there cannot be ${quantity}.`, `stock/${i}/quantity`);
    if (stock.findIndex((s) => s.id === id) !== i) throw new CutFigureError(`Stock "${id}" stands twice.`, `stock/${i}/id`);
  });
  demand.forEach(({ lengthMm, quantity, id }, i) => {
    if (!(lengthMm > 0 && Number.isFinite(lengthMm)))
      throw new CutFigureError(`Piece "${id}" has no length: ${said(lengthMm, 'mm')}.`, `demand/${i}/lengthMm`);
    if (!(Number.isInteger(quantity) && quantity >= 0))
      throw new CutFigureError(`Of piece "${id}" there cannot be ${quantity}.`, `demand/${i}/quantity`);
    if (demand.findIndex((d) => d.id === id) !== i) throw new CutFigureError(`Piece "${id}" stands twice.`, `demand/${i}/id`);
  });
  const kerf = Math.round(kerfMm * GRAIN);
  const bars = grouped(
    stock.filter((s) => s.quantity !== 0),
    (s) => Math.floor(s.lengthMm * GRAIN + 1e-6),
  ).map(([length, of]) => ({
    length,
    holds: length + kerf,
    count: of.some((s) => s.quantity === null) ? Infinity : of.reduce((sum, s) => sum + s.quantity!, 0),
    of,
  }));
  const longest = Math.max(0, ...bars.map((b) => b.length));
  const asked = grouped(
    demand.filter((d) => d.quantity > 0),
    (d) => Math.ceil(d.lengthMm * GRAIN - 1e-6),
  );
  const ids = (of: readonly Demand[]): string[] => of.flatMap((d) => Array.from({ length: d.quantity }, () => d.id));
  return {
    sizes: asked
      .filter(([length]) => length <= longest)
      .map(([length, of]) => ({ length, weight: length + kerf, wanted: of.reduce((sum, d) => sum + d.quantity, 0), ids: ids(of) })),
    bars,
    tooLong: asked.filter(([length]) => length > longest).flatMap(([, of]) => ids(of)),
    kerf,
    leaveOut,
  };
}

/** By length, longest first. */
function grouped<T>(list: readonly T[], length: (one: T) => number): [length: number, of: T[]][] {
  const by = new Map<number, T[]>();
  for (const one of list) by.set(length(one), [...(by.get(length(one)) ?? []), one]);
  return [...by].sort(([a], [b]) => b - a);
}

/** What it counts to leave a piece of each size out, beside one of the shortest. */
export function missed({ sizes, leaveOut }: Pick<Grained, 'sizes' | 'leaveOut'>): number[] {
  const shortest = Math.min(...sizes.map((s) => s.length));
  return sizes.map((s) => (leaveOut === 'fewest' ? 1 : s.length / shortest));
}

export function inMm(grains: number): number {
  return grains / GRAIN;
}
