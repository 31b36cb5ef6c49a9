import { constructionById, cutLength, CutLengthError, type Hose, type HoseEnd } from '../hose/index.js';
import type { Piece } from '../job/index.js';
import type { AssembledPiece, CutArithmetic } from './assembled-line.js';
import type { Lookups } from './lookups.js';

/** The hose of a piece and its ends, as far as the catalogue has them. */
export function pieceParts(piece: Piece, around: Pick<Lookups, 'hose' | 'hoseEnd'>): AssembledPiece {
  const hose = around.hose(piece.hose);
  const [endA, endB] = [around.hoseEnd(piece.endA), around.hoseEnd(piece.endB)];
  return { piece, ...(hose ? { hose } : {}), ...(endA ? { endA } : {}), ...(endB ? { endB } : {}) };
}

/** The cut length of a piece, or why there is none. */
export function withCut(assembled: AssembledPiece): AssembledPiece {
  const { piece, hose, endA, endB } = assembled;
  if (piece.length === null || !endA || !endB) return assembled;
  try {
    const cut = arithmetic(piece, piece.length, [endA, endB], hose);
    const shortenMm = shortenedBy(piece, cut, hose);
    return { ...assembled, cut: { ...cut, ...(shortenMm === undefined ? {} : { shortenMm }) } };
  } catch (error) {
    if (!(error instanceof CutLengthError)) throw error;
    return { ...assembled, cutProblem: { message: error.message, hint: error.hint } };
  }
}

function arithmetic(
  piece: Piece,
  length: NonNullable<Piece['length']>,
  [endA, endB]: readonly [HoseEnd, HoseEnd],
  hose: Hose | undefined,
): CutArithmetic {
  const given = { givenMm: length.mm, as: length.as, endAMm: endA.aMm, endBMm: endB.aMm };
  const ends = endA.aMm + endB.aMm;
  // a cut that is given is the hose itself: what the ends take comes on top of it
  const assemblyLengthMm = length.as === 'cut' ? length.mm + ends : length.mm;
  // a tube gives nowhere: it is bent to its length
  const stiff = hose && constructionById(hose.construction).endStyle === 'formed';
  const slackPercent = length.as === 'taped' && !stiff ? piece.slackPercent : 0;
  const exact = cutLength({ assemblyLengthMm, endA, endB, slackPercent });
  const cutMm = Math.ceil(exact - 1e-6);
  const freeMm = assemblyLengthMm - ends;
  return { ...given, freeMm, slackPercent, slackMm: exact - freeMm, cutMm, assemblyMm: cutMm + ends };
}

/** How much longer than is needed a hose is that was made before; negative where it is shorter. Undefined for one that is cut, or not measured. */
export function overBy({ source, hasMm }: Piece, { assemblyMm }: Pick<CutArithmetic, 'assemblyMm'>): number | undefined {
  return source === 'cut' || hasMm === undefined ? undefined : Math.round((hasMm - assemblyMm) * 10) / 10;
}

/** A hose whose ends cannot be opened again: bought made up, or crimped. */
export function isFinal({ source }: Piece, hose: Hose | undefined): boolean {
  return source === 'bought' || (hose !== undefined && constructionById(hose.construction).endStyle === 'crimp');
}

function shortenedBy(piece: Piece, cut: Pick<CutArithmetic, 'assemblyMm'>, hose: Hose | undefined): number | undefined {
  const over = overBy(piece, cut);
  return over !== undefined && over >= 1 && !isFinal(piece, hose) ? over : undefined;
}
