import { formatConnector } from '../connectors/index.js';
import type { Port } from '../job/index.js';
import { mate } from '../seals/index.js';

/** Why a sensor cannot sit in the port that it is said to sit in, in words; undefined where it seals there, or has moved away. */
export function sensorMisfit({ connector, sensor }: Pick<Port, 'connector' | 'sensor'>): string | undefined {
  if (!sensor || sensor.movedTo) return undefined;
  const { outcome, reason } = mate(connector, sensor.connector);
  if (outcome === 'seals') return undefined;
  return `${formatConnector(sensor.connector)} does not seal in ${formatConnector(connector)}: ${reason}`;
}
