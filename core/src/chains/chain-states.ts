import { leadSteps, type ChainWeights } from './chain-weights.js';
import { JOINT } from './sealing-index.js';

/** What taking one step does to the state of a chain. */
export interface StepEffect {
  /** Tenths of a degree. */
  readonly turn: number;
  readonly takes: number;
  readonly uses: number;
  /** Its inner joint can be turned to any direction. */
  readonly aims: boolean;
  readonly lead: number;
}

/** A step's effect worked out for every state: the state it leads to (−1: none) and what it costs beside the step itself. */
export interface Transition {
  readonly next: Int32Array;
  readonly extra: Float64Array;
}

export interface StateQuery {
  /** Tenths of a degree; undefined where any turn will do. */
  readonly turn: number | undefined;
  /** Turns that steps can make, tenths of a degree. */
  readonly turns: readonly number[];
  readonly takeOffs: number;
  readonly uses: number;
  readonly weights: ChainWeights;
}

/**
 * What a chain under way must be known for besides the connector it exposes: how far it has turned, who has been served, which
 * wanted parts are in it, whether it has an elbow, whether it can be aimed, how long it waits. With these in the state every
 * cost and every wish is a matter of single steps, and the search stays exact.
 */
export class ChainStates {
  readonly size: number;
  private readonly sums: readonly number[];
  private readonly sumIndex: ReadonlyMap<number, number>;
  private readonly radix: readonly [sum: number, take: number, use: number, elbow: number, aim: number, lead: number];
  private readonly transitions = new Map<string, Transition>();

  constructor(private readonly query: StateQuery) {
    this.sums = query.turn === undefined ? [0] : reachableSums(query.turns, query.turn);
    this.sumIndex = new Map(this.sums.map((sum, i) => [sum, i]));
    const { weights } = query;
    this.radix = [
      this.sums.length,
      2 ** query.takeOffs,
      2 ** query.uses,
      weights.elbows === 'wanted' && weights.elbowMinor > 0 ? 2 : 1,
      weights.aimMinor > 0 ? 2 : 1,
      weights.leadDayMinor > 0 ? leadSteps.length : 1,
    ];
    this.size = this.radix.reduce((product, n) => product * n, 1);
  }

  readonly start = 0;

  /** What ending in this state costs; infinite where a wish is not met. */
  final(state: number): number {
    const [sum, take, use, elbow] = this.parts(state);
    const { turn, takeOffs, uses, weights } = this.query;
    const met = (turn === undefined || this.sums[sum] === turn) && take === 2 ** takeOffs - 1 && use === 2 ** uses - 1;
    if (!met) return Infinity;
    return this.radix[3] === 2 && elbow === 0 ? weights.elbowMinor : 0;
  }

  /** The state without what is only a cost: coming back to a connector in the same one is going in circles. */
  place(state: number): number {
    return Math.floor(state / this.radix[5]);
  }

  transition(effect: StepEffect): Transition {
    const key = `${effect.turn}|${effect.takes}|${effect.uses}|${effect.aims}|${effect.lead}`;
    let found = this.transitions.get(key);
    if (!found) this.transitions.set(key, (found = this.build(effect)));
    return found;
  }

  private build(effect: StepEffect): Transition {
    const next = new Int32Array(this.size).fill(-1);
    const extra = new Float64Array(this.size);
    const { weights } = this.query;
    const angled = effect.turn > 0;
    for (let state = 0; state < this.size; state++) {
      const [sum, take, use, elbow, aim, lead] = this.parts(state);
      const turned = this.query.turn === undefined ? 0 : this.sumIndex.get(this.sums[sum]! + effect.turn);
      if (turned === undefined || (take & effect.takes) !== 0 || (use & effect.uses) !== 0) continue;
      const aimed = this.radix[4] === 2 && (aim === 1 || effect.aims) ? 1 : 0;
      const waits = this.radix[5] > 1 ? Math.max(lead, effect.lead) : 0;
      next[state] = this.state([
        turned,
        take | effect.takes,
        use | effect.uses,
        this.radix[3] === 2 && (elbow === 1 || angled) ? 1 : 0,
        aimed,
        waits,
      ]);
      extra[state] =
        // one that cannot be aimed is as good as one with a joint more, and a swivel in it
        (angled && this.radix[4] === 2 && aimed === 0 ? weights.aimMinor + JOINT : 0) +
        (angled && weights.elbows === 'unwanted' ? weights.elbowMinor : 0) +
        weights.leadDayMinor * (leadSteps[waits]! - leadSteps[this.radix[5] > 1 ? lead : 0]!);
    }
    return { next, extra };
  }

  private parts(state: number): [number, number, number, number, number, number] {
    const digits = [0, 0, 0, 0, 0, 0] as [number, number, number, number, number, number];
    for (let i = 5; i >= 0; i--) {
      digits[i] = state % this.radix[i]!;
      state = Math.floor(state / this.radix[i]!);
    }
    return digits;
  }

  private state(digits: readonly number[]): number {
    return digits.reduce((value, digit, i) => value * this.radix[i]! + digit, 0);
  }
}

function reachableSums(turns: readonly number[], most: number): number[] {
  const sums = new Set([0]);
  for (const sum of sums) for (const turn of turns) if (turn > 0 && sum + turn <= most) sums.add(sum + turn);
  return [...sums].sort((a, b) => a - b);
}
