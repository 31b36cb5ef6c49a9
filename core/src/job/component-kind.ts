import { kindOf, type Fitting, type FittingKindId } from '../fittings/index.js';
import type { ComponentKind } from './job-schema.js';

const KINDS: Partial<Record<FittingKindId, ComponentKind>> = {
  plate: 'plate',
  spacer: 'plate',
  thermostat: 'thermostat',
  'filter head': 'filter head',
  'spin-on filter': 'filter',
  canister: 'filter',
  filter: 'filter',
  cooler: 'cooler',
  'heat exchanger': 'cooler',
  valve: 'valve',
  'check valve': 'valve',
  tank: 'tank',
};

/** What kind of component a part makes in the survey. */
export function componentKindOf(part: Fitting): ComponentKind {
  return KINDS[kindOf(part)] ?? 'other';
}
