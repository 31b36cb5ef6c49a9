import type { Knex } from 'knex';
import { fromJson } from '../from-json.js';
import { makeTable } from './steps.js';

type Table = Knex.CreateTableBuilder;
const row = (t: Table): void => {
  t.string('id', 100).primary();
  t.integer('version').unsigned().notNullable();
  t.json('data').notNullable();
};

/** Rows that are read whole, with what they are searched by. What shelf, length or offer hangs on does not go from under them. */
const tables: Readonly<Record<string, (t: Table) => void>> = {
  suppliers: (t) => void t.string('name', 80).notNullable().unique(),
  supplier_offers: (t) => {
    t.string('supplier_id', 80).notNullable().references('suppliers.id');
    t.string('code', 60).nullable();
    t.unique(['supplier_id', 'code']);
  },
  shelves: (t) => void t.string('part_id', 80).notNullable().unique().references('parts.id'),
  hose_lengths: (t) => {
    t.string('part_id', 80).notNullable().references('parts.id');
    t.double('mm').notNullable();
    t.string('state', 12).notNullable();
    t.string('kind', 12).notNullable();
    t.index(['state', 'part_id']);
  },
  cuts_made: (t) => {
    t.string('job_id', 80).notNullable().index();
    t.string('length_id', 80).notNullable().index();
    t.datetime('at', { precision: 3 }).notNullable();
  },
  purchase_orders: (t) => {
    t.string('number', 40).notNullable().unique();
    t.string('supplier_id', 80).notNullable().index();
    t.string('state', 12).notNullable().index();
  },
};

/**
 * Suppliers and their offers, shelves, lengths on the rack, pieces cut and orders. What was counted of hose in metres becomes one length of each.
 * Every step can be run again after one that was cut short.
 */
export async function up(db: Knex): Promise<void> {
  for (const [name, columns] of Object.entries(tables))
    await makeTable(db, name, (t) => {
      row(t);
      columns(t);
    });
  for (const [column, letters] of [
    ['job_id', 80],
    ['by', 12],
    ['note', 200],
  ] as const)
    if (!(await db.schema.hasColumn('stock_movements', column)))
      await db.schema.alterTable('stock_movements', (t) => void t.string(column, letters).nullable());
  if (!(await db.schema.hasColumn('jobs', 'needed_by')))
    await db.schema.alterTable('jobs', (t) => void t.string('needed_by', 10).nullable());
  // a shelf is called after its part, and a word longer
  await db.schema.alterTable('event_rows', (t) => void t.string('row_id', 100).notNullable().alter());
  await metresAsLengths(db);
}

export async function down(): Promise<void> {
  throw new Error('What was bought, kept and cut would be lost: restore the backup that was made before.');
}

/** Sold by the metre, and no pieces. */
const BY_LENGTH = new Set(['sleeve', 'shrink', 'tube']);

async function metresAsLengths(db: Knex): Promise<void> {
  const parts: { id: string; kind: string; data: unknown }[] = await db('parts')
    .whereIn('kind', ['hose', 'supply'])
    .select('id', 'kind', 'data');
  const long = parts.filter(({ kind, data }) => kind === 'hose' || BY_LENGTH.has(fromJson<{ kind: string }>(data).kind)).map((p) => p.id);
  for (const part of long) {
    const { n } = (await db('stock_movements').where({ part_id: part }).sum('quantity as n').first()) as { n: string | null };
    const metres = Number(n ?? 0);
    // one that was made by a run cut short is not made twice
    if (metres > 0 && !(await db('hose_lengths').where({ part_id: part }).first('id'))) {
      const { rows } = (await db('hose_lengths').count('* as rows').first()) as { rows: number };
      const id = `H-${String(Number(rows) + 1).padStart(4, '0')}`;
      const since = new Date().toISOString().slice(0, 10);
      const data = JSON.stringify({ id, part, kind: 'reel', mm: metres * 1000, since, state: 'there', version: 1 });
      await db('hose_lengths').insert({ id, version: 1, part_id: part, mm: metres * 1000, state: 'there', kind: 'reel', data });
    }
    await db('stock_movements').where({ part_id: part }).delete();
  }
}
