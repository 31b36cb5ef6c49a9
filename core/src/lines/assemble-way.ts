import { shutsEnd, type ChainLink } from '../chains/index.js';
import { openEnds } from '../fittings/index.js';
import type { ChosenWay, Line } from '../job/index.js';
import type { AssembledBranch, AssembledWay, KeyedFitting, PlacedFitting, Terminal } from './assembled-line.js';
import type { Lookups } from './lookups.js';

/**
 * One way of a line from what comes before it to what comes after. A way with a part that nobody knows is kept in the line, but not
 * assembled; an open end that leads to nothing that is known is no branch.
 */
export function assembleWay(line: Line, at: number, [from, to]: readonly [Terminal, Terminal], around: Lookups): AssembledWay {
  const kept = line.ways[at]!;
  const base = { at, kept, from, to };
  if (kept.chosen === null) return { ...base, branches: [] };
  const { chosen } = kept;
  const placed = placeLinks(chosen.fittings, false, around);
  if ('gone' in placed) return { ...base, branches: [] };
  const fittings = placed.fittings.map((p, i): KeyedFitting => ({ ...p, key: chosen.fittings[i]!.key }));
  return { ...base, fittings, branches: assembleBranches(fittings, chosen, around) };
}

/** The fittings in their places; or the first that is nowhere known, or has not the ends it should have. */
export function placeLinks(
  links: readonly ChainLink[],
  plugged: boolean,
  around: Pick<Lookups, 'fitting'>,
): { readonly fittings: readonly PlacedFitting[] } | { readonly gone: ChainLink } {
  const fittings: PlacedFitting[] = [];
  for (const [i, link] of links.entries()) {
    const fitting = around.fitting(link.id);
    const closes = plugged && i === links.length - 1 && fitting?.ends.length === 1;
    if (!fitting?.ends[link.inEnd] || !(passes(link, fitting.ends) || closes)) return { gone: link };
    fittings.push({ fitting, inEnd: link.inEnd, outEnd: link.outEnd });
  }
  return { fittings };
}

/** It is gone through, and closes nothing. */
export function passes({ inEnd, outEnd }: Pick<ChainLink, 'inEnd' | 'outEnd'>, ends: readonly unknown[]): boolean {
  return inEnd !== outEnd && ends[outEnd] !== undefined;
}

function assembleBranches(fittings: readonly PlacedFitting[], { branches: given }: ChosenWay, around: Lookups): AssembledBranch[] {
  return fittings.flatMap(({ fitting, inEnd, outEnd }, at) =>
    openEnds(fitting, inEnd, outEnd).flatMap((end): AssembledBranch[] => {
      const branch = given.find((b) => b.at === at && b.end === end);
      const placed = branch && placeLinks(branch.fittings, branch.to === 'plug', around);
      if (!branch || !placed || 'gone' in placed) return [];
      const base = { at, end, to: branch.to, fittings: placed.fittings };
      if (branch.to === 'plug') {
        const last = placed.fittings[placed.fittings.length - 1];
        return last && shutsEnd(last.fitting) ? [base] : [];
      }
      if (branch.to === 'sensor') {
        const sensor = around.port(branch.portId ?? '')?.sensor;
        return sensor ? [{ ...base, sensor: { name: sensor.name, connector: sensor.connector } }] : [];
      }
      const lineNumber = around.lineNumberOn(branch.portId ?? '');
      return [{ ...base, ...(lineNumber === undefined ? {} : { lineNumber }) }];
    }),
  );
}
