import {
  asKept,
  assembleLine,
  endOfAngle,
  hosesOfSize,
  keyedWay,
  parseConnector,
  priceOnly,
  reversedWay,
  waysToHoseEnd,
  type Catalogue,
  type Component,
  type HoseEnd,
  type Job,
  type JobDocument,
  type Line,
  type LineWay,
  type Port,
} from '@gewinde/core';

/**
 * Job 2403, an invented hill-climb single-seater: 2.5 L inline five, ball-bearing turbo, dry sump. The survey is done, the lines are
 * half resolved, and some of what is there is wrong on purpose. Sample data.
 */
interface SurveyRow {
  readonly key: string;
  readonly kind: Component['kind'];
  readonly name: string;
  readonly note: string;
  readonly ports: readonly (readonly [
    key: string,
    label: string,
    notation: string,
    note?: string,
    sensor?: readonly [name: string, notation: string],
  ])[];
}

const survey: readonly SurveyRow[] = [
  {
    key: 'block',
    kind: 'block',
    name: 'Block',
    note: 'Aluminium, inline five. Left side is the cold side.',
    ports: [
      ['gallery', 'left gallery', 'm14x1.5 f washer', 'Spot-faced, was the pressure switch'],
      ['feed', 'main feed', 'm20x1.5 f washer'],
      ['water', 'water outlet, rear', 'm18x1.5 f washer'],
      ['vent', 'crankcase vent', 'barb 5/8'],
      ['sender', 'pressure sender', 'rc 1/8 f', 'British taper; the filter head has the American one', ['pressure sender', 'r 1/8 m']],
    ],
  },
  {
    key: 'turbo',
    kind: 'turbo',
    name: 'Turbo',
    note: "Ball bearing, water cooled. Restrictor by the maker's figure.",
    ports: [
      ['inlet', 'oil inlet', 'orb4 f', 'Faces up, 40 mm from the turbine housing'],
      ['drain', 'oil drain', 'orb10 f', 'Faces down'],
      ['waterIn', 'water inlet', 'm14x1.5 f washer'],
      ['waterOut', 'water outlet', 'm14x1.5 f washer'],
    ],
  },
  {
    key: 'pump',
    kind: 'pump',
    name: 'Dry-sump pump',
    note: 'Three scavenge stages, one pressure stage.',
    ports: [
      ['scav1', 'scavenge 1 in', 'orb12 f'],
      ['scav2', 'scavenge 2 in', 'orb12 f'],
      ['scav3', 'scavenge 3 in', 'orb10 f', 'Turbo stage'],
      ['scavOut', 'scavenge out', 'orb12 f'],
      ['pressIn', 'pressure in', 'orb16 f'],
      ['pressOut', 'pressure out', 'orb12 f'],
    ],
  },
  {
    key: 'pan',
    kind: 'pan',
    name: 'Pan',
    note: 'Fabricated, two pickups.',
    ports: [
      ['front', 'front pickup', 'an12 m'],
      ['rear', 'rear pickup', 'an12 m'],
    ],
  },
  {
    key: 'tank',
    kind: 'tank',
    name: 'Rear tank',
    note: '7 L, behind the seat.',
    ports: [
      ['return', 'return', 'orb12 f', 'Tangential, above the level'],
      ['supply', 'supply', 'orb16 f'],
      ['breather', 'breather', 'orb10 f'],
    ],
  },
  {
    key: 'cooler',
    kind: 'cooler',
    name: 'Cooler',
    note: 'Left pod.',
    ports: [
      ['in', 'in', 'orb10 f'],
      ['out', 'out', 'orb10 f'],
    ],
  },
  {
    key: 'filter',
    kind: 'filter head',
    name: 'Remote filter head',
    note: 'American taper ports.',
    ports: [
      ['in', 'in', 'npt 1/2 f'],
      ['out', 'out', 'npt 1/2 f'],
      ['gauge', 'gauge', 'npt 1/8 f'],
    ],
  },
  { key: 'catch', kind: 'other', name: 'Catch can', note: '', ports: [['in', 'in', 'barb 5/8']] },
  {
    key: 'gauge',
    kind: 'other',
    name: 'Gauge panel',
    note: 'Mechanical oil gauge, beside the wheel.',
    ports: [['oil', 'oil gauge', 'npt 1/8 f']],
  },
];

interface LineRow {
  readonly name: string;
  readonly service: Line['service'];
  readonly from: string;
  readonly to: string;
  readonly hose?: readonly [construction: string, dash: number];
  readonly angles?: readonly [number, number];
  /** Which way is taken at each end: its place in the solver's list, or parts by id, or not chosen. */
  readonly ways?: readonly [Way, Way];
  readonly taped?: number;
  readonly checked?: boolean;
  readonly note?: string;
}
type Way = number | null | readonly { id: string; inEnd: number; outEnd: number }[];

const lines: readonly LineRow[] = [
  {
    name: 'Scavenge, front',
    service: 'suction',
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
    service: 'suction',
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
    from: 'turbo.drain',
    to: 'pump.scav3',
    hose: ['ptfe', 10],
    angles: [0, 45],
    taped: 380,
    ways: [0, 0],
  },
  {
    name: 'To the filter',
    service: 'cooler',
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
    service: 'cooler',
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
    service: 'other',
    from: 'block.sender',
    to: 'gauge.oil',
    hose: ['ptfe', 4],
    taped: 1350,
    note: 'The pressure sender must stay: its port is the only one on the block.',
  },
];

export function magpieDocument(catalogue: Catalogue, makeId: () => string): JobDocument {
  const job: Job = {
    id: makeId(),
    number: '2403',
    name: 'Magpie',
    description: 'Hill-climb single-seater. Sample data.',
    archived: false,
    version: 1,
    updatedAt: new Date(0).toISOString(),
  };
  const components: Component[] = [];
  const ports: Port[] = [];
  const byKey = new Map<string, Port>();
  survey.forEach((row, order) => {
    const component: Component = { id: makeId(), jobId: job.id, kind: row.kind, name: row.name, note: row.note, order, version: 1 };
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
    const hose = row.hose && hosesOfSize(catalogue, row.hose[0], row.hose[1])[0];
    return hose && endOfAngle(catalogue, hose, row.angles?.[i] ?? 0);
  };
  const way = (port: Port, i: 0 | 1): LineWay => {
    const wanted = row.ways?.[i] ?? null;
    const end = hoseEnd(i);
    if (wanted === null || !end) return { chosen: null };
    const found =
      typeof wanted === 'number'
        ? waysToHoseEnd(port, end, catalogue, { weights: priceOnly }).ways[wanted]
        : { fittings: wanted, branches: [] };
    if (!found) return { chosen: null };
    const kept = asKept(i === 0 ? found : reversedWay(found));
    let given = 0;
    return { chosen: keyedWay(kept, null, () => `${i === 0 ? 'a' : 'b'}${++given}`) };
  };
  const hose = row.hose ? hosesOfSize(catalogue, row.hose[0], row.hose[1])[0]! : null;
  return {
    id: makeId(),
    jobId,
    number: order + 1,
    name: row.name,
    service: row.service,
    portA: portA.id,
    portB: portB.id,
    pieces: [
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
    ways: [way(portA, 0), way(portB, 1)],
    checked: null,
    note: row.note ?? '',
    order,
    version: 1,
  };
}
