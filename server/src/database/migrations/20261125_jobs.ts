import type { Knex } from 'knex';

/** Jobs with their survey and lines, the catalogue, and the history of changes. */
export async function up(db: Knex): Promise<void> {
  // one that was cut short has left some of its tables, and nothing in them
  if (await db.schema.hasTable('jobs')) {
    if (await db('jobs').first('id')) throw new Error('The database holds jobs, and does not know of which version: restore a backup.');
    await down(db);
  }
  await db.schema.createTable('jobs', (t) => {
    t.string('id', 36).primary();
    t.string('number', 20).notNullable().unique();
    t.string('name', 120).notNullable();
    t.text('description').notNullable();
    t.boolean('archived').notNullable().defaultTo(false);
    t.integer('version').unsigned().notNullable();
    t.datetime('updated_at', { precision: 3 }).notNullable();
  });
  await db.schema.createTable('components', (t) => {
    t.string('id', 36).primary();
    t.string('job_id', 36).notNullable().references('jobs.id').onDelete('CASCADE');
    t.string('kind', 20).notNullable();
    t.string('name', 80).notNullable();
    t.text('note').notNullable();
    t.integer('position').unsigned().notNullable();
    t.integer('version').unsigned().notNullable();
  });
  await db.schema.createTable('ports', (t) => {
    t.string('id', 36).primary();
    t.string('job_id', 36).notNullable().references('jobs.id').onDelete('CASCADE');
    t.string('component_id', 36).notNullable().references('components.id').onDelete('CASCADE');
    t.string('label', 80).notNullable();
    t.json('connector').notNullable();
    t.text('note').notNullable();
    t.integer('position').unsigned().notNullable();
    t.integer('version').unsigned().notNullable();
  });
  await db.schema.createTable('job_lines', (t) => {
    t.string('id', 36).primary();
    t.string('job_id', 36).notNullable().references('jobs.id').onDelete('CASCADE');
    t.integer('number').unsigned().notNullable();
    t.string('name', 80).notNullable();
    t.string('service', 20).notNullable();
    t.string('construction', 20).nullable();
    t.integer('dash').unsigned().nullable();
    t.string('port_a', 36).notNullable().unique().references('ports.id');
    t.string('port_b', 36).notNullable().unique().references('ports.id');
    t.json('end_a').notNullable();
    t.json('end_b').notNullable();
    t.double('taped_length_mm').nullable();
    t.double('slack_percent').notNullable();
    t.boolean('checked').notNullable();
    t.text('note').notNullable();
    t.integer('position').unsigned().notNullable();
    t.integer('version').unsigned().notNullable();
    t.unique(['job_id', 'number']);
  });
  for (const table of ['fittings', 'hoses', 'hose_ends'])
    await db.schema.createTable(table, (t) => {
      t.string('id', 80).primary();
      t.json('data').notNullable();
      t.string('origin', 20).notNullable();
      t.integer('position').unsigned().notNullable();
    });
  await db.schema.createTable('events', (t) => {
    t.bigIncrements('id');
    t.string('job_id', 36).notNullable().references('jobs.id').onDelete('CASCADE');
    t.datetime('at', { precision: 3 }).notNullable();
    t.enum('kind', ['edit', 'undo', 'redo']).notNullable();
    t.enum('state', ['done', 'undone', 'dropped']).notNullable().defaultTo('done');
    t.string('label', 200).notNullable();
    t.string('client', 40).notNullable();
    t.specificType('before_rows', 'longtext').notNullable();
    t.specificType('after_rows', 'longtext').notNullable();
    t.index(['job_id', 'id']);
  });
  await db.schema.createTable('marks', (t) => {
    t.string('name', 40).primary();
    t.datetime('at', { precision: 3 }).notNullable();
  });
}

export async function down(db: Knex): Promise<void> {
  for (const table of ['marks', 'events', 'hose_ends', 'hoses', 'fittings', 'job_lines', 'ports', 'components', 'jobs'])
    await db.schema.dropTableIfExists(table);
}
