import { connectorName } from '../connectors/index.js';
import { solveChains, type Chain, type MissingLink } from '../fittings/index.js';
import type { Catalogue, Port } from '../job/index.js';
import type { HoseEnd } from '../hose/index.js';

/** A chain with the figures that decide between ways. */
export interface Way extends Chain {
  /** `1 adapter`, `45° elbow`, `straight on the port`. */
  readonly name: string;
  readonly leastBoreMm: number;
}

/**
 * The ways from a port to a hose end that seal at every joint, fewest joints first, with what distinguishes them; and the single
 * part that would close or shorten the gap where there is one.
 */
export function waysToHoseEnd(
  port: Pick<Port, 'connector'>,
  hoseEnd: HoseEnd,
  catalogue: Catalogue,
  limit = 8,
): { ways: Way[]; missingLinks: MissingLink[]; explanation: string } {
  const { chains, missingLinks } = solveChains({ from: port.connector, to: hoseEnd.connector, fittings: catalogue.fittings, limit });
  const byId = new Map(catalogue.fittings.map((f) => [f.id, f]));
  const ways = chains.map((chain): Way => {
    const fittings = chain.fittings.map((link) => byId.get(link.id)!);
    return {
      ...chain,
      name: wayName(fittings.map((f) => ({ angle: f.angleDeg ?? 0, banjo: f.ends.some((e) => e.family === 'banjo') }))),
      leastBoreMm: Math.min(hoseEnd.boreMm, ...fittings.map((f) => f.boreMm ?? Infinity)),
    };
  });
  const explanation =
    ways.length > 0 ? '' : `No chain in the catalogue joins ${connectorName(port.connector)} to ${connectorName(hoseEnd.connector)}.`;
  return { ways, missingLinks, explanation };
}

function wayName(fittings: readonly { angle: number; banjo: boolean }[]): string {
  if (fittings.length === 0) return 'Straight on the port';
  const angled = fittings.find((f) => f.angle > 0);
  const turn = angled ? (angled.banjo ? 'banjo' : `${angled.angle}° elbow`) : '';
  if (fittings.length === 1) return angled ? turn.charAt(0).toUpperCase() + turn.slice(1) : '1 adapter';
  return `${fittings.length} adapters${turn ? `, ${turn}` : ''}`;
}
