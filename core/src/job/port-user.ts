import type { JobDocument, Port } from './job-schema.js';
import { endsOn } from './line-path.js';
import type { Line } from './line-schema.js';

/** Who has a port: a line that ends on it, the sensor that sits in it, or one that was moved to it from another port. */
export type PortUser =
  { readonly kind: 'line'; readonly line: Line } | { readonly kind: 'sensor'; readonly name: string; readonly from?: Port };

/** Undefined where the port is free; a port whose sensor has moved away is. */
export function userOfPort(port: Port, { lines, ports }: Pick<JobDocument, 'lines' | 'ports'>): PortUser | undefined {
  const line = lines.find((l) => endsOn(l, port.id));
  if (line) return { kind: 'line', line };
  const from = ports.find((p) => p.id !== port.id && p.sensor?.movedTo?.portId === port.id);
  if (from?.sensor) return { kind: 'sensor', name: from.sensor.name, from };
  return port.sensor && !port.sensor.movedTo ? { kind: 'sensor', name: port.sensor.name } : undefined;
}
