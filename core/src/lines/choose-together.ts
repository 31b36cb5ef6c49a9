/** One way for an end: the parts it takes and what it costs by itself. */
export interface WayOfEnd {
  readonly parts: readonly string[];
  readonly cost: number;
}

/** What the shelf holds, and what each piece beyond it costs. */
export interface InStock {
  /** Pieces left for these ends, of the parts that are kept on the shelf; a part that is not is always ordered, and costs so by itself. */
  readonly left: ReadonlyMap<string, number>;
  readonly shortCost: number;
}
const NONE_IN_STOCK: InStock = { left: new Map(), shortCost: 0 };

/** Most partial combinations looked at before the best found so far is taken. */
const MOST_OPENED = 200_000;

/**
 * Chooses one way for each end so that the costs, the cost of each different part that is not used already, and that of each piece the
 * shelf does not hold come to the least.
 * Branch and bound from a combination that no change of one end improves; `proven` where the search came to its end.
 *
 * @param ends the ways of each end; none of the lists is empty
 */
export function chooseTogether(
  ends: readonly (readonly WayOfEnd[])[],
  used: ReadonlySet<string>,
  furtherPart: number,
  shelf: InStock = NONE_IN_STOCK,
): { readonly chosen: number[]; readonly cost: number; readonly proven: boolean } {
  const total = (chosen: readonly number[]): number => {
    const pieces = chosen.flatMap((c, i) => ends[i]![c]!.parts);
    const parts = new Set(pieces.filter((p) => !used.has(p)));
    const short = [...takenWith(pieces, new Map(), shelf.left)].reduce((sum, [part, n]) => sum + Math.max(0, n - shelf.left.get(part)!), 0);
    return chosen.reduce((sum, c, i) => sum + ends[i]![c]!.cost, 0) + furtherPart * parts.size + shelf.shortCost * short;
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
  /** From the shelf, by the ways that are chosen so far. */
  const taken = new Map<string, number>();
  const take = (pieces: readonly string[], by: 1 | -1): void => {
    for (const part of pieces) if (shelf.left.has(part)) taken.set(part, (taken.get(part) ?? 0) + by);
  };
  const visit = (chosen: number[], cost: number, parts: ReadonlySet<string>): void => {
    if (opened++ > MOST_OPENED || cost + after[chosen.length]! >= bestCost) return;
    if (chosen.length === ends.length) {
      best = [...chosen];
      bestCost = cost;
      return;
    }
    const ways = ends[chosen.length]!.map((way, i) => {
      const further = [...new Set(way.parts)].filter((p) => !used.has(p) && !parts.has(p));
      const short = shortOf(way.parts, taken, shelf.left);
      return { i, further, parts: way.parts, adds: way.cost + furtherPart * further.length + shelf.shortCost * short };
    }).sort((a, b) => a.adds - b.adds);
    for (const { i, further, parts: pieces, adds } of ways) {
      take(pieces, 1);
      visit([...chosen, i], cost + adds, further.length > 0 ? new Set([...parts, ...further]) : parts);
      take(pieces, -1);
    }
  };
  visit([], 0, new Set());
  return { chosen: best, cost: bestCost, proven: opened <= MOST_OPENED };
}

/** How many of some pieces are beyond what the shelf has left, after others were taken from it. */
export function shortOf(pieces: readonly string[], taken: ReadonlyMap<string, number>, left: ReadonlyMap<string, number>): number {
  return pieces.filter((part, i) => {
    const kept = left.get(part);
    if (kept === undefined) return false;
    // the same part earlier in these pieces is taken before it
    const before = pieces.slice(0, i).filter((p) => p === part).length;
    return (taken.get(part) ?? 0) + before >= kept;
  }).length;
}

/** What is taken from the shelf once some pieces are as well. */
export function takenWith(
  pieces: readonly string[],
  taken: ReadonlyMap<string, number>,
  left: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const kept = pieces.filter((part) => left.has(part));
  if (kept.length === 0) return taken;
  const now = new Map(taken);
  for (const part of kept) now.set(part, (now.get(part) ?? 0) + 1);
  return now;
}

/** Changes one end after another as long as that helps. */
function settle(start: number[], ends: readonly (readonly WayOfEnd[])[], total: (chosen: readonly number[]) => number): number[] {
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
