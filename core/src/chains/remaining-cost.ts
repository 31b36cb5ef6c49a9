import type { ChainQuery } from './chain.js';
import type { ChainStep, ChainSteps } from './chain-steps.js';
import type { Goals } from './goals.js';
import { JOINT, type SealingIndex } from './sealing-index.js';

/** What is left to the goal, at the least. */
export interface Remaining {
  /** Joints and cost from a connector in a state with so many more fittings; infinite where it cannot be reached. */
  least(fittings: number, node: number, state: number): number;
  /** Stack from a connector with so many more fittings, whatever the state, mm. */
  shortest(fittings: number, node: number): number;
}

/**
 * The true least remaining cost for every connector that lies on a run of at most `most` fittings, from a pass backwards over the
 * states. Undefined where no run reaches the goal.
 * @param bound fewest fittings to the goal by {@link SealingIndex.distancesTo}
 */
export function remainingCost(
  query: ChainQuery,
  goals: Goals,
  index: SealingIndex,
  steps: ChainSteps,
  bound: ReadonlyMap<number, number>,
  most: number,
): Remaining | undefined {
  const start = index.node(query.from);
  if ((bound.get(start) ?? Infinity) > most) return undefined;
  const depth = distancesFrom(start, most, bound, index);
  const size = steps.states.size;
  const at = new Map([...depth.keys()].map((node, i) => [node, i]));
  const least = Array.from({ length: most + 1 }, () => new Float64Array(depth.size * size).fill(Infinity));
  const short = Array.from({ length: most + 1 }, () => new Float64Array(depth.size).fill(Infinity));
  const final = Float64Array.from({ length: size }, (_, s) => steps.states.final(s));
  for (let left = 0; left <= most; left++)
    for (const [node, i] of at) {
      if (depth.get(node)! + left > most || bound.get(node)! > left) continue;
      const row = i * size;
      const ending = bound.get(node) === 0 ? goals.endings(node, steps)[0] : undefined;
      if (ending) {
        for (let s = 0; s < size; s++) least[left]![row + s] = final[s]! + ending.cost;
        short[left]![i] = 0;
      }
      if (left === 0) continue;
      for (const bundle of index.bundlesFrom(node)) {
        const to = at.get(bundle.outNode);
        if (to === undefined || bound.get(bundle.outNode)! > left - 1) continue;
        short[left]![i] = Math.min(short[left]![i]!, bundle.shortestMm + short[left - 1]![to]!);
        for (const step of steps.through(bundle, node)) lower(least[left]!, row, least[left - 1]!, to * size, step, size);
      }
    }
  return {
    least: (fittings, node, state) => {
      const i = at.get(node);
      return i === undefined ? Infinity : least[fittings]![i * size + state]!;
    },
    shortest: (fittings, node) => {
      const i = at.get(node);
      return i === undefined ? Infinity : short[fittings]![i]!;
    },
  };
}

/** Lowers what is left from one connector, in every state, to what it is by way of one step. */
function lower(into: Float64Array, row: number, from: Float64Array, to: number, step: ChainStep, size: number): void {
  const { next, extra } = step.transition;
  const own = step.joints * JOINT + step.cost;
  for (let s = 0; s < size; s++) {
    if (next[s]! < 0) continue;
    const value = own + extra[s]! + from[to + next[s]!]!;
    if (value < into[row + s]!) into[row + s] = value;
  }
}

/** How many fittings it takes at the least to expose each connector that may lie on a run of at most so many. */
function distancesFrom(start: number, most: number, bound: ReadonlyMap<number, number>, index: SealingIndex): Map<number, number> {
  const depth = new Map([[start, 0]]);
  let front = [start];
  for (let d = 1; d <= most; d++) {
    const next: number[] = [];
    for (const node of front)
      for (const { outNode } of index.bundlesFrom(node))
        if (!depth.has(outNode) && d + (bound.get(outNode) ?? Infinity) <= most) {
          depth.set(outNode, d);
          next.push(outNode);
        }
    front = next;
  }
  return depth;
}
