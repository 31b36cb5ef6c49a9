import type { HoseLength, PurchaseOrder, StockRow } from '@gewinde/core';
import type { Knex } from 'knex';
import { listRows, type Entity } from '../database/entities.js';
import { writeRows } from '../database/write-rows.js';

const isSample = (id: string): boolean => id.startsWith('sample-');

/**
 * Puts the sample stockroom where the shop has suppliers of none but the demo's: rows of the demo that were changed are as they were, what the shop has
 * hung up, set or written of its own stays.
 */
export async function putSample(trx: Knex.Transaction, sample: readonly Entity[]): Promise<void> {
  const there = await trx('suppliers').pluck<string[]>('id');
  if (!there.every(isSample)) return;
  const [offers, orders, shelves, lengths, rules] = await Promise.all([
    trx('supplier_offers').pluck<string[]>('id'),
    trx('purchase_orders').pluck<string[]>('id'),
    listRows(trx, 'stock'),
    listRows(trx, 'length'),
    trx('shop_rules').where({ name: 'store-rules' }).pluck<string[]>('name'),
  ]);
  const known = new Set([...there, ...offers, ...orders]);
  const hung = lengths.filter((l) => !comesOf(l, lengths, sample));
  const taken = new Set(hung.map((l) => l.id));
  const own = ({ type, row }: Entity): boolean => {
    if (type === 'storeRules') return rules.length > 0;
    if (type === 'length') return taken.has(row.id);
    return type === 'stock' && (shelves.find((s) => s.id === row.id)?.reserved.length ?? 0) > 0;
  };
  const gone = lengths.filter((l) => !hung.includes(l)).map((row): Entity => ({ type: 'length', row }));
  await writeRows(trx, { made: [], changed: [], gone });
  const put = sample.filter((entity) => !own(entity));
  const isThere = ({ type, row }: Entity): boolean => (type === 'stock' ? shelves.some((s) => s.id === row.id) : known.has(row.id));
  await writeRows(trx, { made: put.filter((e) => !isThere(e)), changed: put.filter(isThere), gone: [] });
}

/** Is a length one of the demo's, or what is left of one. */
function comesOf({ id, since, from }: HoseLength, all: readonly HoseLength[], sample: readonly Entity[]): boolean {
  if (sample.some(({ type, row }) => type === 'length' && row.id === id && row.since === since)) return true;
  const before = all.find((l) => l.id === from);
  return before !== undefined && before.id !== id && comesOf(before, all, sample);
}

/** Takes away what hangs on jobs that go: pieces cut for them, orders for them alone, what is kept back for them. */
export async function forgetJobs(trx: Knex.Transaction, ids: readonly string[]): Promise<void> {
  const away = new Set(ids);
  const cuts = (await listRows(trx, 'cut')).filter((c) => away.has(c.jobId));
  const orders = (await listRows(trx, 'order')).filter((o) => o.jobIds.some((id) => away.has(id)));
  const alone = orders.filter((o) => o.jobIds.every((id) => away.has(id)));
  const shared = orders
    .filter((o) => !alone.includes(o))
    .map((o): PurchaseOrder => ({ ...o, jobIds: o.jobIds.filter((id) => !away.has(id)), version: o.version + 1 }));
  const shelves = (await listRows(trx, 'stock')).flatMap((s): StockRow[] => {
    const stays = (list: StockRow['reserved']): StockRow['reserved'] => list.filter((r) => !away.has(r.jobId));
    const [reserved, issued] = [stays(s.reserved), stays(s.issued ?? [])];
    if (reserved.length === s.reserved.length && issued.length === (s.issued?.length ?? 0)) return [];
    const { issued: _, ...rest } = s;
    return [{ ...rest, reserved, ...(issued.length > 0 ? { issued } : {}), version: s.version + 1 }];
  });
  const lengths = (await listRows(trx, 'length'))
    .filter((l) => l.jobId !== undefined && away.has(l.jobId))
    .map(({ jobId: _, ...l }): HoseLength => ({ ...l, version: l.version + 1 }));
  const as = <T extends Entity['type']>(type: T, rows: readonly Extract<Entity, { type: T }>['row'][]): Entity[] =>
    rows.map((row) => ({ type, row }) as unknown as Entity);
  await writeRows(trx, {
    made: [],
    changed: [...as('order', shared), ...as('stock', shelves), ...as('length', lengths)],
    gone: [...as('cut', cuts), ...as('order', alone)],
  });
}
