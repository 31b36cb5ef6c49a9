import { bareConnector, connectorKey, endForm, sizeGroup, type Connector } from '../connectors/index.js';
import { isClosing, isPlain, joinsInside, kindOf, lengthBetween, turnBetween, type Fitting } from '../fittings/index.js';
import { mate, type Mating } from '../seals/index.js';
import { counterpart } from './counterpart.js';

/** Joints weigh more than any cost. */
export const JOINT = 1e10;
/** What a part passes of the bore of its end, where nothing else in it is narrower. */
const WHOLE_BORE = 0.95;
/** A joint that seals at a risk weighs as several proper ones. */
export const RISK = 4 * JOINT;

/** A way through a fitting: in at one end, out at another. */
export interface PassThrough {
  readonly fitting: Fitting;
  readonly inEnd: number;
  readonly outEnd: number;
}

/** All ways through that are the same in substance: from the same end to the same end, at the same angle, doing the same. */
export interface Bundle {
  readonly id: number;
  readonly inNode: number;
  readonly outNode: number;
  /** Tenths of a degree. */
  readonly turn: number;
  /** Two ends, and made to join only. */
  readonly simple: boolean;
  readonly shortestMm: number;
  readonly passages: readonly PassThrough[];
}

/**
 * Answers "what seals on this connector" for one catalogue. Connectors are numbered; only those of one size can seal, so each is tried
 * against the few of its size, once.
 */
export class SealingIndex {
  readonly connectors: Connector[] = [];
  /** Turns of what may stand in a chain unasked, tenths of a degree. */
  readonly turns: ReadonlySet<number>;
  private readonly nodes = new Map<string, number>();
  private readonly innerBySize = new Map<string, number[]>();
  private readonly outOf = new Map<number, Bundle[]>();
  private readonly into = new Map<number, Bundle[]>();
  private readonly closingParts = new Map<number, Fitting[]>();
  private readonly joined = new Set<number>();
  private readonly bundles: (readonly Bundle[] | undefined)[] = [];
  private readonly sealing: (readonly number[] | undefined)[] = [];
  private readonly inner: (readonly number[] | undefined)[] = [];
  private readonly cheapest = new Map<number, Map<string, Fitting>>();
  private readonly counterparts = new Map<number, Connector | undefined>();
  private readonly matings = new Map<number, Mating>();

  private readonly made = new Map<string, Bundle & { passages: PassThrough[]; shortestMm: number }>();
  /** Parts with a body: they stand in a chain only when they are asked for, and their many ways through are worked out then. */
  private readonly bodied = new Map<string, Fitting>();

  constructor(fittings: readonly Fitting[]) {
    for (const fitting of fittings) {
      if (fitting.retired) continue;
      const nodes = fitting.ends.map((end) => this.node(end));
      if (nodes.length === 1) {
        if (isClosing(fitting)) pushTo(this.closingParts, nodes[0]!, fitting);
        continue;
      }
      if (nodes.length === 2) this.joined.add(pairKey(nodes[0]!, nodes[1]!)).add(pairKey(nodes[1]!, nodes[0]!));
      if (nodes.length === 2 && !fitting.angleDeg && isPlain(fitting)) for (const node of nodes) this.noteCheapest(node, fitting);
      if (fitting.body) this.bodied.set(fitting.id, fitting);
      else this.addWays(fitting, nodes);
    }
    this.turns = new Set([...this.made.values()].filter((b) => isPlain(b.passages[0]!.fitting)).map((b) => b.turn));
    for (const [node, c] of this.connectors.entries()) pushTo(this.innerBySize, sizeGroup(bareConnector(c)), node);
  }

  /** Takes the ways through the parts that are asked for into account. */
  admit(ids: readonly string[]): void {
    for (const id of ids) {
      const fitting = this.bodied.get(id);
      if (!fitting) continue;
      this.bodied.delete(id);
      this.addWays(
        fitting,
        fitting.ends.map((end) => this.node(end)),
      );
      // what was gathered without them
      this.bundles.length = 0;
      this.inner.length = 0;
    }
  }

  private addWays(fitting: Fitting, nodes: readonly number[]): void {
    const doing = isPlain(fitting) ? fitting.ends.length : kindOf(fitting);
    for (const [inEnd, inNode] of nodes.entries())
      for (const [outEnd, outNode] of nodes.entries()) {
        const mirrored = inNode === outNode && inEnd > outEnd && !fitting.oneWay && !fitting.body;
        if (mirrored || !joinsInside(fitting, inEnd, outEnd)) continue;
        const turn = Math.round(turnBetween(fitting, inEnd, outEnd) * 10);
        const key = `${inNode}>${outNode}@${turn}#${doing}`;
        let bundle = this.made.get(key);
        if (!bundle) {
          bundle = { id: this.made.size, inNode, outNode, turn, simple: doing === 2, shortestMm: Infinity, passages: [] };
          this.made.set(key, bundle);
          pushTo(this.outOf, inNode, bundle);
          pushTo(this.into, outNode, bundle);
        }
        bundle.passages.push({ fitting, inEnd, outEnd });
        bundle.shortestMm = Math.min(bundle.shortestMm, lengthBetween(fitting, inEnd, outEnd));
      }
  }

