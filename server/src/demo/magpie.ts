import {
  asKept,
  assembleLine,
  endOfAngle,
  formatDash,
  hosesOfSize,
  keyedWay,
  parseConnector,
  priceOnly,
  reversedWay,
  waysToHoseEnd,
  withTapedOver,
  type Catalogue,
  type Component,
  type HoseEnd,
  type Job,
  type JobDocument,
  type Line,
  type LineWay,
  type Port,
} from '@gewinde/core';
import { running, survey } from './magpie-survey.js';

/**
 * Job 2403, an invented hill-climb single-seater: 2.5 L inline five, ball-bearing turbo, dry sump. The survey is done, the lines are
 * half resolved, and some of what is there is wrong on purpose. Sample data.
 */
interface LineRow {
  readonly name: string;
  readonly service: Line['service'];
  readonly from: string;
  readonly to: string;
  readonly hose?: readonly [construction: string, dash: number];
  readonly angles?: readonly [number, number];
  /** Which way is taken at each end: its place in the solver's list, or parts by id, or not chosen. */
  readonly ways?: readonly [Way, Way];
  /** Fittings alone, or nothing at all, from port to port. */
  readonly without?: true;
  readonly taped?: number;
  readonly checked?: boolean;
  readonly flow?: Line['flow'];
  readonly note?: string;
}
type Way = number | null | readonly { id: string; inEnd: number; outEnd: number }[];

const lines: readonly LineRow[] = [
  {
    name: 'Scavenge, front',
    service: 'scavenge',
    flow: { flowLpm: 20, fallMm: -120 },
    from: 'pan.front',
    to: 'pump.scav1',
    hose: ['rubber', 12],
    angles: [0, 90],
    ways: [0, 0],
    taped: 420,
    checked: true,
  },
  {
    name: 'Scavenge, rear',
    service: 'scavenge',
    flow: { flowLpm: 20, fallMm: -120 },
    from: 'pan.rear',
    to: 'pump.scav2',
    hose: ['rubber', 12],
    angles: [45, 90],
    ways: [0, 0],
    taped: 690,
    checked: true,
  },
  {
    name: 'Tank to pump',
    service: 'suction',
    flow: { fallMm: 180 },
    from: 'tank.supply',
    to: 'pump.pressIn',
    hose: ['rubber', 16],
    angles: [0, 45],
    ways: [0, 0],
    taped: 1180,
  },
  {
    name: 'Turbo feed',
    service: 'turbo-feed',
    flow: { bearing: 'ball', restrictorMm: 1 },
    from: 'block.gallery',
    to: 'turbo.inlet',
    hose: ['ptfe', 6],
    angles: [0, 45],
    ways: [0, [{ id: 'orb4m+an6m', inEnd: 0, outEnd: 1 }]],
    taped: 664,
    note: 'Restrictor in the turbo end, inline filter at the block.',
  },
  {
    name: 'Turbo scavenge',
    service: 'turbo-drain',
    flow: { fallMm: 60 },
    from: 'turbo.drain',
    to: 'pump.scav3',
    hose: ['ptfe', 10],
    angles: [0, 45],
    taped: 380,
    ways: [0, 0],
  },
  {
    name: 'To the filter',
    service: 'filter',
    from: 'pump.pressOut',
    to: 'filter.in',
    hose: ['ptfe', 12],
    angles: [45, 0],
    ways: [0, 0],
    taped: 910,
  },
  {
    name: 'To the cooler',
    service: 'cooler',
    from: 'filter.out',
    to: 'cooler.in',
    hose: ['ptfe', 10],
    angles: [90, 45],
    ways: [0, 0],
    taped: 1240,
  },
  {
    name: 'From the cooler',
    service: 'cooler-back',
    from: 'cooler.out',
    to: 'block.feed',
    hose: ['ptfe', 10],
    angles: [45, 0],
    taped: 1460,
    ways: [0, [{ id: 'orb8m+an10m', inEnd: 0, outEnd: 1 }]],
    note: 'The adapter on the shelf looked like the right thread.',
  },
  { name: 'Scavenge to tank', service: 'return', from: 'pump.scavOut', to: 'tank.return', hose: ['rubber', 12], angles: [90, 0] },
  { name: 'Breather', service: 'breather', from: 'block.vent', to: 'catch.in', hose: ['fuel', 10], ways: [0, 0], taped: 820 },
  { name: 'Turbo water', service: 'coolant', from: 'block.water', to: 'turbo.waterIn' },
  {
    name: 'Gauge line',
    service: 'gauge',
    from: 'block.sender',
    to: 'gauge.oil',
    hose: ['ptfe', 4],
    taped: 1350,
    note: 'The pressure sender must stay: its port is the only one on the block.',
  },
  { name: 'Filter on its head', service: 'other', from: 'filter.post', to: 'element.face', without: true },
];

