import {
  entities,
  type CataloguePart,
  type Connector,
  type EntityType,
  type FlowRulesRow,
  type Found,
  type JobEntities,
  type JudgingRulesRow,
  type Line,
  type Port,
  type PortThread,
  type SealRulesRow,
  type StockEntities,
  type WeightsRow,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from './from-json.js';
import { listPartRows } from './part-rows.js';
import { stockTables } from './stock-tables.js';

/** The rows of each type, as the app works on them. Each has an id and a version. */
export type Rows = JobEntities &
  StockEntities & {
    part: CataloguePart;
    weights: WeightsRow;
    sealRules: SealRulesRow;
    flowRules: FlowRulesRow;
    judgingRules: JudgingRulesRow;
  };
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

/** Parts are kept in several tables: `part-rows.ts`. */
export const tables: { [T in Exclude<EntityType, 'part'>]: Table<Rows[T]> } = {
  job: {
    table: 'jobs',
    key: 'id',
    order: 'number',
    toColumns: ({ updatedAt, running, neededBy, beside, waivers, deviations, ...job }) => ({
      ...job,
      running: jsonOrNull(running),
      needed_by: neededBy ?? null,
      beside: listOrNull(beside),
      waivers: listOrNull(waivers),
      deviations: listOrNull(deviations),
      updated_at: new Date(updatedAt),
    }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      number: c['number'] as string,
      name: c['name'] as string,
      description: c['description'] as string,
      archived: Boolean(c['archived']),
      ...(c['running'] ? { running: fromJson<NonNullable<Rows['job']['running']>>(c['running']) } : {}),
      ...(c['needed_by'] ? { neededBy: c['needed_by'] as string } : {}),
      ...(c['beside'] ? { beside: fromJson<NonNullable<Rows['job']['beside']>>(c['beside']) } : {}),
      ...(c['deviations'] ? { deviations: fromJson<NonNullable<Rows['job']['deviations']>>(c['deviations']) } : {}),
      ...(c['waivers'] ? { waivers: fromJson<NonNullable<Rows['job']['waivers']>>(c['waivers']) } : {}),
      version: c['version'] as number,
      updatedAt: (c['updated_at'] as Date).toISOString(),
    }),
  },
  component: {
    table: 'components',
    key: 'id',
    order: 'order',
    toColumns: ({ jobId, part, metal, flow, ...component }) => ({
      ...component,
      part: part ? JSON.stringify(part) : null,
      metal: metal ?? null,
      flow: jsonOrNull(flow),
      job_id: jobId,
    }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      jobId: c['job_id'] as string,
      kind: c['kind'] as Rows['component']['kind'],
      name: c['name'] as string,
      note: c['note'] as string,
      order: c['order'] as number,
      ...(c['part'] ? { part: fromJson<NonNullable<Rows['component']['part']>>(c['part']) } : {}),
      ...(c['flow'] ? { flow: fromJson<NonNullable<Rows['component']['flow']>>(c['flow']) } : {}),
      ...(c['metal'] ? { metal: c['metal'] as NonNullable<Rows['component']['metal']> } : {}),
      version: c['version'] as number,
    }),
  },
  port: {
    table: 'ports',
    key: 'id',
    order: 'order',
    toColumns: ({ jobId, componentId, connector, maybe, said, sensor, closed, openEnd, end, ...port }) => ({
      ...port,
      sensor: sensor ? JSON.stringify(sensor) : null,
      closed: closed ? JSON.stringify(closed) : null,
      open_end: openEnd ?? false,
      part_end: end ?? null,
      job_id: jobId,
      component_id: componentId,
      connector: JSON.stringify(connector ?? { maybe, said }),
    }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      jobId: c['job_id'] as string,
      componentId: c['component_id'] as string,
      label: c['label'] as string,
      ...threadOf(fromJson<Connector | Pick<Port, 'maybe' | 'said'>>(c['connector'])),
      note: c['note'] as string,
      order: c['order'] as number,
      ...(c['sensor'] ? { sensor: fromJson<NonNullable<Port['sensor']>>(c['sensor']) } : {}),
      ...(c['closed'] ? { closed: fromJson<NonNullable<Port['closed']>>(c['closed']) } : {}),
      ...(c['open_end'] ? { openEnd: true } : {}),
      ...(c['part_end'] === null ? {} : { end: c['part_end'] as number }),
      version: c['version'] as number,
    }),
  },
  line: {
    table: 'job_lines',
    key: 'id',
    order: 'order',
    toColumns: ({ jobId, portA, portB, pieces, ways, checked, made, provisional, found, flow, ...line }) => ({
      ...line,
      job_id: jobId,
      port_a: portA,
      port_b: portB,
      fluid: line.fluid ?? null,
      flow: jsonOrNull(flow),
      pieces: JSON.stringify(pieces),
      ways: JSON.stringify(ways),
      checked: checked ? JSON.stringify(checked) : null,
      made: listOrNull(made),
      provisional: listOrNull(provisional),
      found: listOrNull(found),
    }),
    fromColumns: (c) => ({
      id: c['id'] as string,
      jobId: c['job_id'] as string,
      number: c['number'] as number,
      name: c['name'] as string,
      service: c['service'] as Rows['line']['service'],
      ...(c['fluid'] ? { fluid: c['fluid'] as NonNullable<Line['fluid']> } : {}),
      ...(c['flow'] ? { flow: fromJson<NonNullable<Line['flow']>>(c['flow']) } : {}),
      portA: c['port_a'] as string,
      portB: c['port_b'] as string,
      pieces: fromJson<Line['pieces']>(c['pieces']),
      ways: fromJson<Line['ways']>(c['ways']),
      checked: c['checked'] ? fromJson<NonNullable<Line['checked']>>(c['checked']) : null,
      ...(c['made'] ? { made: fromJson<string[]>(c['made']) } : {}),
      ...(c['provisional'] ? { provisional: fromJson<string[]>(c['provisional']) } : {}),
      ...(c['found'] ? { found: fromJson<Found[]>(c['found']) } : {}),
      note: c['note'] as string,
      order: c['order'] as number,
      version: c['version'] as number,
    }),
  },
  weights: shopRow<'weights', 'weights'>('weights'),
  sealRules: shopRow<'sealRules', 'rules'>('rules'),
  flowRules: shopRow<'flowRules', 'rules'>('rules'),
  judgingRules: shopRow<'judgingRules', 'rules'>('rules'),
  storeRules: shopRow<'storeRules', 'rules'>('rules'),
  ...stockTables,
};

