import type { Fitting } from '../fittings/index.js';
import type { ChainLink, TakeOff } from './chain.js';
import { RISK, type Bundle, type SealingIndex } from './sealing-index.js';

/** How an open end can be dealt with: what goes on it, and for whom. */
export interface EndClosing {
  /** Index of the take-off served; undefined for a plug. */
  readonly takeOff?: number;
  /** Left for another line: nothing goes on it yet. */
  readonly open?: true;
  readonly fittings: readonly { readonly fitting: Fitting; readonly link: ChainLink }[];
  readonly joints: number;
  readonly cost: number;
}

/** The ports of a plate or thermostat are there for lines: they are left for those, not plugged. */
export const LEFT_OPEN: EndClosing = { open: true, fittings: [], joints: 0, cost: 0 };

/** Most adapters between an open end and its sensor or line. */
export const MOST_ON_A_BRANCH = 2;

/**
 * The best way to deal with each open end, for a plug and for each take-off: fewest joints, then least cost. Waiting and aiming do not
 * count on a branch.
 */
export class ClosingEnds {
  private readonly known = new Map<number, readonly EndClosing[]>();
  private readonly cheapest = new Map<Bundle, EndClosing | null>();
  private readonly goals: readonly { node: number; distance: ReadonlyMap<number, number> }[];

  constructor(
    private readonly index: SealingIndex,
    takeOffs: readonly TakeOff[],
    private readonly allowed: (fitting: Fitting) => boolean,
    private readonly cost: (fitting: Fitting, inEnd: number, outEnd: number) => number,
  ) {
    this.goals = takeOffs.map((t) => {
      const node = index.node(t.connector);
      return { node, distance: index.distancesTo(node, node, MOST_ON_A_BRANCH) };
    });
  }

  /** At most one closing for the plug and one for each take-off. */
  of(node: number): readonly EndClosing[] {
    let found = this.known.get(node);
    if (!found) {
      const served = this.goals.map((_, takeOff) => this.serving(node, takeOff));
      this.known.set(node, (found = [this.plug(node), ...served].filter((c) => c !== undefined)));
    }
    return found;
  }

  private plug(node: number): EndClosing | undefined {
    let best: EndClosing | undefined;
    for (const fitting of this.index.closingsOn(node)) {
      if (!this.allowed(fitting)) continue;
      const cost = this.cost(fitting, 0, 0) + (this.index.mating(node, this.index.node(fitting.ends[0]!)).risk ? RISK : 0);
      if (!best || cost < best.cost) best = { fittings: [{ fitting, link: { id: fitting.id, inEnd: 0, outEnd: 0 } }], joints: 1, cost };
    }
    return best;
  }

  /** From an open end to a take-off with as few adapters as will do. */
  private serving(node: number, takeOff: number): EndClosing | undefined {
    for (let count = 0; count <= MOST_ON_A_BRANCH; count++) {
      const found = this.reach(node, takeOff, count);
      if (found) return found;
    }
    return undefined;
  }

  /** The cheapest with exactly so many adapters. */
  private reach(node: number, takeOff: number, count: number): EndClosing | undefined {
    const { node: goal, distance } = this.goals[takeOff]!;
    if (count === 0) return this.index.seals(node, goal) ? { takeOff, fittings: [], joints: 1, cost: 0 } : undefined;
    let best: EndClosing | undefined;
    for (const bundle of this.index.bundlesFrom(node)) {
      if (!bundle.simple || (distance.get(bundle.outNode) ?? Infinity) > count - 1) continue;
      const first = this.cheapestOf(bundle);
      const rest = first && this.reach(bundle.outNode, takeOff, count - 1);
      if (!rest || first.cost + rest.cost >= (best?.cost ?? Infinity)) continue;
      best = { takeOff, fittings: [...first.fittings, ...rest.fittings], joints: 1 + rest.joints, cost: first.cost + rest.cost };
    }
    return best;
  }

  private cheapestOf(bundle: Bundle): EndClosing | null {
    let found = this.cheapest.get(bundle);
    if (found === undefined) {
      found = null;
      for (const { fitting, inEnd, outEnd } of bundle.passages) {
        if (!this.allowed(fitting)) continue;
        const cost = this.cost(fitting, inEnd, outEnd);
        if (!found || cost < found.cost) found = { fittings: [{ fitting, link: { id: fitting.id, inEnd, outEnd } }], joints: 1, cost };
      }
      this.cheapest.set(bundle, found);
    }
    return found;
  }
}
