import { catalogueOf, type Catalogue } from '@gewinde/core';
import type { Knex } from 'knex';
import { listPartRows } from '../database/part-rows.js';
import { pieces } from '../database/pieces.js';

/** The fittings with these ids, retired ones too, and all hoses and hose ends, which are few. */
export async function findParts(db: Knex, fittings: readonly string[]): Promise<Catalogue> {
  const named = [];
  for (const some of pieces([...new Set(fittings)]))
    named.push(...(await listPartRows(db, (query: Knex.QueryBuilder) => void query.whereIn('id', some).where({ kind: 'fitting' }))));
  const hoses = await listPartRows(db, (query: Knex.QueryBuilder) => void query.whereIn('kind', ['hose', 'hose end']));
  return catalogueOf([...named, ...hoses]);
}
