import type { LineFlow } from '../job/index.js';
import { flowAtLoss } from './find-flow.js';
import type { Stream } from './line-loss.js';
import { dischargeCoefficient, restrictorFor } from './orifice.js';
import { dynamicBar, reynoldsNumber, velocity } from './pressure-loss.js';
import { FlowFigureError } from './viscosity.js';

export type Bearing = NonNullable<LineFlow['bearing']>;

/** What a turbo takes. Common practice, the maker's figures go first. */
export interface TurboNeed {
  readonly name: string;
  /** Hot, at most revs, L/min. */
  readonly lpm: readonly [least: number, most: number];
  /** A hole that passes what its bearings pass, mm. */
  readonly likeHoleMm: number;
  /** Bore of the restrictor it usually has, mm; none where it needs none. */
  readonly usualRestrictorMm?: readonly [least: number, most: number];
  readonly source: string;
}

export const turboNeeds: Readonly<Record<Bearing, TurboNeed>> = {
  ball: {
    name: 'ball bearings',
    lpm: [0.5, 1],
    likeHoleMm: 1.3,
    usualRestrictorMm: [0.9, 1],
    source: "common practice: 0.5 to 1 L/min, a restrictor of 0.9 to 1.0 mm; the turbo maker's figure goes first",
  },
  journal: {
    name: 'journal bearings',
    lpm: [1.5, 4],
    likeHoleMm: 2,
    source: "common practice: 1.5 to 4 L/min, no restrictor or 1.5 to 2 mm; the turbo maker's figure goes first",
  },
};

/** What a drilled hole takes, bar. */
export function holeLossBar(boreMm: number, { flowLpm, viscosityCst, densityKgM3 }: Stream): number {
  const v = velocity(flowLpm, boreMm);
  return v > 0 ? dynamicBar(v, densityKgM3) / dischargeCoefficient(reynoldsNumber(v, boreMm, viscosityCst)) ** 2 : 0;
}

type Fluid = Omit<Stream, 'flowLpm'>;

/**
 * The restrictor that lets a turbo have a flow at a pressure of the gallery, once the line and the bearings have taken theirs, mm.
 * @param lineLossBar what the line takes at that flow
 * @throws {FlowFigureError} where the flow does not come even without one
 */
export function restrictorForTurbo(bearing: Bearing, flowLpm: number, galleryBar: number, lineLossBar: number, fluid: Fluid): number {
  const left = galleryBar - lineLossBar - holeLossBar(turboNeeds[bearing].likeHoleMm, { ...fluid, flowLpm });
  if (!(left > 0))
    throw new FlowFigureError(
      `${flowLpm} L/min do not come at ${galleryBar} bar, even without a restrictor.`,
      'Take a wider line, or ask for less.',
    );
  return restrictorFor(flowLpm, { ...fluid, dropBar: left });
}

/** What a row of holes one behind the other passes at a pressure, L/min. */
export function flowThroughHoles(boresMm: readonly number[], dropBar: number, fluid: Fluid): number {
  return flowAtLoss((flowLpm) => boresMm.reduce((sum, bore) => sum + holeLossBar(bore, { ...fluid, flowLpm }), 0), dropBar);
}
