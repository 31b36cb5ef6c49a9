import type { CataloguePart, EntityType } from '@gewinde/core';
import type { Knex } from 'knex';
import { entityTypes, tables, type Entity, type Rows } from './entities.js';
import { insertPartRows, lockPartRows, updatePartRows } from './part-rows.js';
import { keepUses } from './part-uses.js';
import { lots } from './lots.js';

/** Rows by id, locked for the rest of the transaction; those that are not there are left out. */
export async function lockRows<T extends EntityType>(
  trx: Knex.Transaction,
  type: T,
  ids: readonly string[],
): Promise<Map<string, Rows[T]>> {
  if (type === 'part') return (await lockPartRows(trx, ids)) as Map<string, Rows[T]>;
  const { table, key, fromColumns } = tables[type as Exclude<T, 'part'>];
  const found = new Map<string, Rows[T]>();
  for (const some of lots(ids)) {
    const rows = (await trx(table).whereIn(key, some).forUpdate()) as Record<string, unknown>[];
    for (const columns of rows) found.set(columns[key] as string, fromColumns(columns));
  }
  return found;
}

/** Rows to be written. `was` tells those that are changed as they were, where that is known: it saves work. */
export interface RowsToWrite {
  readonly made: readonly Entity[];
  readonly changed: readonly Entity[];
  readonly gone: readonly Entity[];
  readonly was?: readonly Entity[];
}

/** Makes, changes and takes away rows in an order that no reference stands in the way of. */
export async function writeRows(trx: Knex.Transaction, rows: RowsToWrite): Promise<void> {
  const { made, changed, gone } = rows;
  const nameParts = await keepUses(trx, rows);
  await deleteRows(trx, 'line', gone);
  for (const type of entityTypes) await insertRows(trx, type, made);
  for (const type of entityTypes) await updateRows(trx, type, changed);
  for (const type of [...entityTypes].reverse()) if (type !== 'line') await deleteRows(trx, type, gone);
  await nameParts();
}

async function insertRows(trx: Knex.Transaction, type: EntityType, entities: readonly Entity[]): Promise<void> {
  if (type === 'part') return insertPartRows(trx, partsOf(entities));
  const rows = columnsOf(type, entities);
  for (const some of lots(rows)) await trx(tables[type].table).insert(some);
}

async function updateRows(trx: Knex.Transaction, type: EntityType, entities: readonly Entity[]): Promise<void> {
  if (type === 'part') return updatePartRows(trx, partsOf(entities));
  const { table, key } = tables[type];
  for (const columns of columnsOf(type, entities))
    await trx(table)
      .where({ [key]: columns[key] })
      .update(columns);
}

async function deleteRows(trx: Knex.Transaction, type: EntityType, entities: readonly Entity[]): Promise<void> {
  const { table, key } = type === 'part' ? { table: 'parts', key: 'id' } : tables[type];
  const ids = entities.flatMap((e) => (e.type === type ? [e.row.id] : []));
  for (const some of lots(ids)) await trx(table).whereIn(key, some).delete();
}

function columnsOf(type: Exclude<EntityType, 'part'>, entities: readonly Entity[]): Record<string, unknown>[] {
  const { toColumns } = tables[type] as { toColumns: (row: Entity['row']) => Record<string, unknown> };
  return entities.flatMap((e) => (e.type === type ? [toColumns(e.row)] : []));
}

function partsOf(entities: readonly Entity[]): CataloguePart[] {
  return entities.flatMap((e) => (e.type === 'part' ? [e.row] : []));
}
