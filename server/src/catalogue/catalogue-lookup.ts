import { catalogueOf, partsNamedIn, type Catalogue, type JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { listPartRows } from '../database/part-rows.js';
import { pieces } from '../database/pieces.js';
import { soundParts } from './sound-parts.js';

const HOSES = ['hose', 'hose end'];

/** The fittings with these ids, retired ones too, and all hoses and hose ends, which are few. */
export async function findParts(db: Knex, fittings: readonly string[], others: readonly string[] = HOSES): Promise<Catalogue> {
  const named = [];
  for (const some of pieces([...new Set(fittings)]))
    named.push(...(await listPartRows(db, (query: Knex.QueryBuilder) => void query.whereIn('id', some).where({ kind: 'fitting' }))));
  const rest = await listPartRows(db, (query: Knex.QueryBuilder) => void query.whereIn('kind', others));
  return catalogueOf(soundParts([...named, ...rest]).sound);
}

/** All that a job can be put on paper with: the fittings it names, hoses and ends, and what is used up. */
export async function partsFor(db: Knex, document: JobDocument): Promise<Catalogue> {
  return findParts(db, [...partsNamedIn(document)], [...HOSES, 'supply']);
}
