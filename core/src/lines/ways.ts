import { bareConnector, connectorName, endForm, shapeOf, type Connector } from '../connectors/index.js';
import {
  ChainConstraintError,
  counterpart,
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
} from '../chains/index.js';
import { fittingsFor, lengthBetween } from '../fittings/index.js';
import type { FluidId } from '../fluids/index.js';
import type { HoseEnd } from '../hose/index.js';
import { findFitting, findHoseEnd, partsOfWay, reversedWay, type Catalogue, type KeptWay, type Port, type Wishes } from '../job/index.js';
import { mate, type Mating } from '../seals/index.js';
import { DRAIN_BORE_MM } from './drain-bore.js';
import { gapToHoseEnd, takeOffsOf, type Gap, type GapSide } from './gap.js';
import { otherEnds, type EndOnHose } from './other-ends.js';
import { seatQuestion } from './seat-question.js';
import { wayName } from './way-name.js';

/** A chain with the figures that decide between ways. */
export interface Way extends Omit<Chain, 'branches'> {
  /** A sensor's names the port it sat in. */
  readonly branches: readonly (Branch & { readonly portId?: string })[];
  /** `M20 to -6, reducer to -4`, `45° elbow NPT 1/8 to -4`, `Straight on the port`. */
  readonly name: string;
  readonly leastBoreMm: number;
  readonly massG: number;
  /** Goes to another end on the hose than the one that is on it: its id. The price then counts what it costs more. */
  readonly otherEnd?: string;
}

type Unnamed = Omit<Way, 'name' | 'leastBoreMm' | 'massG' | 'otherEnd'>;

export interface WaysAnswer {
  readonly ways: Way[];
  readonly missingLinks: MissingLink[];
  /** Why there is none to what was asked for; empty where there is one. */
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
  /** The ways alone: where there is none, nothing is looked for that would close the gap. */
  readonly bare?: boolean;
  /** Only the ways to the end that is on the hose. */
  readonly ownEnd?: boolean;
  /** What runs in the line: parts that do not bear it are no way. */
  readonly fluid?: FluidId;
  /** Of a drain by its fall: what is wide enough first, among ways of as many joints the wider, whatever it costs. */
  readonly boreLeads?: boolean;
}

/** Most fittings of a way, where nothing else is wished. */
export const USUAL_MOST_FITTINGS = 3;

/**
 * The ways across a gap that seal at every joint, fewest joints first, with what distinguishes them; and the single part that would
 * close or shorten it where there is one. Between a port and a hose the other ends that are made for it compete: a way to one of them is
 * listed where it saves a joint, or where the end that is on it has no way at all. Ways run from `from` to `to`; they are looked for from the port where there is one, since what
 * hangs on its thread counts.
 */
export function waysAcross(gap: Gap, catalogue: Catalogue, options: WaysOptions = {}): WaysAnswer {
  if (options.boreLeads) return widestFirst(gap, catalogue, options);
  const { wishes = {}, limit = 8 } = options;
  const { mostFittings, keepSensor: _keep, branchFor: _branch, ...constraints } = wishes;
  const backwards = gap.from.boreMm !== undefined && gap.to.boreMm === undefined;
  const [near, far] = backwards ? [gap.to, gap.from] : [gap.from, gap.to];
  const needBoreMm = boreOf(gap);
  const takeOffs = takeOffsOf({ from: near, to: far }, wishes);
  const query: ChainQuery = {
    from: near.connector,
    to: far.connector,
    fittings: options.fluid ? fittingsFor(options.fluid, catalogue.fittings) : catalogue.fittings,
    limit,
    maxFittings: mostFittings ?? USUAL_MOST_FITTINGS,
    constraints,
    takeOffs,
    ...(needBoreMm === Infinity ? {} : { needBoreMm }),
    weights: options.weights ?? usualWeights,
    ...(options.usedElsewhere ? { usedElsewhere: options.usedElsewhere } : {}),
    flow: backwards ? 'to-from' : 'from-to',
  };
  try {
    const { chains, missingLinks } = solveChains(query);
    const others = options.ownEnd ? [] : waysToOtherEnds(query, near, far, chains[0]?.jointCount, catalogue);
    const asked = ({ chain, end }: { readonly chain: Chain; readonly end?: HoseEnd }): Way => {
      const branches = chain.branches.map((b) => {
        const portId = b.takeOff === undefined ? undefined : takeOffs[b.takeOff]?.portId;
        return portId ? { ...b, portId } : b;
      });
      const { goal: _goal, ...named } = { ...chain, branches };
      const turned: Unnamed = backwards ? { ...reversedWay(named), joints: [...chain.joints].reverse() } : named;
      if (!end) return asWay(turned, gap, catalogue);
      const { end: _end, ...side } = far;
      const other = { ...side, connector: end.connector, boreMm: end.boreMm };
      const way = asWay(turned, backwards ? { from: other, to: near } : { from: near, to: other }, catalogue);
      return { ...way, priceMinor: way.priceMinor + moreFor(end, far.end, catalogue), otherEnd: end.id };
    };
    const ways = onceEach([...others, ...chains.map((chain) => ({ chain }))].map(asked));
    return {
      ways,
      missingLinks,
      explanation: chains.length === 0 ? explain(near.connector, far.connector, wishes) : '',
      inTheWay: chains.length === 0 && !options.bare ? whyNone(query) : [],
    };
  } catch (error) {
    if (!(error instanceof ChainConstraintError)) throw error;
    const { message, field, hint } = error;
    return { ways: [], missingLinks: [], explanation: '', inTheWay: [], contradiction: { message, field, hint } };
  }
}

