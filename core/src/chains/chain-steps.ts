import { endForm, familyById, shapeOf, type Connector } from '../connectors/index.js';
import { fittingKind, isClosing, isPlain, kindOf, leadsTo, lengthBetween, openEnds, turnBetween, type Fitting } from '../fittings/index.js';
import type { ChainQuery } from './chain.js';
import { ChainStates, type Transition } from './chain-states.js';
import { leadStep, ownCost, priceOnly } from './chain-weights.js';
import { ClosingEnds, LEFT_OPEN, type EndClosing } from './closing-ends.js';
import { RISK, type Bundle, type PassThrough, type SealingIndex } from './sealing-index.js';

/** One more fitting on the run, with what its open ends are given to. */
export interface ChainStep {
  readonly bundle: Bundle;
  readonly passage: PassThrough;
  /** One for each open end, in the order of the ends. */
  readonly closings: readonly EndClosing[];
  /** Its inner joint and those of its branches. */
  readonly joints: number;
  readonly cost: number;
  readonly lengthMm: number;
  readonly transition: Transition;
  /** What it is in substance: equal for two makes of one part. */
  readonly substance: string;
}

/** The steps that a query allows, worked out once and rid of those that another beats in every respect. */
export class ChainSteps {
  readonly states: ChainStates;
  private readonly known = new Map<string, readonly ChainStep[]>();
  private readonly closing: ClosingEnds;
  private readonly uses: readonly string[];
  private readonly avoid: ReadonlySet<string>;
  private readonly materials: readonly string[];
  /** One of the two is pushed in: else a push-in coupling is no way to join threads. */
  private readonly pushedIn: boolean;
  /** A hole through a wall is one of the two: what goes through it may be taken. */
  private readonly wall: boolean;

  constructor(
    private readonly query: ChainQuery,
    private readonly index: SealingIndex,
  ) {
    const { constraints = {}, takeOffs = [] } = query;
    this.uses = constraints.use ?? [];
    this.avoid = new Set(constraints.avoid ?? []);
    this.materials = constraints.materials ?? [];
    this.pushedIn = [query.from, query.to, ...takeOffs.map((t) => t.connector)].some((c) => ['spigot', 'coupling'].includes(shapeOf(c)));
    this.wall = [query.from, query.to].some((c) => shapeOf(c) === 'hole');
    this.states = new ChainStates({
      turn: constraints.turnDeg === undefined ? undefined : Math.round(constraints.turnDeg * 10),
      turns: [...new Set([...index.turns, ...turnsOfParts(query.fittings, this.uses)])],
      takeOffs: takeOffs.length,
      uses: this.uses.length,
      weights: this.weights,
    });
    this.closing = new ClosingEnds(
      index,
      takeOffs,
      (f) => this.mayServe(f) && (isPlain(f) || isClosing(f)),
      (f, inEnd, outEnd) => this.cost(f, inEnd, outEnd),
    );
  }

  private get weights() {
    return this.query.weights ?? priceOnly;
  }

  /** The steps through a bundle from an exposed connector on which its inner end seals. */
  through(bundle: Bundle, node: number): readonly ChainStep[] {
    const { connectors } = this.index;
    const aims = turnsFreely(connectors[node]!) || turnsFreely(connectors[bundle.inNode]!);
    const joint = this.jointCost(node, bundle.inNode);
    const at = `${bundle.id} ${Number(aims)} ${joint}`;
    let known = this.known.get(at);
    if (!known) this.known.set(at, (known = this.build(bundle, aims, joint)));
    return known;
  }

  /** What the joint of two connectors costs by the way it seals; one that only does at a risk stands behind every proper one. */
  jointCost(a: number, b: number): number {
    const { kind, risk } = this.index.mating(a, b);
    const { connectors } = this.index;
    return (
      (kind === 'taper' ? this.weights.sealantMinor : 0) +
      this.weights.boreMmMinor * ledgeMm(connectors[a]!, connectors[b]!) +
      (risk || (kind === 'push' && !this.pushedIn) ? RISK : 0)
    );
  }

  private build(bundle: Bundle, aims: boolean, joint: number): ChainStep[] {
    let best: ChainStep[] = [];
    const shortCounts = this.query.constraints?.mostStackMm !== undefined;
    const beats = (a: ChainStep, b: ChainStep): boolean =>
      a.transition === b.transition && a.substance === b.substance && a.cost <= b.cost && (!shortCounts || a.lengthMm <= b.lengthMm);
    for (const passage of bundle.passages) {
      if (!this.mayRun(passage)) continue;
      for (const step of this.stepsThrough(bundle, passage, aims, joint)) {
        if (best.some((rival) => beats(rival, step))) continue;
        best = [...best.filter((rival) => !beats(step, rival)), step];
      }
    }
    return best;
  }

