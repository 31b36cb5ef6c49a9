import { formatConnector, sameConnector } from '../connectors/index.js';
import { endName, type Fitting } from '../fittings/index.js';
import { findFitting, type Component, type Port } from '../job/index.js';
import { CommandError } from './command-error.js';
import { freeName } from './free-name.js';
import { MOST_ROWS, type JobDraft } from './job-draft.js';

/**
 * Gives a component the ports that its part has as ends: ports that are there already and have the thread of an end become that end,
 * the others are added. Ports that are no end of the part stay as they are, without one.
 *
 * @param samePart the part itself has changed in the store: what is one of its ends takes its thread
 * @throws {CommandError} bad-value where the part is nowhere known; too-many
 */
export function settlePartPorts(draft: JobDraft, component: Component, samePart = false): void {
  const fitting = component.part ? partOf(draft, component.part.id) : undefined;
  if (component.part && !fitting) return;
  const mine = draft.document.ports.filter((p) => p.componentId === component.id);
  const left = new Set(mine.filter((p) => !p.openEnd));
  const chosen = (fitting?.ends ?? []).map((end, i) => {
    const fits = [...left].filter((p) => (p.connector && sameConnector(p.connector, end)) || (samePart && p.end === i));
    const port = fits.find((p) => p.end === i) ?? fits.find((p) => p.end === undefined) ?? fits[0];
    if (port) left.delete(port);
    return port;
  });
  for (const { end, ...bare } of left) if (end !== undefined) draft.put('port', bare);
  const missing = chosen.filter((port) => !port).length;
  if (mine.length + missing > MOST_ROWS.portOfComponent)
    throw new CommandError('too-many', `A component holds at most ${MOST_ROWS.portOfComponent} ports.`, 'part');
  const labels = mine.map((p) => p.label);
  const first = draft.nextOrder(mine);
  chosen.forEach((port, end) => {
    const connector = fitting!.ends[end]!;
    if (port) {
      if (port.end === end && port.connector && sameConnector(port.connector, connector)) return;
      const { maybe: _maybe, said: _said, ...known } = port;
      return draft.put('port', { ...known, connector, end });
    }
    const name = endName(fitting!, end);
    const label = labels.includes(name) ? freeName(name, labels) : name;
    labels.push(label);
    const made = { jobId: draft.jobId, componentId: component.id, label, connector, end, note: '', order: first + end, version: 1 };
    draft.add('port', { id: draft.context.newId(), ...made });
  });
}

/** The part that a component is to be. @throws {CommandError} bad-value */
export function partOf({ context }: JobDraft, id: string): Fitting | undefined {
  if (!context.parts) return undefined;
  const fitting = findFitting(context.parts, id);
  if (!fitting) throw new CommandError('bad-value', `There is no part "${id}" in the catalogue.`, 'part');
  return fitting;
}

/** Refuses a thread for a port that is an end of a part. @throws {CommandError} bad-value */
export function refuseOwnThread(port: Port): never {
  const is = port.connector ? ` (${formatConnector(port.connector)})` : '';
  throw new CommandError(
    'bad-value',
    `${port.label} is an end of a part of the catalogue${is}: change the part in the store, or take the part off the component.`,
    'notation',
  );
}
