import type { Connector } from '../connectors/index.js';
import { isClosing, type Fitting } from '../fittings/index.js';
import { mate } from '../seals/index.js';

/** The cheapest plug or cap that seals on a connector; undefined where the catalogue has none. */
export function closingPart(connector: Connector, fittings: readonly Fitting[]): Fitting | undefined {
  const price = ({ priceMinor = Infinity }: Fitting): number => priceMinor;
  return fittings
    .filter((part) => !part.retired && part.ends.length === 1 && isClosing(part) && mate(connector, part.ends[0]!).outcome === 'seals')
    .reduce<Fitting | undefined>((best, part) => (best && price(best) <= price(part) ? best : part), undefined);
}
