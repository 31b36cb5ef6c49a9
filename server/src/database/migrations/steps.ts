import type { Knex } from 'knex';

/**
 * Makes a table with its keys and references. That is several statements, and a start may be cut short between any two of them: each is
 * taken only where it has not been.
 */
export async function makeTable(db: Knex, name: string, build: (t: Knex.CreateTableBuilder) => void): Promise<void> {
  await takeEach(db, db.schema.createTable(name, build));
}

/** Adds to a table what it does not have yet: columns, keys, references. */
export async function addTo(db: Knex, name: string, build: (t: Knex.AlterTableBuilder) => void): Promise<void> {
  await takeEach(db, db.schema.alterTable(name, build));
}

async function takeEach(db: Knex, statements: Knex.SchemaBuilder): Promise<void> {
  for (const { sql, bindings = [] } of statements.toSQL() as unknown as { sql: string; bindings?: string[] }[])
    await db.raw(whereItIsNot(sql), bindings);
}

/** A statement in the words by which MariaDB leaves out what is there already. */
function whereItIsNot(sql: string): string {
  if (sql.startsWith('create table')) return sql.replace('create table', 'create table if not exists');
  return sql
    .replace(/ add (unique|index) `/g, ' add $1 if not exists `')
    .replace(/( add constraint `[^`]+` foreign key) \(/g, '$1 if not exists (')
    .replace(/ add `/g, ' add column if not exists `');
}
