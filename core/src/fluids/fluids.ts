/** What runs in a line; services, constructions, compounds and sealants are told by it. */
export interface Fluid {
  readonly id: FluidId;
  readonly group: 'oil' | 'fuel' | 'coolant' | 'air' | 'brake fluid';
  /** What seals and hoses must bear where nothing else is known, °C. Common practice; the hottest place of the line counts. */
  readonly hotC: number;
  /** Why the app does not plan for it. */
  readonly refused?: string;
}

const table = [
  { id: 'engine oil', group: 'oil', hotC: 130 },
  { id: 'hot synthetic oil', group: 'oil', hotC: 150 },
  { id: 'petrol', group: 'fuel', hotC: 80 },
  { id: 'petrol with alcohol', group: 'fuel', hotC: 80 },
  { id: 'alcohol fuel', group: 'fuel', hotC: 80 },
  { id: 'diesel', group: 'fuel', hotC: 90 },
  { id: 'coolant', group: 'coolant', hotC: 110 },
  { id: 'air', group: 'air', hotC: 100 },
  { id: 'vacuum', group: 'air', hotC: 100 },
  {
    id: 'brake fluid',
    group: 'brake fluid',
    hotC: 150,
    refused: 'Brakes are out of scope: their lines are made and proved by those who are licensed for it.',
  },
] as const;

export type FluidId = (typeof table)[number]['id'];

/** Every fluid there is a word on. */
export const fluids: readonly Fluid[] = table;
export const fluidIds = table.map((fluid) => fluid.id);

/** The fluid with this id. @throws {RangeError} */
export function fluidById(id: string): Fluid {
  const found = fluids.find((fluid) => fluid.id === id);
  if (!found) throw new RangeError(`No fluid "${id}"`);
  return found;
}
