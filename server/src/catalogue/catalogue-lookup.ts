import type { ChainLink, Fitting } from '@gewinde/core';
import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';

/** MariaDB gives JSON columns as text. */
export function fromJson<T>(value: unknown): T {
  return (typeof value === 'string' ? JSON.parse(value) : value) as T;
}

/** The fittings with these ids, retired ones too; those that are not there are left out. */
export async function findFittings(db: Knex, ids: readonly string[]): Promise<Map<string, Fitting>> {
  if (ids.length === 0) return new Map();
  const rows: { id: string; data: unknown }[] = await db('fittings')
    .whereIn('id', [...new Set(ids)])
    .select('id', 'data');
  return new Map(rows.map((row) => [row.id, fromJson<Fitting>(row.data)]));
}

/** Every link must name a fitting of the catalogue and ends that it has. @throws {AppError} bad-value */
export async function checkLinks(db: Knex, links: readonly ChainLink[], field: string): Promise<void> {
  const fittings = await findFittings(
    db,
    links.map((link) => link.id),
  );
  for (const link of links) {
    const fitting = fittings.get(link.id);
    const closes = fitting?.ends.length === 1 && link.inEnd === 0 && link.outEnd === 0;
    if (!fitting?.ends[link.inEnd] || (!closes && (!fitting.ends[link.outEnd] || link.inEnd === link.outEnd)))
      throw new AppError('bad-value', `Fitting "${link.id}" is not in the catalogue.`, { field });
  }
}

export async function hasHose(db: Knex, construction: string, dash: number): Promise<boolean> {
  const rows: { data: unknown }[] = await db('hoses').select('data');
  return rows.some((row) => {
    const hose = fromJson<{ construction: string; dash: number }>(row.data);
    return hose.construction === construction && hose.dash === dash;
  });
}
