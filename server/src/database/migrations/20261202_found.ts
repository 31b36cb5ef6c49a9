import type { Knex } from 'knex';

/** What of a line is provisional, and how its existing joints were found. */
export async function up(db: Knex): Promise<void> {
  for (const column of ['provisional', 'found'])
    if (!(await db.schema.hasColumn('job_lines', column))) await db.schema.alterTable('job_lines', (t) => void t.json(column).nullable());
}

export async function down(): Promise<void> {
  throw new Error('What was found would be lost: restore the backup that was made before.');
}
