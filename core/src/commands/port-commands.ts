import { parseConnector } from '../connectors/index.js';
import { formatPortThread, parsePortThread, userOfPort, type Closed, type Port, type PortThread } from '../job/index.js';
import { refuseOwnThread } from './component-part.js';
import { CommandError } from './command-error.js';
import type { CommandOf, SensorFields } from './command-schemas.js';
import { freeName } from './free-name.js';
import { checkLinks } from './check-line.js';
import { MOST_ROWS, type JobDraft } from './job-draft.js';
import { forgetPlaces, lineOfBranch, linesOn, listed } from './port-uses.js';

/** A new port at the end of its component; what is known of its thread is read from the notation. @throws {ConnectorSyntaxError} */
export function addPort(draft: JobDraft, command: CommandOf<'add-port'>): string {
  const { id, componentId, label, notation, note = '', sensor } = command;
  draft.row('component', componentId);
  const siblings = roomForOne(draft, componentId);
  const made: Port = {
    id: id ?? draft.context.newId(),
    jobId: draft.jobId,
    componentId,
    label: label.trim(),
    ...parsePortThread(notation),
    note,
    ...(sensor ? { sensor: readSensor({ ...sensor, movedTo: null }) } : {}),
    order: draft.nextOrder(siblings),
    version: 1,
  };
  draft.add('port', made);
  return `Add port ${made.label}`;
}

export function editPort(draft: JobDraft, { id, version, set }: CommandOf<'edit-port'>): string {
  const before = draft.editable('port', id, version);
  const { notation, sensor, label, closed, ...rest } = set;
  const { sensor: was, closed: wasClosed, connector, maybe, said, ...bare } = before;
  const known: PortThread = { connector, ...(maybe ? { maybe } : {}), ...(said === undefined ? {} : { said }) };
  const thread = notation === undefined ? known : parsePortThread(notation);
  if (before.openEnd && formatPortThread(thread) !== formatPortThread(before))
    throw new CommandError('bad-value', `${before.label} is the open end of a fitting: its thread is that of the fitting.`, 'notation');
  if (before.end !== undefined && formatPortThread(thread) !== formatPortThread(before)) refuseOwnThread(before);
  if (sensor?.movedTo) {
    checkPlace(draft, before, sensor.movedTo.portId);
    checkLinks(draft, sensor.movedTo.fittings, 'sensor');
  }
  if (closed) checkClosed(draft, before, closed);
  const closing = closed === undefined ? wasClosed : closed;
  const seated = sensor === undefined ? was : sensor && readSensor(sensor);
  draft.put('port', {
    ...bare,
    ...rest,
    ...thread,
    ...(label === undefined ? {} : { label: label.trim() }),
    ...(closing ? { closed: closing } : {}),
    ...(seated ? { sensor: seated } : {}),
  });
  return `Edit port ${before.label}`;
}

/** Only what nothing runs from can be closed; a plug is parts of the catalogue, the last of which leads nowhere. @throws {CommandError} */
function checkClosed(draft: JobDraft, port: Port, { by, fittings }: Closed): void {
  const user = userOfPort(port, draft.document);
  if (user)
    throw new CommandError(
      'port-in-use',
      `${port.label} is not free: ${user.kind === 'line' ? `L${user.line.number} uses it` : `the ${user.name} sits in it`}.`,
      'closed',
    );
  if (by === 'stays' && fittings.length > 0) throw new CommandError('bad-value', 'What stays as it is takes no part.', 'closed');
  checkLinks(draft, fittings, 'closed');
  const last = fittings[fittings.length - 1];
  if (by === 'plug' && (!last || last.inEnd !== last.outEnd))
    throw new CommandError('bad-value', 'A plug ends in a part that closes it.', 'closed');
}

/** The same port again, without what sits in it. */
export function duplicatePort(draft: JobDraft, { id, newId }: CommandOf<'duplicate-port'>): string {
  const { sensor: _sensor, closed: _closed, openEnd: _openEnd, end: _end, ...original } = draft.row('port', id);
  const siblings = roomForOne(draft, original.componentId);
  const label = freeName(
    original.label,
    siblings.map((p) => p.label),
  );
  draft.add('port', { ...original, id: newId ?? draft.context.newId(), label, order: draft.nextOrder(siblings), version: 1 });
  return `Duplicate port ${original.label}`;
}

/** @throws {CommandError} port-in-use, naming the line */
export function deletePort(draft: JobDraft, { id, version }: CommandOf<'delete-port'>): string {
  const port = draft.editable('port', id, version);
  const lines = linesOn(draft.document, [id]);
  if (lines.length > 0)
    throw new CommandError('port-in-use', `${port.label} cannot be deleted: ${listed(lines)} ends on it. Delete or move the line first.`);
  if (port.end !== undefined)
    throw new CommandError('port-in-use', `${port.label} is an end of the part that ${draft.row('component', port.componentId).name} is.`);
  const owner = lineOfBranch(draft.document, id);
  if (owner)
    throw new CommandError('port-in-use', `${port.label} stands for an open end of L${owner.number}: take another way there, or plug it.`);
  forgetPlaces(draft, [id]);
  draft.remove('port', id);
  return `Delete port ${port.label}`;
}

/** @throws {ConnectorSyntaxError} */
function readSensor({ name, notation, movedTo }: SensorFields): NonNullable<Port['sensor']> {
  return { name: name.trim(), connector: parseConnector(notation), movedTo };
}

/** A sensor moves to another port of its job, which neither a line nor another sensor has. */
function checkPlace({ document }: JobDraft, from: Port, portId: string): void {
  const place = document.ports.find((p) => p.id === portId);
  if (!place || place.id === from.id)
    throw new CommandError('not-found', 'The new place of the sensor is not another port of this job.', 'sensor');
  const user = userOfPort(place, { ...document, ports: document.ports.filter((p) => p.id !== from.id) });
  if (user?.kind === 'line') throw new CommandError('port-in-use', `${place.label} is used by L${user.line.number}.`, 'sensor');
  if (user) throw new CommandError('port-in-use', `${place.label} holds the ${user.name} already.`, 'sensor');
}

function roomForOne({ document }: JobDraft, componentId: string): Port[] {
  const siblings = document.ports.filter((p) => p.componentId === componentId);
  if (siblings.length >= MOST_ROWS.portOfComponent)
    throw new CommandError('too-many', `A component holds at most ${MOST_ROWS.portOfComponent} ports.`);
  return siblings;
}
