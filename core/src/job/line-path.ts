import type { ChainLink } from '../chains/index.js';
import type { KeptWay, Line, LineBranch } from './line-schema.js';

/** Every part of a way, those of its branches after those of the run. */
export function partsOfWay<L extends ChainLink>(way: {
  readonly fittings: readonly L[];
  readonly branches: readonly { readonly fittings: readonly L[] }[];
}): L[] {
  return [...way.fittings, ...way.branches.flatMap((b) => b.fittings)];
}

/** Every part that stands in a line. */
export function placedIn({ ways }: Pick<Line, 'ways'>) {
  return ways.flatMap(({ chosen }) => (chosen ? partsOfWay(chosen) : []));
}

/** What the open ends of a line's tees and crosses are given to. */
export function branchesIn({ ways }: Pick<Line, 'ways'>): LineBranch[] {
  return ways.flatMap(({ chosen }) => chosen?.branches ?? []);
}

/** The ports that stand for the open ends of a line. */
export function branchPorts(line: Pick<Line, 'ways'>): string[] {
  return branchesIn(line).flatMap((b) => (b.to === 'line' && b.portId ? [b.portId] : []));
}

/** Ids of all fittings that a line names: placed, kept in sight, wished for or refused. */
export function fittingsNamed({ ways }: Pick<Line, 'ways'>): string[] {
  return ways.flatMap(({ chosen, pinned = [], wishes }) => [
    ...[...(chosen ? [chosen] : []), ...pinned].flatMap((way: KeptWay) => partsOfWay(way).map((link) => link.id)),
    ...(wishes?.use ?? []),
    ...(wishes?.avoid ?? []),
  ]);
}

/** A line runs from this port or to it. */
export function endsOn({ portA, portB }: Pick<Line, 'portA' | 'portB'>, portId: string): boolean {
  return portA === portId || portB === portId;
}

type Way = { readonly fittings: readonly ChainLink[]; readonly branches: readonly { readonly at: number; readonly end: number }[] };

/** The same way seen from its other side. */
export function reversedWay<W extends Way>({ fittings, branches, ...rest }: W): W {
  const turned = [...fittings].reverse().map((link) => ({ ...link, inEnd: link.outEnd, outEnd: link.inEnd }));
  const last = fittings.length - 1;
  return {
    ...rest,
    fittings: turned,
    branches: branches.map((b) => ({ ...b, at: last - b.at })).sort((a, b) => a.at - b.at || a.end - b.end),
  } as unknown as W;
}
