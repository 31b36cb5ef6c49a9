import { entities, type CataloguePart, type EntityType, type JobEntities, type LineEnd, type Port, type WeightsRow } from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from './from-json.js';

/** The rows of each type, as the app works on them. Each has an id and a version. */
export type Rows = JobEntities & { part: CataloguePart; weights: WeightsRow };
/** A row with its type. */
export type Entity = { [T in EntityType]: { readonly type: T; readonly row: Rows[T] } }[EntityType];

type Columns = Record<string, unknown>;

/** Where rows of a type are kept, and how a row becomes columns and comes back. */
interface Table<T> {
  readonly table: string;
  readonly key: string;
  /** The order of lists. */
  readonly order: string;
  readonly toColumns: (row: T) => Columns;
  readonly fromColumns: (columns: Columns) => T;
}

export const tables: { [T in EntityType]: Table<Rows[T]> } = {
  job: {
    table: 'jobs',
    key: 'id',
    order: 'number',
    toColumns: ({ updatedAt, ...job }) => ({ ...job, updated_at: new Date(updatedAt) }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      number: c['number'] as string,
      name: c['name'] as string,
      description: c['description'] as string,
      archived: Boolean(c['archived']),
      version: c['version'] as number,
      updatedAt: (c['updated_at'] as Date).toISOString(),
    }),
  },
  component: {
    table: 'components',
    key: 'id',
    order: 'position',
    toColumns: ({ jobId, ...component }) => ({ ...component, job_id: jobId }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      jobId: c['job_id'] as string,
      kind: c['kind'] as Rows['component']['kind'],
      name: c['name'] as string,
      note: c['note'] as string,
      position: c['position'] as number,
      version: c['version'] as number,
    }),
  },
  port: {
    table: 'ports',
    key: 'id',
    order: 'position',
    toColumns: ({ jobId, componentId, connector, sensor, openEnd, ...port }) => ({
      ...port,
      sensor: sensor ? JSON.stringify(sensor) : null,
      open_end: openEnd ?? false,
      job_id: jobId,
      component_id: componentId,
      connector: JSON.stringify(connector),
    }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      jobId: c['job_id'] as string,
      componentId: c['component_id'] as string,
      label: c['label'] as string,
      connector: fromJson<Port['connector']>(c['connector']),
      note: c['note'] as string,
      position: c['position'] as number,
      ...(c['sensor'] ? { sensor: fromJson<NonNullable<Port['sensor']>>(c['sensor']) } : {}),
      ...(c['open_end'] ? { openEnd: true } : {}),
      version: c['version'] as number,
    }),
  },
  line: {
    table: 'job_lines',
    key: 'id',
    order: 'position',
    toColumns: ({ jobId, endA, endB, tapedLengthMm, slackPercent, made, ...line }) => ({
      ...line,
      made: made && made.length > 0 ? JSON.stringify(made) : null,
      job_id: jobId,
      port_a: endA.portId,
      port_b: endB.portId,
      end_a: JSON.stringify(endA),
      end_b: JSON.stringify(endB),
      taped_length_mm: tapedLengthMm,
      slack_percent: slackPercent,
    }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      jobId: c['job_id'] as string,
      number: c['number'] as number,
      name: c['name'] as string,
      service: c['service'] as Rows['line']['service'],
      construction: c['construction'] as string | null,
      dash: c['dash'] as number | null,
      endA: fromJson<LineEnd>(c['end_a']),
      endB: fromJson<LineEnd>(c['end_b']),
      tapedLengthMm: c['taped_length_mm'] as number | null,
      slackPercent: c['slack_percent'] as number,
      checked: Boolean(c['checked']),
      ...(c['made'] ? { made: fromJson<string[]>(c['made']) } : {}),
      note: c['note'] as string,
      position: c['position'] as number,
      version: c['version'] as number,
    }),
  },
  part: {
    table: 'fittings',
    key: 'id',
    order: 'position',
    toColumns: ({ id, fitting, version, origin }) => ({
      id,
      data: JSON.stringify(fitting),
      origin,
      version,
      code: fitting.code ?? null,
      retired: fitting.retired ?? false,
    }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      fitting: fromJson<CataloguePart['fitting']>(c['data']),
      version: c['version'] as number,
      origin: c['origin'] as CataloguePart['origin'],
    }),
  },
  weights: {
    table: 'shop_rules',
    key: 'name',
    order: 'name',
    toColumns: ({ id, weights, version }) => ({ name: id, data: JSON.stringify(weights), version }),
    fromColumns: (c) => ({
      id: c['name'] as WeightsRow['id'],
      weights: fromJson<WeightsRow['weights']>(c['data']),
      version: c['version'] as number,
    }),
  },
};

/** Types in the order in which rows can be put in: parents before children. */
export const entityTypes = Object.keys(entities) as EntityType[];

export async function listRows<T extends EntityType>(db: Knex, type: T, where: Columns): Promise<Rows[T][]> {
  const { table, order, key, fromColumns } = tables[type];
  const rows = (await db(table).where(where).orderBy(order).orderBy(key)) as Columns[];
  return rows.map((columns) => fromColumns(columns));
}
