import { faceFamily } from './families/face-family.js';
import type { Family } from './families/family-entry.js';
import { hoseFamilies } from './families/hose-families.js';
import { inchFamilies } from './families/inch-families.js';
import { metricFamilies } from './families/metric-families.js';
import { pipeFamilies } from './families/pipe-families.js';
import { tubeFamilies } from './families/tube-families.js';
import { wrappingFamilies } from './families/wrapping-families.js';

export type { EndShape, Family, SizeKind } from './families/family-entry.js';

/** Every connector family of the trade. */
export const families: readonly Family[] = [
  ...inchFamilies,
  ...pipeFamilies,
  ...metricFamilies,
  ...hoseFamilies,
  ...tubeFamilies,
  faceFamily,
  ...wrappingFamilies,
];

const byId = new Map(families.map((f) => [f.id, f]));

/** The family with this id. @throws {RangeError} */
export function familyById(id: string): Family {
  const found = byId.get(id);
  if (!found) throw new RangeError(`No connector family "${id}"`);
  return found;
}

/** The seats a connector of this family, size and gender may be said to have; where it has a land, any land besides. */
export function seatsFor(family: Family, size: string, gender: 'male' | 'female'): readonly string[] {
  return family.seatsOf?.(size, gender) ?? family.seats;
}

/** Whether an end of this gender may turn: a nut on its cone, or a male in its own body. */
export function turns({ maySwivel, maleTurns }: Family, gender: 'male' | 'female'): boolean {
  return gender === 'female' ? maySwivel : maleTurns === true;
}

/** Whether the family is made in this size. */
export function hasSize(family: Family, size: string): boolean {
  return family.sizes.includes(size) || (family.makes?.(size) ?? false);
}
