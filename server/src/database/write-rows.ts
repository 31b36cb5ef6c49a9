import type { CataloguePart, EntityType } from '@gewinde/core';
import type { Knex } from 'knex';
import { entityTypes, tables, type Entity, type Rows } from './entities.js';

/** Rows that go into one statement: bounded, so that no change outgrows what the database takes at once. */
const AT_ONCE = 200;

export function* pieces<T>(list: readonly T[], size = AT_ONCE): Generator<T[]> {
  for (let at = 0; at < list.length; at += size) yield list.slice(at, at + size);
}

/** Rows by id, locked for the rest of the transaction; those that are not there are left out. */
export async function lockRows<T extends EntityType>(
  trx: Knex.Transaction,
  type: T,
  ids: readonly string[],
): Promise<Map<string, Rows[T]>> {
  const { table, key, fromColumns } = tables[type];
  const found = new Map<string, Rows[T]>();
  for (const some of pieces(ids)) {
    const rows = (await trx(table).whereIn(key, some).forUpdate()) as Record<string, unknown>[];
    for (const columns of rows) found.set(columns[key] as string, fromColumns(columns));
  }
  return found;
}

/** Makes, changes and takes away rows in an order that no reference stands in the way of. */
export async function writeRows(
  trx: Knex.Transaction,
  rows: { readonly made: readonly Entity[]; readonly changed: readonly Entity[]; readonly gone: readonly Entity[] },
): Promise<void> {
  const { made, changed, gone } = rows;
  await deleteRows(trx, 'line', gone);
  for (const type of entityTypes) await insertRows(trx, type, made);
  for (const type of entityTypes) await updateRows(trx, type, changed);
  for (const type of [...entityTypes].reverse()) if (type !== 'line') await deleteRows(trx, type, gone);
}

async function insertRows(trx: Knex.Transaction, type: EntityType, entities: readonly Entity[]): Promise<void> {
  const rows = columnsOf(type, entities);
  if (rows.length === 0) return;
  const placed = type === 'part' ? await atTheEnd(trx, rows) : rows;
  for (const some of pieces(placed)) await trx(tables[type].table).insert(some);
}

async function updateRows(trx: Knex.Transaction, type: EntityType, entities: readonly Entity[]): Promise<void> {
  const { table, key } = tables[type];
  if (type === 'part')
    return updateParts(
      trx,
      entities.flatMap((e) => (e.type === 'part' ? [e.row] : [])),
    );
  for (const columns of columnsOf(type, entities))
    await trx(table)
      .where({ [key]: columns[key] })
      .update(columns);
}

async function deleteRows(trx: Knex.Transaction, type: EntityType, entities: readonly Entity[]): Promise<void> {
  const { table, key } = tables[type];
  const ids = entities.flatMap((e) => (e.type === type ? [e.row.id] : []));
  for (const some of pieces(ids)) await trx(table).whereIn(key, some).delete();
}

/** Many parts at a time: by their ids alone, codes last, so that a code can change hands and never decides which part is written. */
async function updateParts(trx: Knex.Transaction, parts: readonly CataloguePart[]): Promise<void> {
  for (const some of pieces(parts))
    await trx('fittings')
      .whereIn(
        'id',
        some.map((p) => p.id),
      )
      .update({ code: null });
  for (const some of pieces(parts)) {
    const rows = some.map((part) => ({ ...tables.part.toColumns(part), code: null, position: 0 }));
    await trx('fittings').insert(rows).onConflict('id').merge(['data', 'origin', 'version', 'retired']);
  }
  for (const some of pieces(parts.filter((part) => part.fitting.code))) {
    const cases = some.map(() => 'when ? then ?').join(' ');
    await trx.raw(`update fittings set code = case id ${cases} end where id in (${some.map(() => '?').join(', ')})`, [
      ...some.flatMap((part) => [part.id, part.fitting.code!]),
      ...some.map((part) => part.id),
    ]);
  }
}

async function atTheEnd(trx: Knex.Transaction, rows: readonly Record<string, unknown>[]): Promise<Record<string, unknown>[]> {
  const { last } = (await trx('fittings').max('position as last').first()) as { last: number | null };
  return rows.map((row, i) => ({ ...row, position: (last ?? -1) + 1 + i }));
}

function columnsOf(type: EntityType, entities: readonly Entity[]): Record<string, unknown>[] {
  const { toColumns } = tables[type] as { toColumns: (row: Entity['row']) => Record<string, unknown> };
  return entities.flatMap((e) => (e.type === type ? [toColumns(e.row)] : []));
}
