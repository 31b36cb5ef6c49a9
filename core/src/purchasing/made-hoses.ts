import type { AssembledLine, AssembledPiece } from '../lines/index.js';
import type { HoseLength } from '../stock/index.js';

/** A hose of the rack that has its ends on, and how it goes into a line. */
export interface MadeHose {
  readonly length: HoseLength;
  /** As it is, or with its far end taken off and cut back by so much. */
  readonly shortenMm: number;
  /** It lies the other way round: its end B at port A. */
  readonly reversed: boolean;
  /** Looked over already, or never off the shelf. */
  readonly ready: boolean;
}

/** May differ from what was taped by so much without being cut, mm; common practice: within the slack. */
const AS_IT_IS_MM = 5;
/** One that would lose more of its length than this share is better kept for another line. */
const MOST_OFF = 1 / 3;

/**
 * The made hoses that would do for a piece of a line: of its hose, with its ends, long enough. One that is as long as it should be goes first, then
 * those from which least is cut; one off a car is told as such.
 */
export function madeHosesFor({ piece, hose, endA, endB, cut }: AssembledPiece, lengths: readonly HoseLength[], jobId: string): MadeHose[] {
  if (!hose || !endA || !endB || !cut || piece.source === 'kept') return [];
  const wanted = cut.assemblyMm;
  return lengths
    .flatMap((length): MadeHose[] => {
      if (length.kind !== 'made' || length.state !== 'there' || length.part !== hose.id || !length.ends) return [];
      if (length.jobId !== undefined && length.jobId !== jobId) return [];
      const [a, b] = length.ends;
      const straight = a === endA.id && b === endB.id;
      const reversed = !straight && a === endB.id && b === endA.id;
      const over = length.mm - wanted;
      if ((!straight && !reversed) || over < -AS_IT_IS_MM || over > MOST_OFF * length.mm) return [];
      return [
        {
          length,
          shortenMm: over > AS_IT_IS_MM ? Math.round(over) : 0,
          reversed,
          ready: !length.salvaged || length.inspected !== undefined,
        },
      ];
    })
    .sort((a, b) => Number(b.ready) - Number(a.ready) || a.shortenMm - b.shortenMm);
}

/** The pieces of a line for which a made hose hangs on the rack. */
export function madeForLine(
  { pieces }: AssembledLine,
  lengths: readonly HoseLength[],
  jobId: string,
): { readonly at: number; readonly hoses: MadeHose[] }[] {
  return pieces.map((piece, at) => ({ at, hoses: madeHosesFor(piece, lengths, jobId) })).filter((p) => p.hoses.length > 0);
}
