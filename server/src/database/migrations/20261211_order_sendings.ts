import type { Knex } from 'knex';
import { makeTable } from './steps.js';

/** Orders that are sent and not answered yet: the key they go under, who asks at this moment, and when they are asked for again. */
export async function up(db: Knex): Promise<void> {
  await makeTable(db, 'order_sendings', (t) => {
    t.string('order_id', 100).primary().references('purchase_orders.id').onDelete('CASCADE');
    t.string('sent_key', 36).notNullable();
    t.integer('tries').unsigned().notNullable().defaultTo(0);
    t.datetime('claimed_until', { precision: 3 }).nullable();
    t.datetime('next_at', { precision: 3 }).nullable().index();
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('order_sendings');
}
