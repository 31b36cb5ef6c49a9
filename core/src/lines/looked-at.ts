import type { Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import type { AssembledLine, AssembledWay } from './assembled-line.js';

/** What is looked at when a line is checked. */
export type Looked = Pick<AssembledLine, 'line' | 'portA' | 'portB' | 'ways' | 'pieces' | 'joints'>;
export type Part = Fitting | Hose | HoseEnd;

/** The fittings, hoses and ends of a line, those on its branches too. */
export function partsIn({ ways, pieces }: Pick<Looked, 'ways' | 'pieces'>): Part[] {
  const fittings = ways.flatMap((way) => [...(way.fittings ?? []), ...way.branches.flatMap((b) => b.fittings)].map((p) => p.fitting));
  return [...fittings, ...pieces.flatMap(({ hose, endA, endB }) => [hose, endA, endB].filter((part) => part !== undefined))];
}

/** The fittings of a line by their keys, those on its branches as well. */
export function placedParts(ways: readonly AssembledWay[]): { readonly key: string; readonly fitting: Fitting }[] {
  return ways.flatMap(({ kept, fittings = [], branches }) => [
    ...fittings,
    ...branches.flatMap(({ at, end, fittings: standing }) => {
      const keys = kept.chosen!.branches.find((b) => b.at === at && b.end === end)!.fittings;
      return standing.map(({ fitting }, i) => ({ key: keys[i]!.key, fitting }));
    }),
  ]);
}
