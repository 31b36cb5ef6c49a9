import type { UnitSystem } from '@gewinde/core';
import type { Choice } from '../shared/choice-field';

/** Heights to choose from, m. */
const ALTITUDES = [500, 1000, 1500, 2000, 2500, 3000, 3500, 4000];

/** Where the engine is driven, above the sea, in the units of the house. */
export function altitudeChoices(system: UnitSystem, none: string): Choice<number | null>[] {
  const words = (m: number): string => (system === 'metric' ? `${m} m` : `${Math.round(m / 0.3048 / 100) * 100} ft`);
  return [{ value: null, name: none }, ...ALTITUDES.map((m) => ({ value: m, name: words(m) }))];
}
