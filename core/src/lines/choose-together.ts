/** One way for an end: the parts it takes and what it costs by itself. */
export interface Choice {
  readonly parts: readonly string[];
  readonly cost: number;
}

/** Most partial combinations looked at before the best found so far is taken. */
const MOST_OPENED = 200_000;

/**
 * Chooses one way for each end so that the costs, and the cost of each different part that is not used already, come to the least.
 * Branch and bound from a combination that no change of one end improves; `proven` where the search came to its end.
 *
 * @param ends the ways of each end; none of the lists is empty
 */
export function chooseTogether(
  ends: readonly (readonly Choice[])[],
  used: ReadonlySet<string>,
  furtherPart: number,
): { readonly chosen: number[]; readonly cost: number; readonly proven: boolean } {
  const total = (chosen: readonly number[]): number => {
    const parts = new Set(chosen.flatMap((c, i) => ends[i]![c]!.parts).filter((p) => !used.has(p)));
    return chosen.reduce((sum, c, i) => sum + ends[i]![c]!.cost, 0) + furtherPart * parts.size;
  };
  let best = settle(
    ends.map((ways) => ways.reduce((b, way, i) => (way.cost < ways[b]!.cost ? i : b), 0)),
    ends,
    total,
  );
  let bestCost = total(best);
  // what the ends still to come cost at the least, each by itself
  const after = [...ends, []].map((_, i) => ends.slice(i).reduce((sum, ways) => sum + Math.min(...ways.map((w) => w.cost)), 0));
  let opened = 0;
  const visit = (chosen: number[], cost: number, parts: ReadonlySet<string>): void => {
    if (opened++ > MOST_OPENED || cost + after[chosen.length]! >= bestCost) return;
    if (chosen.length === ends.length) {
      best = [...chosen];
      bestCost = cost;
      return;
    }
    const ways = ends[chosen.length]!.map((way, i) => {
      const further = [...new Set(way.parts)].filter((p) => !used.has(p) && !parts.has(p));
      return { i, further, adds: way.cost + furtherPart * further.length };
    }).sort((a, b) => a.adds - b.adds);
    for (const { i, further, adds } of ways)
      visit([...chosen, i], cost + adds, further.length > 0 ? new Set([...parts, ...further]) : parts);
  };
  visit([], 0, new Set());
  return { chosen: best, cost: bestCost, proven: opened <= MOST_OPENED };
}

/** Changes one end after another as long as that helps. */
function settle(start: number[], ends: readonly (readonly Choice[])[], total: (chosen: readonly number[]) => number): number[] {
  let best = start;
  let cost = total(best);
  for (let better = true; better;) {
    better = false;
    for (let end = 0; end < ends.length; end++)
      for (let way = 0; way < ends[end]!.length; way++) {
        const other = best.map((c, i) => (i === end ? way : c));
        const otherCost = total(other);
        if (otherCost >= cost) continue;
        [best, cost, better] = [other, otherCost, true];
      }
  }
  return best;
}
