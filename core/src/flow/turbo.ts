import type { LineFlow } from '../job/index.js';
import { flowAtLoss } from './find-flow.js';
import type { Passed } from './flow-path.js';
import { lossBarAlong, type Stream } from './line-loss.js';
import { dischargeCoefficient, restrictorFor } from './orifice.js';
import { dynamicBar, pressureLoss, reynoldsNumber, velocity } from './pressure-loss.js';
import { FlowFigureError } from './viscosity.js';
import { quantity } from '../units/index.js';

export type Bearing = NonNullable<LineFlow['bearing']>;

/** What a turbo takes. Common practice, the maker's figures go first. */
export interface TurboNeed {
  readonly name: string;
  /** Hot, at most revs, L/min. */
  readonly lpm: readonly [min: number, max: number];
  /** What its bearings are like to the oil: holes that feed them, and clearances that it creeps through. */
  readonly bearings: readonly Passed[];
  /** Bore of the restrictor it usually has, mm; none where it needs none. */
  readonly usualRestrictorMm?: readonly [min: number, max: number];
  readonly source: string;
}

/** Hot oil at most revs: what bearings are reckoned at. */
const DESIGN = { bar: 3, viscosityCst: 10, densityKgM3: 800 };
/** So wide that what runs through the clearances stays laminar. */
const CREEP_MM = 8;
/** Share of the pressure that hot oil leaves in the clearances: most of it where a shaft floats on its film, less where balls carry it. Common practice. */
const IN_CLEARANCES = { ball: 0.4, journal: 0.75 };

/**
 * Bearings that pass a flow at 3 bar of hot oil, through the holes that feed them and through their clearances, where the flow falls as the oil
 * thickens: cold, feed and drain thicken alike. Common practice.
 */
function bearingsFor(name: string, flowLpm: number, share: number): Passed[] {
  const { bar, ...fluid } = DESIGN;
  const inClearances = bar * share;
  const holeMm = restrictorFor(flowLpm, { ...fluid, dropBar: bar - inClearances });
  const barPerM = pressureLoss({ ...fluid, flowLpm, boreMm: CREEP_MM, lengthM: 1 }).lossBar;
  return [
    { name: `feed holes of ${name}`, kind: 'restrictor', boreMm: holeMm, lengthMm: 0, turns: [] },
    { name: `clearances of ${name}`, kind: 'component', boreMm: CREEP_MM, lengthMm: (inClearances / barPerM) * 1000, turns: [] },
  ];
}

export const turboNeeds: Readonly<Record<Bearing, TurboNeed>> = {
  ball: {
    name: 'ball bearings',
    lpm: [0.5, 1],
    bearings: bearingsFor('ball bearings', 1.3, IN_CLEARANCES.ball),
    usualRestrictorMm: [0.9, 1],
    source: `common practice: ${quantity('0.5', 'L/min', 1)}, a restrictor of ${quantity('0.9', 'mm', '1.0')}; the turbo maker's figure goes first`,
  },
  journal: {
    name: 'journal bearings',
    lpm: [1.5, 4],
    bearings: bearingsFor('journal bearings', 2.5, IN_CLEARANCES.journal),
    source: `common practice: ${quantity('1.5', 'L/min', 4)}, no restrictor or ${quantity('1.5', 'mm', 2)}; the turbo maker's figure goes first`,
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
  const left = galleryBar - lineLossBar - lossBarAlong(turboNeeds[bearing].bearings, { ...fluid, flowLpm });
  if (!(left > 0))
    throw new FlowFigureError(
      `${quantity(flowLpm, 'L/min')} do not come at ${quantity(galleryBar, 'bar')}, even without a restrictor.`,
      'Take a wider line, or ask for less.',
    );
  return restrictorFor(flowLpm, { ...fluid, dropBar: left });
}

/** What a row of holes one behind the other passes at a pressure, L/min. */
export function flowThroughHoles(boresMm: readonly number[], dropBar: number, fluid: Fluid): number {
  return flowAtLoss((flowLpm) => boresMm.reduce((sum, bore) => sum + holeLossBar(bore, { ...fluid, flowLpm }), 0), dropBar);
}
