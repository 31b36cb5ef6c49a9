import type { Connector } from './connector.js';
import { familyById, seatsFor } from './family.js';
import { parseConnector } from './parse-connector.js';

const bare = new Map<string, Connector>();

/** The connector that is met by what screws on: a weld bung is the connector it carries, everything else is itself. */
export function bareConnector(c: Connector): Connector {
  if (!familyById(c.family).carries) return c;
  const key = `${c.size} ${c.gender} ${c.seat ?? ''}`;
  let found = bare.get(key);
  if (!found) bare.set(key, (found = carried(c)));
  return found;
}

function carried(c: Connector): Connector {
  const inner = parseConnector(`${c.size} ${c.gender}`);
  const seat = seatsFor(familyById(inner.family), inner.size, inner.gender).find((allowed) => allowed === c.seat);
  return seat ? { ...inner, seat } : inner;
}
