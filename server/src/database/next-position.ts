import type { Knex } from 'knex';

/** The place behind the last row of a list. */
export async function nextPosition(trx: Knex, table: string, where: Record<string, unknown>): Promise<number> {
  const row = (await trx(table).where(where).max('position as last').first()) as { last: number | null } | undefined;
  return row?.last === null || row?.last === undefined ? 0 : row.last + 1;
}
