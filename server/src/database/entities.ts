import type { Component, Job, Line, LineEnd, Port } from '@gewinde/core';
import type { Knex } from 'knex';

/** The rows a fabricator edits, by type. Each has an id, a version and a job. */
export interface Entities {
  job: Job;
  component: Component;
  port: Port;
  line: Line;
}
export type EntityType = keyof Entities;
export type Entity = { [T in EntityType]: { readonly type: T; readonly data: Entities[T] } }[EntityType];

type Row = Record<string, unknown>;

interface Table<T> {
  readonly table: string;
  readonly toRow: (data: T) => Row;
  readonly fromRow: (row: Row) => T;
}

/** MariaDB gives JSON columns as text. */
function fromJson<T>(value: unknown): T {
  return (typeof value === 'string' ? JSON.parse(value) : value) as T;
}

const tables: { [T in EntityType]: Table<Entities[T]> } = {
  job: {
    table: 'jobs',
    toRow: ({ id, number, name, description, archived, version }) => ({
      id,
      number,
      name,
      description,
      archived,
      version,
      updated_at: new Date(),
    }),
    fromRow: (r) => ({
      id: r['id'] as string,
      number: r['number'] as string,
      name: r['name'] as string,
      description: r['description'] as string,
      archived: Boolean(r['archived']),
      version: r['version'] as number,
      updatedAt: (r['updated_at'] as Date).toISOString(),
    }),
  },
  component: {
    table: 'components',
    toRow: ({ jobId, ...c }) => ({ ...c, job_id: jobId }),
    fromRow: (r) => ({
      id: r['id'] as string,
      jobId: r['job_id'] as string,
      kind: r['kind'] as Component['kind'],
      name: r['name'] as string,
      note: r['note'] as string,
      position: r['position'] as number,
      version: r['version'] as number,
    }),
  },
  port: {
    table: 'ports',
    toRow: ({ jobId, componentId, connector, sensor, openEnd, ...p }) => ({
      ...p,
      sensor: sensor ? JSON.stringify(sensor) : null,
      open_end: openEnd ?? false,
      job_id: jobId,
      component_id: componentId,
      connector: JSON.stringify(connector),
    }),
    fromRow: (r) => ({
      id: r['id'] as string,
      jobId: r['job_id'] as string,
      componentId: r['component_id'] as string,
      label: r['label'] as string,
      connector: fromJson<Port['connector']>(r['connector']),
      note: r['note'] as string,
      position: r['position'] as number,
      ...(r['sensor'] ? { sensor: fromJson<NonNullable<Port['sensor']>>(r['sensor']) } : {}),
      ...(r['open_end'] ? { openEnd: true } : {}),
      version: r['version'] as number,
    }),
  },
  line: {
    table: 'job_lines',
    toRow: ({ jobId, endA, endB, tapedLengthMm, slackPercent, made, ...l }) => ({
      ...l,
      made: made && made.length > 0 ? JSON.stringify(made) : null,
      job_id: jobId,
      port_a: endA.portId,
      port_b: endB.portId,
      end_a: JSON.stringify(endA),
      end_b: JSON.stringify(endB),
      taped_length_mm: tapedLengthMm,
      slack_percent: slackPercent,
    }),
    fromRow: (r) => ({
      id: r['id'] as string,
      jobId: r['job_id'] as string,
      number: r['number'] as number,
      name: r['name'] as string,
      service: r['service'] as Line['service'],
      construction: r['construction'] as string | null,
      dash: r['dash'] as number | null,
      endA: fromJson<LineEnd>(r['end_a']),
      endB: fromJson<LineEnd>(r['end_b']),
      tapedLengthMm: r['taped_length_mm'] as number | null,
      slackPercent: r['slack_percent'] as number,
      checked: Boolean(r['checked']),
      ...(r['made'] ? { made: fromJson<string[]>(r['made']) } : {}),
      note: r['note'] as string,
      position: r['position'] as number,
      version: r['version'] as number,
    }),
  },
};

/** One row, locked for the rest of the transaction; undefined if it is gone. */
export async function lockEntity<T extends EntityType>(trx: Knex.Transaction, type: T, id: string): Promise<Entities[T] | undefined> {
  const row = (await trx(tables[type].table).where({ id }).forUpdate().first()) as Row | undefined;
  return row && tables[type].fromRow(row);
}

export async function listEntities<T extends EntityType>(db: Knex, type: T, where: Row, order = 'position'): Promise<Entities[T][]> {
  const rows = (await db(tables[type].table).where(where).orderBy(order).orderBy('id')) as Row[];
  return rows.map((row) => tables[type].fromRow(row));
}

export async function insertEntity(trx: Knex, entity: Entity): Promise<void> {
  await trx(tables[entity.type].table).insert(rowOf(entity));
}

export async function updateEntity(trx: Knex, entity: Entity): Promise<void> {
  await trx(tables[entity.type].table).where({ id: entity.data.id }).update(rowOf(entity));
}

export async function deleteEntity(trx: Knex, entity: Entity): Promise<void> {
  await trx(tables[entity.type].table).where({ id: entity.data.id }).delete();
}

function rowOf(entity: Entity): Row {
  const { toRow } = tables[entity.type] as Table<Entity['data']>;
  return toRow(entity.data);
}
