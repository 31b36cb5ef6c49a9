import type { EntityType } from '@gewinde/core';
import type { Knex } from 'knex';
import type { Entity } from '../database/entities.js';
import { fromJson } from '../database/from-json.js';
import { lots } from '../database/lots.js';
import { AppError } from '../errors/app-error.js';
import { rowOf, scopeName, type Change, type Held, type Scope, type Sender, type Written } from './change.js';
import { EVENT_SCHEMA, upcast } from './upcasters.js';

interface EventColumns {
  readonly id: number;
  readonly revision: number;
  readonly scope: string;
  readonly at: Date;
  readonly kind: Change['kind'];
  readonly label: string;
  readonly client: string;
  readonly change_key: string | null;
  readonly schema_version: number;
  readonly digest: string | null;
}
interface RowColumns {
  readonly event_id: number;
  readonly type: EntityType;
  readonly row_id: string;
  readonly before_row?: string | null;
  readonly after_row: string | null;
}
const COLUMNS = ['id', 'revision', 'scope', 'at', 'kind', 'label', 'client', 'change_key', 'schema_version', 'digest'] as const;

/** An event with its rows on both sides. */
export interface StoredEvent {
  readonly id: number;
  /** The sender's name for the change. */
  readonly key: string;
  readonly label: string;
  readonly before: readonly Entity[];
  readonly after: readonly Entity[];
}

/** Records what was written, and how far its scope has come by it. */
export async function recordEvent(
  trx: Knex.Transaction,
  { scope, revision }: Held,
  kind: Change['kind'],
  sender: Sender,
  { label, before, after }: Written,
  at = new Date(),
): Promise<Change> {
  const short = [...label].slice(0, 200).join('');
  const [id] = (await trx('events').insert({
    scope: scopeName(scope),
    revision,
    job_id: scope === 'shop' ? null : scope.job,
    at,
    kind,
    label: short,
    client: sender.client.slice(0, 40),
    change_key: sender.key,
    digest: sender.digest ?? null,
    schema_version: EVENT_SCHEMA,
  })) as [number];
  const rows = new Map<string, { type: EntityType; row_id: string; before_row: string | null; after_row: string | null }>();
  // of a row that several commands of one change went over, as it was before the first of them
  for (const { type, row } of before)
    if (!rows.has(row.id)) rows.set(row.id, { type, row_id: row.id, before_row: JSON.stringify(row), after_row: null });
  for (const { type, row } of after)
    rows.set(row.id, { type, row_id: row.id, before_row: rows.get(row.id)?.before_row ?? null, after_row: JSON.stringify(row) });
  const numbered = [...rows.values()].map((row, n) => ({ event_id: id, n, ...row }));
  for (const some of lots(numbered)) await trx('event_rows').insert(some);
  const { table, where } = rowOf(scope);
  await trx(table)
    .where(where)
    .update(scope === 'shop' ? { revision, at } : { revision, updated_at: at, late: true });
  const now = new Set(after.map((e) => e.row.id));
  return {
    id: revision,
    key: sender.key,
    kind,
    label: short,
    client: sender.client,
    at: at.toISOString(),
    put: after,
    removed: before.filter((e) => !now.has(e.row.id)).map(({ type, row }) => ({ type, id: row.id })),
  };
}

/** The change that was made under this key already; undefined where there is none. */
export async function changeByKey(trx: Knex, scope: Scope, { key, digest }: Sender): Promise<Change | undefined> {
  const event = await trx('events')
    .where({ scope: scopeName(scope), change_key: key })
    .first<EventColumns | undefined>(...COLUMNS);
  holdToContent(event, digest);
  return event && (await changesOf(trx, [event]))[0];
}

/** A key is good for what was sent under it; what was recorded before that was so says nothing. @throws {AppError} key-used */
function holdToContent(event: EventColumns | undefined, digest: string | undefined): void {
  if (event?.digest && digest && event.digest !== digest) throw new AppError('key-used');
}

