import { formatConnector } from '../connectors/index.js';
import { formatPortThread, portDigestKey } from '../job/index.js';
import { partsIn, type Looked, type Part } from './looked-at.js';

/**
 * As checks were noted at first: parts by their names with all that is said of them but what the shop pays, ports by their labels. What was
 * checked then is compared in that form, so that it stays checked; what is checked from now on is noted by what bears on it.
 *
 * @param now as it is noted today: the rest is the same in both
 */
export function digestByNames(
  looked: Looked,
  { form: _form, ...now }: Readonly<Record<string, string>>,
  hash: (value: unknown) => string,
): Record<string, string> {
  const digest = Object.fromEntries(Object.entries(now).filter(([name]) => !name.startsWith('part ')));
  for (const { side, component, port } of [looked.portA, looked.portB])
    digest[portDigestKey(side)] = hash([
      component.name,
      port.label,
      formatPortThread(port),
      port.sensor ? [formatConnector(port.sensor.connector), port.sensor.movedTo !== null] : null,
    ]);
  for (const part of partsIn(looked)) digest[`part ${part.name}`] = hash(physical(part));
  return digest;
}

function physical(part: Part): unknown {
  const shop = new Set(['name', 'priceMinor', 'pricePerMetreMinor', 'supplier', 'code', 'shelf', 'leadDays', 'source']);
  return Object.entries(part)
    .filter(([field]) => !shop.has(field))
    .sort(([a], [b]) => a.localeCompare(b, 'en'));
}