export function magpieDocument(catalogue: Catalogue, makeId: () => string): JobDocument {
  const job: Job = {
    id: makeId(),
    number: '2403',
    name: 'Magpie',
    description: 'Hill-climb single-seater. Sample data.',
    archived: false,
    running,
    version: 1,
    updatedAt: new Date(0).toISOString(),
  };
  const components: Component[] = [];
  const ports: Port[] = [];
  const byKey = new Map<string, Port>();
  survey.forEach((row, order) => {
    const part = row.part ? { part: { id: row.part, there: false } } : {};
    const component: Component = {
      id: makeId(),
      jobId: job.id,
      kind: row.kind,
      name: row.name,
      note: row.note,
      order,
      ...part,
      ...(row.metal ? { metal: row.metal } : {}),
      ...(row.flow ? { flow: row.flow } : {}),
      version: 1,
    };
    components.push(component);
    row.ports.forEach(([key, label, notation, note = '', sensor], i) => {
      const port: Port = {
        id: makeId(),
        jobId: job.id,
        componentId: component.id,
        label,
        connector: parseConnector(notation),
        note,
        order: i,
        ...(row.part ? { end: i } : {}),
        ...(sensor ? { sensor: { name: sensor[0], connector: parseConnector(sensor[1]), movedTo: null } } : {}),
        version: 1,
      };
      ports.push(port);
      byKey.set(`${row.key}.${key}`, port);
    });
  });
  const drawn = lines.map((row, i) => lineOf(row, i, job.id, byKey, catalogue, makeId));
  const open: JobDocument = { job, components, ports, lines: drawn };
  return { ...open, lines: drawn.map((line, i) => (lines[i]!.checked ? checkedAsIs(line, open, catalogue) : line)) };
}

/** Looked over as it stands. */
function checkedAsIs(line: Line, document: JobDocument, catalogue: Catalogue): Line {
  return { ...line, checked: { at: '2026-11-20T16:00:00.000Z', digest: assembleLine(line, document, catalogue).digest } };
}

/** Put together in the order of the line; ways by hand are written from the port, as one holds them. */
function lineOf(row: LineRow, order: number, jobId: string, byKey: Map<string, Port>, catalogue: Catalogue, makeId: () => string): Line {
  const [portA, portB] = [byKey.get(row.from)!, byKey.get(row.to)!];
  const hoseEnd = (i: 0 | 1): HoseEnd | undefined => {
    const hose = row.hose && hosesOfSize(catalogue, row.hose[0], formatDash(row.hose[1]))[0];
    return hose && endOfAngle(catalogue, hose, row.angles?.[i] ?? 0);
  };
  const way = (port: Port, i: 0 | 1, wanted: Way = row.ways?.[i] ?? null): LineWay => {
    const end = hoseEnd(i);
    if (wanted === null || !end) return { chosen: null };
    const found =
      typeof wanted === 'number'
        ? waysToHoseEnd(port, end, catalogue, { weights: priceOnly, limit: wanted + 1, ownEnd: true, bare: true }).ways[wanted]
        : { fittings: wanted, branches: [] };
    if (!found) return { chosen: null };
    const kept = asKept(i === 0 ? found : reversedWay(found));
    let given = 0;
    return { chosen: keyedWay(kept, null, () => `${i === 0 ? 'a' : 'b'}${++given}`) };
  };
  const hose = row.hose ? hosesOfSize(catalogue, row.hose[0], formatDash(row.hose[1]))[0]! : null;
  const direct: LineWay = { chosen: { fittings: [], branches: [] } };
  const line: Line = {
    id: makeId(),
    jobId,
    number: order + 1,
    name: row.name,
    service: row.service,
    ...(row.flow ? { flow: row.flow } : {}),
    portA: portA.id,
    portB: portB.id,
    pieces: row.without
      ? []
      : [
          {
            key: 'p1',
            hose: hose?.id ?? null,
            endA: hoseEnd(0)?.id ?? null,
            endB: hoseEnd(1)?.id ?? null,
            length: row.taped === undefined ? null : { mm: row.taped, as: 'taped' },
            slackPercent: 2,
            source: 'cut',
          },
        ],
    ways: row.without ? [direct] : [way(portA, 0), way(portB, 1)],
    checked: null,
    note: row.note ?? '',
    order,
    version: 1,
  };
  // the tape ran over the parts that belong there, whatever was taken since; where none were thought of, from port to port
  const meant = row.ways && !row.without ? [way(portA, 0, 0), way(portB, 1, 0)] : line.ways;
  return { ...withTapedOver({ ...line, ways: meant }, catalogue), ways: line.ways };
}
