import type { Knex } from 'knex';

/** What flows: in the engine of a job, in its lines, through its components; null where nothing is said. */
const columns = [
  ['jobs', 'running'],
  ['components', 'flow'],
  ['job_lines', 'flow'],
] as const;

export async function up(db: Knex): Promise<void> {
  for (const [table, column] of columns)
    if (!(await db.schema.hasColumn(table, column))) await db.schema.alterTable(table, (t) => void t.json(column).nullable());
}

export async function down(): Promise<void> {
  throw new Error('What was said of flow would be lost: restore the backup that was made before.');
}
