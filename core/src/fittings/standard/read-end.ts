import { parseConnector, type Connector } from '../../connectors/index.js';

const known = new Map<string, Connector>();

/** The connector of a notation; the standard parts have a few hundred ends in all, and share them. */
export function readEnd(notation: string): Connector {
  let found = known.get(notation);
  if (!found) known.set(notation, (found = parseConnector(notation)));
  return found;
}
