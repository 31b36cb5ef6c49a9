import { connectorKey, familyById } from '../connectors/index.js';
import { fittingKind, kindOf, type Fitting, type FittingKindId } from '../fittings/index.js';
import type { Catalogue } from '../job/index.js';
import { mate } from '../seals/index.js';
import { waysAcross, type Gap, type Way, type WaysOptions } from './ways.js';

/** What can be put in at a place, and the best way with it. No parts where nothing in particular is put in. */
export interface PartBetween {
  readonly parts: readonly string[];
  readonly way: Way;
}

/** Most parts that are tried before the list is cut: a kind has a few dozen sizes. */
const MOST_TRIED = 400;
const MOST_OFFERED = 8;

/**
 * What can be put in at a place: the parts of a kind that can be joined up there, those with the fewest joints first, then the cheaper.
 * What comes in halves, such as a dry-break, is tried with each half that fits the other.
 *
 * @param kind null for anything that joins the two, such as a joiner between two hoses
 */
export function partsBetween(gap: Gap, kind: FittingKindId | null, catalogue: Catalogue, options: WaysOptions = {}): PartBetween[] {
  if (kind === null)
    return waysAcross(gap, catalogue, { ...options, limit: MOST_OFFERED, bare: true }).ways.map((way) => ({ parts: [], way }));
  const ofKind = catalogue.fittings.filter((f) => !f.retired && f.ends.length > 1 && kindOf(f) === fittingKind(kind).id);
  const tried = kind === 'dry-break' ? halves(ofKind) : ofKind.map((part) => [part.id]);
  return tried
    .slice(0, MOST_TRIED)
    .flatMap((use) => {
      const wishes = { ...options.wishes, use };
      return waysAcross(gap, catalogue, { ...options, wishes, limit: 1, bare: true }).ways.map((way) => ({ parts: use, way }));
    })
    .sort((a, b) => a.way.jointCount - b.way.jointCount || a.way.costMinor - b.way.costMinor)
    .slice(0, MOST_OFFERED);
}

/** Each part by itself, and with each part that closes on the end that parts. */
function halves(parts: readonly Fitting[]): string[][] {
  const parting = (f: Fitting) => f.ends.filter((e) => familyById(e.family).comesApart);
  const known = new Map<string, boolean>();
  const fits = (a: Fitting, b: Fitting): boolean =>
    parting(a).some((one) =>
      parting(b).some((other) => {
        const key = `${connectorKey(one)} ${connectorKey(other)}`;
        if (!known.has(key)) known.set(key, mate(one, other).outcome === 'seals');
        return known.get(key)!;
      }),
    );
  return parts.flatMap((a) => [
    ...(parting(a).length === 1 ? [] : [[a.id]]),
    ...parts.filter((b) => b.id > a.id && fits(a, b)).map((b) => [a.id, b.id]),
  ]);
}
