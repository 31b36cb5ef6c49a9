import {
  asKept,
  commonFittings,
  findHoseEnd,
  judgeJob,
  reversedWay,
  parseConnector,
  standardHoseEnds,
  standardHoses,
  standardSupplies,
  waysToHoseEnd,
  type Catalogue,
  type Component,
  type JobDocument,
  type JudgedJob,
  type Line,
  type KeptWay,
  type Piece,
  type Placed,
  type Connector,
  type Port,
} from '@gewinde/core';

/** A catalogue with prices and a small job of three lines, for tests. */
export const catalogue: Catalogue = {
  // the common ones: enough to test with, and quick
  fittings: commonFittings().map((f, i) => ({ ...f, priceMinor: 400 + (i % 50) * 10 + (f.angleDeg ? 600 : 0) })),
  hoses: standardHoses().map((h) => ({ ...h, pricePerMetreMinor: 2000 })),
  hoseEnds: standardHoseEnds().map((e) => ({ ...e, priceMinor: 1500 })),
  supplies: standardSupplies(),
};

type KnownPort = Port & { connector: Connector };
const port = (id: string, componentId: string, notation: string, order: number): KnownPort => ({
  id,
  jobId: 'job',
  componentId,
  label: `port ${id}`,
  connector: parseConnector(notation),
  note: '',
  order,
  version: 1,
});
const component = (id: string, kind: Component['kind'], order: number): Component => ({
  id,
  jobId: 'job',
  kind,
  name: kind,
  note: '',
  order,
  version: 1,
});

export const ports = {
  gallery: port('gallery', 'block', 'm14x1.5 f washer', 0),
  inlet: port('inlet', 'turbo', 'orb6 f', 0),
  drain: port('drain', 'turbo', 'orb10 f', 1),
  pan: port('pan', 'block', 'npt 1/2 f', 1),
  vent: port('vent', 'block', 'barb 5/8', 2),
  can: port('can', 'turbo', 'barb 5/8', 2),
};

type Link = Omit<Placed, 'key'>;

/** A line with other fittings at one of its ways; null for none chosen. */
export function withWay(line: Line, at: number, fittings: readonly Link[] | null, branches: KeptWay['branches'] = []): Line {
  const keys = ['m', 'n', 'o', 'p', 'q', 'r'];
  let given = 0;
  const key = (): string => `${at}${keys[given++]!}`;
  const chosen = fittings && {
    fittings: fittings.map((link) => ({ key: key(), ...link })),
    branches: branches.map((b) => ({ ...b, fittings: b.fittings.map((link) => ({ key: key(), ...link })) })),
  };
  return { ...line, ways: line.ways.map((way, i) => (i === at ? { ...way, chosen } : way)) };
}

/** A line with something else said of one of its pieces. */
export function withPiece(line: Line, change: Partial<Piece>, at = 0): Line {
  return { ...line, pieces: line.pieces.map((piece, i) => (i === at ? { ...piece, ...change } : piece)) };
}

/** A line with the end of another angle at A or B of its only hose. */
export function withAngle(line: Line, side: 'A' | 'B', angleDeg: number): Line {
  const { hose } = line.pieces[0]!;
  return withPiece(line, { [`end${side}`]: hose!.replace('hose', 'end') + `-${angleDeg}` });
}

interface Said {
  readonly from: Port;
  readonly to: Port;
  /** Construction and dash, of the standard catalogue. */
  readonly hose: string;
  readonly angles: readonly [number, number];
  readonly tapedMm?: number;
  readonly slackPercent?: number;
}

/** A line of one hose between two ports, each way the first that seals. */
export function line(number: number, { from, to, hose, angles, tapedMm = 664, slackPercent = 0 }: Said, change: Partial<Line> = {}): Line {
  const end = (angle: number): string => `end-${hose}-${angle}`;
  const bare: Line = {
    id: `line${number}`,
    jobId: 'job',
    number,
    name: `Line ${number}`,
    service: 'turbo-feed',
    portA: from.id,
    portB: to.id,
    pieces: [
      {
        key: 'p1',
        hose: `hose-${hose}`,
        endA: end(angles[0]),
        endB: end(angles[1]),
        length: { mm: tapedMm, as: 'taped' },
        slackPercent,
        source: 'cut',
      },
    ],
    ways: [{ chosen: null }, { chosen: null }],
    checked: null,
    note: '',
    order: number,
    version: 3,
    ...change,
  };
  const way = (p: Port, id: string) => asKept(waysToHoseEnd(p, findHoseEnd(catalogue, id)!, catalogue, { limit: 1 }).ways[0]!);
  const [a, b] = [way(from, end(angles[0])), reversedWay(way(to, end(angles[1])))];
  return withWay(withWay(bare, 0, a.fittings, a.branches), 1, b.fittings, b.branches);
}

export const feed = line(1, { from: ports.gallery, to: ports.inlet, hose: 'ptfe-6', angles: [0, 45] });
export const drain = line(
  2,
  { from: ports.drain, to: ports.pan, hose: 'ptfe-10', angles: [90, 45], tapedMm: 400, slackPercent: 2 },
  { service: 'turbo-drain' },
);
export const breather = line(
  3,
  { from: ports.vent, to: ports.can, hose: 'fuel-10', angles: [0, 0], tapedMm: 500 },
  { service: 'breather' },
);

export const document: JobDocument = {
  job: { id: 'job', number: '2403', name: 'Sample', description: '', archived: false, version: 1, updatedAt: '2026-01-01T00:00:00.000Z' },
  components: [component('block', 'block', 0), component('turbo', 'turbo', 1)],
  ports: Object.values(ports),
  lines: [feed, drain, breather],
};

/** The job put together, with other lines where they are given. */
export function jobOf(lines: readonly Line[] = document.lines, change: Partial<JobDocument> = {}): JudgedJob {
  return judgeJob({ ...document, lines: [...lines], ...change }, catalogue);
}