/** Rows that one cannot tell apart are one: the same words, joints and bore. */
function onceEach(ways: readonly Way[]): Way[] {
  const seen = new Set<string>();
  return ways.filter(({ name, jointCount, leastBoreMm, lengthMm, branches, otherEnd }) => {
    const key = [name, jointCount, leastBoreMm, lengthMm, branches.length, otherEnd ?? ''].join('|');
    return !seen.has(key) && seen.add(key);
  });
}

/** The ways of a drain: those that are wide enough are asked for, and the rest only where there is none. */
function widestFirst(gap: Gap, catalogue: Catalogue, options: WaysOptions): WaysAnswer {
  const { boreLeads: _, ...rest } = options;
  const { wishes = {} } = options;
  const wide =
    wishes.leastBoreMm === undefined
      ? waysAcross(gap, catalogue, { ...rest, bare: true, wishes: { ...wishes, leastBoreMm: DRAIN_BORE_MM } })
      : undefined;
  const answer = wide && wide.ways.length > 0 ? wide : waysAcross(gap, catalogue, rest);
  const ways = [...answer.ways].sort((a, b) => a.jointCount - b.jointCount || b.leastBoreMm - a.leastBoreMm || a.costMinor - b.costMinor);
  return { ...answer, ways };
}

/** What another end costs more than the one it replaces, minor units; nothing where either has no price. */
function moreFor(end: HoseEnd, replaced: EndOnHose | undefined, catalogue: Catalogue): number {
  const own = findHoseEnd(catalogue, replaced?.id ?? null);
  return end.priceMinor === undefined || own?.priceMinor === undefined ? 0 : end.priceMinor - own.priceMinor;
}

/** Most ways to other ends of the hose that are listed before those to the one that is on it. */
const MOST_OTHERS = 3;

/** An end that saves a joint may be so much narrower than the one it replaces. Common practice. */
const NARROWER = 0.9;

/** A taper that is screwed in with the hose opens its sealant at every removal, and a bent one cannot be aimed: no first answer. */
function isServiceable(end: Connector): boolean {
  return shapeOf(end) !== 'taper' || end.swivel === true;
}

/** Ways to other ends that are made for the hose, where they have fewer joints than the best way to the one that is on it. */
function waysToOtherEnds(
  query: ChainQuery,
  near: GapSide,
  far: GapSide,
  best: number | undefined,
  catalogue: Catalogue,
): { readonly chain: Chain; readonly end: HoseEnd }[] {
  if (!far.end || near.boreMm !== undefined || best === 1) return [];
  const goals = otherEnds(far.end, catalogue, query.weights ?? usualWeights, query.constraints?.leastBoreMm);
  if (goals.length === 0) return [];
  // one fitting less than the best at the most: each has a joint
  const most = best === undefined ? query.maxFittings! : Math.min(query.maxFittings!, best - 2);
  // what is to be used takes its room
  if (most < (query.constraints?.use?.length ?? 0)) return [];
  const goodEnough =
    best === undefined ? goals : goals.filter(({ end }) => isServiceable(end.connector) && end.boreMm >= NARROWER * (far.boreMm ?? 0));
  if (goodEnough.length === 0) return [];
  const { chains } = solveChains({ ...query, goals: goodEnough, maxFittings: most, limit: MOST_OTHERS * 2 });
  // a push-in coupling is no way to join a thread
  const pushed = near.connector.family === 'qc';
  return chains
    .filter(
      ({ jointCount, joints }) =>
        (best === undefined || jointCount < best) && !joints.some((j) => j.risk || (j.kind === 'push' && !pushed)),
    )
    .slice(0, MOST_OTHERS)
    .map((chain) => ({ chain, end: goodEnough[chain.goal!]!.end }));
}

