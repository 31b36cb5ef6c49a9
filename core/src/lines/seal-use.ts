import { fluidById } from '../fluids/index.js';
import { fluidOf, type Job, type Line, type ServiceId } from '../job/index.js';
import type { SealantPlace } from '../seals/index.js';
import type { SealUse } from '../supplies/index.js';

/** What the seals of a line must bear; the cold start is the job's. */
export function sealUseOf(line: Line, { running }: Pick<Job, 'running'> = {}): SealUse {
  const fluid = fluidOf(line);
  const { group, hotC } = fluidById(fluid);
  const said = line.flow?.hottestC ?? (group === 'oil' ? running?.hottestC : undefined) ?? hotC;
  const coldC = running?.coldC;
  return { fluid, hotC: Math.max(hotC, said), place: placeOf(line.service), ...(coldC === undefined ? {} : { coldC }) };
}

function placeOf(service: ServiceId): SealantPlace {
  if (service === 'turbo-feed') return 'turbo feed';
  if (service.startsWith('fuel')) return 'fuel';
  return service.startsWith('coolant') || service === 'heater' ? 'coolant' : 'general';
}
