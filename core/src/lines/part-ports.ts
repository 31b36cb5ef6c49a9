import type { Command } from '../commands/index.js';
import { formatConnector, sameConnector } from '../connectors/index.js';
import { endName, type Fitting } from '../fittings/index.js';
import type { Component, Line, Port } from '../job/index.js';
import type { PortTerminal } from './assembled-line.js';
import { finding, type Finding } from './findings.js';

/** What is wrong with a port as an end of the part that its component is: the part is gone, taken out, or has another end there now. */
export function partPortFindings(line: Line, { component, port, part }: PortTerminal): Finding[] {
  if (!component.part) return [];
  const at = { lineId: line.id, portId: port.id };
  if (!part)
    return [finding('component-part-gone', at, `${component.name} is a part "${component.part.id}" that the catalogue no longer has.`)];
  const retired = part.retired
    ? [finding('part-retired', at, `${part.name} has been taken out of the catalogue. ${component.name} is one.`)]
    : [];
  const off = portOffPart(port, part);
  if (!off) return retired;
  const remedies = part.ends[port.end!] ? [{ label: 'Take the threads of the part', commands: [takeThreads(component)] }] : [];
  return [...retired, finding('port-off-part', at, `${component.name}, ${off}`, { remedies })];
}

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
