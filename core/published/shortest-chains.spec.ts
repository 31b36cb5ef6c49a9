import graphology from 'graphology';
import { singleSource } from 'graphology-shortest-path/dijkstra.js';
import {
  bareConnector,
  connectorKey,
  isPlain,
  mate,
  sizeGroup,
  solveChains,
  standardFittings,
  type Connector,
  type Fitting,
} from '../src/index.js';

/**
 * Reference: Dijkstra's algorithm as the package graphology-shortest-path carries it out, on a graph that is built here from the
 * mating of connectors alone: a node for each exposed connector, an edge for the cheapest fitting from one to the next.
 */
const JOINT = 1e7;
const fittings: Fitting[] = standardFittings()
  .filter((f, i) => f.ends.length === 2 && isPlain(f) && i < 1000)
  .map((f, i) => ({ ...f, priceMinor: 100 + ((i * 7919) % 2000) }));

const proper = (a: Connector, b: Connector): boolean => {
  const { outcome, risk, kind } = mate(a, b);
  return outcome === 'seals' && !risk && kind !== 'push';
};
const exposed = new Map<string, Connector>(fittings.flatMap((f) => f.ends).map((c) => [connectorKey(c), c]));
const graph = new graphology.DirectedGraph();
for (const name of exposed.keys()) graph.addNode(name);
for (const [name, c] of exposed)
  for (const f of fittings)
    for (const [inner, outer] of [f.ends, [...f.ends].reverse()] as (readonly [Connector, Connector])[]) {
      if (sizeGroup(bareConnector(inner)) !== sizeGroup(bareConnector(c)) || !proper(c, inner)) continue;
      const weight = JOINT + f.priceMinor!;
      const known = graph.hasEdge(name, connectorKey(outer))
        ? (graph.getEdgeAttribute(name, connectorKey(outer), 'weight') as number)
        : Infinity;
      if (weight < known) graph.mergeEdge(name, connectorKey(outer), { weight });
    }

it('finds the chain of fewest joints and least price that the package finds, from many ports to many ends', () => {
  const starts = [...exposed.values()].filter((_, i) => i % 7 === 0);
  const goals = [...exposed.values()].filter((_, i) => i % 9 === 5);
  let joined = 0;
  for (const from of starts) {
    const paths = singleSource(graph, connectorKey(from), 'weight') as Record<string, string[] | undefined>;
    const lengthTo = (path: readonly string[]): number =>
      path.slice(1).reduce((sum, node, i) => sum + (graph.getEdgeAttribute(path[i]!, node, 'weight') as number), 0);
    for (const to of goals) {
      const ends = [...exposed].filter(([, c]) => proper(c, to)).flatMap(([key]) => (paths[key] ? [lengthTo(paths[key])] : []));
      const best = Math.min(...ends);
      const chain = solveChains({ from, to, fittings, limit: 1, maxFittings: 5 }).chains[0];
      // what seals at a risk is taken where nothing proper does
      if (chain?.joints.some((joint) => joint.risk || joint.kind === 'push')) expect(best).toBe(Infinity);
      else if (best >= 6 * JOINT) expect(chain?.fittings.length ?? 6).toBeGreaterThanOrEqual(Math.min(6, Math.floor(best / JOINT)));
      else {
        joined += 1;
        expect(chain!.fittings.length * JOINT + chain!.priceMinor).toBe(best);
      }
    }
  }
  expect(joined).toBeGreaterThan(30);
});
