import { connectorName, type Connector } from '../connectors/index.js';
import {
  ChainConstraintError,
  partFigures,
  solveChains,
  usualWeights,
  whyNone,
  type Branch,
  type Chain,
  type ChainLink,
  type ChainQuery,
  type ChainWeights,
  type InTheWay,
  type MissingLink,
  type TakeOff,
} from '../chains/index.js';
import { kindOf, lengthBetween, type Fitting } from '../fittings/index.js';
import type { HoseEnd } from '../hose/index.js';
import { findFitting, type Catalogue, type KeptWay, type LineBranch, type Port, type Wishes } from '../job/index.js';
import { mate, type Mating } from '../seals/index.js';

/** A chain with the figures that decide between ways. */
export interface Way extends Chain {
  /** `1 adapter`, `45° elbow`, `straight on the port`. */
  readonly name: string;
  readonly leastBoreMm: number;
  readonly massG: number;
}

export interface WaysAnswer {
  readonly ways: Way[];
  readonly missingLinks: MissingLink[];
  /** Why there is none; empty where there is one. */
  readonly explanation: string;
  /** Single wishes that stand in the way. */
  readonly inTheWay: InTheWay[];
  /** Wishes that contradict one another: nothing was searched for. */
  readonly contradiction?: { readonly message: string; readonly field: string; readonly hint: string };
}

export interface WaysOptions {
  readonly limit?: number;
  readonly wishes?: Wishes;
  readonly weights?: ChainWeights;
  readonly usedElsewhere?: ReadonlySet<string>;
  /** The line is drawn in the direction of flow: its first end is passed from the port outwards. */
  readonly flow?: ChainQuery['flow'];
}

/** Most fittings of a way, where nothing else is wished. */
export const USUAL_MOST_FITTINGS = 3;

/** What a port's end must serve beside the hose: the sensor that stays, the other line. */
export function takeOffsOf(port: Pick<Port, 'sensor'>, wishes: Wishes = {}): TakeOff[] {
  const list: TakeOff[] = [];
  if (wishes.keepSensor && port.sensor) list.push({ to: 'sensor', connector: port.sensor.connector });
  if (wishes.branchFor) list.push({ to: 'line', connector: wishes.branchFor });
  return list;
}

/**
 * The ways from a port to a hose end that seal at every joint, fewest joints first, with what distinguishes them; and the single
 * part that would close or shorten the gap where there is one.
 */
export function waysToHoseEnd(
  port: Pick<Port, 'connector' | 'sensor'>,
  hoseEnd: HoseEnd,
  catalogue: Catalogue,
  options: WaysOptions = {},
): WaysAnswer {
  const { wishes = {}, limit = 8 } = options;
  const { mostFittings, keepSensor: _keep, branchFor: _branch, ...constraints } = wishes;
  const query: ChainQuery = {
    from: port.connector,
    to: hoseEnd.connector,
    fittings: catalogue.fittings,
    limit,
    maxFittings: mostFittings ?? USUAL_MOST_FITTINGS,
    constraints,
    takeOffs: takeOffsOf(port, wishes),
    needBoreMm: hoseEnd.boreMm,
    weights: options.weights ?? usualWeights,
    ...(options.usedElsewhere ? { usedElsewhere: options.usedElsewhere } : {}),
    ...(options.flow ? { flow: options.flow } : {}),
  };
  try {
    const { chains, missingLinks } = solveChains(query);
    const none = chains.length === 0;
    return {
      ways: chains.map((chain) => asWay(chain, hoseEnd, catalogue)),
      missingLinks,
      explanation: none ? explain(port.connector, hoseEnd.connector, wishes) : '',
      inTheWay: none ? whyNone(query) : [],
    };
  } catch (error) {
    if (!(error instanceof ChainConstraintError)) throw error;
    const { message, field, hint } = error;
    return { ways: [], missingLinks: [], explanation: '', inTheWay: [], contradiction: { message, field, hint } };
  }
}

/** Adds to a chain what it is called and what decides. */
export function asWay(chain: Chain, hoseEnd: HoseEnd, catalogue: Catalogue): Way {
  const fittings = chain.fittings.map((link) => findFitting(catalogue, link.id)!);
  return {
    ...chain,
    name: wayName(fittings),
    leastBoreMm: Math.min(hoseEnd.boreMm, ...fittings.map((f) => f.boreMm ?? Infinity)),
    massG: fittings.reduce((sum, f) => sum + (f.massG ?? 0), 0),
  };
}