/** The ways from a port to a hose end; none from a port whose thread is not certain. */
export function waysToHoseEnd(
  port: Pick<Port, 'connector' | 'sensor'> & { readonly id?: string },
  hoseEnd: HoseEnd,
  catalogue: Catalogue,
  options: WaysOptions = {},
): WaysAnswer {
  const { connector } = port;
  if (!connector) return { ways: [], missingLinks: [], explanation: 'The thread of the port is not certain.', inTheWay: [] };
  return waysAcross(gapToHoseEnd({ ...port, connector }, hoseEnd), catalogue, options);
}

/** Adds to a chain what it is called and what decides. */
function asWay(chain: Unnamed, gap: Gap, catalogue: Catalogue): Way {
  const fittings = chain.fittings.map((link) => findFitting(catalogue, link.id)!);
  return {
    ...chain,
    name: wayName(chain.fittings, fittings, gap),
    leastBoreMm: Math.min(gap.from.boreMm ?? Infinity, gap.to.boreMm ?? Infinity, ...fittings.map((f) => f.boreMm ?? Infinity)),
    massG: fittings.reduce((sum, f) => sum + (f.massG ?? 0), 0),
  };
}

/** What the way should pass: the hose ends on both sides, or two ports as they are made; the narrower of them. */
function boreOf({ from, to }: Gap): number {
  if (from.boreMm === undefined && to.boreMm === undefined)
    return Math.min(...[from, to].map((side) => endForm(bareConnector(side.connector)).boreMm));
  return Math.min(from.boreMm ?? Infinity, to.boreMm ?? Infinity);
}

/**
 * A way that a line keeps, with its figures as they are today; its joints need not seal. Undefined where a part is not known any more.
 */
export function keptWay({ fittings: links, branches }: KeptWay, gap: Gap, catalogue: Catalogue): Way | undefined {
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
  const run = joinUp(gap.from.connector, links);
  if (!run) return undefined;
  const standing: (Branch & { readonly portId?: string })[] = [];
  for (const { at, end, to, fittings, portId } of branches) {
    const open = findFitting(catalogue, links[at]?.id ?? '')?.ends[end];
    const joined = open && joinUp(open, fittings);
    if (!joined) return undefined;
    const sensor =
      to === 'sensor'
        ? [gap.from, gap.to].find((side) => side.sensor && (portId === undefined || side.portId === portId))?.sensor
        : undefined;
    const last = sensor ? [mate(joined.exposed, sensor.connector)] : [];
    standing.push({ at, end, to, fittings, joints: [...joined.joints, ...last], ...(portId ? { portId } : {}) });
  }
  const joints = [...run.joints, mate(run.exposed, gap.to.connector)];
  const parts = partsOfWay({ fittings: links, branches }).map((link) => findFitting(catalogue, link.id)!);
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
    gap,
    catalogue,
  );
}

/** A way as a line keeps it. A branch for another line gets its port when the way is taken. */
export function asKept({ fittings, branches }: Pick<Way, 'fittings' | 'branches'>): KeptWay {
  return {
    fittings: fittings.map((link) => ({ ...link })),
    branches: branches.map(({ at, end, to, fittings: standing, portId }) => ({
      at,
      end,
      to,
      fittings: standing.map((link) => ({ ...link })),
      ...(portId ? { portId } : {}),
    })),
  };
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

function explain(from: Connector, to: Connector, wishes: Wishes): string {
  const doubtful = [from, to].find((side) => counterpart(side) === undefined);
  if (doubtful) return seatQuestion(doubtful);
  const wished = Object.keys(wishes).length > 0 ? ' that does what is wished' : '';
  return `No chain in the catalogue${wished} joins ${connectorName(from)} to ${connectorName(to)}.`;
}
