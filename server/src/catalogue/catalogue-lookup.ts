import { catalogueOf, partsNamedIn, type Catalogue, type JobDocument } from '@gewinde/core';
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

/** All that a job can be put on paper with: the parts it names, what is used up, and the bungs that its ports are of. */
export async function partsFor(db: Knex, document: JobDocument): Promise<Catalogue> {
  const bungs = document.ports.some((port) => port.connector?.family === 'bung');
  const named = await findParts(
    db,
    partsNamedIn(document),
    bungs ? (query) => void query.where({ kind: 'fitting', family: 'bung' }) : undefined,
  );
  return { ...named, supplies: (await suppliesOf(db)).supplies };
}

/** What is used up, by where it was read and the change of the shop up to which it is told: hundreds of rows that seldom change. */
const readSupplies = new WeakMap<Knex, { readonly at: string; readonly read: Catalogue }>();

async function suppliesOf(db: Knex): Promise<Catalogue> {
  const at = await shopMark(db);
  const known = readSupplies.get(db);
  if (known?.at === at) return known.read;
  const read = catalogueOf(soundParts(await listPartRows(db, { kind: 'supply' })).sound);
  // what was changed meanwhile has another mark by now: it is read again the next time
  readSupplies.set(db, { at, read });
  return read;
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
