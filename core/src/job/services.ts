import type { FluidId } from '../fluids/index.js';
import type { ServiceId } from './line-schema.js';

export interface Service {
  readonly id: ServiceId;
  readonly name: string;
  /** What it carries, where the line does not say another. */
  readonly fluid: FluidId;
  /** What to keep in mind when planning it; common practice. */
  readonly advice: string;
  /** Where the work can hurt; shown with the line. */
  readonly caution?: string;
}

const FUEL = "Fuel burns: cool engine, no flame, extinguisher in reach. Keep to the maker's instructions and the rules where you are.";

/** What a line may be for. */
export const services: readonly Service[] = [
  {
    id: 'turbo-feed',
    name: 'Turbo feed',
    fluid: 'engine oil',
    advice: 'Restrictor and filter as the turbo maker says; no loose sealant before a turbo.',
  },
  {
    id: 'turbo-drain',
    name: 'Turbo drain',
    fluid: 'engine oil',
    advice: 'Falls all the way, -10 or larger, enters above the oil level, no restriction.',
  },
  {
    id: 'scavenge',
    name: 'Scavenge',
    fluid: 'engine oil',
    advice: 'Short and wide: it carries as much air as oil, and the hose must hold against collapse.',
  },
  { id: 'suction', name: 'Suction', fluid: 'engine oil', advice: 'Short, wide, no tight bend; the hose must hold against collapse.' },
  {
    id: 'pressure',
    name: 'Pressure line',
    fluid: 'engine oil',
    advice: 'Bears what the relief valve lets through at a cold start, not what the gauge shows hot.',
  },
  { id: 'cooler', name: 'Cooler', fluid: 'engine oil', advice: 'Blow the cooler and both hoses out before they are joined.' },
  {
    id: 'cooler-back',
    name: 'Cooler, back',
    fluid: 'engine oil',
    advice: 'As wide as the way out; marked, so that the two are not crossed.',
  },
  {
    id: 'filter',
    name: 'Remote filter',
    fluid: 'engine oil',
    advice: 'The whole flow passes it: as wide as the ports, and in and out as the head says.',
  },
  {
    id: 'bypass-feed',
    name: 'Bypass filter feed',
    fluid: 'engine oil',
    advice: 'Its orifice sets how much is taken from the gallery: before the filter, and never opened up.',
  },
  {
    id: 'bypass-return',
    name: 'Bypass filter return',
    fluid: 'engine oil',
    advice: 'Falls to the pan above the level; nothing in it that shuts.',
  },
  {
    id: 'return',
    name: 'Return',
    fluid: 'engine oil',
    advice: 'Wide enough that nothing backs up; above the level where it runs by gravity.',
  },
  { id: 'tank', name: 'Tank', fluid: 'engine oil', advice: 'Into the tank above the level and along its wall; out at its lowest.' },
  { id: 'breather', name: 'Breather', fluid: 'engine oil', advice: 'Rises to the catch tank; no low place where oil can stand.' },
  {
    id: 'gauge',
    name: 'Gauge line',
    fluid: 'engine oil',
    advice: 'Nothing runs in it, and all of the pressure stands in it: a small bore or a restrictor at the block loses least if it breaks.',
  },
  {
    id: 'sample',
    name: 'Oil sample',
    fluid: 'engine oil',
    advice: 'Taken warm and running, from a live line; capped when it is not used.',
  },
  {
    id: 'coolant',
    name: 'Coolant',
    fluid: 'coolant',
    advice: 'No high place that holds air without a bleed.',
    caution: 'Hot coolant under pressure scalds: open only when cold.',
  },
  {
    id: 'coolant-return',
    name: 'Coolant return',
    fluid: 'coolant',
    advice: 'Rises from the turbo all the way, so that it goes on cooling by itself after the stop.',
    caution: 'Hot coolant under pressure scalds: open only when cold.',
  },
  {
    id: 'heater',
    name: 'Heater',
    fluid: 'coolant',
    advice: 'In from the hot side, back to the pump; bleed at the highest place.',
    caution: 'Hot coolant under pressure scalds: open only when cold.',
  },
  {
    id: 'fuel',
    name: 'Fuel',
    fluid: 'petrol',
    advice: 'Hose rated for the fuel in hand; away from heat, sparks and sharp edges.',
    caution: FUEL,
  },
  {
    id: 'fuel-return',
    name: 'Fuel return',
    fluid: 'petrol',
    advice: 'Wide enough that the regulator does not see it; below the level in the tank.',
    caution: FUEL,
  },
  {
    id: 'fuel-vapour',
    name: 'Fuel vapour',
    fluid: 'petrol',
    advice: 'Rises from the tank; with its roll-over valve, to the canister and not to the air.',
    caution: FUEL,
  },
  { id: 'vacuum', name: 'Vacuum', fluid: 'vacuum', advice: 'Wall stiff enough not to fold; dry.' },
  {
    id: 'boost',
    name: 'Boost reference',
    fluid: 'air',
    advice: 'Short, small, from a place with steady pressure; tied on, for it is pushed off by boost.',
  },
  {
    id: 'brake-booster',
    name: 'Brake booster',
    fluid: 'vacuum',
    advice: 'A stiff hose with its check valve, which lets air pass from the booster only.',
    caution: 'The brakes hang on this vacuum. Only the vacuum hose is planned here: brakes are for those licensed for it.',
  },
  {
    id: 'charge-air',
    name: 'Charge air',
    fluid: 'air',
    advice: 'Over a bead on both pipes, wiped dry of oil, clamp behind the bead.',
    caution: 'A coupler that comes off under boost takes the power with it at once.',
  },
  { id: 'other', name: 'Other', fluid: 'engine oil', advice: 'Say in the note what it carries.' },
];

/** The service with this id. @throws {RangeError} */
export function serviceById(id: string): Service {
  const found = services.find((s) => s.id === id);
  if (!found) throw new RangeError(`No service "${id}"`);
  return found;
}

/** What a line carries: what it says, or what is usual for its service. */
export function fluidOf({ service, fluid }: { readonly service: ServiceId; readonly fluid?: FluidId | undefined }): FluidId {
  return fluid ?? serviceById(service).fluid;
}
