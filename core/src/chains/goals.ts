import type { ChainQuery } from './chain.js';
import type { ChainSteps } from './chain-steps.js';
import { JOINT, type SealingIndex } from './sealing-index.js';

/** The last joint of a chain: on which of the goals, and what it costs at the least. */
export interface Ending {
  /** Index among the goals of the query; 0 where there is only `to`. */
  readonly goal: number;
  readonly node: number;
  /** The joint itself and what the goal costs, in one figure with the joints. */
  readonly cost: number;
}

/** What a chain may end on: the one connector that was asked for, or any of several. */
export class Goals {
  readonly nodes: readonly number[];
  private readonly costs: readonly number[];
  private readonly known = new Map<number, readonly Ending[]>();

  constructor(
    { to, goals }: Pick<ChainQuery, 'to' | 'goals'>,
    private readonly index: SealingIndex,
  ) {
    const all = goals ?? [{ connector: to, costMinor: 0 }];
    this.nodes = all.map(({ connector }) => index.node(connector));
    this.costs = all.map(({ costMinor }) => costMinor);
  }

  /** The goals on which an exposed connector seals, the cheapest first. */
  endings(node: number, steps: ChainSteps): readonly Ending[] {
    let found = this.known.get(node);
    if (!found) {
      found = this.nodes
        .flatMap((at, goal): Ending[] =>
          this.index.seals(node, at) ? [{ goal, node: at, cost: JOINT + steps.jointCost(node, at) + this.costs[goal]! }] : [],
        )
        .sort((a, b) => a.cost - b.cost);
      this.known.set(node, found);
    }
    return found;
  }
}
