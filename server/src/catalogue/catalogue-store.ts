import { standardFittings, standardHoseEnds, standardHoses, type Catalogue, type Fitting, type Hose, type HoseEnd } from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from './catalogue-lookup.js';

const TABLES = { fittings: 'fittings', hoses: 'hoses', hoseEnds: 'hose_ends' } as const;

export type Origin = 'standard' | 'sample' | 'import' | 'own';

/** The whole catalogue in its own order, retired parts at their places. */
export async function readCatalogue(db: Knex): Promise<Catalogue> {
  const read = async <T>(table: string): Promise<T[]> => {
    const rows: { data: unknown }[] = await db(table).orderBy('position').orderBy('id').select('data');
    return rows.map((row) => fromJson<T>(row.data));
  };
  const [fittings, hoses, hoseEnds] = await Promise.all([
    read<Fitting>(TABLES.fittings),
    read<Hose>(TABLES.hoses),
    read<HoseEnd>(TABLES.hoseEnds),
  ]);
  return { fittings, hoses, hoseEnds };
}

/** Differs whenever the catalogue does. */
export async function catalogueRevision(db: Knex): Promise<string> {
  const change = (await db('catalogue_changes').max('id as last').count('* as n').first()) as { last: number | null } | undefined;
  const undone = (await db('catalogue_changes').where({ state: 'undone' }).count('* as n').first()) as { n: number };
  const counts = await Promise.all(
    Object.values(TABLES).map((table) => db(table).count('* as n').first() as unknown as Promise<{ n: number }>),
  );
  const demo: { at: Date } | undefined = await db('marks').where({ name: 'demo' }).first('at');
  return [change?.last ?? 0, undone.n, ...counts.map((c) => c.n), demo?.at.getTime() ?? 0].join('-');
}

/** The standard fittings, hoses and ends where they are not there yet; what is there stays as it is. */
export async function ensureStandardCatalogue(db: Knex): Promise<void> {
  await addToCatalogue(db, { fittings: standardFittings(), hoses: standardHoses(), hoseEnds: standardHoseEnds() }, 'standard');
}

/** Adds rows the catalogue does not have. A code that another part has already is left off. */
export async function addToCatalogue(db: Knex, parts: Catalogue, origin: Origin): Promise<void> {
  await addRows(db, TABLES.hoses, parts.hoses, origin);
  await addRows(db, TABLES.hoseEnds, parts.hoseEnds, origin);
  const codes: { code: string | null }[] = await db('fittings').whereNotNull('code').select('code');
  const taken = new Set(codes.map((row) => row.code!.toLowerCase()));
  const fittings = parts.fittings.map((fitting) => {
    const { code, ...rest } = fitting;
    return code && taken.has(code.toLowerCase()) ? rest : fitting;
  });
  await addRows(db, 'fittings', fittings, origin, fittingColumns);
}

/** Writes the given rows over those of the same id. */
export async function replaceInCatalogue(db: Knex, parts: Catalogue, origin: Origin): Promise<void> {
  for (const part of ['fittings', 'hoses', 'hoseEnds'] as const)
    for (const row of parts[part])
      await db(TABLES[part])
        .where({ id: row.id })
        .update({ data: JSON.stringify(row), origin, ...(part === 'fittings' ? fittingColumns(row as Fitting) : {}) });
}

/** What of a fitting is asked for by the database itself. */
export function fittingColumns(fitting: Fitting): { code: string | null; retired: boolean } {
  return { code: fitting.code ?? null, retired: fitting.retired ?? false };
}

async function addRows<T extends { readonly id: string }>(
  db: Knex,
  table: string,
  parts: readonly T[],
  origin: Origin,
  columns: (part: T) => object = () => ({}),
): Promise<void> {
  const present: { id: string }[] = await db(table).select('id');
  const known = new Set(present.map((row) => row.id));
  const rows = parts
    .filter((part) => !known.has(part.id))
    .map((part, i) => ({ id: part.id, data: JSON.stringify(part), origin, position: known.size + i, ...columns(part) }));
  for (let at = 0; at < rows.length; at += 200) await db(table).insert(rows.slice(at, at + 200));
}