  /** The number of a connector; one the catalogue does not have gets the next. */
  node(c: Connector): number {
    const key = connectorKey(c);
    let found = this.nodes.get(key);
    if (found === undefined) {
      found = this.connectors.push(c) - 1;
      this.nodes.set(key, found);
    }
    return found;
  }

  /** Ways through fittings whose inner end seals on the connector. */
  bundlesFrom(node: number): readonly Bundle[] {
    return (this.bundles[node] ??= this.partners(node).flatMap((partner) => this.outOf.get(partner) ?? []));
  }

  /** Plugs and caps that seal on the connector. */
  closingsOn(node: number): readonly Fitting[] {
    return this.partners(node).flatMap((partner) => this.closingParts.get(partner) ?? []);
  }

  /** Whether the catalogue has a two-ended part with these ends. */
  hasPart(a: Connector, b: Connector): boolean {
    return this.joined.has(pairKey(this.node(a), this.node(b)));
  }

  /** The usual connector that seals on this one. */
  counterpartOf(node: number): Connector | undefined {
    if (!this.counterparts.has(node)) this.counterparts.set(node, counterpart(this.connectors[node]!));
    return this.counterparts.get(node);
  }

  /**
   * For every connector of the catalogue, and `start`: the fewest fittings to one of the goals, up to the most, whatever is wished
   * besides. A bound, quickly found.
   */
  distancesTo(goals: number | readonly number[], start: number, most: number): Map<number, number> {
    const ends = typeof goals === 'number' ? [goals] : goals;
    const distance = new Map<number, number>();
    const tried = new Uint8Array(this.connectors.length);
    const reach = (from: number, count: number, found: number[]): void => {
      if (tried[from]) return;
      tried[from] = 1;
      const take = (node: number): void => {
        if (distance.has(node)) return;
        distance.set(node, count);
        found.push(node);
      };
      this.partners(from).forEach(take);
      if (this.seals(start, from)) take(start);
    };
    let front: number[] = [];
    for (const goal of ends) reach(goal, 0, front);
    // a goal may be met again, as the inner end of a fitting
    for (const goal of ends) tried[goal] = 0;
    for (let count = 1; count <= most && front.length > 0; count++) {
      const found: number[] = [];
      for (const node of front) for (const inner of this.innerEndsOf(node)) reach(inner, count, found);
      front = found;
    }
    return distance;
  }

  /** Two-ended straight plain parts with this end in its whole bore, the cheapest of each metal. */
  cheapestWith(node: number): ReadonlyMap<string, Fitting> {
    return this.cheapest.get(node) ?? new Map<string, Fitting>();
  }

  private noteCheapest(node: number, fitting: Fitting): void {
    // a throat further in would stay when two halves are made into one
    if ((fitting.boreMm ?? Infinity) < WHOLE_BORE * endForm(bareConnector(this.connectors[node]!)).boreMm) return;
    const metals = this.cheapest.get(node) ?? new Map<string, Fitting>();
    const known = metals.get(fitting.material ?? '');
    if (!known || (fitting.priceMinor ?? Infinity) < (known.priceMinor ?? Infinity)) metals.set(fitting.material ?? '', fitting);
    this.cheapest.set(node, metals);
  }

  /** Inner ends of the ways through that come out at this connector. */
  private innerEndsOf(node: number): readonly number[] {
    return (this.inner[node] ??= [...new Set((this.into.get(node) ?? []).map((bundle) => bundle.inNode))]);
  }

  seals(a: number, b: number): boolean {
    return this.mating(a, b).outcome === 'seals';
  }

  mating(a: number, b: number): Mating {
    const key = pairKey(a, b);
    let found = this.matings.get(key);
    if (!found) this.matings.set(key, (found = mate(this.connectors[a]!, this.connectors[b]!)));
    return found;
  }

  /** Connectors of the catalogue that seal on this one. */
  private partners(node: number): readonly number[] {
    const sameSize = this.innerBySize.get(sizeGroup(bareConnector(this.connectors[node]!))) ?? [];
    return (this.sealing[node] ??= sameSize.filter((partner) => this.seals(node, partner)));
  }
}

function pairKey(a: number, b: number): number {
  return a * 0x10000 + b;
}

function pushTo<K, T>(lists: Map<K, T[]>, key: K, item: T): void {
  const list = lists.get(key);
  if (list) list.push(item);
  else lists.set(key, [item]);
}

const indexes = new WeakMap<readonly Fitting[], SealingIndex>();

/** The index of a catalogue, kept as long as the catalogue array itself. */
export function sealingIndex(fittings: readonly Fitting[]): SealingIndex {
  let index = indexes.get(fittings);
  if (!index) indexes.set(fittings, (index = new SealingIndex(fittings)));
  return index;
}