  private *stepsThrough(bundle: Bundle, passage: PassThrough, aims: boolean, joint: number): Generator<ChainStep> {
    const { fitting, inEnd, outEnd } = passage;
    const own = joint + this.cost(fitting, inEnd, outEnd);
    const used = this.uses.indexOf(fitting.id);
    const one = this.query.distinct === 'every part' ? `${bundle.id}:${fitting.id}` : String(bundle.id);
    for (const closings of this.waysToClose(fitting, openEnds(fitting, inEnd, outEnd))) {
      const takes = closings.reduce((mask, c) => mask | (c.takeOff === undefined ? 0 : 1 << c.takeOff), 0);
      yield {
        bundle,
        passage,
        closings,
        joints: 1 + closings.reduce((sum, c) => sum + c.joints, 0),
        cost: own + closings.reduce((sum, c) => sum + c.cost, 0) + (this.isIdleTee(fitting, closings) ? RISK : 0),
        lengthMm: lengthBetween(fitting, inEnd, outEnd),
        transition: this.states.transition({ turn: bundle.turn, takes, uses: used === -1 ? 0 : 1 << used, aims, lead: leadStep(fitting) }),
        substance: one + closings.map((c) => `+${c.takeOff ?? (c.open ? 'line' : 'plug')}`).join(''),
      };
    }
  }

  /** A tee whose legs are all plugged, where nobody wants a branch: no adapter, as long as there is another way. */
  private isIdleTee(fitting: Fitting, closings: readonly EndClosing[]): boolean {
    return !fitting.body && closings.length > 0 && !this.uses.includes(fitting.id) && closings.every((c) => c.takeOff === undefined);
  }

  /** Every way to give each open end to a plug, another line or a take-off that no other end of the part has. */
  private waysToClose(fitting: Fitting, ends: readonly number[]): EndClosing[][] {
    return ends.reduce<EndClosing[][]>(
      (ways, end) =>
        ways.flatMap((way) =>
          this.closingsOn(fitting, end)
            .filter((c) => c.takeOff === undefined || way.every((w) => w.takeOff !== c.takeOff))
            .map((c) => [...way, c]),
        ),
      [[]],
    );
  }

  /** A port of a body is left for a line; a post is closed by its filter, where there is one. */
  private closingsOn(fitting: Fitting, end: number): readonly EndClosing[] {
    const connector = fitting.ends[end]!;
    const all = this.closing.of(this.index.node(connector));
    if (!fitting.body) return all;
    const served = all.filter((c) => c.takeOff !== undefined);
    const closed = familyById(connector.family).land ? all.filter((c) => c.takeOff === undefined) : [];
    return [...(closed.length > 0 ? closed : [LEFT_OPEN]), ...served];
  }

  private mayRun({ fitting, inEnd, outEnd }: PassThrough): boolean {
    const { constraints = {}, flow } = this.query;
    if (!this.mayServe(fitting)) return false;
    if (!isPlain(fitting) && !this.uses.includes(fitting.id) && !this.isOtherSide(fitting)) return false;
    if (constraints.leastBoreMm !== undefined && (fitting.boreMm ?? Infinity) < constraints.leastBoreMm) return false;
    return !flow || (flow === 'from-to' ? leadsTo(fitting, inEnd, outEnd) : leadsTo(fitting, outEnd, inEnd));
  }

  /** What belongs to one of the two that are joined: the bulkhead in its hole, the other half of a coupling. */
  private isOtherSide(fitting: Fitting): boolean {
    if (this.wall && fittingKind(kindOf(fitting)).throughWall) return true;
    return this.pushedIn && fitting.ends.length === 2 && fitting.ends.some((end) => familyById(end.family).comesApart);
  }

  private mayServe(fitting: Fitting): boolean {
    if (this.avoid.has(fitting.id)) return false;
    // what is to be used is to be used, whatever the metal of the rest
    return this.materials.length === 0 || this.materials.includes(fitting.material ?? '') || this.uses.includes(fitting.id);
  }

  private cost(fitting: Fitting, inEnd: number, outEnd: number): number {
    return ownCost(fitting, inEnd, outEnd, { ...this.query, weights: this.weights });
  }
}

/** Every turn that some parts can make, tenths of a degree. */
function turnsOfParts(fittings: readonly Fitting[], ids: readonly string[]): number[] {
  const parts = ids.length === 0 ? [] : fittings.filter((f) => ids.includes(f.id));
  return parts.flatMap((part) =>
    part.ends.flatMap((_, i) => part.ends.flatMap((__, j) => (i === j ? [] : [Math.round(turnBetween(part, i, j) * 10)]))),
  );
}

/** By how much two flanges that are bolted together differ in their bore, mm: a ledge in the flow. */
function ledgeMm(a: Connector, b: Connector): number {
  if (a.family !== 'flange' || b.family !== 'flange') return 0;
  return Math.abs(endForm(a).boreMm - endForm(b).boreMm);
}

/** A joint with this end can be turned to any direction before it is tight. */
export function turnsFreely(c: Connector): boolean {
  return c.swivel === true || c.seat === 'adjustable' || familyById(c.family).aims === true;
}
