import { constructions, serviceById, type Line, type LineEnd } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { checkLinks, hasHose } from '../catalogue/catalogue-lookup.js';
import { deleteEntity, insertEntity, listEntities, updateEntity } from '../database/entities.js';
import { nextPosition } from '../database/next-position.js';
import { AppError } from '../errors/app-error.js';
import { settleBranchPorts } from './branch-ports.js';
import { changeJob, editable, jobOf } from '../history/change.js';

export type LinePatch = Partial<Omit<Line, 'id' | 'jobId' | 'number' | 'version'>>;

/** Slack a new line starts with: hoses shorten and lengthen by −4 to +2 % under pressure (SAE J1273). */
const USUAL_SLACK_PERCENT = 2;

/** A line between two ports, all else still open. @throws {AppError} same-port, port-in-use, not-found */
export async function addLine(
  db: Knex,
  jobId: string,
  fields: { name?: string; service: Line['service']; fromPortId: string; toPortId: string },
  client: string,
): Promise<Line> {
  let made: Line | undefined;
  await changeJob(db, jobId, client, async (trx) => {
    const number = ((await trx('job_lines').where({ job_id: jobId }).max('number as last').first()) as { last: number | null }).last ?? 0;
    const end = (portId: string): LineEnd => ({ portId, angleDeg: 0, fittings: null });
    made = {
      id: randomUUID(),
      jobId,
      number: number + 1,
      name: fields.name?.trim() || serviceById(fields.service).name,
      service: fields.service,
      construction: null,
      dash: null,
      endA: end(fields.fromPortId),
      endB: end(fields.toPortId),
      tapedLengthMm: null,
      slackPercent: USUAL_SLACK_PERCENT,
      checked: false,
      note: '',
      position: await nextPosition(trx, 'job_lines', { job_id: jobId }),
      version: 1,
    };
    await checkPorts(trx, made);
    await insertEntity(trx, { type: 'line', data: made });
    return { label: `Add L${made.number} ${made.name}`, before: [], after: [{ type: 'line', data: made }] };
  });
  return made!;
}

export async function editLine(db: Knex, id: string, version: number, patch: LinePatch, client: string): Promise<Line> {
  let after: Line | undefined;
  await changeJob(db, await jobOf(db, 'job_lines', id), client, async (trx) => {
    const before = await editable(trx, 'line', id, version);
    const merged = { ...before, ...patch, version: version + 1 };
    await checkPorts(trx, merged);
    await checkParts(trx, merged, patch);
    const { line, added, removed } = await settleBranchPorts(trx, before, merged);
    after = line;
    await updateEntity(trx, { type: 'line', data: after });
    return {
      label: `Edit L${before.number} ${before.name}`,
      before: [{ type: 'line', data: before }, ...removed],
      after: [{ type: 'line', data: after }, ...added],
    };
  });
  return after!;
}

export async function deleteLine(db: Knex, id: string, version: number, client: string): Promise<void> {
  await changeJob(db, await jobOf(db, 'job_lines', id), client, async (trx) => {
    const line = await editable(trx, 'line', id, version);
    await deleteEntity(trx, { type: 'line', data: line });
    return { label: `Delete L${line.number} ${line.name}`, before: [{ type: 'line', data: line }], after: [] };
  });
}

/** Both ports must be of this job, not the same, and not used by another line. The job is locked, so this holds until the write. */
async function checkPorts(trx: Knex.Transaction, line: Line): Promise<void> {
  const ids = [line.endA.portId, line.endB.portId];
  if (ids[0] === ids[1]) throw new AppError('same-port', undefined, { field: 'endB' });
  const ports = await listEntities(trx, 'port', { job_id: line.jobId });
  const others = (await listEntities(trx, 'line', { job_id: line.jobId })).filter((l) => l.id !== line.id);
  for (const [i, id] of ids.entries()) {
    const field = i === 0 ? 'endA' : 'endB';
    const port = ports.find((p) => p.id === id);
    if (!port) throw new AppError('not-found', 'The port is not in this job.', { field });
    const user = others.find((l) => l.endA.portId === id || l.endB.portId === id);
    if (user) throw new AppError('port-in-use', `${port.label} is already used by L${user.number} ${user.name}.`, { field });
  }
}

/** Hose and fittings must be in the catalogue when they are chosen. A retired part may stay where it is, but is not chosen anew. */
async function checkParts(trx: Knex.Transaction, line: Line, patch: LinePatch): Promise<void> {
  if (patch.construction !== undefined && line.construction !== null && !constructions.some((c) => c.id === line.construction))
    throw new AppError('bad-value', `There is no hose construction "${line.construction}".`, { field: 'construction' });
  const { construction, dash } = line;
  if ((patch.dash !== undefined || patch.construction !== undefined) && construction !== null && dash !== null)
    if (!(await hasHose(trx, construction, dash)))
      throw new AppError('bad-value', `The catalogue has no such hose in -${dash}.`, { field: 'dash' });
  for (const field of ['endA', 'endB'] as const) {
    const end = patch[field];
    if (end) await checkLinks(trx, [...(end.fittings ?? []), ...(end.branches ?? []).flatMap((b) => b.fittings)], field);
  }
}
