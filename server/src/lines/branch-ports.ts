import type { Connector, Line, LineBranch, LineEnd, Port } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { findFittings } from '../catalogue/catalogue-lookup.js';
import { deleteEntity, insertEntity, listEntities, lockEntity, type Entity } from '../database/entities.js';
import { nextPosition } from '../database/next-position.js';
import { AppError } from '../errors/app-error.js';

/**
 * An open end given to another line gets a port that stands for it; when the branch goes, its port goes too, unless a line runs from it.
 * @returns the line with the new ports' ids, and the ports that came and went
 */
export async function settleBranchPorts(
  trx: Knex.Transaction,
  before: Line,
  after: Line,
): Promise<{ line: Line; added: Entity[]; removed: Entity[] }> {
  const added: Entity[] = [];
  const settle = async (end: LineEnd, side: 'A' | 'B'): Promise<LineEnd> => {
    if (!end.branches?.some((b) => b.to === 'line' && !b.portId)) return end;
    const branches: LineBranch[] = [];
    for (const branch of end.branches) {
      if (branch.to !== 'line' || branch.portId) {
        branches.push(branch);
        continue;
      }
      const port = await addPort(trx, after, end, branch, side);
      added.push({ type: 'port', data: port });
      branches.push({ ...branch, portId: port.id });
    }
    return { ...end, branches };
  };
  const line = { ...after, endA: await settle(after.endA, 'A'), endB: await settle(after.endB, 'B') };
  return { line, added, removed: await removeUnneeded(trx, before, line) };
}

async function addPort(trx: Knex.Transaction, line: Line, end: LineEnd, branch: LineBranch, side: 'A' | 'B'): Promise<Port> {
  const at = await lockEntity(trx, 'port', end.portId);
  if (!at) throw new AppError('not-found', 'The port is not in this job.');
  const port: Port = {
    id: randomUUID(),
    jobId: line.jobId,
    componentId: at.componentId,
    label: `branch of L${line.number}, end ${side}`,
    connector: await openConnector(trx, end, branch),
    note: '',
    position: await nextPosition(trx, 'ports', { component_id: at.componentId }),
    openEnd: true,
    version: 1,
  };
  await insertEntity(trx, { type: 'port', data: port });
  return port;
}

/** What the branch ends in: the open end itself, or the last adapter on it. */
async function openConnector(trx: Knex.Transaction, end: LineEnd, branch: LineBranch): Promise<Connector> {
  const links = [...(end.fittings ?? []), ...branch.fittings];
  const fittings = await findFittings(
    trx,
    links.map((link) => link.id),
  );
  const tee = fittings.get(end.fittings?.[branch.at]?.id ?? '');
  const last = branch.fittings[branch.fittings.length - 1];
  const connector = last ? fittings.get(last.id)?.ends[last.outEnd] : tee?.ends[branch.end];
  if (!connector) throw new AppError('bad-value', 'A branch names an end that its fitting does not have.', { field: 'branches' });
  return connector;
}

async function removeUnneeded(trx: Knex.Transaction, before: Line, after: Line): Promise<Entity[]> {
  const portsOf = (line: Line): string[] =>
    [line.endA, line.endB].flatMap((end) => (end.branches ?? []).flatMap((b) => (b.to === 'line' && b.portId ? [b.portId] : [])));
  const kept = new Set(portsOf(after));
  const gone = portsOf(before).filter((id) => !kept.has(id));
  if (gone.length === 0) return [];
  const lines = await listEntities(trx, 'line', { job_id: before.jobId });
  const removed: Entity[] = [];
  for (const id of gone) {
    const port = await lockEntity(trx, 'port', id);
    if (!port?.openEnd || lines.some((l) => l.endA.portId === id || l.endB.portId === id)) continue;
    await deleteEntity(trx, { type: 'port', data: port });
    removed.push({ type: 'port', data: port });
  }
  return removed;
}
