import { circuitsInside, type Fitting } from '../fittings/index.js';
import { branchesIn, findFitting, type Catalogue, type Component, type JobDocument, type Port } from '../job/index.js';
import type { AssembledLine } from './assembled-line.js';

/** A component with its ports. */
export interface GraphNode {
  readonly component: Component;
  readonly ports: readonly Port[];
  /** The part that it is, with its passages. */
  readonly part?: Fitting;
  /** Sets of ports (by id) that are joined inside. Of what is no part of the catalogue nothing is known: all of them. */
  readonly inside: readonly (readonly string[])[];
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
  /** Each set of components that lines connect, largest first; those with no line at all are left out. A heat exchanger is in two. */
  readonly circuits: readonly (readonly string[])[];
}

export function graphOf({ components, ports }: JobDocument, lines: readonly AssembledLine[], catalogue: Catalogue): JobGraph {
  const portsOf = new Map<string, Port[]>(components.map((c) => [c.id, []]));
  for (const port of ports) portsOf.get(port.componentId)?.push(port);
  const nodes = new Map(components.map((component) => [component.id, nodeOf(component, portsOf.get(component.id)!, catalogue)]));
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
  return { nodes, edges, edgesAt, circuits: circuitsOf(nodes, edges, lines) };
}

function nodeOf(component: Component, ports: readonly Port[], catalogue: Catalogue): GraphNode {
  const part = component.part ? findFitting(catalogue, component.part.id) : undefined;
  // the open end of a tee is inside the line it stands in
  const own = ports.filter((p) => !p.openEnd);
  if (!part) return { component, ports, inside: own.length > 0 ? [own.map((p) => p.id)] : [] };
  const idsOf = (ends: readonly number[]): string[] => ports.filter((p) => p.end !== undefined && ends.includes(p.end)).map((p) => p.id);
  // a port that is no end of the part leads to nothing that is known
  const alone = own.filter((p) => p.end === undefined).map((p) => [p.id]);
  return { component, ports, part, inside: [...circuitsInside(part).map(idsOf), ...alone].filter((set) => set.length > 0) };
}

/** Ports that the fittings of a line join to it, or to one another: the open ends of its tees, and of parts with several circuits. */
function* insideWays({ line, ways }: AssembledLine): Generator<string[]> {
  for (const { fittings = [], kept } of ways)
    for (const [at, { fitting, inEnd, outEnd }] of fittings.entries())
      for (const circuit of circuitsInside(fitting)) {
        const given = kept.chosen!.branches.filter((b) => b.at === at && b.to === 'line' && b.portId && circuit.includes(b.end));
        const ports = given.map((b) => b.portId!);
        if (ports.length > 0) yield circuit.includes(inEnd) || circuit.includes(outEnd) ? [line.portA, ...ports] : ports;
      }
}

/** Ports that lines and the insides of components connect, told as the components they are on. */
function circuitsOf(nodes: ReadonlyMap<string, GraphNode>, edges: readonly GraphEdge[], lines: readonly AssembledLine[]): string[][] {
  const joined = new Map<string, Set<string>>();
  const join = (ids: readonly string[]): void => {
    const all = new Set(ids);
    for (const id of ids) for (const other of joined.get(id) ?? []) all.add(other);
    for (const id of all) joined.set(id, all);
  };
  for (const { inside } of nodes.values()) inside.forEach(join);
  for (const { portA, portB } of edges) join([portA, portB]);
  for (const line of lines) for (const set of insideWays(line)) join(set);
  const used = new Set(edges.flatMap(({ portA, portB }) => [portA, portB]));
  const componentOf = new Map([...nodes.values()].flatMap(({ component, ports }) => ports.map((p) => [p.id, component.id] as const)));
  return [...new Set(joined.values())]
    .filter((set) => [...set].some((id) => used.has(id)))
    .map((set) => [...new Set([...set].flatMap((id) => componentOf.get(id) ?? []))])
    .sort((a, b) => b.length - a.length);
}
