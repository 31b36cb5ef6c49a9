import { flowAtLoss } from './find-flow.js';
import { FlowFigureError } from './viscosity.js';

/** A place where lines meet. Its pressure is given, or what is fed in or drawn off there. */
export interface FlowNode {
  readonly id: string;
  /** Held by something outside: a pump's gallery, a sump at the air; bar. */
  readonly heldBar?: number;
  /** Fed in, L/min; drawn off where it is negative. Nothing where it is not said. */
  readonly fedLpm?: number;
}

/** A line between two places, with what it takes at a flow. */
export interface FlowEdge {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  /** Loss at a flow of so many L/min, bar; rises with it, and is nothing without flow. */
  readonly loss: (flowLpm: number) => number;
  /** What its fall adds from `from` to `to`, bar; negative where it rises. */
  readonly headBar?: number;
  /** Nothing runs back through it. */
  readonly oneWay?: boolean;
}

export interface BalancedFlow {
  /** L/min from `from` to `to`, by edge. */
  readonly flowLpm: Readonly<Record<string, number>>;
  /** Bar, by node. */
  readonly pressureBar: Readonly<Record<string, number>>;
  /** Edges through which nothing runs. */
  readonly still: readonly string[];
}

/** Flows are known to this much, L/min. */
const CLOSE_LPM = 1e-6;
const MOST_ROUNDS = 200;
/** A check valve leaks this little, bar per L/min: enough to reckon with, too little to see. */
const SHUT = 1e6;

/**
 * The flows at which every place of a network takes in what it gives off: Newton's method on the pressures, edge by edge on its own curve. Places
 * that nothing holds, neither themselves nor through a line, are refused.
 * @throws {FlowFigureError}
 */
export function balance(nodes: readonly FlowNode[], edges: readonly FlowEdge[]): BalancedFlow {
  checkNetwork(nodes, edges);
  const free = nodes.filter((n) => n.heldBar === undefined);
  const at = new Map(free.map((n, i) => [n.id, i]));
  const held = new Map(nodes.flatMap((n) => (n.heldBar === undefined ? [] : [[n.id, n.heldBar] as const])));
  const start = [...held.values()].reduce((sum, bar) => sum + bar, 0) / held.size;
  let pressures: number[] = free.map(() => start);
  const pressure = (id: string, p: readonly number[]): number => held.get(id) ?? p[at.get(id)!]!;
  const flows = (p: readonly number[], near: readonly Curve[]): Curve[] =>
    edges.map((e, i) => flowAt(e, pressure(e.from, p) - pressure(e.to, p) + (e.headBar ?? 0), near[i]?.lpm));
  const missing = (list: readonly Curve[]): number[] =>
    free.map((n) =>
      edges.reduce((sum, e, i) => sum + (e.to === n.id ? list[i]!.lpm : 0) - (e.from === n.id ? list[i]!.lpm : 0), n.fedLpm ?? 0),
    );
  const worst = (list: readonly number[]): number => Math.max(0, ...list.map(Math.abs));
  let list = flows(pressures, []);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const off = missing(list);
    if (worst(off) < CLOSE_LPM) break;
    const matrix = free.map(() => free.map(() => 0));
    edges.forEach((e, i) => {
      const [a, b] = [at.get(e.from), at.get(e.to)];
      const { slope } = list[i]!;
      if (a !== undefined) matrix[a]![a]! += slope;
      if (b !== undefined) matrix[b]![b]! += slope;
      if (a !== undefined && b !== undefined) {
        matrix[a]![b]! -= slope;
        matrix[b]![a]! -= slope;
      }
    });
    const step = solve(matrix, off);
    // half the step as often as it makes things worse
    let share = 1;
    let next = pressures.map((p, i) => p + step[i]!);
    let then = flows(next, list);
    while (share > 1e-6 && worst(missing(then)) > worst(off)) {
      share /= 2;
      next = pressures.map((p, i) => p + share * step[i]!);
      then = flows(next, list);
    }
    [pressures, list] = [next, then];
  }
  if (worst(missing(list)) > 1e-3)
    throw new FlowFigureError(
      'The flows do not balance.',
      'Look at the pressures that are held, and at one-way valves against one another.',
    );
  return {
    flowLpm: Object.fromEntries(edges.map((e, i) => [e.id, list[i]!.lpm])),
    pressureBar: Object.fromEntries(nodes.map((n) => [n.id, pressure(n.id, pressures)])),
    still: edges.filter((_, i) => Math.abs(list[i]!.lpm) < 1e-3).map((e) => e.id),
  };
}

interface Curve {
  readonly lpm: number;
  /** L/min a bar, at this flow. */
  readonly slope: number;
}

/** The flow at which an edge takes a drop, and how it changes with it; found on its own curve. */
function flowAt({ loss, oneWay }: FlowEdge, dropBar: number, near = 1): Curve {
  if (oneWay && dropBar < 0) return { lpm: dropBar / SHUT, slope: 1 / SHUT };
  const sign = Math.sign(dropBar) || 1;
  const drop = Math.abs(dropBar);
  const lpm = flowAtLoss(loss, drop, Math.abs(near) || 1);
  const by = Math.max(1e-4, lpm * 1e-4);
  const steep = Math.max(1e-12, (loss(lpm + by) - loss(Math.max(0, lpm - by))) / (lpm + by - Math.max(0, lpm - by)));
  return { lpm: sign * lpm, slope: 1 / steep };
}

/** Gauss with the largest pivot; the matrix is small. */
function solve(matrix: number[][], right: readonly number[]): number[] {
  const n = right.length;
  const rows = matrix.map((row, i) => [...row, right[i]!]);
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(rows[r]![c]!) > Math.abs(rows[pivot]![c]!)) pivot = r;
    [rows[c], rows[pivot]] = [rows[pivot]!, rows[c]!];
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const factor = rows[r]![c]! / rows[c]![c]!;
      for (let k = c; k <= n; k++) rows[r]![k]! -= factor * rows[c]![k]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}

function checkNetwork(nodes: readonly FlowNode[], edges: readonly FlowEdge[]): void {
  const ids = new Set(nodes.map((n) => n.id));
  const lost = edges.find((e) => !ids.has(e.from) || !ids.has(e.to));
  if (lost) throw new FlowFigureError(`"${lost.id}" runs to a place that is not there.`, 'Every line joins two places of the network.');
  const reached = new Set(nodes.filter((n) => n.heldBar !== undefined).map((n) => n.id));
  for (let grown = true; grown;) {
    grown = false;
    for (const { from, to } of edges)
      if (reached.has(from) !== reached.has(to)) {
        reached.add(from).add(to);
        grown = true;
      }
  }
  const adrift = nodes.find((n) => !reached.has(n.id));
  if (adrift)
    throw new FlowFigureError(
      `Nothing holds the pressure at "${adrift.id}".`,
      'Somewhere it must be given: at a pump, a gallery, a sump at the air.',
    );
}
