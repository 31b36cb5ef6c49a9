import type { Knex } from 'knex';

/** What a supplier's list says in its own money, beside the price in euros that was worked out from it. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('offers', 'listed_currency')))
    await db.schema.alterTable('offers', (t) => void t.string('listed_currency', 3).nullable());
  if (!(await db.schema.hasColumn('offers', 'listed_minor')))
    await db.schema.alterTable('offers', (t) => void t.bigInteger('listed_minor').nullable());
}

export async function down(): Promise<void> {
  throw new Error('What the lists say would be lost: restore the backup that was made before.');
}
