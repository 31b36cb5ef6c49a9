import { fluidById, type FluidId } from '../fluids/index.js';
import type { Fitting } from './fitting-schema.js';

/** What soft parts are made of, by the word of their maker, and the fluids they bear. Common practice. */
const SOFT: readonly { readonly made: RegExp; readonly bears: readonly FluidId[]; readonly why: string }[] = [
  {
    made: /fluoro/i,
    bears: ['engine oil', 'hot synthetic oil', 'petrol', 'petrol with alcohol', 'E85', 'diesel', 'air', 'vacuum'],
    why: '',
  },
  { made: /silicone/i, bears: ['coolant', 'air', 'vacuum'], why: 'oil and fuel soften silicone' },
  { made: /rubber|epdm/i, bears: ['coolant', 'air', 'vacuum'], why: 'it is coolant rubber: oil and fuel swell it' },
];

/** Made of metal, as far as its maker says: no part of it swells, softens or stiffens but its seals. */
export function isMetal({ material = '' }: Pick<Fitting, 'material'>): boolean {
  return !SOFT.some(({ made }) => made.test(material));
}

/** Why a part will not do for what runs in the line; undefined where it will. Metal bears all that is planned for. */
export function fittingFluidProblem({ material = '', name }: Pick<Fitting, 'material' | 'name'>, fluid: FluidId): string | undefined {
  const soft = SOFT.find(({ made }) => made.test(material));
  if (!soft || soft.bears.includes(fluid)) return undefined;
  return `${name} is not made for ${fluid}${soft.why && fluidById(fluid).group !== 'coolant' ? `: ${soft.why}` : ''}`;
}

const suited = new WeakMap<readonly Fitting[], Map<string, readonly Fitting[]>>();

/** The parts of a list that bear a fluid; the same list for the same question, so that what is indexed by it stays. */
export function fittingsFor(fluid: FluidId, fittings: readonly Fitting[]): readonly Fitting[] {
  let kept = suited.get(fittings);
  if (!kept) suited.set(fittings, (kept = new Map()));
  const key = SOFT.map(({ bears }) => bears.includes(fluid)).join();
  let made = kept.get(key);
  if (!made) {
    const out = fittings.some((f) => fittingFluidProblem(f, fluid));
    kept.set(key, (made = out ? fittings.filter((f) => !fittingFluidProblem(f, fluid)) : fittings));
  }
  return made;
}
