import type { Knex } from 'knex';

/** Which part of the catalogue a component is, and which of its ends a port. */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('components', 'part'))) await db.schema.alterTable('components', (t) => void t.json('part').nullable());
  if (!(await db.schema.hasColumn('ports', 'part_end'))) await db.schema.alterTable('ports', (t) => void t.tinyint('part_end').nullable());
}

export async function down(): Promise<void> {
  throw new Error('Which parts the components are would be lost: restore the backup that was made before.');
}
