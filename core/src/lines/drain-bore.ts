import type { Line } from '../job/index.js';
import type { AssembledPiece, AssembledWay, PortTerminal } from './assembled-line.js';
import { finding, type Finding } from './findings.js';
import { quantity } from '../units/index.js';

/** Usual bore of a drain by gravity and up, mm: what the ends of a -10 hose pass. Common practice: -10 or 1/2 in. */
export const DRAIN_BORE_MM = 11;
/** Under this froth stands in a drain, mm. Common practice: 8 fails, -10 does. */
export const DRAIN_FAILS_MM = 9.5;

/** Whether the bore goes before everything else in a line: nothing but its fall drives it. */
export function boreLeads({ service }: Pick<Line, 'service'>): boolean {
  return service === 'turbo-drain';
}

/** Hoses, hose ends and fittings of a drain that are narrower than it needs: oil and froth back up there. */
export function drainFindings(
  line: Line,
  ports: readonly PortTerminal[],
  ways: readonly AssembledWay[],
  pieces: readonly AssembledPiece[],
): Finding[] {
  // a pump sucks or pushes what is as narrow as it likes
  const pumped = line.flow?.comesBack === 'pump' || ports.some(({ component }) => component.kind === 'pump');
  if (!boreLeads(line) || pumped) return [];
  const narrow = (boreMm: number | undefined): boolean => boreMm !== undefined && boreMm < DRAIN_BORE_MM;
  const say = (at: Partial<Finding['at']>, name: string, boreMm: number): Finding =>
    finding(
      boreMm < DRAIN_FAILS_MM ? 'drain-narrow' : 'drain-under-usual',
      { lineId: line.id, ...at },
      boreMm < DRAIN_FAILS_MM
        ? `${name} passes ${quantity(boreMm, 'mm')}; froth stands in a drain by gravity under ${quantity(DRAIN_FAILS_MM, 'mm')}.`
        : `${name} passes ${quantity(boreMm, 'mm')}; ${quantity(DRAIN_BORE_MM, 'mm')} and up are usual in a drain by gravity.`,
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
