import type { Fitting } from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from '../database/from-json.js';
import { pieces } from '../database/write-rows.js';

/** The fittings with these ids, retired ones too; those that are not there are left out. */
export async function findFittings(db: Knex, ids: readonly string[]): Promise<Map<string, Fitting>> {
  const found = new Map<string, Fitting>();
  for (const some of pieces([...new Set(ids)])) {
    const rows: { id: string; data: unknown }[] = await db('fittings').whereIn('id', some).select('id', 'data');
    for (const { id, data } of rows) found.set(id, fromJson<Fitting>(data));
  }
  return found;
}
