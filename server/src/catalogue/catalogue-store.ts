import {
  standardFittings,
  standardHoseEnds,
  standardHoses,
  usualWeights,
  type AnswerOf,
  type Catalogue,
  type CataloguePart,
  type Fitting,
  type Hose,
  type HoseEnd,
  type Origin,
  type PartCard,
  type shopContracts,
  type WeightsRow,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { listRows } from '../database/entities.js';
import { fromJson } from '../database/from-json.js';
import { pieces, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { newestChange } from '../history/event-store.js';
import { usersOf } from './users-of.js';

/** The whole catalogue in its own order, retired parts at their places. */
export async function readCatalogue(db: Knex): Promise<Catalogue> {
  return { fittings: await readAll<Fitting>(db, 'fittings'), ...(await readHoses(db)) };
}

/** The hoses and hose ends, which are few. */
export async function readHoses(db: Knex): Promise<Pick<Catalogue, 'hoses' | 'hoseEnds'>> {
  return { hoses: await readAll<Hose>(db, 'hoses'), hoseEnds: await readAll<HoseEnd>(db, 'hose_ends') };
}

async function readAll<T>(db: Knex, table: string): Promise<T[]> {
  const rows: { data: unknown }[] = await db(table).orderBy('position').orderBy('id').select('data');
  return rows.map((row) => fromJson<T>(row.data));
}

/** What all jobs share, and the change up to which it is told: all of the same moment. */
export async function readShop(db: Knex): Promise<AnswerOf<typeof shopContracts.readCatalogue>> {
  return db.transaction(
    async (trx) => ({ ...(await readCatalogue(trx)), weights: await readWeights(trx), at: await newestChange(trx, 'shop') }),
    { isolationLevel: 'repeatable read' },
  );
}

/** Differs whenever the catalogue does: by the changes of the shop, the demo's coming, and how much there is. */
export async function catalogueRevision(db: Knex): Promise<string> {
  const counts = await Promise.all(
    ['fittings', 'hoses', 'hose_ends'].map((table) => db(table).count('* as n').first() as unknown as Promise<{ n: number }>),
  );
  const demo: { at: Date } | undefined = await db('marks').where({ name: 'demo' }).first('at');
  return [await newestChange(db, 'shop'), ...counts.map((c) => c.n), demo?.at.getTime() ?? 0].join('-');
}

/** A part with all that its card shows. @throws {AppError} not-found */
export async function readPart(db: Knex, id: string): Promise<PartCard> {
  const [row] = await listRows(db, 'part', { id });
  if (!row) throw new AppError('not-found', 'This part is not in the catalogue.');
  return { ...row, usedBy: await usersOf(db, id) };
}

/** What the shop weighs; what a row of an earlier time does not say is as usual. */
async function readWeights(db: Knex): Promise<WeightsRow> {
  const [row] = await listRows(db, 'weights', { name: 'chain-weights' });
  return row ? { ...row, weights: { ...usualWeights, ...row.weights } } : { id: 'chain-weights', weights: usualWeights, version: 0 };
}

/** The standard fittings, hoses and ends where they are not there yet; what is there stays as it is. */
export async function ensureStandardCatalogue(db: Knex): Promise<void> {
  await addHoses(db, { hoses: standardHoses(), hoseEnds: standardHoseEnds() }, 'standard');
  const parts = await missingParts(db, standardFittings(), 'standard');
  if (parts.length > 0)
    await db.transaction((trx) => writeRows(trx, { made: parts.map((row) => ({ type: 'part', row })), changed: [], gone: [] }));
}

/** Those of some fittings that the catalogue does not have, as new rows. A code that another part has already is left off. */
export async function missingParts(db: Knex, fittings: readonly Fitting[], origin: Origin): Promise<CataloguePart[]> {
  const present: { id: string; code: string | null }[] = await db('fittings').select('id', 'code');
  const known = new Set(present.map((row) => row.id.toLowerCase()));
  const codes = new Set(present.flatMap((row) => (row.code ? [row.code.toLowerCase()] : [])));
  return fittings
    .filter((fitting) => !known.has(fitting.id.toLowerCase()))
    .map((fitting) => {
      const { code, ...rest } = fitting;
      return { id: fitting.id, fitting: code && codes.has(code.toLowerCase()) ? rest : fitting, version: 1, origin };
    });
}

/** Adds hoses and ends that the catalogue does not have. */
export async function addHoses(db: Knex, { hoses, hoseEnds }: Pick<Catalogue, 'hoses' | 'hoseEnds'>, origin: Origin): Promise<void> {
  for (const [table, list] of [
    ['hoses', hoses],
    ['hose_ends', hoseEnds],
  ] as const) {
    const present: { id: string }[] = await db(table).select('id');
    const known = new Set(present.map((row) => row.id.toLowerCase()));
    const rows = list
      .filter((part) => !known.has(part.id.toLowerCase()))
      .map((part, i) => ({ id: part.id, data: JSON.stringify(part), origin, position: known.size + i }));
    for (const some of pieces(rows)) await db(table).insert(some);
  }
}

/** Writes the given rows over those of the same id, outside the history: how the demo gives the standard parts their sample prices. */
export async function replaceInCatalogue(trx: Knex.Transaction, { fittings, hoses, hoseEnds }: Catalogue, origin: Origin): Promise<void> {
  const versions = new Map((await listRows(trx, 'part', {})).map((row) => [row.id, row.version]));
  const changed = fittings.flatMap((fitting) => {
    const version = versions.get(fitting.id);
    return version === undefined ? [] : [{ type: 'part' as const, row: { id: fitting.id, fitting, version, origin } }];
  });
  await writeRows(trx, { made: [], changed, gone: [] });
  for (const [table, list] of [
    ['hoses', hoses],
    ['hose_ends', hoseEnds],
  ] as const)
    for (const some of pieces<{ readonly id: string }>(list)) {
      const rows = some.map((row) => ({ id: row.id, data: JSON.stringify(row), origin, position: 0 }));
      await trx(table).insert(rows).onConflict('id').merge(['data', 'origin']);
    }
}
