import { soldByLength, type CataloguePart, type ListedPrice, type PartEntry, type PartKind } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { fromJson } from './from-json.js';
import { lots } from './lots.js';

interface PartColumns {
  readonly id: string;
  readonly kind: PartKind;
  readonly data: unknown;
  readonly origin: CataloguePart['origin'];
  readonly version: number;
}
interface OfferColumns {
  readonly supplier: string | null;
  readonly code: string | null;
  readonly price_minor: number | null;
  readonly lead_days: number | null;
  readonly listed_currency: ListedPrice['currency'] | null;
  readonly listed_minor: number | null;
  /** Sum of the movements of its stock, and of the lengths of it that are there, mm. */
  readonly counted: string | null;
  readonly racked: string | null;
}
type OfferedColumns = PartColumns & OfferColumns;
const NOT_OFFERED: OfferColumns = {
  supplier: null,
  code: null,
  price_minor: null,
  lead_days: null,
  listed_currency: null,
  listed_minor: null,
  counted: null,
  racked: null,
};
/** What a part says of itself and of being bought, whatever its kind. */
interface Said extends Record<string, unknown> {
  readonly priceMinor?: number;
  readonly pricePerMetreMinor?: number;
  readonly supplier?: string;
  readonly code?: string;
  readonly leadDays?: number;
  readonly listed?: ListedPrice;
  readonly shelf?: number;
  readonly retired?: boolean;
}

/** What a row says as it is stored, for those who have looked at the very same text before. */
export const storedText = new WeakMap<object, string>();

/** Parts by where they stand in the catalogue, each with its offer and what the movements of its stock come to. */
export async function listPartRows(
  db: Knex,
  where: Record<string, unknown> | ((query: Knex.QueryBuilder) => void) = {},
): Promise<CataloguePart[]> {
  const parts = db('parts').where(where as Record<string, unknown>);
  const rows = await withOffers(db, parts).orderBy('p.position').orderBy('p.id');
  return rows.map(partOf);
}

/** Parts by id as they are made, without what they cost and how many there are: all that the rules of a job look at. */
export async function listPartsAsMade(db: Knex, ids: Iterable<string>): Promise<CataloguePart[]> {
  const found: CataloguePart[] = [];
  for (const some of lots([...new Set(ids)])) {
    const rows: PartColumns[] = await db('parts').whereIn('id', some).select('id', 'kind', 'data', 'origin', 'version');
    found.push(...rows.map((row) => partOf({ ...NOT_OFFERED, ...row })));
  }
  return found;
}

/** Parts by id, locked for the rest of the transaction; those that are not there are left out. */
export async function lockPartRows(trx: Knex.Transaction, ids: readonly string[]): Promise<Map<string, CataloguePart>> {
  const found = new Map<string, CataloguePart>();
  for (const some of lots(ids)) {
    // the rows as they are now, which is what is locked; what the transaction sees beside them may be older
    const rows = (await trx('parts').whereIn('id', some).forUpdate()) as PartColumns[];
    const seen = await withOffers(trx, trx('parts').whereIn('id', some));
    const beside = new Map(seen.map((row) => [row.id, row]));
    for (const row of rows) found.set(row.id, partOf({ ...NOT_OFFERED, ...beside.get(row.id), ...row }));
  }
  return found;
}

/**
 * A table read by this index, come what may: while a table has just been filled, the server still takes it for empty, and would read
 * all of it for each of thousands of parts.
 */
const byIndex = (db: Knex, table: string, index: string, name = table): Knex.Raw =>
  db.raw('?? as ?? force index (??)', [table, name, index]);

/** Rows of parts, each with its offer and its stock beside it, in one statement. What is cut is kept by its lengths: full metres of them. */
function withOffers(db: Knex, parts: Knex.QueryBuilder): Knex.QueryBuilder<object, OfferedColumns[]> {
  return db(parts.as('p'))
    .leftJoin(byIndex(db, 'offers', 'offers_part_id_unique', 'o'), 'o.part_id', 'p.id')
    .select('p.id', 'p.kind', 'p.data', 'p.origin', 'p.version')
    .select('o.supplier', 'o.code', 'o.price_minor', 'o.lead_days', 'o.listed_currency', 'o.listed_minor')
    .select({
      counted: db(byIndex(db, 'stock_movements', 'stock_movements_part_id_index'))
        .whereRaw('part_id = p.id')
        .sum('quantity'),
      racked: db(byIndex(db, 'hose_lengths', 'hose_lengths_state_part_id_index'))
        .whereRaw('part_id = p.id')
        .where({ state: 'there' })
        .whereNot({ kind: 'made' })
        .sum('mm'),
    }) as unknown as Knex.QueryBuilder<object, OfferedColumns[]>;
}

function partOf(row: OfferedColumns): CataloguePart {
  const { id, version, origin, kind, data, supplier, code, price_minor, lead_days, listed_currency, listed_minor, counted, racked } = row;
  const shelf = racked === null ? (counted === null ? undefined : Number(counted)) : Math.floor(Number(racked) / 1000);
  const part = {
    ...fromJson<Said>(data),
    ...(price_minor === null ? {} : { [priceField(kind)]: price_minor }),
    ...(supplier ? { supplier } : {}),
    ...(code ? { code } : {}),
    ...(lead_days === null ? {} : { leadDays: lead_days }),
    ...(listed_currency ? { listed: { currency: listed_currency, minor: listed_minor ?? 0 } } : {}),
    ...(shelf === undefined ? {} : { shelf }),
  };
  const read = { id, version, origin, kind, part } as unknown as CataloguePart;
  if (typeof data === 'string') storedText.set(read, data);
  return read;
}

