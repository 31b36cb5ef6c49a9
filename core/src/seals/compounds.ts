import type { FluidId } from '../fluids/index.js';

/** What a rubber may meet: `good`, `never`, or `short` for a while. */
export type Suits = 'good' | 'short' | 'never';

/** A compound of rings and bonded lips. */
export interface Compound {
  readonly id: string;
  readonly name: string;
  readonly minC: number;
  readonly maxC: number;
  readonly fluids: Readonly<Record<FluidId, Suits>>;
  readonly note: string;
}

const suits = (
  oil: Suits,
  hotOil: Suits,
  petrol: Suits,
  blend: Suits,
  e85: Suits,
  ethanol: Suits,
  methanol: Suits,
  diesel: Suits,
  coolant: Suits,
  brake: Suits,
): Record<FluidId, Suits> => ({
  'engine oil': oil,
  'hot synthetic oil': hotOil,
  petrol,
  'petrol with alcohol': blend,
  E85: e85,
  ethanol,
  methanol,
  'alcohol fuel': worst(e85, ethanol, methanol),
  diesel,
  coolant,
  'brake fluid': brake,
  air: 'good',
  vacuum: 'good',
});

/** What may be any of several is as hard on a rubber as the hardest of them. */
function worst(...all: Suits[]): Suits {
  const order: readonly Suits[] = ['good', 'short', 'never'];
  return order[Math.max(...all.map((one) => order.indexOf(one)))]!;
}

/**
 * Compounds with the temperatures they live at and the fluids they bear. Source: handbook ranges, from memory; the ring maker's
 * sheet goes first.
 */
export const compounds: readonly Compound[] = [
  {
    id: 'nbr',
    name: 'nitrile (NBR)',
    minC: -30,
    maxC: 110,
    fluids: suits('good', 'short', 'short', 'short', 'short', 'short', 'short', 'good', 'good', 'never'),
    note: 'Hardens in hot synthetic oil. Single use.',
  },
  {
    id: 'hnbr',
    name: 'hydrogenated nitrile (HNBR)',
    minC: -30,
    maxC: 150,
    fluids: suits('good', 'good', 'short', 'short', 'short', 'short', 'short', 'good', 'good', 'never'),
    note: 'Between nitrile and FKM in heat and price.',
  },
  {
    id: 'fkm',
    name: 'fluorocarbon (FKM)',
    minC: -20,
    maxC: 200,
    fluids: suits('good', 'good', 'good', 'good', 'good', 'good', 'never', 'good', 'short', 'never'),
    note: 'The ring for engine oil, heat and pump fuel, E85 as well; methanol swells the common grades. Stiff in deep cold.',
  },
  {
    id: 'epdm',
    name: 'ethylene propylene (EPDM)',
    minC: -45,
    maxC: 140,
    fluids: suits('never', 'never', 'never', 'never', 'never', 'good', 'good', 'never', 'good', 'good'),
    note: 'Never with oil or anything that holds petrol, E85 as well: it swells and comes apart. For coolant and neat alcohol.',
  },
  {
    id: 'vmq',
    name: 'silicone (VMQ)',
    minC: -55,
    maxC: 200,
    fluids: suits('short', 'never', 'never', 'never', 'never', 'short', 'short', 'short', 'good', 'never'),
    note: 'For air and coolant; tears easily.',
  },
  {
    id: 'fvmq',
    name: 'fluorosilicone (FVMQ)',
    minC: -60,
    maxC: 175,
    fluids: suits('good', 'good', 'good', 'good', 'good', 'good', 'good', 'good', 'short', 'never'),
    note: 'For fuel in the cold; still seats only, soft.',
  },
];

/** The compounds that bear a fluid at a temperature in °C, and at a cold start, those with the most heat to spare first. */
export function compoundsFor(fluid: FluidId, temperatureC: number, coldC = temperatureC): readonly Compound[] {
  return compounds
    .filter((c) => c.fluids[fluid] === 'good' && Math.min(coldC, temperatureC) >= c.minC && temperatureC <= c.maxC)
    .sort((a, b) => b.maxC - a.maxC);
}
