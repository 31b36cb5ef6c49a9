import type { Branch, Chain, ChainQuery } from './chain.js';
import { ChainQueue } from './chain-queue.js';
import { ChainSteps, type ChainStep } from './chain-steps.js';
import { Goals } from './goals.js';
import { checkConstraints } from './check-constraints.js';
import { findMissingLinks, type MissingLink } from './missing-links.js';
import { openEnds, type Fitting } from '../fittings/index.js';
import { remainingCost, type Remaining } from './remaining-cost.js';
import { JOINT, sealingIndex, type SealingIndex } from './sealing-index.js';

export interface ChainAnswer {
  readonly chains: Chain[];
  readonly missingLinks: MissingLink[];
  /** False where the search was given up: there may be better chains. */
  readonly complete: boolean;
}

/** A chain under way: what it exposes, how it came there. */
interface Partial {
  readonly node: number;
  readonly state: number;
  readonly step?: ChainStep;
  readonly before?: Partial;
  readonly count: number;
  /** Joints and cost so far, in one figure. */
  readonly value: number;
  /** The same at the end, at the least. */
  readonly total: number;
  readonly lengthMm: number;
  /** Which of the goals it has come to. */
  readonly goal: number;
  readonly done: boolean;
}

/** No search opens more than this; none of a shop's catalogue comes near. */
const MOST_OPENED = 300_000;

/**
 * The chains of fittings that join two connectors with sealing joints only: fewest joints first (those on branches counted), then
 * the cost by the shop's weights, then the shorter. Where several goals are given, the ways to all of them compete. A best-first search over connectors and the state of the chain, with the exact
 * remaining cost as its estimate, so that it opens hardly more than it returns. Run lengths are tried from none upwards and the search
 * stops as soon as a longer run could not be better.
 *
 * @throws {RangeError} for a limit or maxFittings out of bounds
 * @throws {ChainConstraintError} for wishes that contradict one another
 * @example solveChains({ from: parseConnector('m14x1.5 f washer'), to: parseConnector('an6 f swivel'), fittings: standardFittings() })
 */
export function solveChains(query: ChainQuery): ChainAnswer {
  const limit = bounded(query.limit ?? 10, 1, 200, 'limit');
  const maxFittings = bounded(query.maxFittings ?? 3, 0, 6, 'maxFittings');
  checkConstraints(query, maxFittings);
  const index = sealingIndex(query.fittings);
  index.admit(query.constraints?.use ?? []);
  const { found, complete } = search(query, index, limit, maxFittings);
  const chains = found.map((partial) => asChain(partial, query, index));
  // with several goals nothing is missing as long as one is reached; which part would be, is asked of one
  const missingLinks = query.goals ? [] : findMissingLinks(query, index, chains[0]?.fittings.length);
  return { chains, missingLinks, complete };
}

function search(query: ChainQuery, index: SealingIndex, limit: number, maxFittings: number): { found: Partial[]; complete: boolean } {
  const steps = new ChainSteps(query, index);
  const goals = new Goals(query, index);
  const bound = index.distancesTo(goals.nodes, index.node(query.from), maxFittings);
  let result: { found: Partial[]; complete: boolean } = { found: [], complete: true };
  for (let most = 0; most <= maxFittings; most++) {
    const remaining = remainingCost(query, goals, index, steps, bound, most);
    result = remaining ? enumerate(query, goals, index, steps, remaining, limit, most) : { found: [], complete: true };
    const last = result.found[limit - 1];
    // a longer run has at least most + 2 joints, and one more for each take-off
    if (!result.complete || (last && Math.floor(last.total / JOINT) < most + 2 + (query.takeOffs?.length ?? 0))) break;
  }
  return result;
}

function enumerate(
  query: ChainQuery,
  goals: Goals,
  index: SealingIndex,
  steps: ChainSteps,
  remaining: Remaining,
  limit: number,
  most: number,
): { found: Partial[]; complete: boolean } {
  const maxStack = query.constraints?.mostStackMm ?? Infinity;
  const found: Partial[] = [];
  const seen = new Set<string>();
  const queue = new ChainQueue<Partial>((a, b) => a.total - b.total || Number(b.done) - Number(a.done) || a.lengthMm - b.lengthMm);
  const start = { node: index.node(query.from), state: steps.states.start, count: 0, value: 0, lengthMm: 0, goal: 0, done: false };
  queue.push({ ...start, total: remaining.least(most, start.node, start.state) });
  for (let opened = 0; found.length < limit; opened++) {
    const partial = queue.shift();
    if (!partial || partial.total === Infinity) break;
    if (opened >= MOST_OPENED) return { found, complete: false };
    if (partial.done) {
      const same = [substanceOf(partial), partsOf(partial)];
      if (!same.some((key) => seen.has(key))) found.push(partial);
      for (const key of same) seen.add(key);
      continue;
    }
    const ending = steps.states.final(partial.state);
    if (ending !== Infinity)
      for (const { goal, cost } of goals.endings(partial.node, steps))
        queue.push({ ...partial, total: partial.value + ending + cost, goal, done: true });
    if (partial.count === most) continue;
    const left = most - partial.count - 1;
    for (const bundle of index.bundlesFrom(partial.node)) {
      const node = bundle.outNode;
      const stack = remaining.shortest(left, node);
      if (stack === Infinity) continue;
      for (const step of steps.through(bundle, partial.node)) {
        const state = step.transition.next[partial.state]!;
        if (state < 0) continue;
        const value = partial.value + step.joints * JOINT + step.cost + step.transition.extra[partial.state]!;
        const total = value + remaining.least(left, node, state);
        const lengthMm = partial.lengthMm + step.lengthMm;
        if (total === Infinity || lengthMm + stack > maxStack + 1e-9) continue;
        if (goesInCircles(partial, node, steps.states.place(state), steps)) continue;
        queue.push({ node, state, step, before: partial, count: partial.count + 1, value, total, lengthMm, goal: 0, done: false });
      }
    }
  }
  return { found, complete: true };
}

