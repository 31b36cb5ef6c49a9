import { closingPart, fewestThrough } from '../chains/index.js';
import { connectorKey, familyById, type Connector } from '../connectors/index.js';
import { fittingKind, joinsInside, kindOf, openEnds, turnBetween, type Fitting, type FittingKindId } from '../fittings/index.js';
import type { Catalogue } from '../job/index.js';
import { mate } from '../seals/index.js';
import type { Gap } from './gap.js';
import { keptWay, USUAL_MOST_FITTINGS, waysAcross, type Way, type WaysOptions } from './ways.js';

/** What can be put in at a place, and the best way with it. No parts where nothing in particular is put in. */
export interface PartBetween {
  readonly parts: readonly string[];
  readonly way: Way;
}

/** Most parts that are tried one after another, of those that may lead to the fewest joints. */
const MOST_TRIED = 40;
const MOST_OFFERED = 8;
/** Parts that are tried though they need two joints more than the best: a larger filter between its reducers, and the like. */
const MOST_BEYOND = 4;

/**
 * What can be put in at a place: the parts of a kind that can be joined up there, those with the fewest joints first, then the cheaper.
 * What comes in halves, such as a dry-break, is tried with each half that fits the other.
 *
 * @param kind null for anything that joins the two, such as a joiner between two hoses
 */
export function partsBetween(gap: Gap, kind: FittingKindId | null, catalogue: Catalogue, options: WaysOptions = {}): PartBetween[] {
  if (kind === null)
    return waysAcross(gap, catalogue, { ...options, limit: MOST_OFFERED, bare: true, ownEnd: true }).ways.map((way) => ({
      parts: [],
      way,
    }));
  const ofKind = catalogue.fittings.filter((f) => !f.retired && f.ends.length > 1 && kindOf(f) === fittingKind(kind).id);
  const maxFittings = options.wishes?.mostFittings ?? USUAL_MOST_FITTINGS;
  const fewest = fewestThrough({ from: gap.from.connector, to: gap.to.connector, fittings: catalogue.fittings, maxFittings });
  const least = new Map(ofKind.map((part) => [part.id, fewest(part)]));
  const price = new Map(ofKind.map((part) => [part.id, part.priceMinor ?? Infinity]));
  const joining = ofKind.filter((part) => least.get(part.id)! < Infinity);
  const tried = (kind === 'dry-break' ? halves(joining) : joining.map((part) => [part.id]))
    .map((use) => ({ use, least: Math.max(...use.map((id) => least.get(id)!)), cost: use.reduce((sum, id) => sum + price.get(id)!, 0) }))
    .sort((a, b) => a.least - b.least || a.cost - b.cost)
    .slice(0, MOST_TRIED);
  const direct = plainly(options) && kind !== 'dry-break' ? directly(gap, joining, catalogue) : [];
  if (direct.length >= MOST_OFFERED) return direct.slice(0, MOST_OFFERED);
  const found: PartBetween[] = [];
  let beyond = 0;
  for (const { use, least: fittings, cost } of tried) {
    if (found.length > 0 && fittings > Math.min(...found.map((f) => f.way.jointCount)) && ++beyond > MOST_BEYOND) break;
    // those that follow have no fewer joints than what is found, and cost as much by themselves as that does with all it needs
    const last = found.sort(fewerFirst)[MOST_OFFERED - 1]?.way;
    if (last && (last.jointCount < fittings + 1 || (last.jointCount === fittings + 1 && last.costMinor <= cost))) break;
    const wishes = { ...options.wishes, use };
    for (const way of waysAcross(gap, catalogue, { ...options, wishes, limit: 1, bare: true, ownEnd: true }).ways)
      found.push({ parts: use, way });
  }
  return found.sort(fewerFirst).slice(0, MOST_OFFERED);
}

/** Nothing is asked of the way but that it seals. */
function plainly({ wishes = {} }: WaysOptions): boolean {
  return Object.keys(wishes).length === 0;
}

/**
 * The parts that go between the two by themselves, every other end closed: no way has fewer joints, so that nothing has to be searched for.
 * Of one that goes in several ways round, the straightest.
 */
function directly(gap: Gap, parts: readonly Fitting[], catalogue: Catalogue): PartBetween[] {
  const seals = (a: Connector, b: Connector): boolean => {
    const { outcome, risk } = mate(a, b);
    return outcome === 'seals' && !risk;
  };
  const found = parts.flatMap((part): PartBetween[] => {
    if (part.body) return [];
    const rounds = part.ends.flatMap((inner, inEnd) =>
      part.ends.flatMap((outer, outEnd) =>
        inEnd !== outEnd && joinsInside(part, inEnd, outEnd) && seals(gap.from.connector, inner) && seals(outer, gap.to.connector)
          ? [{ inEnd, outEnd, turn: turnBetween(part, inEnd, outEnd) }]
          : [],
      ),
    );
    const [round] = rounds.sort((a, b) => a.turn - b.turn);
    if (!round) return [];
    const { inEnd, outEnd } = round;
    const open = openEnds(part, inEnd, outEnd).map((end) => ({ end, plug: closingPart(part.ends[end]!, catalogue.fittings) }));
    if (open.some(({ plug }) => !plug)) return [];
    const branches = open.map(({ end, plug }) => ({ at: 0, end, to: 'plug' as const, fittings: [{ id: plug!.id, inEnd: 0, outEnd: 0 }] }));
    const way = keptWay({ fittings: [{ id: part.id, inEnd, outEnd }], branches }, gap, catalogue);
    return way ? [{ parts: [part.id], way: { ...way, costMinor: way.priceMinor } }] : [];
  });
  const fewest = Math.min(...found.map(({ way }) => way.jointCount));
  return found.filter(({ way }) => way.jointCount === fewest).sort(fewerFirst);
}

function fewerFirst(a: PartBetween, b: PartBetween): number {
  return a.way.jointCount - b.way.jointCount || a.way.costMinor - b.way.costMinor;
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
