import { connectorKey, type Connector } from '../connectors/index.js';
import { isClosing, type Fitting } from '../fittings/index.js';
import { mate } from '../seals/index.js';

const known = new WeakMap<readonly Fitting[], Map<string, Fitting | undefined>>();

/** The cheapest plug or cap that seals on a connector, at no risk where there is one; undefined where the catalogue has none. */
export function closingPart(connector: Connector, fittings: readonly Fitting[]): Fitting | undefined {
  const found = known.get(fittings) ?? new Map<string, Fitting | undefined>();
  known.set(fittings, found);
  const key = connectorKey(connector);
  if (!found.has(key)) found.set(key, cheapestClosing(connector, fittings));
  return found.get(key);
}

function cheapestClosing(connector: Connector, fittings: readonly Fitting[]): Fitting | undefined {
  const risky = new Set<Fitting>();
  const price = (part: Fitting): number => (risky.has(part) ? Number.MAX_VALUE : (part.priceMinor ?? 1e15));
  return fittings
    .filter((part) => {
      if (part.retired || part.ends.length !== 1 || !isClosing(part)) return false;
      const { outcome, risk } = mate(connector, part.ends[0]!);
      if (risk) risky.add(part);
      return outcome === 'seals';
    })
    .reduce<Fitting | undefined>((best, part) => (best && price(best) <= price(part) ? best : part), undefined);
}
