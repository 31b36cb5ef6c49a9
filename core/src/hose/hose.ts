import { fluidById, type FluidId } from '../fluids/index.js';
import { formatDash, formatQuantity, quantity, type QuantityKind, type UnitSystem } from '../units/index.js';
import type { Hose as HoseRow, HoseEnd as EndRow } from './hose-schema.js';

export type { Hose, HoseEnd } from './hose-schema.js';

/** How a hose is built; a hose end fits one construction and one dash size, and no other. */
export interface Construction {
  readonly id: string;
  readonly name: string;
  /**
   * What goes on it: `olive`, `cutter`, `push-on` ends; `crimp` ends, which the supplier puts on; a `clamp` over the cut hose itself; or an
   * end `formed` from the tube itself, a flare with its nut or a bead.
   */
  readonly endStyle: 'olive' | 'cutter' | 'push-on' | 'crimp' | 'clamp' | 'formed';
  /** What it is made for; all else it is not. */
  readonly fluids: readonly FluidId[];
  /** How many times the friction of a smooth bore it has; once where it is not said. */
  readonly frictionTimes?: number;
  /** Why a shop takes it, and why another does not. */
  readonly school: string;
}

const FUELS: readonly FluidId[] = ['petrol', 'petrol with alcohol', 'E85', 'ethanol', 'methanol', 'alcohol fuel', 'diesel'];

export const constructions: readonly Construction[] = [
  {
    id: 'ptfe',
    name: 'PTFE core, steel braid',
    endStyle: 'olive',
    fluids: ['engine oil', 'hot synthetic oil', ...FUELS, 'coolant', 'air', 'vacuum'],
    school: 'Heat, long life and small outside; stiff, and a kink is permanent; ends cost more. For fuel with a conductive core only.',
  },
  {
    id: 'rubber',
    name: 'AN rubber core, steel braid',
    endStyle: 'cutter',
    fluids: ['engine oil', 'coolant', 'air'],
    school: `Easy making, it forgives and bends tighter than PTFE; thicker, ages, sweats fuel vapour. Oil to about ${quantity(150, '°C')}: the maker's print goes first.`,
  },
  {
    id: 'truck',
    name: 'truck rubber, wire braid, textile cover',
    endStyle: 'cutter',
    fluids: ['engine oil', 'diesel', 'coolant', 'air'],
    school: `SAE J517 100R5: much pressure and small bores, and no more than ${quantity(100, '°C')}. Its own ends: those for AN hose do not go on.`,
  },
  {
    id: 'pushon',
    name: 'push-on rubber',
    endStyle: 'push-on',
    fluids: ['engine oil', 'coolant', 'air'],
    school: `Quick and light for drains, returns and breathers; no clamp, low pressure only. For hot oil to ${quantity(150, '°C')}, the plain class 100R6 to ${quantity(100, '°C')}: read the print.`,
  },
  {
    id: 'coolant',
    name: 'coolant rubber',
    endStyle: 'clamp',
    fluids: ['coolant'],
    school: 'Cheap and known; never oil, nor air that carries oil.',
  },
  {
    id: 'oil',
    name: 'oil rubber, textile braid',
    endStyle: 'clamp',
    fluids: ['engine oil', 'diesel', 'air', 'vacuum'],
    school: 'Breathers, drains and returns over a barb or bead, in every bore; a clamp holds no pressure line.',
  },
  {
    id: 'silicone',
    name: 'coolant silicone, 3 ply',
    endStyle: 'clamp',
    fluids: ['coolant', 'air'],
    school: 'Heat and looks; oil softens it, and it sweats a little.',
  },
  {
    id: 'charge',
    name: 'charge-air silicone, 4 ply',
    endStyle: 'clamp',
    fluids: ['air'],
    school: 'Boost between beaded pipes with band clamps; wiped dry before it is fitted.',
  },
  {
    id: 'fuel',
    name: 'fuel rubber',
    endStyle: 'clamp',
    fluids: ['petrol', 'petrol with alcohol', 'E85', 'diesel', 'engine oil', 'air'],
    school: `SAE J30 R9: ${quantity('6.9', 'bar')} (${quantity('3.4', 'bar')} from -8 up) and ${quantity(150, '°C')}. The carburettor class R7, ${quantity('3.4', 'bar')} and ${quantity(125, '°C')}, is another hose: read the print on it.`,
  },
  {
    id: 'booster',
    name: 'brake booster rubber, reinforced',
    endStyle: 'clamp',
    fluids: ['air', 'vacuum'],
    school:
      'SAE J1403: stiff enough for a whole vacuum, and it bears the fuel vapour of a manifold. Never under the size of the booster and its valve.',
  },
  {
    id: 'vacuum',
    name: 'vacuum silicone',
    endStyle: 'clamp',
    fluids: ['air', 'vacuum'],
    school: 'Boost reference and vacuum signals; oil and fuel soften it, and no brake booster hangs on it.',
  },
  {
    id: 'crimped',
    name: 'rubber, wire braid, crimped ends',
    endStyle: 'crimp',
    fluids: ['engine oil', 'diesel', 'coolant', 'air'],
    school: 'Made up by the supplier to length, pressed for good: strong and cheap, and not to be shortened or repaired in the shop.',
  },
  {
    id: 'crimped-ptfe',
    name: 'PTFE core, steel braid, crimped ends',
    endStyle: 'crimp',
    fluids: ['engine oil', 'hot synthetic oil', ...FUELS, 'coolant', 'air', 'vacuum'],
    school: 'As PTFE with reusable ends, lighter and smaller; the supplier needs length and clocking before he presses.',
  },
  {
    id: 'convoluted-ptfe',
    name: 'PTFE core, convoluted, steel braid',
    endStyle: 'crimp',
    fluids: ['engine oil', 'hot synthetic oil', ...FUELS, 'coolant', 'air', 'vacuum'],
    // common practice, from memory: two to four times that of a smooth bore
    frictionTimes: 3,
    school:
      'Bends like rubber and bears heat like PTFE. Its folds take two to four times the pressure of a smooth bore, reckoned with three, and hold dirt and old oil; ends are pressed on.',
  },
  {
    id: 'steel-tube',
    name: 'steel tube',
    endStyle: 'formed',
    fluids: ['engine oil', 'hot synthetic oil', 'petrol', 'petrol with alcohol', 'diesel', 'air', 'vacuum'],
    school: 'Hard line: stiff, cool, lasts; flexes nowhere, so a hose must take up what moves. Coated, or it rusts.',
  },
  {
    id: 'aluminium-tube',
    name: 'aluminium tube',
    endStyle: 'formed',
    fluids: ['engine oil', 'hot synthetic oil', 'petrol', 'petrol with alcohol', 'diesel', 'coolant', 'air', 'vacuum'],
    school: 'Hard line: light and easily bent; cracks where it vibrates, and no alcohol fuel.',
  },
  {
    id: 'copper-nickel-tube',
    name: 'copper-nickel tube',
    endStyle: 'formed',
    fluids: ['engine oil', 'petrol', 'petrol with alcohol', 'diesel', 'coolant', 'air', 'vacuum'],
    school: 'Hard line: bends by hand and does not rust; softer than steel, and heavier.',
  },
];

