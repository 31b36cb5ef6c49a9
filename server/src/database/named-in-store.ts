import type { Knex } from 'knex';
import type { Entity } from './entities.js';
import { fromJson } from './from-json.js';

/** Rows of the store that name parts, by what stands in them as JSON: where, and how it is said. */
const places = [
  { table: 'purchase_orders', path: '$.lines[*].holds[*].part', said: (number: string) => `stands in order ${number}`, called: 'number' },
  { table: 'supplier_offers', path: '$.holds[*].part', said: () => 'is offered by a supplier', called: 'id' },
  { table: 'hose_lengths', path: '$.ends[*]', said: (id: string) => `is an end of the made hose ${id}`, called: 'id' },
  { table: 'hose_lengths', path: '$.part', said: (id: string) => `hangs on the rack as ${id}`, called: 'id' },
  { table: 'shelves', path: '$.part', said: () => 'is kept on the shelf', called: 'id' },
  { table: 'cuts_made', path: '$.part', said: () => 'was cut for a line', called: 'id' },
] as const;

/**
 * Why rows that are about to go cannot, where something of the store stands on them: a part that is offered, ordered or kept, a supplier that
 * is bought from. Undefined where nothing does.
 */
export async function namedInStore(trx: Knex, gone: readonly Entity[]): Promise<string | undefined> {
  const parts = new Set(gone.flatMap((e) => (e.type === 'part' ? [e.row.id] : [])));
  if (parts.size > 0)
    for (const { table, path, said, called } of places) {
      const rows: { called: string; parts: unknown }[] = await trx(table)
        .whereRaw('json_exists(data, ?)', [path])
        .select({ called }, trx.raw('json_extract(data, ?) as parts', [path]));
      for (const row of rows) {
        const named = fromJson<string | readonly string[]>(row.parts);
        const part = [named].flat().find((id) => parts.has(id));
        if (part !== undefined) return `"${part}" ${said(row.called)} by now`;
      }
    }
  for (const entity of gone) {
    if (entity.type !== 'supplier') continue;
    const { id, name } = entity.row;
    const order: { number: string } | undefined = await trx('purchase_orders').where({ supplier_id: id }).first('number');
    if (order) return `order ${order.number} is ${name}'s by now`;
    if (await trx('supplier_offers').where({ supplier_id: id }).first('id')) return `${name} offers something by now`;
  }
  return undefined;
}