/** Of these the shop has one row each; what they say stands under one field. */
function shopRow<T extends 'weights' | 'sealRules' | 'flowRules' | 'judgingRules' | 'storeRules', F extends keyof Rows[T] & string>(
  field: F,
): Table<Rows[T]> {
  return {
    table: 'shop_rules',
    key: 'name',
    order: 'name',
    toColumns: (row) => ({ name: row.id, data: JSON.stringify(row[field]), version: row.version }),
    fromColumns: (c) => ({ id: c['name'], [field]: fromJson(c['data']), version: c['version'] }) as unknown as Rows[T],
  };
}

/** What says nothing is kept as none. */
function jsonOrNull(value: object | undefined): string | null {
  return value && Object.keys(value).length > 0 ? JSON.stringify(value) : null;
}

/** An empty list is kept as none. */
function listOrNull(list: readonly unknown[] | undefined): string | null {
  return list && list.length > 0 ? JSON.stringify(list) : null;
}

/** A port's thread as its column has it: a connector, or what is known instead. */
function threadOf(kept: Connector | Pick<Port, 'maybe' | 'said'>): PortThread {
  return 'family' in kept ? { connector: kept } : { connector: null, ...kept };
}

/** Types in the order in which rows can be put in: parents before children. */
export const entityTypes = Object.keys(entities) as EntityType[];

export async function listRows<T extends EntityType>(db: Knex, type: T, where: Columns = {}): Promise<Rows[T][]> {
  if (type === 'part') return (await listPartRows(db, where)) as Rows[T][];
  const { table, order, key, fromColumns } = tables[type as Exclude<T, 'part'>];
  const rows = (await db(table).where(where).orderBy(order).orderBy(key)) as Columns[];
  return rows.map((columns) => fromColumns(columns) as Rows[T]);
}
