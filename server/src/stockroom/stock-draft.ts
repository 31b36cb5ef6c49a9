import { CommandError, entities, type CataloguePart, type StockEntities } from '@gewinde/core';
import type { Knex } from 'knex';
import type { Entity } from '../database/entities.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import type { Written } from '../history/change.js';

type StockType = keyof StockEntities;

/** Rows of the stockroom that a command works on: locked as they are read, written at the end. */
export class StockDraft {
  private readonly before = new Map<string, Entity>();
  private readonly now = new Map<string, Entity | null>();
  /** Parts that are told with the change: their shelf is another. */
  private readonly told = new Map<string, Entity>();

  constructor(readonly trx: Knex.Transaction) {}

  /** @throws {CommandError} not-found */
  async row<T extends StockType>(type: T, id: string): Promise<StockEntities[T]> {
    const found = await this.find(type, id);
    if (!found) throw new CommandError('not-found', `This ${entities[type].one} is not there, or no longer.`);
    return found;
  }

  async find<T extends StockType>(type: T, id: string): Promise<StockEntities[T] | undefined> {
    const key = `${type} ${id}`;
    if (!this.now.has(key)) {
      const row = (await lockRows(this.trx, type, [id])).get(id) as StockEntities[T] | undefined;
      const entity = row ? ({ type, row } as unknown as Entity) : null;
      if (entity) this.before.set(key, entity);
      this.now.set(key, entity);
    }
    return (this.now.get(key)?.row ?? undefined) as StockEntities[T] | undefined;
  }

  /** The row, as the sender saw it. @throws {CommandError} not-found, conflict with the row as it stands */
  async editable<T extends StockType>(
    type: T,
    id: string,
    version: number,
    taken?: (row: StockEntities[T]) => string,
  ): Promise<StockEntities[T]> {
    const row = await this.row(type, id);
    if (row.version !== version)
      throw new CommandError('conflict', taken?.(row) ?? 'Somebody else has changed this in the meantime.', undefined, row);
    return row;
  }

  put<T extends StockType>(type: T, row: StockEntities[T]): void {
    const key = `${type} ${row.id}`;
    const version = this.before.has(key) ? (this.before.get(key)!.row as { version: number }).version + 1 : 1;
    this.now.set(key, { type, row: { ...row, version } } as unknown as Entity);
  }

  remove(type: StockType, id: string): void {
    this.now.set(`${type} ${id}`, null);
  }

  /** Rows of a type as they were and as they are put. */
  changes<T extends StockType>(type: T): { readonly before?: StockEntities[T]; readonly now?: StockEntities[T] }[] {
    return [...this.now]
      .filter(([key]) => key.startsWith(`${type} `))
      .map(([key, now]) => ({ before: this.before.get(key)?.row, now: now?.row }) as { before?: StockEntities[T]; now?: StockEntities[T] });
  }

  /** A part whose shelf is another now. */
  tell(row: CataloguePart): void {
    this.told.set(row.id, { type: 'part', row });
  }

  async write(label: string): Promise<Written> {
    const [made, changed, gone, before]: Entity[][] = [[], [], [], []];
    for (const [key, entity] of this.now) {
      const was = this.before.get(key);
      if (entity === was) continue;
      if (was) before!.push(was);
      if (!entity && was) gone!.push(was);
      if (entity) (was ? changed! : made!).push(entity);
    }
    await writeRows(this.trx, { made: made!, changed: changed!, gone: gone! });
    return { label, before: before!, after: [...made!, ...changed!, ...this.told.values()] };
  }
}

/** The next number of a row that is called by one: `H-0031`. Under the lock of the shop, so none is given out twice. */
export async function nextNumber(trx: Knex.Transaction, table: string, column: string, prefix: string): Promise<string> {
  const name = `numbers ${table}`;
  const mark: { revision: number } | undefined = await trx('marks').where({ name }).forUpdate().first('revision');
  let at = Number(mark?.revision ?? 0) + 1;
  const called = (n: number): string => `${prefix}-${String(n).padStart(4, '0')}`;
  while (
    await trx(table)
      .where({ [column]: called(at) })
      .first(column)
  )
    at += 1;
  await trx('marks').insert({ name, at: new Date(), revision: at }).onConflict('name').merge(['revision']);
  return called(at);
}
