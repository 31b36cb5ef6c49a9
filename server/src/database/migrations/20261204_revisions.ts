import type { Knex } from 'knex';
import { addTo, makeTable } from './steps.js';

/**
 * What grows stays quick, and holds on several databases in a cluster: changes are numbered within their scope rather than by the order of
 * auto-increments; where each job stands is kept, with the words it is found by; which rows name a part is a table.
 */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('events', 'revision')))
    await db.schema.alterTable('events', (t) => void t.bigInteger('revision').nullable());
  await db('events')
    .whereNull('revision')
    .update({ revision: db.ref('id') });
  await db.raw('alter table events modify revision bigint not null');
  await addTo(db, 'events', (t) => void t.unique(['scope', 'revision'], { indexName: 'events_scope_revision' }));
  await addTo(db, 'events', (t) => void t.index(['scope', 'state', 'client'], 'events_scope_state'));
  for (const table of ['jobs', 'marks'])
    if (!(await db.schema.hasColumn(table, 'revision')))
      await db.schema.alterTable(table, (t) => void t.bigInteger('revision').notNullable().defaultTo(0));
  await db.raw('update jobs set revision = (select coalesce(max(e.revision), 0) from events e where e.scope = jobs.id)');
  const newest = db('events').where({ scope: 'shop' }).max('revision');
  await db('marks').insert({ name: 'catalogue', at: new Date() }).onConflict('name').ignore();
  await db('marks')
    .where({ name: 'catalogue' })
    .update({ revision: db.raw('coalesce((?), 0)', [newest]) });
  if (!(await db.schema.hasColumn('parts', 'changed')))
    await db.schema.alterTable('parts', (t) => void t.bigInteger('changed').notNullable().defaultTo(0));
  if (!(await db.schema.hasColumn('jobs', 'late')))
    await db.schema.alterTable('jobs', (t) => void t.boolean('late').notNullable().defaultTo(true));
  await addTo(db, 'parts', (t) => void t.index(['kind', 'position'], 'parts_of_kind'));
  await db('marks').insert({ name: 'parts', at: new Date() }).onConflict('name').ignore();
  await addTo(db, 'jobs', (t) => void t.index(['late'], 'jobs_late'));
  await addTo(db, 'jobs', (t) => void t.index(['archived', 'number'], 'jobs_on_board'));
  await makeTable(db, 'job_summaries', (t) => {
    t.string('job_id', 36).primary().references('jobs.id').onDelete('CASCADE');
    t.bigInteger('revision').notNullable();
    t.bigInteger('shop_revision').notNullable();
    t.integer('form').notNullable();
    t.specificType('told', 'longtext').notNullable();
    t.specificType('findables', 'longtext').notNullable();
    t.index(['form']);
  });
  await makeTable(db, 'job_words', (t) => {
    t.string('job_id', 36).primary().references('jobs.id').onDelete('CASCADE');
    t.boolean('archived').notNullable();
    t.specificType('number', 'varbinary(120)').notNullable();
    t.specificType('words', 'mediumblob').notNullable();
  });
  await makeTable(db, 'part_uses', (t) => {
    t.string('part_id', 80).notNullable().references('parts.id');
    t.string('row_id', 36).notNullable();
    t.string('job_id', 36).notNullable().references('jobs.id').onDelete('CASCADE');
    t.primary(['part_id', 'row_id']);
    t.index(['row_id']);
    t.index(['job_id', 'part_id']);
  });
  await usesOf(db, 'job_lines', ['ways', 'pieces']);
  await usesOf(db, 'ports', ['sensor']);
  await usesOf(db, 'components', ['part']);
}

export async function down(): Promise<void> {
  throw new Error('The order of changes would be lost: restore the backup that was made before.');
}

/** Whatever in some columns of a row is the id of a part. */
async function usesOf(db: Knex, table: string, columns: readonly string[]): Promise<void> {
  const parts = new Set(await db('parts').pluck<string[]>('id'));
  for (let last = ''; ;) {
    const rows: Record<string, unknown>[] = await db(table)
      .where('id', '>', last)
      .orderBy('id')
      .limit(500)
      .select('id', 'job_id', ...columns);
    if (rows.length === 0) return;
    last = rows[rows.length - 1]!['id'] as string;
    const uses = rows.flatMap((row) => {
      return [...new Set(columns.flatMap((column) => wordsOf(row[column])))]
        .filter((id) => parts.has(id))
        .map((id) => ({ part_id: id, row_id: row['id'], job_id: row['job_id'] }));
    });
    for (let at = 0; at < uses.length; at += 500)
      await db('part_uses')
        .insert(uses.slice(at, at + 500))
        .onConflict()
        .ignore();
  }
}

/** Every string of a JSON value, which the database gives as text or read already. */
function wordsOf(json: unknown): string[] {
  const text = typeof json === 'string' ? json : JSON.stringify(json ?? '');
  return (text.match(/"(?:[^"\\]|\\.)*"/g) ?? []).map((word) => JSON.parse(word) as string);
}
