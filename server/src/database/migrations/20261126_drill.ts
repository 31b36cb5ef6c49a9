import type { Knex } from 'knex';

/** What apprentices answered in the thread drill. */
export async function up(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('drill_answers'); // of a start that was cut short
  await db.schema.createTable('drill_answers', (t) => {
    t.bigIncrements('id');
    t.string('apprentice', 60).notNullable();
    t.string('fitting', 20).notNullable();
    t.string('truth', 40).notNullable();
    t.string('answer', 40).notNullable();
    t.boolean('right').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['apprentice', 'id']);
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('drill_answers');
}
