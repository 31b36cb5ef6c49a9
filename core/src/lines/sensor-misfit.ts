import { formatConnector } from '../connectors/index.js';
import { portCases, type Port, type PortThread } from '../job/index.js';
import { mate } from '../seals/index.js';

/** Why a sensor cannot sit in the port that it is said to sit in, in words; undefined where it seals there, or has moved away. In a port that
 * may be several it must seal in one of them. */
export function sensorMisfit({ sensor, ...thread }: PortThread & Pick<Port, 'sensor'>): string | undefined {
  if (!sensor || sensor.movedTo) return undefined;
  const cases = portCases(thread).map((connector) => ({ connector, ...mate(connector, sensor.connector) }));
  const [first] = cases;
  if (!first || cases.some(({ outcome }) => outcome === 'seals')) return undefined;
  return `${formatConnector(sensor.connector)} does not seal in ${formatConnector(first.connector)}: ${first.reason}`;
}
