import { counterpart } from '../chains/index.js';
import { connectorName, familyById, formatConnector, seatsFor, type Connector } from '../connectors/index.js';

/** Where nothing is made that seals on a connector, its seat is the question, and not the hose or its end. */
export function seatQuestion(c: Connector): string {
  const { seat: _, ...bare } = c;
  const seats = seatsFor(familyById(c.family), c.size, c.gender).map((seat): Connector => ({ ...bare, seat }));
  const boss = c.family === 'un' ? [bossOf(c)].filter((b) => b !== undefined) : [];
  const may = [...boss, ...seats].filter((other) => counterpart(other) !== undefined);
  const look =
    may.length > 0 ? ` Look at it again: ${may.map((other) => `${connectorName(other)} (${formatConnector(other)})`).join(', or ')}.` : '';
  return `Nothing is made that seals on what is logged, ${connectorName(c)}: its seat is the question.${look}`;
}

/** The O-ring boss of an inch thread. */
function bossOf({ size, gender }: Connector): Connector | undefined {
  const orb = familyById('orb');
  const dash = orb.sizes.find((d) => orb.thread(d, 'male')?.designation.startsWith(`${size} `));
  return dash === undefined ? undefined : { family: 'orb', size: dash, gender };
}
