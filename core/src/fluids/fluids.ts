/** What runs in a line; services, constructions, compounds and sealants are told by it. */
export interface Fluid {
  readonly id: FluidId;
  readonly group: 'oil' | 'fuel' | 'coolant' | 'air' | 'brake fluid';
  /** What seals and hoses must bear where nothing else is known, °C. Common practice; the hottest place of the line counts. */
  readonly hotC: number;
  /** Why the app does not plan for it. */
  readonly refused?: string;
  /** Of a fuel: what full power burns, kg/kWh, the rich end of practice, and the air with it, kg/kg. Common practice. */
  readonly burnt?: { readonly kgPerKwh: number; readonly airKgPerKg: number };
  /** It may be one of several that differ in what they do to rings and lines: what to say instead. */
  readonly vague?: string;
}

const table = [
  { id: 'engine oil', group: 'oil', hotC: 130 },
  { id: 'hot synthetic oil', group: 'oil', hotC: 150 },
  { id: 'petrol', group: 'fuel', hotC: 80, burnt: { kgPerKwh: 0.32, airKgPerKg: 12 } },
  // what the pump sells: up to a tenth of alcohol, to a quarter in places
  { id: 'petrol with alcohol', group: 'fuel', hotC: 80, burnt: { kgPerKwh: 0.34, airKgPerKg: 11.5 } },
  { id: 'E85', group: 'fuel', hotC: 80, burnt: { kgPerKwh: 0.45, airKgPerKg: 8 } },
  { id: 'ethanol', group: 'fuel', hotC: 80, burnt: { kgPerKwh: 0.5, airKgPerKg: 7.3 } },
  { id: 'methanol', group: 'fuel', hotC: 80, burnt: { kgPerKwh: 0.75, airKgPerKg: 5.2 } },
  {
    id: 'alcohol fuel',
    group: 'fuel',
    hotC: 80,
    burnt: { kgPerKwh: 0.75, airKgPerKg: 5.2 },
    vague: 'Say which it is: E85, ethanol or methanol. Until then it is judged by whichever of them is the harder.',
  },
  { id: 'diesel', group: 'fuel', hotC: 90, burnt: { kgPerKwh: 0.25, airKgPerKg: 18 } },
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
