import { componentFlowProblem, type Component, type Port } from '../job/index.js';
import { settlePartPorts } from './component-part.js';
import { CommandError } from './command-error.js';
import type { CommandOf } from './command-schemas.js';
import { freeName } from './free-name.js';
import { MOST_ROWS, type JobDraft } from './job-draft.js';
import { forgetPlaces, linesOn, listed } from './port-uses.js';

/** A new component at the end of the survey. */
export function addComponent(draft: JobDraft, { id, kind, name, note = '', part, metal }: CommandOf<'add-component'>): string {
  roomForOne(draft);
  const { components } = draft.document;
  const made: Component = {
    id: id ?? draft.context.newId(),
    jobId: draft.jobId,
    kind,
    name: name.trim(),
    note,
    order: draft.nextOrder(components),
    ...(part ? { part } : {}),
    ...(metal ? { metal } : {}),
    version: 1,
  };
  draft.add('component', made);
  settlePartPorts(draft, made);
  return `Add ${made.name}`;
}

export function editComponent(draft: JobDraft, { id, version, set }: CommandOf<'edit-component'>): string {
  const before = draft.editable('component', id, version);
  const { part: was, metal: metalWas, ...rest } = before;
  const { part = was, metal = metalWas, ...fields } = set;
  const next: Component = {
    ...rest,
    ...fields,
    ...(part ? { part } : {}),
    ...(metal ? { metal } : {}),
    ...(set.name === undefined ? {} : { name: set.name.trim() }),
  };
  const problem = next.flow && componentFlowProblem(next.flow);
  if (problem) throw new CommandError('bad-value', problem.message, `flow.${problem.field}`);
  draft.put('component', next);
  // the same again takes the threads that the part has now; that it is there or not touches no port
  if (set.part !== undefined && (part?.id !== was?.id || part?.there === was?.there)) settlePartPorts(draft, next, part?.id === was?.id);
  return `Edit ${before.name}`;
}

/** The same component with the same ports again, under a name of its own. Open ends of tees and places of sensors stay with the first. */
export function duplicateComponent(draft: JobDraft, { id, newId }: CommandOf<'duplicate-component'>): string {
  roomForOne(draft);
  const original = draft.row('component', id);
  const { components, ports } = draft.document;
  const name = freeName(
    original.name,
    components.map((c) => c.name),
  );
  const component = { ...original, id: newId ?? draft.context.newId(), name, order: draft.nextOrder(components), version: 1 };
  draft.add('component', component);
  for (const port of ports.filter((p) => p.componentId === id && !p.openEnd)) {
    const copy: Port = { ...port, id: draft.context.newId(), componentId: component.id, version: 1 };
    draft.add('port', port.sensor ? { ...copy, sensor: { ...port.sensor, movedTo: null } } : copy);
  }
  return `Duplicate ${original.name}`;
}

/** Deletes a component with its ports; sensors that were to move there have no place again. @throws {CommandError} component-in-use */
export function deleteComponent(draft: JobDraft, { id, version }: CommandOf<'delete-component'>): string {
  const component = draft.editable('component', id, version);
  const ports = draft.document.ports.filter((p) => p.componentId === id);
  const ids = ports.map((p) => p.id);
  const lines = linesOn(draft.document, ids);
  if (lines.length > 0)
    throw new CommandError(
      'component-in-use',
      `${component.name} cannot be deleted: ${listed(lines)} ${lines.length === 1 ? 'ends' : 'end'} on it. Delete or move the line first.`,
    );
  forgetPlaces(draft, ids);
  for (const portId of ids) draft.remove('port', portId);
  draft.remove('component', id);
  return `Delete ${component.name}`;
}

function roomForOne({ document }: JobDraft): void {
  if (document.components.length >= MOST_ROWS.component)
    throw new CommandError('too-many', `A job holds at most ${MOST_ROWS.component} components.`);
}
