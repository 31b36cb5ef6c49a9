import type { Knex } from 'knex';

/** What a component is made of; not said where it is null. */
export async function up(db: Knex): Promise<void> {
  if (await db.schema.hasColumn('components', 'metal')) return;
  await db.schema.alterTable('components', (t) => {
    t.string('metal', 20);
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('components', (t) => {
    t.dropColumn('metal');
  });
}
