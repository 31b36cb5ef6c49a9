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
  { id: 'cooler', name: 'Cooler', fluid: 'engine oil', advice: 'Blow the cooler and both hoses out before they are joined.' },
  { id: 'suction', name: 'Suction', fluid: 'engine oil', advice: 'Short, wide, no tight bend; the hose must hold against collapse.' },
  {
    id: 'return',
    name: 'Return',
    fluid: 'engine oil',
    advice: 'Wide enough that nothing backs up; above the level where it runs by gravity.',
  },
  { id: 'breather', name: 'Breather', fluid: 'engine oil', advice: 'Rises to the catch tank; no low place where oil can stand.' },
  {
    id: 'coolant',
    name: 'Coolant',
    fluid: 'coolant',
    advice: 'No high place that holds air without a bleed.',
    caution: 'Hot coolant under pressure scalds: open only when cold.',
  },
  {
    id: 'fuel',
    name: 'Fuel',
    fluid: 'petrol',
    advice: 'Hose rated for the fuel in hand; away from heat, sparks and sharp edges.',
    caution: "Fuel burns: cool engine, no flame, extinguisher in reach. Keep to the maker's instructions and the rules where you are.",
  },
  { id: 'vacuum', name: 'Vacuum', fluid: 'vacuum', advice: 'Wall stiff enough not to fold; dry.' },
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
