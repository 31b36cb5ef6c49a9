import { lengthBetween, turnBetween, type Fitting } from '../fittings/index.js';
import { findFitting, type Catalogue } from './catalogue.js';
import type { KeptWay, Line, Piece, PieceLength } from './line-schema.js';

/**
 * What stands on both sides of a hose: how long the fittings are together, mm, and how far they turn, degrees. A way that is not chosen
 * yet is nothing: the tape then ran from port to port. Undefined where a fitting is not known.
 */
export function tapedOver(parts: Pick<Catalogue, 'fittings'>, beside: readonly (KeptWay | null)[]): PieceLength['over'] {
  const placed = beside.flatMap((way) => way?.fittings ?? []).map((link) => ({ link, fitting: findFitting(parts, link.id) }));
  const known = placed.flatMap(({ link, fitting }) => (fitting ? [{ ...link, fitting }] : []));
  return known.length === placed.length ? stackOf(known) : undefined;
}

interface Standing {
  readonly fitting: Fitting;
  readonly inEnd: number;
  readonly outEnd: number;
}

/** How long some fittings are together, and how far they turn. */
export function stackOf(fittings: readonly Standing[]): NonNullable<PieceLength['over']> {
  const stackMm = fittings.reduce((sum, { fitting, inEnd, outEnd }) => sum + lengthBetween(fitting, inEnd, outEnd), 0);
  const turnDeg = fittings.reduce((sum, { fitting, inEnd, outEnd }) => sum + turnBetween(fitting, inEnd, outEnd), 0);
  return { stackMm: Math.round(stackMm * 10) / 10, turnDeg };
}

/** A line whose taped lengths all say what they were taped over: those that do not were taped over what stands in it. */
export function withTapedOver(line: Line, parts: Pick<Catalogue, 'fittings'>): Line {
  const pieces = line.pieces.map((piece, at): Piece => {
    const { length } = piece;
    if (length?.as !== 'taped' || length.over) return piece;
    const over = tapedOver(parts, [line.ways[at]?.chosen ?? null, line.ways[at + 1]?.chosen ?? null]);
    return over ? { ...piece, length: { ...length, over } } : piece;
  });
  return pieces.some((piece, i) => piece !== line.pieces[i]) ? { ...line, pieces } : line;
}