/** What a sender has done in a scope, as far as its next change asks: the same change made already, and what was taken back. */
export async function senderOf(
  trx: Knex,
  scope: Scope,
  { key, client, digest }: Sender,
): Promise<{ readonly made: Change | undefined; readonly undone: number[] }> {
  const own = trx('events').where({ scope: scopeName(scope), client, state: 'undone' });
  const rows = (await trx('events')
    .where({ scope: scopeName(scope), change_key: key })
    .select(...COLUMNS, trx.raw('1 as same'))
    .unionAll(own.select(...COLUMNS, trx.raw('0 as same')))) as (EventColumns & { same: number })[];
  const event = rows.find(({ same }) => Number(same) === 1);
  holdToContent(event, digest);
  return { made: event && (await changesOf(trx, [event]))[0], undone: rows.flatMap(({ id, same }) => (Number(same) === 0 ? [id] : [])) };
}

/** Where each scope is listened to from. */
export type Places = ReadonlyMap<string, number>;

/** Rows of a change that are told; one with more is told as such, for reading everything anew is less to send and to take in. */
const MOST_ROWS_TOLD = 1000;

/** News of a scope: a change, or the number of one that is too large to be told. */
export interface News {
  readonly scope: string;
  readonly at: number;
  readonly change?: Change;
}

/** The changes after the given place of each scope, in order; not more than `most` of them. */
export async function changesSince(db: Knex, places: Places, most: number, maxRows = MOST_ROWS_TOLD): Promise<News[]> {
  if (places.size === 0) return [];
  const events = await db('events')
    .where((any) => {
      for (const [scope, after] of places) void any.orWhere((one) => void one.where({ scope }).where('revision', '>', after));
    })
    .orderBy(['scope', 'revision'])
    .limit(most)
    .select<EventColumns[]>(...COLUMNS);
  const ids = events.map(({ id }) => id);
  const large = new Set<number>(await db('event_rows').whereIn('event_id', ids).where('n', '>=', maxRows).distinct().pluck('event_id'));
  const changes = await changesOf(
    db,
    events.filter(({ id }) => !large.has(id)),
  );
  return events.map(({ id, scope, revision }) => ({ scope, at: Number(revision), ...(large.has(id) ? {} : { change: changes.shift()! }) }));
}

/** The newest change of a scope; 0 where there is none. */
export async function newestChange(db: Knex, scope: Scope): Promise<number> {
  const { table, where } = rowOf(scope);
  const row: { revision: number } | undefined = await db(table).where(where).first('revision');
  return Number(row?.revision ?? 0);
}

/** The sender's own newest change that can be taken back, or the one taken back last. Records are left alone. */
export async function ownEvent(
  trx: Knex.Transaction,
  scope: Scope,
  client: string,
  state: 'done' | 'undone',
): Promise<StoredEvent | undefined> {
  const event = await trx('events')
    .where({ scope: scopeName(scope), kind: 'edit', state, client })
    .orderBy('revision', state === 'done' ? 'desc' : 'asc')
    .first<EventColumns | undefined>(...COLUMNS);
  if (!event) return undefined;
  const rows = (await trx('event_rows').where({ event_id: event.id }).orderBy('n')) as RowColumns[];
  const side = (name: 'before_row' | 'after_row'): Entity[] =>
    rows.flatMap((row) => (row[name] ? [entityOf(row.type, row[name], event.schema_version)] : []));
  return { id: event.id, key: event.change_key ?? '', label: event.label, before: side('before_row'), after: side('after_row') };
}

async function changesOf(db: Knex, events: readonly EventColumns[]): Promise<Change[]> {
  const rows = await db('event_rows')
    .whereIn(
      'event_id',
      events.map((e) => e.id),
    )
    .orderBy(['event_id', 'n'])
    .select<RowColumns[]>('event_id', 'type', 'row_id', 'after_row');
  const byEvent = new Map<number, RowColumns[]>();
  for (const row of rows) {
    const own = byEvent.get(row.event_id);
    if (own) own.push(row);
    else byEvent.set(row.event_id, [row]);
  }
  return events.map(({ id, revision, at, kind, label, client, change_key, schema_version }) => {
    const own = byEvent.get(id) ?? [];
    return {
      id: Number(revision),
      key: change_key ?? '',
      kind,
      label,
      client,
      at: at.toISOString(),
      put: own.flatMap((row) => (row.after_row ? [entityOf(row.type, row.after_row, schema_version)] : [])),
      removed: own.filter((row) => !row.after_row).map((row) => ({ type: row.type, id: row.row_id })),
    };
  });
}

function entityOf(type: EntityType, text: string, version: number): Entity {
  return { type, row: upcast(type, fromJson(text), version) } as unknown as Entity;
}
