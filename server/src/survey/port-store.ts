import { parseConnector, type Port } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { deleteEntity, insertEntity, listEntities, lockEntity, updateEntity } from '../database/entities.js';
import { nextPosition } from '../database/next-position.js';
import { AppError } from '../errors/app-error.js';
import { changeJob, editable, jobOf } from '../history/change.js';
import { freeName, linesOn } from './component-store.js';

export interface PortPatch {
  readonly label?: string;
  readonly notation?: string;
  readonly note?: string;
  readonly position?: number;
  /** What sits in the port now, its connector in notation; null where nothing does. */
  readonly sensor?: SensorFields | null;
}

export interface SensorFields {
  readonly name: string;
  readonly notation: string;
  readonly movedTo: NonNullable<Port['sensor']>['movedTo'];
}

/** A new port of a component; its connector is read from the notation. @throws {ConnectorSyntaxError} */
export async function addPort(
  db: Knex,
  componentId: string,
  fields: { label: string; notation: string; note: string; sensor?: SensorFields | null },
  client: string,
): Promise<Port> {
  const connector = parseConnector(fields.notation);
  const sensor = fields.sensor ? readSensor({ ...fields.sensor, movedTo: null }) : undefined;
  const jobId = await jobOf(db, 'components', componentId);
  let made: Port | undefined;
  await changeJob(db, jobId, client, async (trx) => {
    const component = await lockEntity(trx, 'component', componentId);
    if (!component) throw new AppError('not-found');
    made = {
      id: randomUUID(),
      jobId,
      componentId,
      label: fields.label.trim(),
      connector,
      note: fields.note,
      ...(sensor ? { sensor } : {}),
      position: await nextPosition(trx, 'ports', { component_id: componentId }),
      version: 1,
    };
    await insertEntity(trx, { type: 'port', data: made });
    return { label: `Add port ${made.label}`, before: [], after: [{ type: 'port', data: made }] };
  });
  return made!;
}

export async function editPort(
  db: Knex,
  id: string,
  version: number,
  { notation, sensor, ...patch }: PortPatch,
  client: string,
): Promise<Port> {
  const connector = notation === undefined ? {} : { connector: parseConnector(notation) };
  const seated = sensor === undefined ? {} : { sensor: sensor && readSensor(sensor) };
  let after: Port | undefined;
  await changeJob(db, await jobOf(db, 'ports', id), client, async (trx) => {
    const before = await editable(trx, 'port', id, version);
    if (sensor?.movedTo) await checkPlace(trx, before, sensor.movedTo.portId);
    after = { ...before, ...patch, ...connector, ...seated, version: version + 1 };
    await updateEntity(trx, { type: 'port', data: after });
    return { label: `Edit port ${before.label}`, before: [{ type: 'port', data: before }], after: [{ type: 'port', data: after }] };
  });
  return after!;
}

/** @throws {ConnectorSyntaxError} */
function readSensor({ name, notation, movedTo }: SensorFields): NonNullable<Port['sensor']> {
  return { name: name.trim(), connector: parseConnector(notation), movedTo };
}

/** A sensor moves to another port of its job, which neither a line nor another sensor has. */
async function checkPlace(trx: Knex.Transaction, from: Port, portId: string): Promise<void> {
  const field = 'sensor';
  const ports = await listEntities(trx, 'port', { job_id: from.jobId });
  const place = ports.find((p) => p.id === portId);
  if (!place || place.id === from.id)
    throw new AppError('not-found', 'The new place of the sensor is not another port of this job.', { field });
  const lines = await linesOn(trx, [portId]);
  if (lines.length > 0) throw new AppError('port-in-use', `${place.label} is used by ${lines.join(', ')}.`, { field });
  const other = ports.find((p) => p.id !== from.id && (p.sensor?.movedTo?.portId === portId || (p.id === portId && p.sensor)));
  if (other) throw new AppError('port-in-use', `${place.label} holds the ${other.sensor!.name} already.`, { field });
}

export async function duplicatePort(db: Knex, id: string, client: string): Promise<Port> {
  let made: Port | undefined;
  await changeJob(db, await jobOf(db, 'ports', id), client, async (trx) => {
    const original = await lockEntity(trx, 'port', id);
    if (!original) throw new AppError('not-found');
    const siblings = await listEntities(trx, 'port', { component_id: original.componentId });
    const { sensor: _sensor, ...bare } = original;
    made = {
      ...bare,
      id: randomUUID(),
      label: freeName(
        original.label,
        siblings.map((p) => p.label),
      ),
      position: await nextPosition(trx, 'ports', { component_id: original.componentId }),
      version: 1,
    };
    await insertEntity(trx, { type: 'port', data: made });
    return { label: `Duplicate port ${original.label}`, before: [], after: [{ type: 'port', data: made }] };
  });
  return made!;
}

/** @throws {AppError} port-in-use, naming the line */
export async function deletePort(db: Knex, id: string, version: number, client: string): Promise<void> {
  await changeJob(db, await jobOf(db, 'ports', id), client, async (trx) => {
    const port = await editable(trx, 'port', id, version);
    const lines = await linesOn(trx, [id]);
    if (lines.length > 0)
      throw new AppError('port-in-use', `${port.label} cannot be deleted: ${lines.join(', ')} ends on it. Delete or move the line first.`);
    await deleteEntity(trx, { type: 'port', data: port });
    return { label: `Delete port ${port.label}`, before: [{ type: 'port', data: port }], after: [] };
  });
}
