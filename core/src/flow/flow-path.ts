import { bareConnector, endForm, type Connector } from '../connectors/index.js';
import { kindOf, lengthBetween, turnBetween, type Fitting } from '../fittings/index.js';
import { constructionById, type Hose, type HoseEnd } from '../hose/index.js';
import type { AssembledLine, AssembledWay, KeyedFitting } from '../lines/index.js';
import { noted } from './noted.js';
import { bendTwoK, twoK, type TwoK } from './two-k.js';

/** A stretch of one bore that the flow passes, before its figures. */
export interface Passed {
  readonly name: string;
  readonly kind: 'mouth' | 'fitting' | 'restrictor' | 'hose end' | 'hose' | 'component';
  readonly way?: number;
  /** Of a fitting: the key of its place. */
  readonly key?: string;
  readonly piece?: string;
  readonly boreMm: number;
  readonly lengthMm: number;
  readonly turns: readonly TwoK[];
  /** How many times the friction of a smooth bore it has; once where it is not said. */
  readonly frictionTimes?: number;
}

/** What the flow passes from port A to port B, and what of it is not known. */
export interface FlowPath {
  readonly passed: readonly Passed[];
  /** Parts whose way through is not known: what they take is not in the sum. */
  readonly unknown: readonly string[];
}

/** Another hose with its ends in the place of one. */
export interface Instead {
  readonly hose: Hose;
  readonly endA?: HoseEnd;
  readonly endB?: HoseEnd;
}

/** A fitting that passes no more than this is a restrictor, whether it is called so or not, mm. Common practice: feeds are held to 0.8 to 2 mm. */
export const HIDDEN_RESTRICTOR_MM = 2.5;

const pathAlong = noted(pathThrough);

/** The path of a line as it stands. Undefined while a way, an end or a length is open. */
export function pathOf(line: AssembledLine): FlowPath | undefined {
  return pathAlong(line, null);
}

function pathThrough({ ways, pieces }: AssembledLine): FlowPath | undefined {
  const [unknown, passed]: [string[], Passed[]] = [[], []];
  for (const way of ways) {
    if (!way.fittings) return undefined;
    for (const placed of way.fittings) {
      const one = throughFitting(way, placed, placed.fitting.boreMm ?? narrowestOf(placed.fitting, placed.inEnd, placed.outEnd));
      if (one) passed.push(one);
      else unknown.push(placed.fitting.name);
    }
    const assembled = pieces[way.at];
    if (!assembled) continue;
    const { piece, hose, endA, endB, cut } = assembled;
    if (!hose || !endA || !endB || !cut) return undefined;
    passed.push(endPassed(piece.key, endA), hosePassed(piece.key, hose, cut.cutMm), endPassed(piece.key, endB));
  }
  return passed.length > 0 ? { passed: withMouths(passed), unknown } : undefined;
}

/**
 * The path of a line with another hose throughout, or with what is known of it while it is not whole. The adapter beside a hose is taken to be
 * its like in the size of that hose; ways that are not chosen are left out, and told.
 * @param lengthMm of each hose; where it is not known, none can be reckoned
 */
export function pathWith({ ways, pieces }: AssembledLine, instead: Instead, lengthMm: (piece: number) => number): FlowPath {
  const [unknown, passed]: [string[], Passed[]] = [[], []];
  for (const way of ways) {
    if (!way.fittings) unknown.push(`the fittings at ${way.at === 0 ? 'A' : way.at === ways.length - 1 ? 'B' : `way ${way.at + 1}`}`);
    way.fittings?.forEach((placed, i) => {
      const beside = (i === 0 && way.at > 0) || (i === way.fittings!.length - 1 && way.at < pieces.length);
      const one = throughFitting(way, placed, beside ? likeIn(placed, i, way, pieces.length, instead) : boreOf(placed));
      if (one) passed.push(beside && one.boreMm !== boreOf(placed) ? { ...one, name: `${kindOf(placed.fitting)} in this size` } : one);
      else unknown.push(placed.fitting.name);
    });
    const assembled = pieces[way.at];
    if (!assembled) continue;
    const { key } = assembled.piece;
    const straight = { boreMm: instead.hose.boreMm };
    if (instead.endA) passed.push(endPassed(key, instead.endA));
    else unknown.push(`end A for ${instead.hose.name}`);
    passed.push({ ...hosePassed(key, instead.hose, lengthMm(way.at)), ...straight });
    if (instead.endB) passed.push(endPassed(key, instead.endB));
    else unknown.push(`end B for ${instead.hose.name}`);
  }
  return { passed: passed.length > 0 ? withMouths(passed) : [], unknown };
}

