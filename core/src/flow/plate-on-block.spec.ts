import { randomUUID } from 'node:crypto';
import { running } from '../../testing/flow-job.js';
import { bodies } from '../../testing/sample-bodies.js';
import { catalogue as plain, document as sample } from '../../testing/sample-job.js';
import { rowIds, runCommands, type Command } from '../commands/index.js';
import { usualFlowRules, type Catalogue, type JobDocument, type Port } from '../job/index.js';
import { judgeJob } from '../audit/index.js';
import { assembleJob } from '../lines/index.js';
import { partsList } from '../purchasing/index.js';
import { coolerOfJob, systemOf, type FlowQuestion } from './index.js';

const catalogue: Catalogue = { ...plain, fittings: [...plain.fittings, ...bodies] };
const run = (document: JobDocument, ...commands: Command[]): JobDocument =>
  runCommands(document, commands, { newId: rowIds(randomUUID()), parts: catalogue, versions: 'ignore' }).document;
const [post, plate, filter, cooler, inlet, outlet] = Array.from({ length: 6 }, () => randomUUID()) as [
  string,
  string,
  string,
  string,
  string,
  string,
];
const portOf = (document: JobDocument, component: string, end: number): Port =>
  document.ports.find((p) => p.componentId === component && p.end === end)!;

/** A plate on the post of the block, the filter on it, and a cooler between its ports. */
const made = run(
  { ...sample, lines: [] },
  { do: 'add-port', id: post, componentId: 'block', label: 'filter post', notation: 'post m20x1.5 m 58x82' },
  { do: 'add-component', id: plate, kind: 'plate', name: 'Plate', part: { id: 'plate', there: false } },
  { do: 'add-component', id: filter, kind: 'filter', name: 'Filter', part: { id: 'filter', there: false } },
  { do: 'add-component', id: cooler, kind: 'cooler', name: 'Cooler' },
  { do: 'add-port', id: inlet, componentId: cooler, label: 'in', notation: 'an10 m' },
  { do: 'add-port', id: outlet, componentId: cooler, label: 'out', notation: 'an10 m' },
);
const between = (document: JobDocument): JobDocument => {
  const face = (from: string, to: string): Command => ({
    do: 'add-line',
    id: randomUUID(),
    service: 'other',
    hose: false,
    fromPortId: from,
    toPortId: to,
  });
  const lines = run(
    document,
    face(post, portOf(document, plate, 0).id),
    face(portOf(document, plate, 1).id, portOf(document, filter, 0).id),
    { do: 'add-line', id: randomUUID(), service: 'cooler', hose: true, fromPortId: portOf(document, plate, 2).id, toPortId: inlet },
    { do: 'add-line', id: randomUUID(), service: 'cooler-back', hose: true, fromPortId: outlet, toPortId: portOf(document, plate, 3).id },
  );
  return run(
    lines,
    ...lines.lines.slice(0, 2).map((l): Command => ({ do: 'take-way', id: l.id, version: l.version, at: 0, fittings: [], branches: [] })),
  );
};
const document = between(made);
const question = (more: Partial<FlowQuestion['running']> = {}): FlowQuestion => ({
  job: assembleJob(document, catalogue),
  running: { ...running, ...more },
  rules: usualFlowRules,
});

describe('a plate on the post of a block', () => {
  it('is driven by the face round the post: what the pump gives runs through the cooler and back into the gallery', () => {
    const { lines, problems } = systemOf(question(), 'hottest', 'hot');
    expect(problems).toEqual([]);
    const cooled = lines.filter(({ line }) => line.line.service.startsWith('cooler'));
    expect(cooled.map((l) => l.flowLpm!.toFixed(3))).toEqual(['35.000', '35.000']);
    // nothing of the hoses is chosen yet: they end where the gallery is held
    expect(cooled[1]!.bars![1]).toBeCloseTo(4, 2);
    // at a cold start a share of it
    const cold = systemOf(question(), 'cold', 'cold').lines.find(({ line }) => line.line.service === 'cooler')!;
    expect(cold.flowLpm).toBeCloseTo(5, 3);
  });

  it('so its cooler is sized by heat', () => {
    const component = document.components.find((c) => c.id === cooler)!;
    const found = coolerOfJob(component, question());
    expect(found.flowLpm).toBeCloseTo(35, 3);
    expect(found.need!.heatKw).toBeCloseTo((200 * usualFlowRules.heatToOilPercent) / 100, 6);
  });

  it('buys no gasket for a new filter, which brings its own', () => {
    expect(partsList(judgeJob(document, catalogue)).rows.filter((r) => /gasket/i.test(r.name))).toEqual([]);
  });
});
