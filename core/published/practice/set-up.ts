import {
  asKept,
  assembleJob,
  endsForHose,
  fittingsFor,
  flowFindings,
  fluidOf,
  parseConnector,
  reversedWay,
  sizeLine,
  usualFlowRules,
  waysToHoseEnd,
  type Catalogue,
  type Component,
  type FlowQuestion,
  type JobDocument,
  type Line,
  type Port,
  type Running,
} from '@gewinde/core';

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

/** The set-up as a job of its own. @throws {Error} where a port, hose or end of it is none */
export function jobOfSetUp({ lines, kinds = {}, running = ordinary }: SetUp, catalogue: Catalogue): FlowQuestion {
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
      label: `port ${ports.length}`,
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
  const whole = { ...document, components: [...components.values()] };
  return { job: assembleJob(whole, catalogue), running, rules: usualFlowRules };
}

function lineOf(said: SetUpLine, number: number, from: Port, to: Port, catalogue: Catalogue): Line {
  const hose = catalogue.hoses.find((h) => h.id === `hose-${said.hose}`);
  if (!hose) throw new Error(`No hose ${said.hose}`);
  const bare = { service: said.service, ...(said.fluid ? { fluid: said.fluid } : {}) };
  const suited = { ...catalogue, fittings: fittingsFor(fluidOf(bare), catalogue.fittings) };
  const ends = [from, to].map((port, side) => {
    const angle = said.angles?.[side] ?? 0;
    const made = endsForHose(catalogue, hose).filter((e) => e.angleDeg === angle);
    const ways = made.map((end) => ({ end, way: waysToHoseEnd(port, end, suited, { limit: 1, bare: true, ownEnd: true }).ways[0] }));
    // the end that goes on with the fewest joints, as a fitter would take it
    const best = ways.filter((w) => w.way).sort((a, b) => a.way!.jointCount - b.way!.jointCount)[0];
    if (!best) throw new Error(`${said.hose} does not come to ${port.id}`);
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

/** All that is said in red of the judged line of a set-up: it will not do; and what is said in amber. */
export function judged(setUp: SetUp, catalogue: Catalogue): { readonly red: string[]; readonly amber: string[] } {
  const question = jobOfSetUp(setUp, catalogue);
  const line = question.job.lines[setUp.judged ?? question.job.lines.length - 1]!;
  const sizing = sizeLine(line, question);
  const taken = sizing.taken === undefined ? undefined : sizing.columns[sizing.taken];
  const flow = flowFindings(sizing, question);
  const verdict = taken && taken.verdict !== 'passes' ? [`${taken.verdict}: ${[...sizing.refusals, ...taken.against].join('; ')}`] : [];
  return {
    red: [
      ...line.findings.filter((f) => f.severity === 'leak' || f.severity === 'attention').map((f) => `${f.rule}: ${f.message}`),
      ...flow.filter((f) => f.severity === 'attention').map((f) => `${f.rule}: ${f.message}`),
      ...(taken?.verdict === 'fails' ? verdict : []),
    ],
    amber: [
      ...line.findings.filter((f) => f.severity === 'advice' || f.severity === 'open').map((f) => `${f.rule}: ${f.message}`),
      ...flow.filter((f) => f.severity === 'advice').map((f) => `${f.rule}: ${f.message}`),
      ...(taken?.verdict === 'tight' || taken?.verdict === 'open' ? verdict : []),
    ],
  };
}