function goesInCircles(partial: Partial, node: number, place: number, steps: ChainSteps): boolean {
  for (let at: Partial | undefined = partial; at; at = at.before)
    if (at.node === node && steps.states.place(at.state) === place) return true;
  return false;
}

function stepsOf(partial: Partial): ChainStep[] {
  const list: ChainStep[] = [];
  for (let at: Partial | undefined = partial; at; at = at.before) if (at.step) list.push(at.step);
  return list.reverse();
}

function substanceOf(partial: Partial): string {
  return [...stepsOf(partial).map((step) => step.substance), `=${partial.goal}`].join(' ');
}

/** The same parts in the same order, one of them turned round, are the same way: but for what passes one way only, or has a body. */
function partsOf(partial: Partial): string {
  const parts = stepsOf(partial).map(({ passage: { fitting, inEnd, outEnd }, closings }) => {
    const turned = fitting.oneWay === true || fitting.body !== undefined || fitting.ends.length > 2;
    return `${fitting.id}${turned ? `:${inEnd}>${outEnd}` : ''}${closings.map((c) => `+${c.takeOff ?? ''}`).join('')}`;
  });
  return [...parts, `=${partial.goal}`].join(' ');
}

function asChain(partial: Partial, query: ChainQuery, index: SealingIndex): Chain {
  const steps = stepsOf(partial);
  const joints = [];
  const branches: Branch[] = [];
  let exposed = index.node(query.from);
  for (const [at, { bundle, passage, closings }] of steps.entries()) {
    joints.push(index.mating(exposed, bundle.inNode));
    exposed = bundle.outNode;
    const ends = openEnds(passage.fitting, passage.inEnd, passage.outEnd);
    closings.forEach((closing, i) => {
      const end = ends[i]!;
      const links = closing.fittings.map((f) => f.link);
      let open = index.node(passage.fitting.ends[end]!);
      const made = closing.fittings.map(({ fitting, link }) => {
        const joint = index.mating(open, index.node(fitting.ends[link.inEnd]!));
        open = index.node(fitting.ends[link.outEnd]!);
        return joint;
      });
      const served = closing.takeOff === undefined ? undefined : query.takeOffs![closing.takeOff]!;
      if (served) made.push(index.mating(open, index.node(served.connector)));
      branches.push({
        at,
        end,
        to: served?.to ?? (closing.open ? 'line' : 'plug'),
        ...(closing.takeOff === undefined ? {} : { takeOff: closing.takeOff }),
        fittings: links,
        joints: made,
      });
    });
  }
  const goal = query.goals?.[partial.goal];
  joints.push(index.mating(exposed, index.node(goal?.connector ?? query.to)));
  const parts = steps.flatMap((s) => [s.passage.fitting, ...s.closings.flatMap((c) => c.fittings.map((f) => f.fitting))]);
  return {
    fittings: steps.map(({ passage: { fitting, inEnd, outEnd } }) => ({ id: fitting.id, inEnd, outEnd })),
    joints,
    branches,
    ...(goal ? { goal: partial.goal } : {}),
    jointCount: joints.length + branches.reduce((sum, b) => sum + b.joints.length, 0),
    costMinor: partial.total % JOINT,
    lengthMm: Math.round(partial.lengthMm * 10) / 10,
    ...partFigures(parts),
  };
}

/** What a set of parts costs, how many are not on the shelf, and the days until the last is there. */
export function partFigures(parts: readonly Fitting[]): { priceMinor: number; toOrder: number; leadDays: number } {
  const ordered = parts.filter((f) => (f.shelf ?? 0) === 0);
  return {
    priceMinor: parts.reduce((sum, f) => sum + (f.priceMinor ?? 0), 0),
    toOrder: ordered.length,
    leadDays: Math.max(0, ...ordered.map((f) => f.leadDays ?? 0)),
  };
}

function bounded(value: number, low: number, high: number, name: string): number {
  if (!Number.isInteger(value) || value < low || value > high)
    throw new RangeError(`${name} must be a whole number from ${low} to ${high}`);
  return value;
}
