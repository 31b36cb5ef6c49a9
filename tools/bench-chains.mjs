import graphology from 'graphology';
import { singleSource } from 'graphology-shortest-path/dijkstra.js';
import { performance } from 'node:perf_hooks';

/** A repeatable draw between 0 and 1. */
function draws(seed) {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

/**
 * A catalogue of the given size: the standard fittings, then straight and angled adapters between any two connectors whose threads
 * are near in size, then further makes of those, with prices, stock and lead times drawn at random.
 */
export function largeCatalogue(core, size) {
  const chance = draws(7);
  const list = core.standardFittings();
  const ids = new Set(list.map((f) => f.id));
  const ends = core
    .everyConnector()
    .filter((c) => ['flare37', 'orb', 'npt', 'r', 'g', 'metric', 'un', 'cone24', 'barb', 'keg'].includes(c.family));
  const major = (c) => core.connectorThread(c)?.majorMm ?? core.endForm(c).outsideMm;
  while (list.length < size * 0.8) {
    const a = ends[Math.floor(chance() * ends.length)];
    const b = ends[Math.floor(chance() * ends.length)];
    if (Math.abs(Math.log(major(a) / major(b))) > 0.5 || major(a) > 50) continue;
    const part = core.adapter(a, b, [0, 0, 45, 90][Math.floor(chance() * 4)]);
    if (ids.has(part.id)) continue;
    ids.add(part.id);
    list.push(part);
  }
  for (let i = 0; list.length < size; i++) list.push({ ...list[i], id: `make2-${i}`, material: 'steel' });
  return list.map((f) => ({
    ...f,
    priceMinor: 200 + Math.floor(chance() * 4000),
    shelf: chance() < 0.3 ? 4 : 0,
    leadDays: [1, 2, 5, 7, 10, 20][Math.floor(chance() * 6)],
  }));
}

/** The same choices as a graph for a package: a node for each exposed connector, an edge for the cheapest way from one to the next. */
function asGraph(core, fittings, from, to) {
  const graph = new graphology.DirectedGraph();
  const key = (c) => `${c.family}|${c.size}|${c.gender}|${c.swivel ? 's' : ''}|${c.seat ?? ''}`;
  const exposed = new Map([[key(from), from]]);
  const bySize = new Map();
  for (const f of fittings)
    if (f.ends.length === 2 && core.isPlain(f))
      f.ends.forEach((inner, i) => {
        const outer = f.ends[1 - i];
        exposed.set(key(outer), outer);
        const size = core.bareConnector(inner).size;
        if (!bySize.has(size)) bySize.set(size, new Map());
        const of = bySize.get(size);
        if (!of.has(key(inner))) of.set(key(inner), { inner, out: new Map() });
        const { out } = of.get(key(inner));
        const cost = 1e10 + f.priceMinor;
        if (cost < (out.get(key(outer)) ?? Infinity)) out.set(key(outer), cost);
      });
  for (const name of [...exposed.keys(), 'goal']) graph.mergeNode(name);
  for (const [name, c] of exposed) {
    if (core.mate(c, to).outcome === 'seals') graph.mergeEdge(name, 'goal', { weight: 1e10 });
    for (const { inner, out } of bySize.get(core.bareConnector(c).size)?.values() ?? []) {
      if (core.mate(c, inner).outcome !== 'seals') continue;
      for (const [outer, cost] of out) {
        const known = graph.hasEdge(name, outer) ? graph.getEdgeAttribute(name, outer, 'weight') : Infinity;
        if (cost < known) graph.mergeEdge(name, outer, { weight: cost });
      }
    }
  }
  return { graph, start: key(from) };
}

/** Five best chains in a large catalogue, and the one best by a general-purpose package on the same graph. */
export function benchChains(core, measure) {
  const fittings = largeCatalogue(core, 20_000);
  const chance = draws(11);
  const faces = [...new Map(fittings.flatMap((f) => f.ends).map((c) => [JSON.stringify(c), c])).values()];
  const pairs = Array.from({ length: 200 }, () => ({
    from: faces[Math.floor(chance() * faces.length)],
    to: faces[Math.floor(chance() * faces.length)],
  }));
  const begun = performance.now();
  core.solveChains({ ...pairs[0], fittings, limit: 5, maxFittings: 4 });
  console.log(
    `${fittings.length} fittings with ${faces.length} different connectors; the first question, with the index: ${(performance.now() - begun).toFixed(0)} ms`,
  );
  const ask = (i, more = {}) => core.solveChains({ ...pairs[i % pairs.length], fittings, limit: 5, maxFittings: 4, ...more });
  const joints = (i, more) => ask(i, more).chains[0]?.jointCount ?? 'none';
  const spread = pairs.map((_, i) => joints(i)).reduce((count, n) => ({ ...count, [n]: (count[n] ?? 0) + 1 }), {});
  console.log(
    `joints of the best chain: ${Object.entries(spread)
      .map(([n, count]) => `${n}: ${count}`)
      .join(', ')}`,
  );
  return (async () => {
    const price = await measure('5 best chains up to 4 fittings, by price', 200, (i) => ask(i));
    await measure('the same with all that the shop weighs', 200, (i) => ask(i, { weights: core.usualWeights, needBoreMm: 8 }));
    await measure('the same, turning 90° in all', 200, (i) => ask(i, { weights: core.usualWeights, constraints: { turnDeg: 90 } }));
    await measure('the same, with a stack of at most 60 mm', 200, (i) =>
      ask(i, { weights: core.usualWeights, constraints: { mostStackMm: 60 } }),
    );
    await measure('the same, with a tee for a sensor', 200, (i) =>
      ask(i, { weights: core.usualWeights, takeOffs: [{ to: 'sensor', connector: core.parseConnector('r 1/8 m') }] }),
    );
    const ports = pairs.map(({ from }) => from);
    const catalogue = { fittings, hoses: core.standardHoses(), hoseEnds: core.standardHoseEnds(), supplies: [] };
    const worn = catalogue.hoseEnds.filter((e) => /^end-(ptfe|rubber|pushon)-\d+-\d+$/.test(e.id));
    await measure('ways from a port to a hose, with all ends made for it as goals', 200, (i) => {
      const { id, construction, dash, connector, boreMm } = worn[(i * 7) % worn.length];
      const end = { id, hose: `hose-${construction}-${dash}`, far: null };
      return core.waysAcross({ from: { connector: ports[i % ports.length], portId: 'port' }, to: { connector, boreMm, end } }, catalogue);
    });
    const graphs = pairs.slice(0, 40).map(({ from, to }) => asGraph(core, fittings, from, to));
    let same = 0;
    let asked = 0;
    const general = await measure('1 best by graphology-shortest-path, graph ready made', 40, (i) => {
      const { graph, start } = graphs[i % graphs.length];
      const path = singleSource(graph, start, 'weight').goal;
      const best = ask(i % graphs.length).chains[0];
      const joints = (path?.length ?? Infinity) - 1;
      asked += 1;
      // a tee with a plug may do what two-ended parts cannot, and five fittings are more than is allowed
      if (best ? best.jointCount <= joints : joints > 5) same += 1;
    });
    const own = await measure('5 best by solveChains on the same 40', 40, (i) => ask(i));
    console.log(
      `as few joints as the package in ${same} of ${asked} runs; the package takes ${((general.median - own.median) / own.median).toFixed(1)} times as long for one chain as solveChains for five (${price.median.toFixed(2)} ms over all pairs)`,
    );
  })();
}
