import { frictionFactor } from './friction.js';
import { FlowFigureError } from './viscosity.js';

/** A drain that runs by its fall alone. */
export interface GravityDrain {
  readonly boreMm: number;
  /** From the outlet down to where it enters, mm. */
  readonly fallMm: number;
  /** Along the hose, mm. */
  readonly lengthMm: number;
  readonly viscosityCst: number;
  readonly densityKgM3: number;
  /** Share of the height of the bore that oil fills. Common practice: half. */
  readonly filling?: number;
  /** How many times its own volume the oil takes with its froth. Common practice: two to three. */
  readonly froth?: number;
  /** Bends, branches and mouths on the way, as K of the velocity. */
  readonly k?: number;
}

export interface DrainCapacity {
  /** Oil without its froth, L/min. */
  readonly oilLpm: number;
  readonly velocityMs: number;
  readonly reynolds: number;
  readonly laminar: boolean;
}

const GRAVITY = 9.80665;

/**
 * What a drain carries: the fall against friction in the part of the bore that is filled (on its hydraulic diameter) and against its bends.
 * @throws {FlowFigureError} for a drain that does not fall
 */
export function drainCapacity(d: GravityDrain): DrainCapacity {
  const { boreMm, fallMm, lengthMm, viscosityCst, filling = 0.5, froth = 2, k = 1.5 } = d;
  if (!(fallMm > 0)) throw new FlowFigureError('A drain that does not fall drains nothing.', 'Lead it down all the way, or pump it.');
  if (!(boreMm > 0 && lengthMm >= fallMm && viscosityCst > 0 && filling > 0 && filling <= 1 && froth >= 1))
    throw new FlowFigureError(
      'A drain needs a bore, a length no shorter than its fall, and an oil.',
      'Filling lies above 0 and up to 1; froth takes at least the volume of its oil.',
    );
  const { areaM2, hydraulicM } = wetted(boreMm / 1000, filling);
  const nu = viscosityCst * 1e-6;
  const head = GRAVITY * (fallMm / 1000);
  // the velocity at which friction and bends take the whole fall: they rise with it, so that halving finds it
  let [low, high] = [0, Math.sqrt(2 * head)];
  for (let i = 0; i < 80; i++) {
    const v = (low + high) / 2;
    const reynolds = Math.max(1e-9, (v * hydraulicM) / nu);
    const taken = (v ** 2 / 2) * (frictionFactor(reynolds, 0) * (lengthMm / 1000 / hydraulicM) + k);
    if (taken < head) low = v;
    else high = v;
  }
  const velocityMs = (low + high) / 2;
  const reynolds = (velocityMs * hydraulicM) / nu;
  return { oilLpm: (velocityMs * areaM2 * 60_000) / froth, velocityMs, reynolds, laminar: reynolds < 2000 };
}

/** Area and hydraulic diameter of a round bore that is filled to a share of its height. */
export function wetted(boreM: number, filling: number): { readonly areaM2: number; readonly hydraulicM: number } {
  const angle = 2 * Math.acos(1 - 2 * filling);
  const areaM2 = (boreM ** 2 / 8) * (angle - Math.sin(angle));
  return { areaM2, hydraulicM: (4 * areaM2) / ((boreM / 2) * angle) };
}
