import type { Knex } from 'knex';
import { makeTable } from './steps.js';

/** What apprentices found on made lines: the rule that was broken, or that nothing was, and what they said. */
export async function up(db: Knex): Promise<void> {
  await makeTable(db, 'fault_answers', (t) => {
    t.bigIncrements('id');
    t.string('apprentice', 60).notNullable();
    t.string('truth', 60).notNullable();
    t.string('answer', 60).notNullable();
    t.boolean('right').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['apprentice', 'id']);
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('fault_answers');
}