/**
 * Why a hose will not do for what runs in it; undefined where it will. Fuel that runs charges a plain PTFE core until it pinholes and burns:
 * SAE J517 100R14 type B has one that carries the charge off.
 */
export function fluidProblem({ construction, core }: Pick<HoseRow, 'construction' | 'core'>, fluid: FluidId): string | undefined {
  const { name, fluids } = constructionById(construction);
  if (!fluids.includes(fluid)) return `${name} is not made for ${fluid}`;
  if (construction.endsWith('ptfe') && fluidById(fluid).group === 'fuel' && core !== 'conductive')
    return 'its plain core is charged by fuel that runs, pinholes and burns: take one with a conductive core (100R14 type B)';
  return undefined;
}

/** Its size as it is called: `-6`, or `16 mm` where it is made to a metric bore. */
export function hoseSize({ dash, metricMm }: Pick<HoseRow, 'dash' | 'metricMm'>): string {
  return metricMm === undefined ? formatDash(dash) : `${metricMm} mm`;
}

/** The end of a hose that is the cut hose itself, to be clamped over a barb or bead. */
export function isCutEnd({ connector: { family, gender } }: Pick<EndRow, 'connector'>): boolean {
  return family === 'barb' && gender === 'female';
}

/** An end is another part than its hose, and the two make a joint: neither the cut hose itself, nor a flare formed from its tube. */
export function joinsHose(end: Pick<EndRow, 'connector' | 'construction'>): boolean {
  return !isCutEnd(end) && constructionById(end.construction).endStyle !== 'formed';
}

/** An end goes on a hose: made for its construction and its size. */
export function sameSize(a: Pick<HoseRow, 'dash' | 'metricMm'>, b: Pick<HoseRow, 'dash' | 'metricMm'>): boolean {
  return a.dash === b.dash && a.metricMm === b.metricMm;
}

/** The construction with this id. @throws {RangeError} */
export function constructionById(id: string): Construction {
  const found = constructions.find((c) => c.id === id);
  if (!found) throw new RangeError(`No hose construction "${id}"`);
  return found;
}

/** What a hose bears, in a line: `up to 55 bar, −54 to 204 °C, bends at 165 mm`. */
export function hoseLimits({ workingBar, minTempC, maxTempC, bendRadiusMm }: HoseRow, system: UnitSystem = 'metric'): string {
  const shown = (value: number, kind: QuantityKind, toward: 'down' | 'up', bare = false): string =>
    formatQuantity(value, kind, system, { toward, bare });
  const heat = `${shown(minTempC, 'temperature', 'up', true)} to ${shown(maxTempC, 'temperature', 'down')}`;
  return `up to ${shown(workingBar, 'pressure', 'down')}, ${heat}, bends at ${formatQuantity(bendRadiusMm, 'length', system, { up: true })}`;
}
