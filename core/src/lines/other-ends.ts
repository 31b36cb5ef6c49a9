import type { ChainGoal, ChainWeights } from '../chains/index.js';
import { connectorKey, connectorThread, familyById, type Connector } from '../connectors/index.js';
import { endsForHose, findHose, findHoseEnd, type Catalogue } from '../job/index.js';
import { constructionById, type HoseEnd } from '../hose/index.js';

/** The end of a hose that a way goes to, with what is needed to ask for another one. */
export interface EndOnHose {
  readonly id: string;
  readonly hose: string;
  /** The end on the other side of the same hose. */
  readonly far: string | null;
}

/** Another end that could be put on the hose, as a goal of the solver. */
export interface OtherEnd extends ChainGoal {
  readonly end: HoseEnd;
}

/**
 * The ends made for a hose at the angle of the one that is on it, the cheapest of each connector: the ways to all of them are asked for, so
 * that one which goes straight on the port wins with a joint less. One that does not turn is left out where the far end does not either:
 * such a hose cannot be screwed on.
 */
export function otherEnds(
  { id, hose: hoseId, far }: EndOnHose,
  catalogue: Pick<Catalogue, 'hoses' | 'hoseEnds'>,
  weights: Pick<ChainWeights, 'price' | 'unpricedMinor' | 'toOrderMinor' | 'furtherPartMinor' | 'boreMmMinor'>,
  leastBoreMm = 0,
): OtherEnd[] {
  const own = findHoseEnd(catalogue, id);
  const hose = findHose(catalogue, hoseId);
  if (!own || !hose) return [];
  const farEnd = findHoseEnd(catalogue, far);
  const farTurns = !farEnd || isFormed(own) || canBeScrewedOn(farEnd.connector);
  const best = new Map<string, OtherEnd>();
  for (const end of endsForHose(catalogue, hose)) {
    const key = connectorKey(end.connector);
    if (end.angleDeg !== own.angleDeg || end.boreMm < leastBoreMm || key === connectorKey(own.connector)) continue;
    if (!farTurns && !canBeScrewedOn(end.connector)) continue;
    const costMinor = costOf(end, own.boreMm, weights);
    const known = best.get(key);
    if (!known || costMinor < known.costMinor) best.set(key, { end, connector: end.connector, costMinor });
  }
  return [...best.values()];
}

/** The end of a hose can be made up without turning the hose: its nut or bolt turns, or it has no thread at all. One with a locknut goes in with the hose. */
export function canBeScrewedOn(end: Connector): boolean {
  return end.swivel === true || familyById(end.family).aims === true || connectorThread(end) === undefined;
}

/** Of a tube: flared or beaded from the tube itself, with a nut that turns on it. */
export function isFormed({ construction }: HoseEnd): boolean {
  return constructionById(construction).endStyle === 'formed';
}

function costOf(end: HoseEnd, boreMm: number, w: Parameters<typeof otherEnds>[2]): number {
  return Math.round(
    w.price * (end.priceMinor ?? w.unpricedMinor) +
      ((end.shelf ?? 0) > 0 ? 0 : w.toOrderMinor) +
      w.furtherPartMinor +
      w.boreMmMinor * Math.max(0, boreMm - end.boreMm),
  );
}
