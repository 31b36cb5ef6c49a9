import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { fromJson } from '../from-json.js';
import { makeTable } from './steps.js';

type Data = Record<string, unknown> & { id: string };
interface OldPart {
  readonly id: string;
  readonly data: unknown;
  readonly origin: string;
  readonly position: number;
}

/**
 * One table for parts of every kind; what they cost, from whom and how soon apart from them; stock as the sum of movements. A line may say
 * what it carries. Every step can be run again after one that was cut short.
 */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('job_lines', 'fluid')))
    await db.schema.alterTable('job_lines', (t) => void t.string('fluid', 30).nullable());
  if (await db.schema.hasTable('fittings')) await db.schema.renameTable('fittings', 'parts');
  if (!(await db.schema.hasColumn('parts', 'kind')))
    await db.schema.alterTable('parts', (t) => void t.string('kind', 20).notNullable().defaultTo('fitting'));
  await makeTable(db, 'offers', (t) => {
    t.string('id', 36).primary();
    t.string('part_id', 80).notNullable().unique().references('parts.id').onDelete('CASCADE');
    t.string('supplier', 80).nullable();
    t.string('code', 60).nullable().unique();
    t.integer('price_minor').unsigned().nullable();
    t.integer('lead_days').unsigned().nullable();
  });
  await makeTable(db, 'stock_movements', (t) => {
    t.bigIncrements('id');
    t.string('part_id', 80).notNullable().references('parts.id').onDelete('CASCADE');
    t.integer('quantity').notNullable();
    t.string('reason', 20).notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['part_id']);
  });
  for (const [table, kind] of [
    ['hoses', 'hose'],
    ['hose_ends', 'hose end'],
  ] as const)
    if (await db.schema.hasTable(table)) await asParts(db, table, kind);
  if (await db.schema.hasColumn('parts', 'code')) {
    await offersApart(db);
    await db.schema.alterTable('parts', (t) => t.dropColumn('code'));
  }
}

export async function down(): Promise<void> {
  throw new Error('The parts cannot be brought back to an earlier form: restore the backup that was made before.');
}

/** Hoses or hose ends behind what is there, in their order; those of a run cut short are in their places already. */
async function asParts(db: Knex, table: string, kind: string): Promise<void> {
  const rows = (await db(table).orderBy('position').orderBy('id')) as OldPart[];
  const { last } = (await db('parts').whereNot({ kind }).max('position as last').first()) as { last: number | null };
  for (const [i, { id, data, origin }] of rows.entries())
    await db('parts')
      .insert({ id, kind, data: JSON.stringify(fromJson(data)), origin, version: 1, retired: false, position: (last ?? -1) + 1 + i })
      .onConflict('id')
      .ignore();
  await db.schema.dropTable(table);
}

/** Price, supplier, code and lead time into an offer, the shelf into a first count; what is there from a run cut short is not made twice. */
async function offersApart(db: Knex): Promise<void> {
  const ids = async (table: string) => {
    const rows: { part_id: string }[] = await db(table).select('part_id');
    return new Set(rows.map((row) => row.part_id));
  };
  const [offered, counted] = [await ids('offers'), await ids('stock_movements')];
  const parts: { id: string; data: unknown }[] = await db('parts').select('id', 'data');
  for (const { id, data } of parts) {
    const { priceMinor, pricePerMetreMinor, supplier, code, leadDays, shelf, ...part } = fromJson<Data>(data);
    const price = priceMinor ?? pricePerMetreMinor;
    if (!offered.has(id) && [price, supplier, code, leadDays].some((v) => v !== undefined))
      await db('offers').insert({
        id: randomUUID(),
        part_id: id,
        supplier: supplier ?? null,
        code: code ?? null,
        price_minor: price ?? null,
        lead_days: leadDays ?? null,
      });
    if (typeof shelf === 'number' && !counted.has(id))
      await db('stock_movements').insert({ part_id: id, quantity: shelf, reason: 'count', at: new Date() });
    await db('parts')
      .where({ id })
      .update({ data: JSON.stringify(part) });
  }
}
