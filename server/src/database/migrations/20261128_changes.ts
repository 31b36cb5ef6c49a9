import type { Knex } from 'knex';
import { fromJson } from '../from-json.js';
import { addTo, makeTable } from './steps.js';

interface OldEvent {
  readonly id: number;
  readonly job_id: string;
  readonly at: Date;
  readonly kind: string;
  readonly state: string;
  readonly label: string;
  readonly client: string;
  readonly before_rows: string;
  readonly after_rows: string;
}
interface OldRow {
  readonly type: string;
  readonly data: { readonly id: string };
}
interface OldPart {
  readonly fitting: { readonly id: string };
  readonly version: number;
  readonly origin: string;
}

/**
 * One history for jobs and for what they share: each event with its sender's key and the version of its rows' shape, each row of it in a
 * row of its own, so that no change is too large to be recorded. What was recorded before comes over. Every step can be run again after
 * one that was cut short.
 */
export async function up(db: Knex): Promise<void> {
  if (!(await db.schema.hasColumn('events', 'scope'))) {
    await db.schema.alterTable('events', (t) => {
      t.string('scope', 36).nullable();
      t.string('change_key', 36).nullable();
      t.integer('schema_version').unsigned().notNullable().defaultTo(1);
    });
  }
  await db.raw("alter table events modify kind enum('edit','undo','redo','record') not null, modify job_id varchar(36) null");
  await db('events')
    .whereNull('scope')
    .update({ scope: db.ref('job_id') });
  await makeTable(db, 'event_rows', (t) => {
    t.bigInteger('event_id').unsigned().notNullable().references('events.id').onDelete('CASCADE');
    t.integer('n').unsigned().notNullable();
    t.string('type', 20).notNullable();
    t.string('row_id', 80).notNullable();
    t.specificType('before_row', 'longtext').nullable();
    t.specificType('after_row', 'longtext').nullable();
    t.primary(['event_id', 'n']);
  });
  if (await db.schema.hasColumn('events', 'before_rows')) {
    await jobEvents(db);
    await db.schema.alterTable('events', (t) => t.dropColumns('before_rows', 'after_rows'));
  }
  if (await db.schema.hasTable('catalogue_changes')) {
    await catalogueChanges(db);
    await db.schema.dropTable('catalogue_changes');
  }
  await db.raw('alter table events modify scope varchar(36) not null');
  await addTo(db, 'events', (t) => {
    t.unique(['scope', 'change_key'], { indexName: 'events_scope_key' });
    t.index(['scope', 'id'], 'events_scope_id');
  });
}

export async function down(): Promise<void> {
  throw new Error('The history cannot be brought back to an earlier form: restore the backup that was made before.');
}

async function jobEvents(db: Knex): Promise<void> {
  for (let last = 0; ;) {
    const events = (await db('events').where('id', '>', last).orderBy('id').limit(50)) as OldEvent[];
    if (events.length === 0) return;
    last = events[events.length - 1]!.id;
    for (const event of events) {
      const rows = (text: string): OldRow[] => fromJson<OldRow[]>(text);
      await insertRows(
        db,
        event.id,
        rows(event.before_rows).map(({ type, data }) => ({ type, id: data.id, row: data })),
        rows(event.after_rows).map(({ type, data }) => ({ type, id: data.id, row: data })),
      );
    }
  }
}

async function catalogueChanges(db: Knex): Promise<void> {
  const changes = (await db('catalogue_changes').orderBy('id')) as OldEvent[];
  await db('events').where({ scope: 'shop' }).delete();
  for (const { at, state, label, client, before_rows, after_rows } of changes) {
    const [id] = (await db('events').insert({ scope: 'shop', at, kind: 'edit', state, label, client })) as [number];
    const rows = (text: string) =>
      fromJson<OldPart[]>(text).map((part) => ({ type: 'part', id: part.fitting.id, row: { id: part.fitting.id, ...part } }));
    await insertRows(db, id, rows(before_rows), rows(after_rows));
  }
}

interface Told {
  readonly type: string;
  readonly id: string;
  readonly row: unknown;
}

async function insertRows(db: Knex, eventId: number, before: readonly Told[], after: readonly Told[]): Promise<void> {
  await db('event_rows').where({ event_id: eventId }).delete();
  const all = new Map<string, { type: string; row_id: string; before_row: string | null; after_row: string | null }>();
  for (const { type, id, row } of before) all.set(id, { type, row_id: id, before_row: JSON.stringify(row), after_row: null });
  for (const { type, id, row } of after)
    all.set(id, { type, row_id: id, before_row: all.get(id)?.before_row ?? null, after_row: JSON.stringify(row) });
  const rows = [...all.values()].map((row, n) => ({ event_id: eventId, n, ...row }));
  for (let at = 0; at < rows.length; at += 200) await db('event_rows').insert(rows.slice(at, at + 200));
}
