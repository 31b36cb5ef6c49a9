import type { Component, Port } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { deleteEntity, insertEntity, listEntities, updateEntity, type Entity } from '../database/entities.js';
import { nextPosition } from '../database/next-position.js';
import { AppError } from '../errors/app-error.js';
import { changeJob, editable, jobOf } from '../history/change.js';

export type ComponentPatch = Partial<Pick<Component, 'kind' | 'name' | 'note' | 'position'>>;

/** A new component at the end of the survey. */
export async function addComponent(
  db: Knex,
  jobId: string,
  fields: Pick<Component, 'kind' | 'name' | 'note'>,
  client: string,
): Promise<Component> {
  let made: Component | undefined;
  await changeJob(db, jobId, client, async (trx) => {
    made = {
      id: randomUUID(),
      jobId,
      ...fields,
      name: fields.name.trim(),
      position: await nextPosition(trx, 'components', { job_id: jobId }),
      version: 1,
    };
    await insertEntity(trx, { type: 'component', data: made });
    return { label: `Add ${made.name}`, before: [], after: [{ type: 'component', data: made }] };
  });
  return made!;
}

export async function editComponent(db: Knex, id: string, version: number, patch: ComponentPatch, client: string): Promise<Component> {
  let after: Component | undefined;
  await changeJob(db, await jobOf(db, 'components', id), client, async (trx) => {
    const before = await editable(trx, 'component', id, version);
    after = { ...before, ...patch, version: version + 1 };
    await updateEntity(trx, { type: 'component', data: after });
    return { label: `Edit ${before.name}`, before: [{ type: 'component', data: before }], after: [{ type: 'component', data: after }] };
  });
  return after!;
}

/** The same component with the same ports again, under a name of its own. */
export async function duplicateComponent(db: Knex, id: string, client: string): Promise<{ component: Component; ports: Port[] }> {
  const jobId = await jobOf(db, 'components', id);
  let made: { component: Component; ports: Port[] } | undefined;
  await changeJob(db, jobId, client, async (trx) => {
    const [original] = await listEntities(trx, 'component', { id });
    if (!original) throw new AppError('not-found');
    const siblings = await listEntities(trx, 'component', { job_id: jobId });
    const component: Component = {
      ...original,
      id: randomUUID(),
      name: freeName(
        original.name,
        siblings.map((c) => c.name),
      ),
      position: await nextPosition(trx, 'components', { job_id: jobId }),
      version: 1,
    };
    const ports = (await listEntities(trx, 'port', { component_id: id })).map((port): Port => ({
      ...port,
      id: randomUUID(),
      componentId: component.id,
      version: 1,
    }));
    const after: Entity[] = [{ type: 'component', data: component }, ...ports.map((data): Entity => ({ type: 'port', data }))];
    for (const entity of after) await insertEntity(trx, entity);
    made = { component, ports };
    return { label: `Duplicate ${original.name}`, before: [], after };
  });
  return made!;
}

/** Deletes a component with its ports. @throws {AppError} component-in-use, naming the lines */
export async function deleteComponent(db: Knex, id: string, version: number, client: string): Promise<void> {
  await changeJob(db, await jobOf(db, 'components', id), client, async (trx) => {
    const component = await editable(trx, 'component', id, version);
    const ports = await listEntities(trx, 'port', { component_id: id });
    const lines = await linesOn(
      trx,
      ports.map((p) => p.id),
    );
    if (lines.length > 0)
      throw new AppError(
        'component-in-use',
        `${component.name} cannot be deleted: ${lines.join(', ')} ${lines.length === 1 ? 'ends' : 'end'} on it. Delete or move the line first.`,
      );
    const before: Entity[] = [{ type: 'component', data: component }, ...ports.map((data): Entity => ({ type: 'port', data }))];
    for (const entity of [...before].reverse()) await deleteEntity(trx, entity);
    return { label: `Delete ${component.name}`, before, after: [] };
  });
}

/** `L4` for every line that ends on one of the ports. */
export async function linesOn(trx: Knex, portIds: readonly string[]): Promise<string[]> {
  const rows = (await trx('job_lines')
    .whereIn('port_a', [...portIds])
    .orWhereIn('port_b', [...portIds])
    .orderBy('number')) as { number: number }[];
  return rows.map((row) => `L${row.number}`);
}

/** `Turbo 2` after `Turbo`, `Turbo 3` after `Turbo 2`. */
export function freeName(name: string, taken: readonly string[]): string {
  const stem = name.replace(/ \d+$/, '').slice(0, 74);
  for (let n = 2; ; n++) if (!taken.includes(`${stem} ${n}`)) return `${stem} ${n}`;
}
