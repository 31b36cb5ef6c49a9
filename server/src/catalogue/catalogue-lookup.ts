import { catalogueOf, type Catalogue } from '@gewinde/core';
import type { Knex } from 'knex';
import { listPartRows, listPartsAsMade } from '../database/part-rows.js';
import { lots } from '../database/lots.js';
import { soundParts } from './sound-parts.js';

/** The parts with these ids, of whatever kind, retired ones too; and what else is asked for. */
export async function findParts(db: Knex, ids: Iterable<string>, besides?: (query: Knex.QueryBuilder) => void): Promise<Catalogue> {
  const rows = [];
  for (const some of lots([...new Set(ids)])) rows.push(...(await listPartRows(db, (query) => void query.whereIn('id', some))));
  const known = new Set(rows.map(({ id }) => id));
  if (besides) rows.push(...(await listPartRows(db, besides)).filter(({ id }) => !known.has(id)));
  return catalogueOf(soundParts(rows).sound);
}

/** The parts with these ids as they are made: what a job is held against, which asks neither for prices nor for stock. */
export async function findPartsAsMade(db: Knex, ids: Iterable<string>): Promise<Catalogue> {
  return catalogueOf(soundParts(await listPartsAsMade(db, ids)).sound);
}

/** Differs whenever a change of the shop was made, the demo came or a backup was restored. */
export async function shopMark(db: Knex): Promise<string> {
  const marks: { name: string; revision: number; at: Date }[] = await db('marks')
    .whereIn('name', ['catalogue', 'demo', 'restored'])
    .orderBy('name')
    .select('name', 'revision', 'at');
  return marks.map(({ name, revision, at }) => (name === 'catalogue' ? Number(revision) : at.getTime())).join('-');
}

/** The parts with these ids, and all ends that are made in the constructions of the hoses among them: one of them may take another's place. */
export async function partsWithEnds(db: Knex, ids: Iterable<string>): Promise<Catalogue> {
  const named = await findPartsAsMade(db, ids);
  const made = [...new Set(named.hoses.map((hose) => hose.construction))];
  if (made.length === 0) return named;
  const ends = await findParts(db, [], (query) => void query.where({ kind: 'hose end' }).whereIn('family', made));
  const known = new Set(ends.hoseEnds.map(({ id }) => id));
  return { ...named, hoseEnds: [...ends.hoseEnds, ...named.hoseEnds.filter(({ id }) => !known.has(id))] };
}
