import type { Line } from '../job/index.js';
import type { AssembledPiece, AssembledWay } from './assembled-line.js';
import { finding, type Finding } from './findings.js';
import { quantity } from '../units/index.js';

/** Least bore of a drain by gravity, mm: what the ends of a -10 hose pass. Common practice: -10 or 1/2 in and up. */
export const DRAIN_BORE_MM = 11;

/** Whether the bore goes before everything else in a line: nothing but its fall drives it. */
export function boreLeads({ service }: Pick<Line, 'service'>): boolean {
  return service === 'turbo-drain';
}

/** Hoses, hose ends and fittings of a drain that are narrower than it needs: oil and froth back up there. */
export function drainFindings(line: Line, ways: readonly AssembledWay[], pieces: readonly AssembledPiece[]): Finding[] {
  if (!boreLeads(line)) return [];
  const narrow = (boreMm: number | undefined): boolean => boreMm !== undefined && boreMm < DRAIN_BORE_MM;
  const say = (at: Partial<Finding['at']>, name: string, boreMm: number): Finding =>
    finding(
      'drain-narrow',
      { lineId: line.id, ...at },
      `${name} passes ${quantity(boreMm, 'mm')}; a drain by gravity needs ${quantity(DRAIN_BORE_MM, 'mm')} or more.`,
    );
  return [
    ...ways.flatMap(({ at, fittings = [] }) =>
      fittings.flatMap(({ fitting: { name, boreMm } }) => (narrow(boreMm) ? [say({ way: at }, name, boreMm!)] : [])),
    ),
    ...pieces.flatMap(({ piece, hose, endA, endB }) =>
      [...new Set([hose, endA, endB])].flatMap((part) =>
        part && narrow(part.boreMm) ? [say({ piece: piece.key }, part.name, part.boreMm)] : [],
      ),
    ),
  ];
}
