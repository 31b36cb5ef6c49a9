import { connectorThread, formatConnector, type Connector } from '../connectors/index.js';
import type { ChainLink, ChainQuery } from './chain.js';
import type { Bundle, SealingIndex } from './sealing-index.js';

/** Two stock parts made into one, where the one cannot be had. */
export interface ShopMade {
  readonly parts: readonly [id: string, id: string];
  readonly how: string;
  readonly risk: string;
}

/** A single part that no catalogue row is, by its two ends, and what having it would save. */
export interface MissingLink {
  readonly from: Connector;
  readonly to: Connector;
  /** Ready to order by or to machine by: `npt 1/8 m to an6 m`. */
  readonly notation: string;
  readonly saves: string;
  /** Fittings of the catalogue that stand before and after it. */
  readonly before: readonly ChainLink[];
  readonly after: readonly ChainLink[];
  readonly shopMade?: ShopMade;
  /** The catalogue has it: what is missing is the short hose that leads to it. */
  readonly known?: true;
}

const MOST_LINKS = 3;

/**
 * The single parts that would join two connectors where no chain does, or where the best chain takes more fittings than with them:
 * alone first, then together with one fitting of the catalogue.
 * @param best number of fittings of the best chain; undefined where there is none
 */
export function findMissingLinks(query: ChainQuery, index: SealingIndex, best: number | undefined): MissingLink[] {
  if (best !== undefined && best < 2) return [];
  const from = index.node(query.from);
  const to = index.node(query.to);
  const alone = gapBetween(from, to, [], [], index, best);
  const gaps: (Gap | undefined)[] = [alone];
  if (!alone && (best === undefined || best > 2)) {
    for (const [node, link] of nextTo(from, index)) gaps.push(gapBetween(node, to, [link], [], index, best));
    for (const [node, link] of nextTo(to, index))
      gaps.push(gapBetween(from, node, [], [{ id: link.id, inEnd: link.outEnd, outEnd: link.inEnd }], index, best));
  }
  const links = new Map<string, Gap>();
  for (const gap of gaps.filter((g) => g !== undefined).sort((a, b) => a.gap - b.gap)) {
    const notation = `${formatConnector(gap.from)} to ${formatConnector(gap.to)}`;
    if (!links.has(notation) && links.size < MOST_LINKS) links.set(notation, gap);
  }
  return [...links].map(([notation, { gap: _, ...link }]) => {
    const made = link.known ? undefined : shopMade(link.from, link.to, index);
    return { ...link, notation, ...(made ? { shopMade: made } : {}) };
  });
}

type Gap = Omit<MissingLink, 'notation' | 'shopMade'> & { readonly gap: number };

/** The part that would go between two exposed connectors; undefined where there is such a part, or none could be. */
function gapBetween(
  from: number,
  to: number,
  before: ChainLink[],
  after: ChainLink[],
  index: SealingIndex,
  best: number | undefined,
): Gap | undefined {
  const [a, b] = [index.counterpartOf(from), index.counterpartOf(to)];
  if (a && b && before.length + after.length === 0) {
    const step = stepJoiner(a, b, index, best);
    if (step) return step;
  }
  if (!a || !b || index.hasPart(a, b)) return undefined;
  const others = before.length + after.length;
  const saved = best === undefined ? undefined : best - 1 - others;
  if (saved !== undefined && saved < 1) return undefined;
  const words =
    saved !== undefined
      ? `saves ${saved} ${saved === 1 ? 'part and one joint' : `parts and ${saved} joints`}`
      : others === 0
        ? 'closes the gap with one part and two joints'
        : 'closes the gap together with one fitting of the catalogue';
  return { from: a, to: b, saves: words, before, after, gap: sizeGap(a, b) };
}

/**
 * A hose over a barb or bead on the one side, and a barb into a hose on the other: no part has both. A step joiner between two barbs does
 * it, with a short hose over the first.
 */
function stepJoiner(a: Connector, b: Connector, index: SealingIndex, best: number | undefined): Gap | undefined {
  if (best !== undefined || a.family !== 'barb' || b.family !== 'barb' || a.gender === b.gender) return undefined;
  const [hose, barb] = a.gender === 'female' ? [a, b] : [b, a];
  const joiner: Connector = { family: 'barb', size: hose.size, gender: 'male' };
  const [from, to] = a.gender === 'female' ? [joiner, barb] : [barb, joiner];
  const saves = `closes the gap with a short hose ${hose.size} over the end of that size, clamped at both ends`;
  return { from, to, saves, before: [], after: [], gap: sizeGap(from, to), ...(index.hasPart(from, to) ? { known: true as const } : {}) };
}

/** What one plain fitting exposes, with the cheapest such fitting. */
function nextTo(node: number, index: SealingIndex): Map<number, ChainLink> {
  const found = new Map<number, { link: ChainLink; price: number }>();
  for (const bundle of index.bundlesFrom(node)) {
    const cheapest = bundle.simple ? cheapestOf(bundle) : undefined;
    if (cheapest && cheapest.price < (found.get(bundle.outNode)?.price ?? Infinity)) found.set(bundle.outNode, cheapest);
  }
  return new Map([...found].map(([at, { link }]) => [at, link]));
}

function cheapestOf({ passages }: Bundle): { link: ChainLink; price: number } {
  const { fitting, inEnd, outEnd } = passages.reduce((b, p) => ((p.fitting.priceMinor ?? 0) < (b.fitting.priceMinor ?? 0) ? p : b));
  return { link: { id: fitting.id, inEnd, outEnd }, price: fitting.priceMinor ?? 0 };
}

const WELDABLE: Readonly<Record<string, string>> = {
  aluminium: 'TIG-weld',
  steel: 'weld or braze',
  stainless: 'TIG-weld',
  brass: 'silver-solder',
};

/** Two straight parts of one metal, each with one of the wanted ends, to be cut and joined; the cheapest such pair. */
function shopMade(a: Connector, b: Connector, index: SealingIndex): ShopMade | undefined {
  const first = index.cheapestWith(index.node(a));
  const second = index.cheapestWith(index.node(b));
  const metal = Object.keys(WELDABLE).find((m) => first.has(m) && second.has(m) && second.get(m) !== first.get(m));
  if (!metal) return undefined;
  return {
    parts: [first.get(metal)!.id, second.get(metal)!.id],
    how: `Cut both behind the hex, bore through and ${WELDABLE[metal]} them into one.`,
    risk: 'A joint hidden in the part: it can crack or leak where nobody looks, and heat spoils seats and temper. Pressure-test it before it is fitted; not for fuel, and not where a failure starves the engine.',
  };
}

/** How unlike in size the two ends are: a part from a thread to its neighbour is likelier to be had than one across the whole range. */
function sizeGap(from: Connector, to: Connector): number {
  const major = (c: Connector): number => connectorThread(c)?.majorMm ?? 12;
  return Math.abs(Math.log(major(from) / major(to)));
}
