import { judgedJob } from '../../testing/judged.js';
import { randomUUID } from 'node:crypto';
import { bodies, exchanger, filter, plate, spacer } from '../../testing/sample-bodies.js';
import { catalogue as plain, document as sample } from '../../testing/sample-job.js';
import { solveChains } from '../chains/index.js';
import { parseConnector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import { rowIds, runCommands, type Command, type CommandError } from '../commands/index.js';
import { componentDrawing, fittingDrawing, runSheet } from '../drawing/index.js';
import { documentOfFile, readJobFile, writeJobFile, type Catalogue, type JobDocument, type Port } from '../job/index.js';
import { partsList } from '../purchasing/index.js';
import { asKept, gapOf, waysAcross } from './index.js';
import { inHouseUnits } from '../units/index.js';

const catalogue: Catalogue = { ...plain, fittings: [...plain.fittings, ...bodies.map((b, i) => ({ ...b, priceMinor: 5000 + i }))] };
const empty: JobDocument = { ...sample, lines: [] };
const run = (document: JobDocument, ...commands: Command[]): JobDocument =>
  runCommands(document, commands, { newId: rowIds(randomUUID()), parts: catalogue, versions: 'ignore' }).document;
const refused = (document: JobDocument, command: Command): string => {
  try {
    run(document, command);
  } catch (error) {
    return (error as CommandError).message;
  }
  throw new Error('carried out');
};
const ids = { plate: randomUUID(), filter: randomUUID(), post: randomUUID(), low: randomUUID(), high: randomUUID() };
const portOf = (document: JobDocument, component: string, end: number): Port =>
  document.ports.find((p) => p.componentId === component && p.end === end)!;

/** A plate and a filter on the post of the block, as two lines without hose. */
const withPlate = run(
  empty,
  { do: 'add-port', id: ids.post, componentId: 'block', label: 'filter post', notation: 'post m20x1.5 m 58x82' },
  { do: 'add-component', id: ids.plate, kind: 'plate', name: 'Plate', part: { id: 'plate', there: false } },
  { do: 'add-component', id: ids.filter, kind: 'filter', name: 'Filter', part: { id: 'filter', there: true } },
);
const low = (document: JobDocument): Command[] => [
  { do: 'add-line', id: ids.low, service: 'other', hose: false, fromPortId: ids.post, toPortId: portOf(document, ids.plate, 0).id },
  { do: 'take-way', id: ids.low, version: 1, at: 0, fittings: [], branches: [] },
];
const stack = run(
  withPlate,
  ...low(withPlate),
  {
    do: 'add-line',
    id: ids.high,
    service: 'other',
    hose: false,
    fromPortId: portOf(withPlate, ids.plate, 1).id,
    toPortId: portOf(withPlate, ids.filter, 0).id,
  },
  { do: 'take-way', id: ids.high, version: 1, at: 0, fittings: [{ id: 'spacer', inEnd: 0, outEnd: 1 }], branches: [] },
);

describe('a component that is a part of the catalogue', () => {
  it('has the ends of the part as its ports, under their names', () => {
    const mine = withPlate.ports.filter((p) => p.componentId === ids.plate);
    expect(mine.map((p) => [p.label, p.end])).toEqual([
      ['block face', 0],
      ['filter face', 1],
      ['to cooler', 2],
      ['from cooler', 3],
      ['gauge', 4],
    ]);
    expect(mine.map((p) => p.connector)).toEqual(plate.ends);
  });

  it('takes over ports that were logged before, and lets them go again', () => {
    const logged = run(
      empty,
      { do: 'add-component', id: ids.plate, kind: 'plate', name: 'Plate' },
      { do: 'add-port', componentId: ids.plate, label: 'front', notation: 'orb10 f' },
      { do: 'add-port', componentId: ids.plate, label: 'drain', notation: 'm14x1.5 f washer' },
    );
    const set = (part: { id: string; there: boolean } | null): Command => ({
      do: 'edit-component',
      id: ids.plate,
      version: 1,
      set: { part },
    });
    const named = run(logged, set({ id: 'plate', there: false }));
    const labels = (d: JobDocument) => d.ports.filter((p) => p.componentId === ids.plate).map((p) => [p.label, p.end]);
    expect(labels(named)).toEqual([
      ['front', 2],
      ['drain', undefined],
      ['block face', 0],
      ['filter face', 1],
      ['from cooler', 3],
      ['gauge', 4],
    ]);
    expect(labels(run(named, set(null))).every(([, end]) => end === undefined)).toBe(true);
    expect(run(named, set(null)).components.find((c) => c.id === ids.plate)).not.toHaveProperty('part');
    // another part of the same threads keeps the ports
    expect(labels(run(named, set({ id: 'spacer', there: false })))).toContainEqual(['block face', undefined]);
    expect(refused(logged, set({ id: 'ghost', there: false }))).toMatch(/no part "ghost"/);
  });

  it('keeps its threads and its ends as long as it is one', () => {
    const port = portOf(withPlate, ids.plate, 2);
    expect(refused(withPlate, { do: 'edit-port', id: port.id, version: 1, set: { notation: 'orb8 f' } })).toMatch(/end of a part/);
    expect(refused(withPlate, { do: 'delete-port', id: port.id, version: 1 })).toMatch(/end of the part/);
    const named = run(withPlate, { do: 'edit-port', id: port.id, version: 1, set: { label: 'left', notation: 'orb10 f' } });
    expect(portOf(named, ids.plate, 2).label).toBe('left');
    const copy = run(withPlate, { do: 'duplicate-component', id: ids.plate });
    expect(copy.ports.filter((p) => p.end === 2)).toHaveLength(2);
    expect(run(withPlate, { do: 'duplicate-port', id: port.id }).ports.filter((p) => p.label === 'to cooler 2')[0]).not.toHaveProperty(
      'end',
    );
  });

  it('goes with the job file, its part too', () => {
    const file = writeJobFile(stack, catalogue);
    expect(file.parts.fittings.map((f) => f.id)).toEqual(expect.arrayContaining(['plate', 'filter', 'spacer']));
    const read = readJobFile(JSON.parse(JSON.stringify(file)), new Set());
    let next = 0;
    const again = documentOfFile(read, { number: '2403', updatedAt: '', newId: () => `id${next++}` });
    expect(writeJobFile(again, catalogue)).toEqual(file);
    for (const [spoil, words] of [
      [(f: typeof file) => (f.parts.fittings = f.parts.fittings.filter((p) => p.id !== 'plate')), /"plate" that is neither in the file/],
      [(f: typeof file) => (f.components[2]!.ports[0]!.end = 9), /part that has fewer/],
      [(f: typeof file) => (f.components[2]!.ports[0]!.end = 1), /Two ports of Plate/],
      [(f: typeof file) => (f.components[0]!.ports[0]!.end = 1), /block is none/],
    ] as const) {
      const spoilt = structuredClone(file);
      spoil(spoilt);
      expect(() => readJobFile(spoilt, new Set())).toThrow(words);
    }
  });
});

describe('a stack between block and filter', () => {
  const job = judgedJob(stack, catalogue);

  it('is lines without hose, each face a joint with its ring', () => {
    const [lower, upper] = [job.lineById.get(ids.low)!, job.lineById.get(ids.high)!];
    expect([lower.state, upper.state]).toEqual(['seals', 'seals']);
    expect(lower.joints.map((j) => inHouseUnits(j.mating.seal!.method, 'metric'))).toEqual(['ring in its groove 62 to 71 mm, 2.7 mm deep']);
    expect(upper.joints.map((j) => j.mating.kind)).toEqual(['gasket', 'gasket']);
    expect(upper.joints[0]!.parts).toEqual(['Plate, filter face', 'spacer']);
  });

  it('finds its ways, a spacer between where it is asked for', () => {
    const line = run(stack, { do: 'edit-way', id: ids.high, version: 1, at: 0, set: { wishes: { use: ['spacer'] } } });
    const found = waysAcross(gapOf(judgedJob(line, catalogue).lineById.get(ids.high)!.ways[0]!)!, catalogue, {
      wishes: { use: ['spacer'] },
    }).ways;
    expect(found[0]!.fittings.map((f) => f.id)).toEqual(['spacer']);
    const direct = waysAcross(gapOf(job.lineById.get(ids.low)!.ways[0]!)!, catalogue).ways;
    expect(direct[0]!.fittings).toEqual([]);
  });

  it('has a plate put in by name: its ports are left for lines, each with a plug to be had; a post end takes its filter', () => {
    const upper = job.lineById.get(ids.high)!.ways[0]!;
    const [way] = waysAcross(gapOf(upper)!, catalogue, { wishes: { use: ['plate'] } }).ways;
    expect(way!.name).toBe('Plate');
    expect(way!.branches.map((b) => [b.end, b.to])).toEqual([
      [2, 'line'],
      [3, 'line'],
      [4, 'line'],
    ]);
    const taken = run(stack, { do: 'take-way', id: ids.high, version: 1, at: 0, ...asKept(way!) });
    expect(taken.ports.filter((p) => p.openEnd).map((p) => p.label)).toEqual(['to cooler, L2', 'from cooler, L2', 'gauge, L2']);
    const open = judgedJob(taken, catalogue).findings.filter((f) => f.rule === 'branch-line-missing');
    expect(open.map((f) => f.message)).toContain('No line runs from "gauge, L2" yet.');
    const close = open.find((f) => f.message.includes('gauge'))!.remedies[0]!;
    expect(close.label).toBe('Close it: Plug, npt 1/8 m');
    const closed = judgedJob(run(taken, ...close.commands), catalogue).lineById.get(ids.high)!;
    expect(closed.ways[0]!.branches.map((b) => b.to)).toEqual(['line', 'line', 'plug']);
    const head: Fitting = { ...plate, id: 'head', ends: [plate.ends[2]!, plate.ends[3]!, plate.ends[1]!], kind: 'filter head' };
    const body = {
      ...plate.body!,
      places: plate.body!.places.slice(0, 3),
      passages: [{ from: 0, to: 2 } as const, { from: 2, to: 1 } as const],
    };
    const led = solveChains({
      from: parseConnector('orb10 m'),
      to: parseConnector('orb10 m'),
      fittings: [{ ...head, body }, filter],
      constraints: { use: ['head'] },
    }).chains[0]!;
    expect(led.branches).toMatchObject([{ end: 2, to: 'plug', fittings: [{ id: 'filter' }] }]);
  });

  it('is bought but for what is there, with the rings of its faces', () => {
    const rows = partsList(job).rows;
    expect(rows.find((r) => r.id === 'plate')).toMatchObject({
      group: 'plates, filters, coolers',
      quantity: 1,
      components: ['Plate'],
      lines: [],
    });
    expect(rows.find((r) => r.id === 'spacer')).toMatchObject({ quantity: 1, components: [], lines: [2], unitPriceMinor: 5001 });
    expect(rows.find((r) => r.id === 'filter')).toBeUndefined();
    expect(rows.map((r) => r.name)).toContain('O-ring FKM AS568-230');
  });

  it('is one circuit with the block; a heat exchanger is in two', () => {
    expect(job.graph.circuits).toEqual([expect.arrayContaining(['block', ids.plate, ids.filter])]);
    const exchange = randomUUID();
    const cooled = run(empty, {
      do: 'add-component',
      id: exchange,
      kind: 'cooler',
      name: 'Exchanger',
      part: { id: 'exchanger', there: false },
    });
    const wet = run(
      cooled,
      { do: 'add-line', service: 'coolant', fromPortId: 'vent', toPortId: portOf(cooled, exchange, 2).id },
      { do: 'add-line', service: 'coolant', fromPortId: 'can', toPortId: portOf(cooled, exchange, 3).id },
      { do: 'add-line', service: 'cooler', fromPortId: 'drain', toPortId: portOf(cooled, exchange, 0).id },
    );
    const { nodes, circuits } = judgedJob(wet, catalogue).graph;
    expect(nodes.get(exchange)!.inside).toHaveLength(2);
    expect(nodes.get(exchange)!.part).toMatchObject({ id: exchanger.id });
    // nothing is known of what is inside block and turbo: water and oil meet there
    expect(circuits).toHaveLength(1);
  });

  it('tells when the part has changed, is gone, or taken out; taking its threads puts it right', () => {
    const changed = (change: object): Catalogue => ({
      ...catalogue,
      fittings: catalogue.fittings.map((f) => (f.id === 'plate' ? { ...f, ...change } : f)),
    });
    const ends = [{ ...plate.ends[0]!, seat: '56x66x2.7' }, ...plate.ends.slice(1)];
    const now = judgedJob(stack, changed({ ends }), job);
    const found = now.findings.find((f) => f.rule === 'port-off-part')!;
    expect(found.message).toMatch(/Plate, block face .* is post m20x1.5 f 56x66x2.7 in the store now/);
    const put = runCommands(stack, found.remedies[0]!.commands, { newId: rowIds(randomUUID()), parts: changed({ ends }) }).document;
    expect(portOf(put, ids.plate, 0).connector).toEqual(ends[0]);
    expect(judgedJob(put, changed({ ends })).lineById.get(ids.low)!.state).toBe('leaks');
    expect(judgedJob(stack, changed({ retired: true })).findings.map((f) => f.rule)).toContain('part-retired');
    expect(judgedJob(stack, plain).findings.map((f) => f.rule)).toContain('component-part-gone');
    const shorter = judgedJob(stack, changed({ ends: ends.slice(0, 1) })).findings.find((f) => /no longer there/.test(f.message))!;
    expect([shorter.rule, shorter.remedies]).toEqual(['port-off-part', []]);
  });

  it('does not lead where no passage does', () => {
    const line = run(stack, {
      do: 'take-way',
      id: ids.high,
      version: 1,
      at: 0,
      fittings: [{ id: 'plate', inEnd: 2, outEnd: 3 }],
      branches: [],
    });
    expect(judgedJob(line, catalogue).findings.map((f) => f.message)).toContain(
      'Nothing leads through plate from to cooler to from cooler.',
    );
  });

  it('is drawn as a section, with what stands on its ends', () => {
    for (const id of [ids.low, ids.high]) {
      const sheet = runSheet(job.lineById.get(id)!, { width: 900, height: 400, jobNumber: '2403', system: 'metric' });
      expect(sheet.shapes.filter((s) => s.kind === 'balloon')).toHaveLength(job.lineById.get(id)!.joints.length);
    }
    for (const part of [plate, spacer, filter, exchanger]) {
      const drawing = fittingDrawing(part, { width: 332, height: 176 });
      expect(drawing.shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : [])).sort()).toEqual(part.ends.map((_, i) => String(i + 1)));
      expect(drawing.title).toContain('in section');
    }
    const ports = stack.ports.filter((p) => p.componentId === ids.plate).reverse();
    const drawn = componentDrawing(
      stack.components.find((c) => c.id === ids.plate)!,
      ports,
      { width: 400, height: 430 },
      plate,
    );
    expect(drawn.shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []))).toEqual(['5', '4', '3', '2', '1']);
  });
});
