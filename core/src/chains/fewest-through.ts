import type { Fitting } from '../fittings/index.js';
import type { ChainQuery } from './chain.js';
import { sealingIndex } from './sealing-index.js';

/**
 * The fewest fittings of any run between two connectors that leads through a part; Infinity where none does within the most that is asked
 * for. A bound that is quickly found: what is wished besides is not looked at.
 */
export function fewestThrough({ from, to, fittings, maxFittings = 3 }: ChainQuery): (part: Fitting) => number {
  const index = sealingIndex(fittings);
  const [start, goal] = [index.node(from), index.node(to)];
  const fromStart = index.distancesTo(start, goal, maxFittings);
  const toGoal = index.distancesTo(goal, start, maxFittings);
  return ({ ends }) => {
    let best = Infinity;
    const nodes = ends.map((end) => index.node(end));
    for (const [i, inner] of nodes.entries())
      for (const [o, outer] of nodes.entries())
        if (i !== o) best = Math.min(best, (fromStart.get(inner) ?? Infinity) + 1 + (toGoal.get(outer) ?? Infinity));
    return best <= maxFittings ? best : Infinity;
  };
}