/**
 * A way that a line keeps, with its figures as they are today; its joints need not seal. Undefined where a part is not known any more.
 */
export function keptWay(
  { fittings: links, branches }: KeptWay,
  port: Pick<Port, 'connector' | 'sensor'>,
  hoseEnd: HoseEnd,
  catalogue: Catalogue,
): Way | undefined {
  const joinUp = (from: Connector, chain: readonly ChainLink[]): { joints: Mating[]; exposed: Connector } | undefined => {
    const joints: Mating[] = [];
    let exposed = from;
    for (const link of chain) {
      const part = findFitting(catalogue, link.id);
      const inner = part?.ends[link.inEnd];
      const outer = part?.ends[link.outEnd];
      if (!inner || !outer) return undefined;
      joints.push(mate(exposed, inner));
      exposed = outer;
    }
    return { joints, exposed };
  };
  const run = joinUp(port.connector, links);
  if (!run) return undefined;
  const standing: Branch[] = [];
  for (const { at, end, to, fittings } of branches) {
    const open = findFitting(catalogue, links[at]?.id ?? '')?.ends[end];
    const joined = open && joinUp(open, fittings);
    if (!joined) return undefined;
    const last = to === 'sensor' && port.sensor ? [mate(joined.exposed, port.sensor.connector)] : [];
    standing.push({ at, end, to, fittings, joints: [...joined.joints, ...last] });
  }
  const joints = [...run.joints, mate(run.exposed, hoseEnd.connector)];
  const parts = [...links, ...branches.flatMap((b) => b.fittings)].map((link) => findFitting(catalogue, link.id)!);
  const lengths = links.map(({ id, inEnd, outEnd }) => lengthBetween(findFitting(catalogue, id)!, inEnd, outEnd));
  return asWay(
    {
      fittings: links,
      joints,
      branches: standing,
      jointCount: joints.length + standing.reduce((sum, b) => sum + b.joints.length, 0),
      lengthMm: Math.round(lengths.reduce((sum, mm) => sum + mm, 0) * 10) / 10,
      ...partFigures(parts),
      costMinor: 0,
    },
    hoseEnd,
    catalogue,
  );
}

/** The branches of a way as a line keeps them. `branchPortId` stands for the end given to another line. */
export function branchesOf(way: Chain, portId: string, branchPortId?: string): LineBranch[] {
  return way.branches.map(({ at, end, to, fittings }) => ({
    at,
    end,
    to,
    fittings: fittings.map((link) => ({ ...link })),
    ...(to === 'sensor' ? { portId } : to === 'line' && branchPortId ? { portId: branchPortId } : {}),
  }));
}

/** What one way has that another has not, part by part: `+ Elbow 90°, …`, `− Union, …`. */
export function differenceBetween(way: readonly string[], other: readonly string[]): { readonly more: string[]; readonly less: string[] } {
  const rest = [...other];
  const more = way.filter((id) => {
    const at = rest.indexOf(id);
    if (at >= 0) rest.splice(at, 1);
    return at < 0;
  });
  return { more, less: rest };
}

/** Every part of a way, those of its branches after those of the run. */
export function partsOf(way: Pick<Chain, 'fittings' | 'branches'>): string[] {
  return [...way.fittings, ...way.branches.flatMap((b) => b.fittings)].map((link) => link.id);
}

function explain(from: Connector, to: Connector, wishes: Wishes): string {
  const wished = Object.keys(wishes).length > 0 ? ' that does what is wished' : '';
  return `No chain in the catalogue${wished} joins ${connectorName(from)} to ${connectorName(to)}.`;
}

function wayName(fittings: readonly Fitting[]): string {
  if (fittings.length === 0) return 'Straight on the port';
  const kinds = fittings.map(kindOf);
  const angled = fittings.find((f) => f.angleDeg);
  const branching = kinds.find((kind) => kind === 'tee' || kind === 'cross');
  const special = branching ?? (angled ? (kindOf(angled) === 'banjo' ? 'banjo' : `${angled.angleDeg}° elbow`) : undefined);
  if (fittings.length === 1) return special ? capital(special) : kinds[0] === 'sensor adapter' ? 'Sensor adapter' : '1 adapter';
  return `${fittings.length} fittings${special ? `, ${special}` : ''}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
