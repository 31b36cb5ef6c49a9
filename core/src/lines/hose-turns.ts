import type { Line } from '../job/index.js';
import { canBeScrewedOn, isFormed } from './other-ends.js';
import type { AssembledPiece, LineJoint } from './assembled-line.js';
import { finding, type Finding } from './findings.js';

/** Hoses of which neither end turns: screwing on the second twists the hose, or undoes the first. */
export function turningFindings(line: Line, pieces: readonly AssembledPiece[], joints: readonly LineJoint[]): Finding[] {
  return pieces.flatMap(({ piece, endA }, i) => {
    // the nuts of a flared tube turn on it
    if (endA && isFormed(endA)) return [];
    const ends = [i, i + 1].map((way) => joints.find((j) => j.piece === piece.key && j.way === way && !j.branch));
    const fixed = (joint: LineJoint | undefined): boolean =>
      joint?.connectors !== undefined && !joint.uncertain && !joint.connectors.some(canBeScrewedOn);
    if (!ends.every(fixed)) return [];
    const which = pieces.length > 1 ? `Hose ${i + 1}` : 'The hose';
    return [
      finding('hose-cannot-turn', { lineId: line.id, piece: piece.key }, `${which} is screwed in at both ends, and neither of them turns.`),
    ];
  });
}
