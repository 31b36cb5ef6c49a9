import type { Knex } from 'knex';

/** Parts that are edited, coded and retired; sensors in ports; joints made up; what the shop weighs. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('fittings', (t) => {
    t.integer('version').unsigned().notNullable().defaultTo(1);
    t.boolean('retired').notNullable().defaultTo(false);
    t.string('code', 60).nullable().unique();
  });
  await db.schema.alterTable('ports', (t) => {
    t.json('sensor').nullable();
    t.boolean('open_end').notNullable().defaultTo(false);
  });
  await db.schema.alterTable('job_lines', (t) => {
    t.json('made').nullable();
  });
  await db.schema.createTable('catalogue_changes', (t) => {
    t.bigIncrements('id');
    t.datetime('at', { precision: 3 }).notNullable();
    t.enum('state', ['done', 'undone']).notNullable().defaultTo('done');
    t.string('label', 200).notNullable();
    t.string('client', 40).notNullable();
    t.specificType('before_rows', 'longtext').notNullable();
    t.specificType('after_rows', 'longtext').notNullable();
  });
  await db.schema.createTable('shop_rules', (t) => {
    t.string('name', 40).primary();
    t.json('data').notNullable();
    t.integer('version').unsigned().notNullable();
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('shop_rules');
  await db.schema.dropTableIfExists('catalogue_changes');
  await db.schema.alterTable('job_lines', (t) => t.dropColumn('made'));
  await db.schema.alterTable('ports', (t) => t.dropColumns('sensor', 'open_end'));
  await db.schema.alterTable('fittings', (t) => t.dropColumns('version', 'retired', 'code'));
}
