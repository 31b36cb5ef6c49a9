import { parseConnector } from '../../connectors/index.js';
import { fittingsFor } from '../../fittings/index.js';
import {
  endsForHose,
  fluidOf,
  reversedWay,
  type Catalogue,
  type Component,
  type JobDocument,
  type Line,
  type Port,
  type Running,
} from '../../job/index.js';
import { asKept, waysToHoseEnd } from '../../lines/index.js';

/** One line as a shop builds it. */
export interface SetUpLine {
  readonly service: Line['service'];
  readonly fluid?: Line['fluid'];
  /** `turbo an4 m`: the component, and its port in the notation. */
  readonly from: string;
  readonly to: string;
  /** Of the standard catalogue: `ptfe-4`, `ptfe-fuel-6`; none where the ports meet by adapters alone. */
  readonly hose: string;
  readonly mm: number;
  readonly angles?: readonly [number, number];
  readonly flow?: Line['flow'];
  /** Parts in the way at A, by id, first at the port; the solver's first where nothing is said. */
  readonly through?: readonly { readonly id: string; readonly inEnd: number; readonly outEnd: number }[];
  readonly piece?: Partial<Line['pieces'][number]>;
}

/** A set-up of practice, with what becomes of it and why. */
export interface SetUp {
  readonly name: string;
  readonly why: string;
  readonly lines: readonly SetUpLine[];
  /** By component: what it is, where its name does not say it. */
  readonly kinds?: Readonly<Record<string, Component['kind']>>;
  /** Components that no line runs to, by name, with the part that they are. */
  readonly beside?: Readonly<Record<string, string>>;
  readonly running?: Running;
  /** Which of its lines is judged; the last where nothing is said. */
  readonly judged?: number;
}

/** Engines as they are driven: 10W-40, a cold start at freezing, 125 °C at the hottest. */
export const ordinary: Running = {
  oil: { grade: '10w40' },
  coldC: 0,
  hottestC: 125,
  idleBar: 1.5,
  fullBar: 4.5,
  idleRevs: 900,
  mostRevs: 6500,
  pumpLpm: 40,
  powerKw: 300,
};

const KINDS: readonly Component['kind'][] = ['block', 'turbo', 'pan', 'cooler', 'tank', 'pump', 'filter', 'filter head', 'plate', 'valve'];

/** The set-up as a job of its own. @throws {RangeError} where a port, hose or end of it is none */
export function jobOfSetUp({ lines, kinds = {}, beside = {}, running = ordinary }: SetUp, catalogue: Catalogue): JobDocument {
  const components = new Map<string, Component>();
  const ports: Port[] = [];
  const portOf = (said: string): Port => {
    const [name, ...notation] = said.split(' ') as [string, ...string[]];
    if (!components.has(name))
      components.set(name, {
        id: name,
        jobId: 'job',
        kind: kinds[name] ?? KINDS.find((kind) => kind === name) ?? 'other',
        name,
        note: '',
        order: components.size,
        version: 1,
      });
    const port: Port = {
      id: `${name}.${ports.length}`,
      jobId: 'job',
      componentId: name,
      label: `port ${ports.length + 1}`,
      connector: parseConnector(notation.join(' ')),
      note: '',
      order: ports.length,
      version: 1,
    };
    ports.push(port);
    return port;
  };
  const document: JobDocument = {
    job: {
      id: 'job',
      number: '1',
      name: 'Practice',
      description: '',
      archived: false,
      version: 1,
      updatedAt: '2026-01-01T00:00:00.000Z',
      running,
    },
    components: [],
    ports,
    lines: lines.map((said, i) => lineOf(said, i + 1, portOf(said.from), portOf(said.to), catalogue)),
  };
  for (const [name, id] of Object.entries(beside))
    components.set(name, {
      id: name,
      jobId: 'job',
      kind: KINDS.find((kind) => kind === name) ?? 'other',
      name,
      note: '',
      order: components.size,
      part: { id, there: true },
      version: 1,
    });
  return { ...document, components: [...components.values()] };
}

function lineOf(said: SetUpLine, number: number, from: Port, to: Port, catalogue: Catalogue): Line {
  const hose = catalogue.hoses.find((h) => h.id === `hose-${said.hose}`);
  if (!hose) throw new RangeError(`No hose ${said.hose}`);
  const bare = { service: said.service, ...(said.fluid ? { fluid: said.fluid } : {}) };
  const suited = { ...catalogue, fittings: fittingsFor(fluidOf(bare), catalogue.fittings) };
  const ends = [from, to].map((port, side) => {
    const angle = said.angles?.[side] ?? 0;
    const made = endsForHose(catalogue, hose).filter((e) => e.angleDeg === angle);
    const ways = made.map((end) => ({ end, way: waysToHoseEnd(port, end, suited, { limit: 1, bare: true, ownEnd: true }).ways[0] }));
    // the end that goes on with the fewest joints, as a fitter would take it
    const best = ways.filter((w) => w.way).sort((a, b) => a.way!.jointCount - b.way!.jointCount)[0];
    if (!best) throw new RangeError(`${said.hose} does not come to ${port.id}`);
    return { end: best.end.id, way: best.way! };
  });
  const [a, b] = [asKept(ends[0]!.way), reversedWay(asKept(ends[1]!.way))];
  const keyed = (at: number, links: readonly { id: string; inEnd: number; outEnd: number }[]) => ({
    fittings: links.map((link, i) => ({ key: `${at}${'abcdefgh'[i]}`, ...link })),
    branches: [],
  });
  return {
    id: `line${number}`,
    jobId: 'job',
    number,
    name: `Line ${number}`,
    ...bare,
    portA: from.id,
    portB: to.id,
    pieces: [
      {
        key: 'p1',
        hose: hose.id,
        endA: ends[0]!.end,
        endB: ends[1]!.end,
        length: { mm: said.mm, as: 'taped' },
        slackPercent: 2,
        source: 'cut',
        ...said.piece,
      },
    ],
    ways: [{ chosen: keyed(0, said.through ?? a.fittings) }, { chosen: keyed(1, b.fittings) }],
    checked: null,
    ...(said.flow ? { flow: said.flow } : {}),
    note: '',
    order: number,
    version: 1,
  };
}
