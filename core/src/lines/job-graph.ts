import { branchesIn, type Component, type JobDocument, type Port } from '../job/index.js';
import type { AssembledLine } from './assembled-line.js';

/** A component, with the ports that its inside joins: as far as nothing else is known, all of them. */
export interface GraphNode {
  readonly component: Component;
  readonly ports: readonly Port[];
}

/** A line from a port to a port, in the direction of flow; or the open end of a tee, from the line it stands in. */
export interface GraphEdge {
  readonly line: AssembledLine;
  /** Component ids. */
  readonly from: string;
  readonly to: string;
  readonly portA: string;
  readonly portB: string;
  /** Where it starts on a tee of another line: the line, which it shares its oil with. */
  readonly offLine?: string;
}

/** Components as nodes, lines as edges: what runs round, what ends blind. */
export interface JobGraph {
  readonly nodes: ReadonlyMap<string, GraphNode>;
  readonly edges: readonly GraphEdge[];
  /** Edges that touch a component, by its id. */
  readonly edgesAt: ReadonlyMap<string, readonly GraphEdge[]>;
  /** Each set of components that lines connect, largest first; those with no line at all are left out. */
  readonly circuits: readonly (readonly string[])[];
}

export function graphOf({ components, ports }: JobDocument, lines: readonly AssembledLine[]): JobGraph {
  const portsOf = new Map<string, Port[]>(components.map((c) => [c.id, []]));
  for (const port of ports) portsOf.get(port.componentId)?.push(port);
  const nodes = new Map(components.map((component) => [component.id, { component, ports: portsOf.get(component.id)! }]));
  const teeOf = new Map(
    lines.flatMap(({ line }) => branchesIn(line).flatMap((b) => (b.to === 'line' && b.portId ? [[b.portId, line.id] as const] : []))),
  );
  const edges = lines.map((line): GraphEdge => {
    const offLine = teeOf.get(line.portA.port.id) ?? teeOf.get(line.portB.port.id);
    return {
      line,
      from: line.portA.component.id,
      to: line.portB.component.id,
      portA: line.portA.port.id,
      portB: line.portB.port.id,
      ...(offLine ? { offLine } : {}),
    };
  });
  const edgesAt = new Map<string, GraphEdge[]>(components.map((c) => [c.id, []]));
  for (const edge of edges) for (const id of new Set([edge.from, edge.to])) edgesAt.get(id)!.push(edge);
  return { nodes, edges, edgesAt, circuits: circuitsOf(edgesAt) };
}

function circuitsOf(edgesAt: ReadonlyMap<string, readonly GraphEdge[]>): string[][] {
  const seen = new Set<string>();
  const circuits: string[][] = [];
  for (const [start, edges] of edgesAt) {
    if (seen.has(start) || edges.length === 0) continue;
    const circuit: string[] = [];
    const waiting = [start];
    seen.add(start);
    for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
      circuit.push(id);
      for (const { from, to } of edgesAt.get(id)!)
        for (const next of [from, to])
          if (!seen.has(next)) {
            seen.add(next);
            waiting.push(next);
          }
    }
    circuits.push(circuit);
  }
  return circuits.sort((a, b) => b.length - a.length);
}
