import type { Knex } from 'knex';
import { addTo, makeTable } from './steps.js';

/** What a change under a key said, so that the key is good for no other; and the servers that run on this database at this moment. */
export async function up(db: Knex): Promise<void> {
  await addTo(db, 'events', (t) => void t.string('digest', 43).nullable());
  await makeTable(db, 'servers', (t) => {
    t.string('id', 36).primary();
    t.string('place', 80).notNullable();
    t.datetime('seen_at', { precision: 3 }).notNullable();
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('servers');
  await db.schema.alterTable('events', (t) => t.dropColumn('digest'));
}
