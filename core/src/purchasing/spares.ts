import { hasValues, highsSolver, type MipRow, type MipSolver } from '../cutting/index.js';

/** What one line would need to be made anew. */
export interface LineNeed {
  readonly line: string;
  readonly needs: readonly { readonly part: string; readonly quantity: number }[];
}

/** A part that could be carried, and what it stands in for. */
export interface Carried {
  readonly part: string;
  /** Itself, and parts that it mates like. */
  readonly servesAs: readonly string[];
  /** Lengths: one as long as the longest serves all. */
  readonly byLength?: boolean;
  readonly priceMinor?: number;
}

export interface SparesSet {
  readonly parts: readonly { readonly part: string; readonly quantity: number; readonly lines: readonly string[] }[];
  /** No smaller set restores any one line. */
  readonly proven: boolean;
}

/**
 * The smallest set of parts from which any one line of a job can be made anew: the fewest pieces, then the least money. What mates the same way stands
 * in for another. By a mixed-integer program: for each line, what is carried covers all that it asks for.
 */
export async function sparesSet(
  lines: readonly LineNeed[],
  carried: readonly Carried[],
  solver: MipSolver = highsSolver,
  seconds = 2,
): Promise<SparesSet> {
  const asked = lines.filter((l) => l.needs.length > 0);
  if (asked.length === 0) return { parts: [], proven: true };
  const rows: MipRow[] = [];
  const whole = new Set<string>();
  const minimise = new Map<string, number>();
  const dearest = Math.max(1, ...carried.map((c) => c.priceMinor ?? 0));
  const at = new Map(carried.map((c, i) => [c.part, i]));
  const longest = (part: string): number =>
    Math.max(...asked.flatMap((l) => l.needs.filter((n) => n.part === part).map((n) => n.quantity)));
  carried.forEach(({ byLength, priceMinor, part }, c) => {
    // a length counts as one piece however long it is; its length is what the money is for
    const unit = byLength ? 1 / Math.max(1, longest(part)) : 1;
    minimise.set(`x${c}`, unit * (1 + (priceMinor ?? dearest) / (dearest * 1e4)));
    if (!byLength) whole.add(`x${c}`);
  });
  asked.forEach(({ needs }, l) => {
    const given = new Map<number, Map<string, number>>();
    needs.forEach(({ part, quantity }, n) => {
      const terms = new Map<string, number>();
      carried.forEach(({ servesAs }, c) => {
        if (!servesAs.includes(part)) return;
        const name = `a${l}_${n}_${c}`;
        terms.set(name, 1);
        given.set(c, (given.get(c) ?? new Map<string, number>()).set(name, 1));
      });
      if (terms.size > 0) rows.push({ name: `r${l}_${n}`, terms, is: '>=', than: quantity });
    });
    for (const [c, terms] of given) rows.push({ name: `c${l}_${c}`, terms: terms.set(`x${c}`, -1), is: '<=', than: 0 });
  });
  const answer = await solver.solve({ minimise, rows, whole: [...whole] }, seconds);
  if (!hasValues(answer)) return { parts: [], proven: false };
  const parts = carried.flatMap(({ part, servesAs, byLength }) => {
    const value = answer.value(`x${at.get(part)}`);
    const quantity = byLength ? Math.ceil(value - 1e-6) : Math.round(value);
    const users = asked.filter((l) => l.needs.some((n) => servesAs.includes(n.part))).map((l) => l.line);
    return quantity > 0 ? [{ part, quantity, lines: users }] : [];
  });
  return { parts, proven: answer.status === 'optimal' };
}

/** Parts that nobody brings within so many days, nor the shelf has: carry one. */
export function carryOne(
  needs: readonly { readonly part: string; readonly spare: number }[],
  offers: readonly { readonly holds: readonly { readonly part: string }[]; readonly leadDays: number }[],
  shelfOf: (part: string) => number,
  withinDays: number,
): string[] {
  const soonest = new Map<string, number>();
  for (const { holds, leadDays } of offers)
    for (const { part } of holds) soonest.set(part, Math.min(leadDays, soonest.get(part) ?? Infinity));
  return needs
    .filter(({ part, spare }) => spare === 0 && shelfOf(part) === 0 && (soonest.get(part) ?? Infinity) > withinDays)
    .map((n) => n.part);
}
