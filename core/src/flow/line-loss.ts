import { bareConnector, endForm } from '../connectors/index.js';
import { kindOf, lengthBetween, turnBetween, type Fitting } from '../fittings/index.js';
import type { AssembledLine, AssembledWay, KeyedFitting } from '../lines/index.js';
import { dynamicBar, pressureLoss, reynoldsNumber, velocity } from './pressure-loss.js';
import { regimeOf, type Regime } from './friction.js';
import { bendTwoK, lossCoefficient, stepCoefficient, twoK, type TwoK } from './two-k.js';
import { FlowFigureError } from './viscosity.js';

/** What runs through a line, in one state. */
export interface Running {
  readonly flowLpm: number;
  readonly viscosityCst: number;
  readonly densityKgM3: number;
}

/** Something that the flow passes, with what it takes. */
export interface LossElement {
  readonly name: string;
  readonly kind: 'mouth' | 'fitting' | 'hose end' | 'hose';
  readonly way?: number;
  readonly piece?: string;
  readonly boreMm: number;
  readonly velocityMs: number;
  readonly reynolds: number;
  readonly regime: Regime;
  /** Friction along it, its turn or branch, and the step in bore before it. */
  readonly lossBar: number;
}

export interface LineLoss {
  readonly elements: readonly LossElement[];
  readonly lossBar: number;
  /** The one that takes most. */
  readonly worst: LossElement;
  readonly leastBoreMm: number;
  readonly fastestMs: number;
  /** Parts whose way through is not known: what they take is not in the sum. */
  readonly unknown: readonly string[];
}

/** A stretch of one bore, before its figures. */
interface Passed {
  readonly name: string;
  readonly kind: LossElement['kind'];
  readonly way?: number;
  readonly piece?: string;
  readonly boreMm: number;
  readonly lengthMm: number;
  readonly turns: readonly TwoK[];
}

/**
 * Loss of a whole line from port A to port B: every hose, hose end and fitting in its own bore, with bends and branches by two-K, steps in
 * bore, entrance and exit. Undefined while a way, an end or a length is open.
 * @throws {FlowFigureError} for a flow that is none
 */
export function lineLoss(line: AssembledLine, running: Running): LineLoss | undefined {
  if (!(running.flowLpm > 0)) throw new FlowFigureError('Without flow there is no loss.', 'Say how much runs, in litres a minute.');
  const unknown: string[] = [];
  const passed = passedBy(line, unknown);
  if (!passed || passed.length === 0) return undefined;
  const elements = passed.map((one, i) => elementOf(one, passed[i - 1], running));
  const [first, last] = [passed[0]!, passed[passed.length - 1]!];
  const mouth = (name: string, at: Passed, k: TwoK): LossElement =>
    elementOf({ ...at, name, kind: 'mouth', lengthMm: 0, turns: [k] }, at, running);
  const all = [mouth('into the line', first, twoK.entrance), ...elements, mouth('out of the line', last, twoK.exit)];
  return {
    elements: all,
    lossBar: all.reduce((sum, e) => sum + e.lossBar, 0),
    worst: all.reduce((a, b) => (b.lossBar > a.lossBar ? b : a)),
    leastBoreMm: Math.min(...passed.map((p) => p.boreMm)),
    fastestMs: Math.max(...all.map((e) => e.velocityMs)),
    unknown,
  };
}

function passedBy({ ways, pieces }: AssembledLine, unknown: string[]): Passed[] | undefined {
  const list: Passed[] = [];
  for (const way of ways) {
    if (!way.fittings) return undefined;
    for (const placed of way.fittings) {
      const one = throughFitting(way, placed);
      if (one) list.push(one);
      else unknown.push(placed.fitting.name);
    }
    const assembled = pieces[way.at];
    if (!assembled) continue;
    const { piece, hose, endA, endB, cut } = assembled;
    if (!hose || !endA || !endB || !cut) return undefined;
    const at = { piece: piece.key };
    const end = (e: typeof endA): Passed => ({
      ...at,
      name: e.name,
      kind: 'hose end',
      boreMm: e.boreMm,
      lengthMm: Math.max(0, e.aMm) + e.bMm,
      turns: e.angleDeg > 0 ? [bendTwoK(e.angleDeg, e.bendRadiusMm === 0)] : [],
    });
    list.push(end(endA), { ...at, name: hose.name, kind: 'hose', boreMm: hose.boreMm, lengthMm: cut.cutMm, turns: [] }, end(endB));
  }
  return list;
}

/** A part with a body takes what only its maker knows. */
function throughFitting({ at }: AssembledWay, { fitting, inEnd, outEnd }: KeyedFitting): Passed | undefined {
  if (fitting.body) return undefined;
  const boreMm = fitting.boreMm ?? Math.min(...[inEnd, outEnd].map((end) => endForm(bareConnector(fitting.ends[end]!)).boreMm));
  return {
    name: fitting.name,
    kind: 'fitting',
    way: at,
    boreMm,
    lengthMm: lengthBetween(fitting, inEnd, outEnd),
    turns: turnsIn(fitting, inEnd, outEnd),
  };
}

function turnsIn(fitting: Fitting, inEnd: number, outEnd: number): TwoK[] {
  const kind = kindOf(fitting);
  const turn = turnBetween(fitting, inEnd, outEnd);
  if (kind === 'check valve') return [twoK['check valve, ball']];
  if (fitting.ends.length > 2) return [twoK[turn > 30 ? 'tee, into the branch' : 'tee, along the run']];
  return turn > 0 ? [bendTwoK(turn, true)] : [];
}

function elementOf(one: Passed, before: Passed | undefined, { flowLpm, viscosityCst, densityKgM3 }: Running): LossElement {
  const { boreMm, lengthMm, turns, name, kind, way, piece } = one;
  const velocityMs = velocity(flowLpm, boreMm);
  const reynolds = reynoldsNumber(velocityMs, boreMm, viscosityCst);
  const friction = lengthMm > 0 ? pressureLoss({ flowLpm, boreMm, lengthM: lengthMm / 1000, viscosityCst, densityKgM3 }).lossBar : 0;
  const turning = turns.reduce((sum, k) => sum + lossCoefficient(k, reynolds, boreMm), 0) * dynamicBar(velocityMs, densityKgM3);
  // a step is reckoned on the narrower of the two
  const narrow = before ? Math.min(boreMm, before.boreMm) : boreMm;
  const step = before ? stepCoefficient(before.boreMm, boreMm) * dynamicBar(velocity(flowLpm, narrow), densityKgM3) : 0;
  return {
    name,
    kind,
    ...(way === undefined ? {} : { way }),
    ...(piece === undefined ? {} : { piece }),
    boreMm,
    velocityMs,
    reynolds,
    regime: regimeOf(reynolds),
    lossBar: friction + turning + step,
  };
}
