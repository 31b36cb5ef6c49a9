import type { Fitting } from '@gewinde/core';
import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';
import { fromJson } from './catalogue-lookup.js';
import { fittingColumns, type Origin } from './catalogue-store.js';

/** A part as the catalogue keeps it. */
export interface PartRow {
  readonly fitting: Fitting;
  readonly version: number;
  readonly origin: Origin;
}

/** What a change of the catalogue leaves behind. Absent before: made; absent after: taken away. */
export interface CatalogueChange {
  readonly label: string;
  readonly before: readonly PartRow[];
  readonly after: readonly PartRow[];
}

/** Makes a change to the catalogue in one transaction, with its record. One change at a time. */
export async function changeCatalogue(
  db: Knex,
  client: string,
  make: (trx: Knex.Transaction) => Promise<CatalogueChange>,
): Promise<CatalogueChange> {
  return db.transaction(async (trx) => {
    await trx('marks').insert({ name: 'catalogue', at: new Date() }).onConflict('name').merge();
    const change = await make(trx);
    await trx('catalogue_changes').insert({
      at: new Date(),
      label: change.label.slice(0, 200),
      client: client.slice(0, 40),
      before_rows: JSON.stringify(change.before),
      after_rows: JSON.stringify(change.after),
    });
    return change;
  });
}

/** Takes back the newest change of the catalogue. @returns what it was, in words @throws {AppError} nothing-to-undo, cannot-undo */
export async function undoCatalogue(db: Knex): Promise<string> {
  return db.transaction(async (trx) => {
    await trx('marks').insert({ name: 'catalogue', at: new Date() }).onConflict('name').merge();
    const change = (await trx('catalogue_changes').where({ state: 'done' }).orderBy('id', 'desc').first()) as
      { id: number; label: string; before_rows: string; after_rows: string } | undefined;
    if (!change) throw new AppError('nothing-to-undo');
    const before = JSON.parse(change.before_rows) as PartRow[];
    const after = JSON.parse(change.after_rows) as PartRow[];
    const now = await readParts(
      trx,
      after.map((row) => row.fitting.id),
    );
    for (const row of after)
      if (JSON.stringify(now.get(row.fitting.id)?.fitting) !== JSON.stringify(row.fitting)) throw new AppError('cannot-undo');
    const earlier = new Set(before.map((row) => row.fitting.id));
    const gone = after.map((row) => row.fitting.id).filter((id) => !earlier.has(id));
    for (const id of gone)
      if ((await usersOf(trx, id)).length > 0)
        throw new AppError('cannot-undo', `This cannot be undone: "${id}" is used by a line by now.`);
    for (let at = 0; at < gone.length; at += 500)
      await trx('fittings')
        .whereIn('id', gone.slice(at, at + 500))
        .delete();
    await writeParts(
      trx,
      before.map((row) => ({ ...row, version: (now.get(row.fitting.id)?.version ?? row.version) + 1 })),
    );
    await trx('catalogue_changes').where({ id: change.id }).update({ state: 'undone' });
    return change.label;
  });
}

/** Parts by id, locked until the end of the transaction. */
export async function readParts(trx: Knex.Transaction, ids: readonly string[]): Promise<Map<string, PartRow>> {
  const found = new Map<string, PartRow>();
  for (let at = 0; at < ids.length; at += 500) {
    const rows: { data: unknown; version: number; origin: Origin }[] = await trx('fittings')
      .whereIn('id', ids.slice(at, at + 500))
      .forUpdate()
      .select('data', 'version', 'origin');
    for (const { data, version, origin } of rows) {
      const fitting = fromJson<Fitting>(data);
      found.set(fitting.id, { fitting, version, origin });
    }
  }
  return found;
}

/** Writes parts, those that are there over themselves. */
export async function writeParts(trx: Knex.Transaction, rows: readonly PartRow[]): Promise<void> {
  const { last } = (await trx('fittings').max('position as last').first()) as { last: number | null };
  // codes that change hands must be let go first
  const ids = rows.map((row) => row.fitting.id);
  for (let at = 0; at < ids.length; at += 500)
    await trx('fittings')
      .whereIn('id', ids.slice(at, at + 500))
      .update({ code: null });
  const all = rows.map(({ fitting, version, origin }, i) => ({
    id: fitting.id,
    data: JSON.stringify(fitting),
    origin,
    version,
    position: (last ?? 0) + 1 + i,
    ...fittingColumns(fitting),
  }));
  for (let at = 0; at < all.length; at += 200)
    await trx('fittings')
      .insert(all.slice(at, at + 200))
      .onConflict('id')
      .merge(['data', 'origin', 'version', 'code', 'retired']);
}

export interface PartUser {
  readonly job: string;
  readonly line: number;
  readonly lineName: string;
}

/** The lines that have a part in a chain or on a branch. */
export async function usersOf(db: Knex, id: string): Promise<PartUser[]> {
  const named = `"id":${JSON.stringify(id)}`;
  const rows: PartUser[] = await db('job_lines')
    .join('jobs', 'jobs.id', 'job_lines.job_id')
    .whereRaw('(LOCATE(?, job_lines.end_a) > 0 OR LOCATE(?, job_lines.end_b) > 0)', [named, named])
    .orderBy('jobs.number')
    .orderBy('job_lines.number')
    .limit(50)
    .select('jobs.number as job', 'job_lines.number as line', 'job_lines.name as lineName');
  return rows.map(({ job, line, lineName }) => ({ job, line, lineName }));
}
