import type { Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import type { AssembledLine } from './assembled-line.js';

/** What is looked at when a line is checked. */
export type Looked = Pick<AssembledLine, 'line' | 'portA' | 'portB' | 'ways' | 'pieces' | 'joints'>;
export type Part = Fitting | Hose | HoseEnd;

/** The fittings, hoses and ends of a line, those on its branches too. */
export function partsIn({ ways, pieces }: Pick<Looked, 'ways' | 'pieces'>): Part[] {
  const fittings = ways.flatMap((way) => [...(way.fittings ?? []), ...way.branches.flatMap((b) => b.fittings)].map((p) => p.fitting));
  return [...fittings, ...pieces.flatMap(({ hose, endA, endB }) => [hose, endA, endB].filter((part) => part !== undefined))];
}
