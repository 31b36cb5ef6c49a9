import { noStoreRules, usualStoreRules, type AnswerOf, type stockContracts, type StoreRulesRow } from '@gewinde/core';
import type { Knex } from 'knex';
import { listRows } from '../database/entities.js';
import { stockTables } from '../database/stock-tables.js';
import { JsonText } from '../heavy/json-text.js';
import { newestChange } from '../history/event-store.js';

/**
 * What is bought, kept and cut, as one moment has it; of a job the pieces that were cut. Rows are kept as the JSON that is told, and a store of
 * twenty thousand shelves is put together from their texts: reading and writing each again would double the time.
 */
export async function readStockroom(db: Knex, job?: string): Promise<JsonText<AnswerOf<typeof stockContracts.readStockroom>>> {
  return db.transaction(
    async (trx) => {
      const texts = async (type: keyof typeof stockTables, where: Record<string, string> = {}): Promise<string> => {
        const { table, order } = stockTables[type];
        // by the key where no other order is asked for: sorting rows this wide takes longer than reading them
        const rows = await trx(table)
          .where(where)
          .orderBy([...new Set([order, 'id'])])
          .pluck<unknown[]>('data');
        return `[${rows.map((data) => (typeof data === 'string' ? data : JSON.stringify(data))).join(',')}]`;
      };
      const said: Record<string, string> = {
        suppliers: await texts('supplier'),
        offers: await texts('offer'),
        stock: await texts('stock'),
        // what is used up is history
        lengths: await texts('length', { state: 'there' }),
        cuts: job === undefined ? '[]' : await texts('cut', { job_id: job }),
        orders: await texts('order'),
        rules: JSON.stringify(await readStoreRules(trx)),
        at: JSON.stringify(await newestChange(trx, 'shop')),
      };
      return new JsonText(
        `{${Object.entries(said)
          .map(([name, text]) => `"${name}":${text}`)
          .join(',')}}`,
      );
    },
    { isolationLevel: 'repeatable read' },
  );
}

/** How it is cut, kept and bought; what a row of an earlier time does not say is as usual. */
export async function readStoreRules(db: Knex): Promise<StoreRulesRow> {
  const [row] = await listRows(db, 'storeRules', { name: 'store-rules' });
  return row ? { ...row, rules: { ...usualStoreRules, ...row.rules } } : noStoreRules;
}

/** Movements shown of a part. */
const LATEST = 60;

export async function readMoves(db: Knex, part: string): Promise<AnswerOf<typeof stockContracts.readMoves>> {
  const rows: { at: Date; reason: string; quantity: number; number: string | null; by: string | null; note: string | null }[] = await db(
    'stock_movements as m',
  )
    .leftJoin('jobs as j', 'j.id', 'm.job_id')
    .where({ part_id: part })
    .orderBy('m.id', 'desc')
    .limit(LATEST)
    .select('m.at', 'm.reason', 'm.quantity', 'j.number', 'm.by', 'm.note');
  return {
    moves: rows.map(({ at, reason, quantity, number, by, note }) => ({
      at: at.toISOString(),
      kind: reason,
      quantity,
      ...(number ? { job: number } : {}),
      ...(by ? { by } : {}),
      ...(note ? { note } : {}),
    })),
  };
}
