import type { Command } from '../commands/index.js';
import { formatConnector, sameConnector } from '../connectors/index.js';
import { endName, type Fitting } from '../fittings/index.js';
import type { Component, Port } from '../job/index.js';

/** How a port differs from the end of the part that it is, in words; undefined where it does not, or is no end. */
export function portOffPart(port: Port, part: Fitting): string | undefined {
  if (port.end === undefined) return undefined;
  const end = part.ends[port.end];
  if (end && port.connector && sameConnector(end, port.connector)) return undefined;
  const was = port.connector ? formatConnector(port.connector) : 'not known';
  return end
    ? `${port.label} (${was}): ${endName(part, port.end)} is ${formatConnector(end)} in the store now.`
    : `${port.label} (${was}): end ${port.end + 1} is no longer there in the store.`;
}

/** Gives the ports of a component the threads that its part has now. */
export function takeThreads({ id, version, part }: Component): Command {
  return { do: 'edit-component', id, version, set: { part: part ?? null } };
}
