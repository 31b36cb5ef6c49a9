import type { Knex } from 'knex';

/** Parts that are edited, coded and retired; sensors in ports; joints made up; what the shop weighs. */
export async function up(db: Knex): Promise<void> {
  // each step by itself, and only where it has not been taken: a start that was cut short goes on where it was
  const add = async (table: string, column: string, build: (t: Knex.AlterTableBuilder) => unknown): Promise<void> => {
    if (!(await db.schema.hasColumn(table, column))) await db.schema.alterTable(table, (t) => void build(t));
  };
  await add('fittings', 'version', (t) => t.integer('version').unsigned().notNullable().defaultTo(1));
  await add('fittings', 'retired', (t) => t.boolean('retired').notNullable().defaultTo(false));
  await add('fittings', 'code', (t) => t.string('code', 60).nullable());
  const [indices] = (await db.raw("show index from fittings where Column_name = 'code'")) as [unknown[]];
  if (indices.length === 0) await db.schema.alterTable('fittings', (t) => void t.unique(['code'], { indexName: 'fittings_code_unique' }));
  await add('ports', 'sensor', (t) => t.json('sensor').nullable());
  await add('ports', 'open_end', (t) => t.boolean('open_end').notNullable().defaultTo(false));
  await add('job_lines', 'made', (t) => t.json('made').nullable());
  for (const table of ['catalogue_changes', 'shop_rules']) await db.schema.dropTableIfExists(table);
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
