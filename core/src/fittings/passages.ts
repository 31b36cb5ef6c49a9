import type { Passage } from './body-schema.js';
import type { Fitting } from './fitting-schema.js';

/** What an end leads to inside: as a place of the end, with the way through it where a face has two. */
type Node = `${number}.${'rim' | 'core' | ''}`;

/**
 * Whether flow can pass from one end to another inside the part, in some position of its valves. Without a body of passages all ends are
 * joined, and what passes one way passes from the first end to the second.
 */
export function leadsTo(fitting: Pick<Fitting, 'ends' | 'oneWay' | 'body'>, from: number, to: number): boolean {
  if (from === to) return false;
  if (!fitting.body) return !fitting.oneWay || from < to;
  const { passages } = fitting.body;
  const reached = new Set<Node>(waysOf(from));
  for (let grown = true; grown;) {
    grown = false;
    for (const passage of passages)
      for (const [a, b] of directions(passage)) {
        if (!a.some((node) => reached.has(node)) || b.every((node) => reached.has(node))) continue;
        for (const node of b) reached.add(node);
        grown = true;
      }
  }
  return waysOf(to).some((node) => reached.has(node));
}

/** Whether two ends are joined inside, whichever way the flow goes. */
export function joinsInside(fitting: Pick<Fitting, 'ends' | 'oneWay' | 'body'>, a: number, b: number): boolean {
  return leadsTo(fitting, a, b) || leadsTo(fitting, b, a);
}

/** The sets of ends that are joined inside: two circuits of a heat exchanger are two. */
export function circuitsInside(fitting: Pick<Fitting, 'ends' | 'oneWay' | 'body'>): number[][] {
  const left = new Set(fitting.ends.keys());
  const circuits: number[][] = [];
  for (const end of left) {
    left.delete(end);
    const circuit = [end];
    for (const member of circuit)
      for (const other of left)
        if (joinsInside(fitting, member, other)) {
          left.delete(other);
          circuit.push(other);
        }
    circuits.push(circuit.sort((a, b) => a - b));
  }
  return circuits;
}

/** The positions a part can have, such as `cold` and `hot`; none where it always stands the same. */
export function positionsOf({ body }: Pick<Fitting, 'body'>): string[] {
  return [...new Set((body?.passages ?? []).flatMap((p) => (p.when ? [p.when] : [])))];
}

function directions(passage: Passage): (readonly [readonly Node[], readonly Node[]])[] {
  const from = nodesOf(passage.from, passage.fromBy);
  const to = nodesOf(passage.to, passage.toBy);
  return passage.oneWay
    ? [[from, to]]
    : [
        [from, to],
        [to, from],
      ];
}

function nodesOf(end: number, by: Passage['fromBy']): Node[] {
  return by ? [`${end}.${by}`] : waysOf(end);
}

function waysOf(end: number): Node[] {
  return [`${end}.rim`, `${end}.core`, `${end}.`];
}
