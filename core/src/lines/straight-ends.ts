import type { Connector } from '../connectors/index.js';
import { endsForHose, type Catalogue } from '../job/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import { mate } from '../seals/index.js';

/**
 * Ends for a hose that go straight on a port, at the angle that is wished: no adapter, one joint. The widest first, then the cheapest. What
 * only holds at a risk is not offered.
 */
export function straightEnds(port: Connector, hose: Hose, angleDeg: number, catalogue: Pick<Catalogue, 'hoseEnds'>): HoseEnd[] {
  return endsForHose(catalogue, hose)
    .filter((end) => {
      if (end.angleDeg !== angleDeg) return false;
      const { outcome, risk } = mate(port, end.connector);
      return outcome === 'seals' && !risk;
    })
    .sort((a, b) => b.boreMm - a.boreMm || (a.priceMinor ?? Infinity) - (b.priceMinor ?? Infinity));
}
