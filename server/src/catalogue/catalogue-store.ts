import { standardFittings, standardHoseEnds, standardHoses, type Catalogue, type Fitting, type Hose, type HoseEnd } from '@gewinde/core';
import type { Knex } from 'knex';

const TABLES = { fittings: 'fittings', hoses: 'hoses', hoseEnds: 'hose_ends' } as const;

export type Origin = 'standard' | 'sample' | 'import';

/** The whole catalogue in its own order. */
export async function readCatalogue(db: Knex): Promise<Catalogue> {
  const read = async <T>(table: string): Promise<T[]> => {
    const rows: { data: unknown }[] = await db(table).orderBy('position').orderBy('id').select('data');
    return rows.map((row) => (typeof row.data === 'string' ? JSON.parse(row.data) : row.data) as T);
  };
  const [fittings, hoses, hoseEnds] = await Promise.all([
    read<Fitting>(TABLES.fittings),
    read<Hose>(TABLES.hoses),
    read<HoseEnd>(TABLES.hoseEnds),
  ]);
  return { fittings, hoses, hoseEnds };
}

/** The standard adapters, hoses and ends where they are not there yet; what is there stays as it is. */
export async function ensureStandardCatalogue(db: Knex): Promise<void> {
  await addToCatalogue(db, { fittings: standardFittings(), hoses: standardHoses(), hoseEnds: standardHoseEnds() }, 'standard');
}

/** Adds rows the catalogue does not have. */
export async function addToCatalogue(db: Knex, parts: Catalogue, origin: Origin): Promise<void> {
  for (const part of ['fittings', 'hoses', 'hoseEnds'] as const) {
    const table = TABLES[part];
    const present: { id: string }[] = await db(table).select('id');
    const known = new Set(present.map((row) => row.id));
    const rows = parts[part]
      .filter((row) => !known.has(row.id))
      .map((row, i) => ({ id: row.id, data: JSON.stringify(row), origin, position: known.size + i }));
    for (let at = 0; at < rows.length; at += 200) await db(table).insert(rows.slice(at, at + 200));
  }
}

/** Writes the given rows over those of the same id. */
export async function replaceInCatalogue(db: Knex, parts: Catalogue, origin: Origin): Promise<void> {
  for (const part of ['fittings', 'hoses', 'hoseEnds'] as const)
    for (const row of parts[part])
      await db(TABLES[part])
        .where({ id: row.id })
        .update({ data: JSON.stringify(row), origin });
}
