import type { Knex } from 'knex';
import { makeTable } from './steps.js';

/**
 * Parts beside the lines of a job; what parts are found by (the construction of a hose or end, the family of a fitting's first end); what
 * jobs plan to cut from which length.
 */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('jobs', 'beside'))) await db.schema.alterTable('jobs', (t) => void t.json('beside').nullable());
  if (!(await db.schema.hasColumn('parts', 'family')))
    await db.raw(
      "alter table parts add column family varchar(20) generated always as (coalesce(json_value(data, '$.construction'), json_value(data, '$.ends[0].family'))) stored, add index parts_family (kind, family)",
    );
  await makeTable(db, 'hose_plans', (t) => {
    t.string('job_id', 36).primary().references('jobs.id').onDelete('CASCADE');
    t.datetime('at', { precision: 3 }).notNullable();
    t.json('lengths').notNullable();
  });
}

export async function down(): Promise<void> {
  throw new Error('What was added to jobs by hand would be lost: restore the backup that was made before.');
}
