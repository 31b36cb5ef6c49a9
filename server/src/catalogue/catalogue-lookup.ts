import { catalogueOf, partsNamedIn, type Catalogue, type JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { listPartRows } from '../database/part-rows.js';
import { pieces } from '../database/pieces.js';
import { soundParts } from './sound-parts.js';

/** The parts with these ids, of whatever kind, retired ones too; and what else is asked for. */
export async function findParts(db: Knex, ids: Iterable<string>, besides?: (query: Knex.QueryBuilder) => void): Promise<Catalogue> {
  const rows = [];
  for (const some of pieces([...new Set(ids)])) rows.push(...(await listPartRows(db, (query) => void query.whereIn('id', some))));
  const known = new Set(rows.map(({ id }) => id));
  if (besides) rows.push(...(await listPartRows(db, besides)).filter(({ id }) => !known.has(id)));
  return catalogueOf(soundParts(rows).sound);
}

/** All that a job can be put on paper with: the parts it names, what is used up, and the bungs that its ports are of. */
export async function partsFor(db: Knex, document: JobDocument): Promise<Catalogue> {
  const bungs = document.ports.some((port) => port.connector?.family === 'bung');
  return findParts(db, partsNamedIn(document), (query) => {
    void query.where({ kind: 'supply' });
    if (bungs) void query.orWhere({ kind: 'fitting', family: 'bung' });
  });
}

/** The parts with these ids, and all ends that are made in the constructions of the hoses among them: one of them may take another's place. */
export async function partsWithEnds(db: Knex, ids: Iterable<string>): Promise<Catalogue> {
  const named = await findParts(db, ids);
  const made = [...new Set(named.hoses.map((hose) => hose.construction))];
  if (made.length === 0) return named;
  const ends = await findParts(db, [], (query) => void query.where({ kind: 'hose end' }).whereIn('family', made));
  const known = new Set(ends.hoseEnds.map(({ id }) => id));
  return { ...named, hoseEnds: [...ends.hoseEnds, ...named.hoseEnds.filter(({ id }) => !known.has(id))] };
}
