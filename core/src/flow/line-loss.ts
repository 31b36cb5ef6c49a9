import type { AssembledLine } from '../lines/index.js';
import { pathOf, type Passed } from './flow-path.js';
import { frictionFactor, regimeOf, type Regime } from './friction.js';
import { dischargeCoefficient } from './orifice.js';
import { dynamicBar, reynoldsNumber, SMOOTH_MM, velocity } from './pressure-loss.js';
import { lossCoefficient, stepCoefficient } from './two-k.js';
import { FlowFigureError } from './viscosity.js';

/** What runs, in one state. */
export interface Stream {
  readonly flowLpm: number;
  readonly viscosityCst: number;
  readonly densityKgM3: number;
}

/** Something that the flow passes, with what it takes. */
export interface LossElement {
  readonly name: string;
  readonly kind: Passed['kind'];
  readonly way?: number;
  readonly piece?: string;
  readonly boreMm: number;
  readonly lengthMm: number;
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
  /** Restrictors left out: it is made to be fast in them. */
  readonly fastestMs: number;
  /** Parts whose way through is not known: what they take is not in the sum. */
  readonly unknown: readonly string[];
}

/**
 * Loss of a whole line from port A to port B: every hose, hose end and fitting in its own bore, with bends and branches by two-K, steps in
 * bore, entrance and exit. Undefined while a way, an end or a length is open.
 * @throws {FlowFigureError} for a flow that is none
 */
export function lineLoss(line: AssembledLine, stream: Stream): LineLoss | undefined {
  if (!(stream.flowLpm > 0)) throw new FlowFigureError('Without flow there is no loss.', 'Say how much runs, in litres a minute.');
  const path = pathOf(line);
  return path && lossAlong(path.passed, stream, path.unknown);
}

/** The same of a path that is not empty. */
export function lossAlong(passed: readonly Passed[], stream: Stream, unknown: readonly string[] = []): LineLoss {
  const elements = passed.map((one, i): LossElement => {
    const velocityMs = velocity(stream.flowLpm, one.boreMm);
    const reynolds = reynoldsNumber(velocityMs, one.boreMm, stream.viscosityCst);
    const { name, kind, way, piece, boreMm, lengthMm } = one;
    const place = way === undefined ? (piece === undefined ? {} : { piece }) : { way };
    return {
      name,
      kind,
      ...place,
      boreMm,
      lengthMm,
      velocityMs,
      reynolds,
      regime: regimeOf(reynolds),
      lossBar: lossIn(one, passed[i - 1], stream),
    };
  });
  return {
    elements,
    lossBar: elements.reduce((sum, e) => sum + e.lossBar, 0),
    worst: elements.reduce((a, b) => (b.lossBar > a.lossBar ? b : a)),
    leastBoreMm: Math.min(...passed.map((p) => p.boreMm)),
    fastestMs: Math.max(0, ...elements.filter((e) => e.kind !== 'restrictor').map((e) => e.velocityMs)),
    unknown,
  };
}

/** The sum alone, bar: what is asked for thousands of times while a flow is looked for. */
export function lossBarAlong(passed: readonly Passed[], stream: Stream): number {
  let sum = 0;
  for (let i = 0; i < passed.length; i++) sum += lossIn(passed[i]!, passed[i - 1], stream);
  return sum;
}

function lossIn(one: Passed, before: Passed | undefined, { flowLpm, viscosityCst, densityKgM3 }: Stream): number {
  if (!(flowLpm > 0)) return 0;
  const { boreMm, lengthMm, turns, frictionTimes = 1 } = one;
  const v = velocity(flowLpm, boreMm);
  const dynamic = dynamicBar(v, densityKgM3);
  const reynolds = reynoldsNumber(v, boreMm, viscosityCst);
  // a short drilled hole: Δp = ½·ρ·(v/C)²
  if (one.kind === 'restrictor') return dynamic / dischargeCoefficient(reynolds) ** 2;
  let k = lengthMm > 0 ? frictionTimes * frictionFactor(reynolds, Math.min(0.1, SMOOTH_MM / boreMm)) * (lengthMm / boreMm) : 0;
  for (const turn of turns) k += lossCoefficient(turn, reynolds, boreMm);
  if (!before || before.kind === 'restrictor' || before.boreMm === boreMm) return k * dynamic;
  // a step is reckoned on the narrower of the two
  const narrow = dynamicBar(velocity(flowLpm, Math.min(boreMm, before.boreMm)), densityKgM3);
  return k * dynamic + stepCoefficient(before.boreMm, boreMm) * narrow;
}
