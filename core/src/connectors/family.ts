import type { Family } from './families/family-entry.js';
import { hoseFamilies } from './families/hose-families.js';
import { inchFamilies } from './families/inch-families.js';
import { metricFamilies } from './families/metric-families.js';
import { pipeFamilies } from './families/pipe-families.js';
import { wrappingFamilies } from './families/wrapping-families.js';

export type { EndShape, Family, SizeKind } from './families/family-entry.js';

/** Every connector family of the trade. */
export const families: readonly Family[] = [...inchFamilies, ...pipeFamilies, ...metricFamilies, ...hoseFamilies, ...wrappingFamilies];

const byId = new Map(families.map((f) => [f.id, f]));

/** The family with this id. @throws {RangeError} */
export function familyById(id: string): Family {
  const found = byId.get(id);
  if (!found) throw new RangeError(`No connector family "${id}"`);
  return found;
}

/** The seats a connector of this family, size and gender may be said to have. */
export function seatsFor(family: Family, size: string, gender: 'male' | 'female'): readonly string[] {
  const seats = family.seatsOf?.(size) ?? family.seats;
  return family.id === 'orb' && gender === 'female' ? seats.filter((seat) => seat !== 'adjustable') : seats;
}
