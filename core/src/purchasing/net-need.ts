/** So many of a part, in its own unit: pieces, or millimetres of what is cut. */
export interface Amount {
  readonly part: string;
  readonly quantity: number;
}

/** How many more than needed are bought, by rule: of a part at least so many, or a share of what is needed. */
export interface SpareRule {
  readonly part: string;
  readonly least?: number;
  readonly percent?: number;
}

export interface NetNeed {
  readonly part: string;
  readonly needed: number;
  readonly spare: number;
  /** From the shelf, for this job. */
  readonly fromShelf: number;
  /** On its way already. */
  readonly onOrder: number;
  readonly toBuy: number;
}

export class AmountError extends Error {
  readonly code = 'amount';
  constructor(
    message: string,
    readonly part: string,
  ) {
    super(message);
    this.name = 'AmountError';
  }
}

/**
 * What is to be bought: need and spares, less what the shelf has for this job, less what is on its way. Never less than nothing, and what is
 * needed is always covered by the three together; the shelf is asked first.
 * @throws {AmountError} for amounts that are none
 */
export function netNeed(
  needs: readonly Amount[],
  {
    shelf = [],
    onOrder = [],
    spares = [],
  }: { readonly shelf?: readonly Amount[]; readonly onOrder?: readonly Amount[]; readonly spares?: readonly SpareRule[] } = {},
): NetNeed[] {
  const [needed, there, coming] = [needs, shelf, onOrder].map(summed) as [Map<string, number>, Map<string, number>, Map<string, number>];
  const rules = new Map(spares.map((s) => [s.part, s]));
  return [...needed].map(([part, quantity]) => {
    const rule = rules.get(part);
    const spare = Math.max(0, rule?.least ?? 0, Math.ceil(quantity * ((rule?.percent ?? 0) / 100) - 1e-9));
    const wanted = quantity + spare;
    const fromShelf = Math.min(wanted, there.get(part) ?? 0);
    const fromOrder = Math.min(wanted - fromShelf, coming.get(part) ?? 0);
    return { part, needed: quantity, spare, fromShelf, onOrder: fromOrder, toBuy: wanted - fromShelf - fromOrder };
  });
}

function summed(list: readonly Amount[]): Map<string, number> {
  const sums = new Map<string, number>();
  for (const { part, quantity } of list) {
    if (!(quantity >= 0 && Number.isFinite(quantity))) throw new AmountError(`Of "${part}" there cannot be ${quantity}.`, part);
    sums.set(part, (sums.get(part) ?? 0) + quantity);
  }
  return sums;
}