function withMouths(passed: readonly Passed[]): Passed[] {
  const [first, last] = [passed[0]!, passed[passed.length - 1]!];
  const mouth = (name: string, { boreMm }: Passed, k: TwoK): Passed => ({ name, kind: 'mouth', boreMm, lengthMm: 0, turns: [k] });
  return [mouth('into the line', first, twoK.entrance), ...passed, mouth('out of the line', last, twoK.exit)];
}

function endPassed(piece: string, end: HoseEnd): Passed {
  const { name, boreMm, aMm, bMm, angleDeg, bendRadiusMm } = end;
  const turns = angleDeg > 0 ? [bendTwoK(angleDeg, bendRadiusMm === 0)] : [];
  return { piece, name, kind: 'hose end', boreMm, lengthMm: Math.max(0, aMm) + bMm, turns };
}

function hosePassed(piece: string, { name, boreMm, construction }: Hose, lengthMm: number): Passed {
  const { frictionTimes } = constructionById(construction);
  return { piece, name, kind: 'hose', boreMm, lengthMm, turns: [], ...(frictionTimes === undefined ? {} : { frictionTimes }) };
}

/** A part with a body takes what only its maker knows. */
function throughFitting({ at }: AssembledWay, { key, fitting, inEnd, outEnd }: KeyedFitting, boreMm: number): Passed | undefined {
  if (fitting.body) return undefined;
  return {
    name: fitting.name,
    kind: boreMm <= HIDDEN_RESTRICTOR_MM ? 'restrictor' : 'fitting',
    way: at,
    key,
    boreMm,
    lengthMm: lengthBetween(fitting, inEnd, outEnd),
    turns: turnsIn(fitting, inEnd, outEnd),
  };
}

function boreOf({ fitting, inEnd, outEnd }: KeyedFitting): number {
  return fitting.boreMm ?? narrowestOf(fitting, inEnd, outEnd);
}

function narrowestOf(fitting: Fitting, inEnd: number, outEnd: number): number {
  return Math.min(...[inEnd, outEnd].map((end) => passes(fitting.ends[end]!)));
}

/** What an end passes, as it is made by its standard, mm. */
function passes(connector: Connector): number {
  return endForm(bareConnector(connector)).boreMm;
}

/** The bore of a fitting once the end at the hose is of another hose's size. What throttles on purpose stays. */
function likeIn(placed: KeyedFitting, i: number, way: AssembledWay, pieces: number, { endA, endB }: Instead): number {
  const own = boreOf(placed);
  if (own <= HIDDEN_RESTRICTOR_MM || kindOf(placed.fitting) === 'restrictor') return own;
  const { fitting, inEnd, outEnd } = placed;
  const before = i === 0 && way.at > 0 ? endB : undefined;
  const after = i === way.fittings!.length - 1 && way.at < pieces ? endA : undefined;
  const [from, to] = [before?.connector ?? fitting.ends[inEnd]!, after?.connector ?? fitting.ends[outEnd]!];
  return Math.min(passes(from), passes(to));
}

function turnsIn(fitting: Fitting, inEnd: number, outEnd: number): TwoK[] {
  const kind = kindOf(fitting);
  const turn = turnBetween(fitting, inEnd, outEnd);
  if (kind === 'check valve') return [twoK['check valve, lift']];
  if (fitting.ends.length > 2) return [twoK[turn > 30 ? 'tee, into the branch' : 'tee, along the run']];
  return turn > 0 ? [bendTwoK(turn, true)] : [];
}
