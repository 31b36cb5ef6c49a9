import {
  CommandError,
  incomingChecks,
  moved,
  shelfId,
  soldByLength,
  type CataloguePart,
  type Move,
  type StockCommandOf,
  type StockRow,
} from '@gewinde/core';
import { lockPartRows } from '../database/part-rows.js';
import type { StockDraft } from './stock-draft.js';

/** @throws {CommandError} not-found */
export async function lockPart(draft: StockDraft, id: string): Promise<CataloguePart> {
  const part = (await lockPartRows(draft.trx, [id])).get(id);
  if (!part) throw new CommandError('not-found', `"${id}" is not in the catalogue.`, 'part');
  return part;
}

async function shelfOf(draft: StockDraft, part: string): Promise<StockRow> {
  return (await draft.find('stock', shelfId(part))) ?? { id: shelfId(part), part, reserved: [], version: 0 };
}

export async function keepStock(draft: StockDraft, { part, version, least, place }: StockCommandOf<'keep-stock'>): Promise<string> {
  const { part: said } = await lockPart(draft, part);
  const before = await shelfOf(draft, part);
  if (before.version !== version) throw new CommandError('conflict', 'Somebody else has changed this in the meantime.', undefined, before);
  const { least: oldLeast, place: oldPlace, ...rest } = before;
  const next = { least: least === undefined ? oldLeast : least, place: place === undefined ? oldPlace : place };
  draft.put('stock', {
    ...rest,
    ...(next.least == null ? {} : { least: next.least }),
    ...(next.place == null ? {} : { place: next.place }),
  });
  return `Keep ${said.name}`;
}

/** What a movement is called in the history. */
const movedWords: Readonly<Record<Move['kind'], string>> = {
  reserve: 'Keep back',
  release: 'Give free',
  issue: 'Take',
  return: 'Put back',
  count: 'Count',
  scrap: 'Throw away',
  receive: 'Take in',
  salvage: 'Put in, off a car,',
};

/** @throws {CommandError} not-found, not-enough, conflict where somebody moved it meanwhile */
export async function moveStock(draft: StockDraft, command: StockCommandOf<'move-stock'>): Promise<string> {
  const { part: id, kind, quantity, seen, jobId, by } = command;
  const note = kind === 'salvage' ? await lookedOver(draft, command) : command.note;
  if (kind === 'receive') throw new CommandError('bad-value', 'What a supplier brings is taken in with its order.', 'kind');
  if (jobId !== undefined) await jobIsThere(draft, jobId);
  const part = await movePart(draft, id, { kind, quantity, ...(jobId === undefined ? {} : { jobId }) }, { seen, by, note });
  return `${movedWords[kind]} ${quantity} × ${part.part.name}`;
}

/** What is off a car is put in once all that is looked at of a part of its kind was, by somebody who says so. @throws {CommandError} bad-value */
async function lookedOver(draft: StockDraft, { part: id, by, checks = [], note }: StockCommandOf<'move-stock'>): Promise<string> {
  if (by === undefined) throw new CommandError('bad-value', 'Who looked it over? Say your initials.', 'by');
  const part = await lockPart(draft, id);
  const passed = new Set(checks.filter((c) => c.ok).map((c) => c.check));
  const missing = incomingChecks(part).find((c) => !passed.has(c.words));
  if (missing) throw new CommandError('bad-value', `${part.part.name}: "${missing.words}" comes first. ${missing.why}`, 'checks');
  return ['off a car, looked over', ...(note ? [note] : [])].join(': ');
}

/** One movement of a part: the shelf by its rule, the movement beside it, the part told with its new shelf. */
export async function movePart(
  draft: StockDraft,
  id: string,
  move: Move,
  said: { readonly seen?: number | undefined; readonly by?: string | undefined; readonly note?: string | undefined } = {},
): Promise<CataloguePart> {
  const part = await lockPart(draft, id);
  if (soldByLength(part)) throw new CommandError('bad-value', `${part.part.name} is kept by its lengths: move those on the rack.`, 'part');
  const onHand = part.part.shelf ?? 0;
  if (said.seen !== undefined && said.seen !== onHand)
    throw new CommandError(
      'conflict',
      `There are ${onHand} of ${part.part.name} by now, not ${said.seen}: somebody moved it. Look again.`,
      'quantity',
      part,
    );
  const { trx } = draft;
  const before = await shelfOf(draft, id);
  const after = moved({ onHand, reserved: before.reserved, ...(before.issued ? { issued: before.issued } : {}) }, move, part.part.name);
  const shelf = { reserved: after.reserved, ...(after.issued?.length ? { issued: after.issued } : {}) };
  const { reserved: _r, issued: _i, ...kept } = before;
  // told with every movement: it makes the change a record, which is countered and never taken back
  draft.put('stock', { ...kept, ...shelf });
  const quantity = after.onHand - onHand;
  await trx('stock_movements').insert({
    part_id: id,
    quantity,
    reason: move.kind,
    at: new Date(),
    job_id: move.jobId ?? null,
    by: said.by ?? null,
    note: said.note?.slice(0, 200) ?? null,
  });
  if (quantity === 0 && part.part.shelf !== undefined) return part;
  const version = part.version + 1;
  await trx('parts').where({ id }).update({ version });
  const next = { ...part, version, part: { ...part.part, shelf: after.onHand } } as CataloguePart;
  draft.tell(next);
  return next;
}

/** @throws {CommandError} not-found */
export async function jobIsThere({ trx }: StockDraft, id: string): Promise<void> {
  if (!(await trx('jobs').where({ id }).first('id'))) throw new CommandError('not-found', 'This job is not there, or no longer.', 'jobId');
}