/** New parts, at the end of the catalogue. */
export async function insertPartRows(trx: Knex.Transaction, parts: readonly CataloguePart[]): Promise<void> {
  if (parts.length === 0) return;
  const { last } = (await trx('parts').max('position as last').first()) as { last: number | null };
  const rows = parts.map((part, i) => ({ ...columnsOf(part), position: (last ?? -1) + 1 + i }));
  for (const some of lots(rows)) await trx('parts').insert(some);
  await writeOffers(trx, parts);
  await moveStock(trx, parts);
}

/** Parts as they are to be now: by their ids alone, codes last, so that a code can change hands and never decides which part is written. */
export async function updatePartRows(trx: Knex.Transaction, parts: readonly CataloguePart[]): Promise<void> {
  if (parts.length === 0) return;
  const mark: { revision: number } | undefined = await trx('marks').where({ name: 'catalogue' }).first('revision');
  const revision = Number(mark?.revision ?? 0) + 1;
  for (const some of lots(parts)) {
    const said = await saidSoFar(trx, some);
    const rows = some.map((part) => ({ ...columnsOf(part), position: 0, changed: revision }));
    const same = rows.filter(({ id, data }, i) => said.get(id) === saying(data, some[i]!.part.code));
    const other = rows.filter((row) => !same.includes(row));
    const columns = ['data', 'kind', 'origin', 'version', 'retired'];
    if (same.length > 0) await trx('parts').insert(same).onConflict('id').merge(columns);
    if (other.length === 0) continue;
    await trx('parts')
      .insert(other)
      .onConflict('id')
      .merge([...columns, 'changed']);
    await trx('marks').insert({ name: 'parts', at: new Date(), revision }).onConflict('name').merge(['revision']);
  }
  await writeOffers(trx, parts);
  await moveStock(trx, parts);
}

/** What jobs that use them can see of parts: all but prices and stock. */
async function saidSoFar(trx: Knex.Transaction, parts: readonly CataloguePart[]): Promise<Map<string, string>> {
  const ids = parts.map(({ id }) => id);
  const rows: { id: string; data: unknown; code: string | null }[] = await trx('parts')
    .leftJoin(byIndex(trx, 'offers', 'offers_part_id_unique'), 'offers.part_id', 'parts.id')
    .whereIn('parts.id', ids)
    .select('parts.id', 'parts.data', 'offers.code');
  return new Map(rows.map(({ id, data, code }) => [id, saying(data, code)]));
}

function saying(data: unknown, code: string | null | undefined): string {
  return `${typeof data === 'string' ? data : JSON.stringify(data)} ${code ?? ''}`;
}

async function writeOffers(trx: Knex.Transaction, parts: readonly CataloguePart[]): Promise<void> {
  for (const some of lots(parts))
    await trx('offers')
      .whereIn(
        'part_id',
        some.map((p) => p.id),
      )
      .update({ code: null });
  const offers = parts.map((row) => {
    const said = row.part as unknown as Said;
    const price = said.priceMinor ?? said.pricePerMetreMinor;
    return {
      id: randomUUID(),
      part_id: row.id,
      supplier: said.supplier ?? null,
      code: null,
      price_minor: price ?? null,
      lead_days: said.leadDays ?? null,
      listed_currency: said.listed?.currency ?? null,
      listed_minor: said.listed?.minor ?? null,
    };
  });
  for (const some of lots(offers))
    await trx('offers')
      .insert(some)
      .onConflict('part_id')
      .merge(['supplier', 'price_minor', 'lead_days', 'listed_currency', 'listed_minor']);
  const coded = parts.flatMap((row) => (row.part.code ? [{ id: row.id, code: row.part.code }] : []));
  for (const some of lots(coded)) {
    const cases = some.map(() => 'when ? then ?').join(' ');
    await trx.raw(`update offers set code = case part_id ${cases} end where part_id in (${some.map(() => '?').join(', ')})`, [
      ...some.flatMap(({ id, code }) => [id, code]),
      ...some.map(({ id }) => id),
    ]);
  }
}

/** The stock is never written over: what it is to be and what it was make a movement. Of what is cut, its lengths say what is there. */
async function moveStock(trx: Knex.Transaction, parts: readonly CataloguePart[]): Promise<void> {
  const at = new Date();
  for (const some of lots(parts.filter((part) => !soldByLength(part)))) {
    const ids = some.map((p) => p.id);
    const sums: { part_id: string; n: string }[] = await trx('stock_movements')
      .whereIn('part_id', ids)
      .groupBy('part_id')
      .select('part_id')
      .sum('quantity as n');
    const now = new Map(sums.map(({ part_id, n }) => [part_id, Number(n)]));
    const moved = some.flatMap(({ id, part: { shelf } }) => {
      const was = now.get(id);
      const quantity = (shelf ?? 0) - (was ?? 0);
      return quantity !== 0 || (shelf !== undefined && was === undefined) ? [{ part_id: id, quantity, reason: 'count', at }] : [];
    });
    if (moved.length > 0) await trx('stock_movements').insert(moved);
  }
}

function columnsOf({ id, kind, version, origin, part }: CataloguePart): PartColumns & { data: string; retired: boolean } {
  const {
    priceMinor: _price,
    pricePerMetreMinor: _metre,
    supplier: _supplier,
    code: _code,
    leadDays: _days,
    listed: _listed,
    shelf: _shelf,
    ...data
  } = part as unknown as Said;
  return { id, kind, data: JSON.stringify(data), origin, version, retired: part.retired ?? false };
}

function priceField(kind: PartEntry['kind']): 'priceMinor' | 'pricePerMetreMinor' {
  return kind === 'hose' ? 'pricePerMetreMinor' : 'priceMinor';
}
