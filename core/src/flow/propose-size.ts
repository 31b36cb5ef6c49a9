import { endForm, type Connector } from '../connectors/index.js';
import { dashOfBore, type Hose } from '../hose/index.js';
import type { ServiceId } from '../job/index.js';
import { figuresOf } from './service-figures.js';

/** Services that are as wide as the wider of their ports: nothing pushes what runs in them, or it is half air. */
const wide: ReadonlySet<ServiceId> = new Set(['turbo-drain', 'scavenge', 'suction', 'return', 'bypass-return', 'tank', 'breather']);

/**
 * The size to begin with: that of the ports between which the hose runs, the wider of them for drains and suction, never under what is
 * usual for the service; between ports that say nothing, the middle of what is usual. A guess until the line is sized.
 *
 * @param made the hoses of a construction, in whatever order
 * @returns undefined where none is made
 */
export function proposeSize(made: readonly Hose[], service: ServiceId, ports: readonly (Connector | null)[]): Hose | undefined {
  const [least, most] = figuresOf(service).dashes;
  const known = ports.flatMap((port) => (port ? [dashOfPort(port)] : []));
  const middle = wide.has(service) ? least : Math.floor((least + most) / 4) * 2;
  const wanted = known.length === 0 ? middle : wide.has(service) ? Math.max(...known) : Math.min(...known);
  const dash = service === 'other' ? wanted : Math.max(least, wanted);
  const metric = ports.find((port) => port && ['barb', 'bead'].includes(port.family) && port.size.endsWith('mm'));
  const bySize = [...made].sort((a, b) => a.dash - b.dash || a.boreMm - b.boreMm);
  const own = bySize.find((hose) => metric && `${hose.metricMm}mm` === metric.size);
  const inch = bySize.filter((hose) => hose.metricMm === undefined);
  const sizes = inch.length > 0 ? inch : bySize;
  return own ?? sizes.find((hose) => hose.dash >= dash) ?? sizes[sizes.length - 1];
}

/** The dash size that a port is made for. */
function dashOfPort(port: Connector): number {
  const dash = /^(\d+)$/.exec(port.size);
  return dash && ['flare37', 'flare45', 'orb', 'orfs', 'drybreak', 'bulkhead'].includes(port.family)
    ? Number(dash[1])
    : dashOfBore(endForm(port).boreMm);
}
