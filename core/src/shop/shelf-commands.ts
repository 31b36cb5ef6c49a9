import { CommandError } from '../commands/index.js';
import { soldByLength, type CataloguePart } from '../job/index.js';
import { incomingChecks, moved, shelfId, type Move, type StockCommandOf, type StockRow } from '../stock/index.js';
import type { ShopDraft } from './shop-draft.js';

function shelfOf(draft: ShopDraft, part: string): StockRow {
  return draft.find('stock', shelfId(part)) ?? { id: shelfId(part), part, reserved: [], version: 0 };
}

export function keepStock(draft: ShopDraft, { part, version, least, place }: StockCommandOf<'keep-stock'>): string {
  const { part: said } = draft.part(part);
  const before = shelfOf(draft, part);
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
export function moveStock(draft: ShopDraft, command: StockCommandOf<'move-stock'>): string {
  const { part: id, kind, quantity, seen, jobId, by } = command;
  const note = kind === 'salvage' ? lookedOver(draft, command) : command.note;
  if (kind === 'receive') throw new CommandError('bad-value', 'What a supplier brings is taken in with its order.', 'kind');
  if (jobId !== undefined) draft.jobIsThere(jobId);
  const part = movePart(draft, id, { kind, quantity, ...(jobId === undefined ? {} : { jobId }) }, { seen, by, note });
  return `${movedWords[kind]} ${quantity} × ${part.part.name}`;
}

/** What is off a car is put in once all that is looked at of a part of its kind was, by somebody who says so. @throws {CommandError} bad-value */
function lookedOver(draft: ShopDraft, { part: id, by, checks = [], note }: StockCommandOf<'move-stock'>): string {
  if (by === undefined) throw new CommandError('bad-value', 'Who looked it over? Say your initials.', 'by');
  const part = draft.part(id);
  const passed = new Set(checks.filter((c) => c.ok).map((c) => c.check));
  const missing = incomingChecks(part).find((c) => !passed.has(c.words));
  if (missing) throw new CommandError('bad-value', `${part.part.name}: "${missing.words}" comes first. ${missing.why}`, 'checks');
  return ['off a car, looked over', ...(note ? [note] : [])].join(': ');
}

/** One movement of a part: the shelf by its rule, the movement beside it, the part told with its new shelf. */
export function movePart(
  draft: ShopDraft,
  id: string,
  move: Move,
  said: { readonly seen?: number | undefined; readonly by?: string | undefined; readonly note?: string | undefined } = {},
): CataloguePart {
  const part = draft.part(id);
  if (soldByLength(part)) throw new CommandError('bad-value', `${part.part.name} is kept by its lengths: move those on the rack.`, 'part');
  const onHand = part.part.shelf ?? 0;
  if (said.seen !== undefined && said.seen !== onHand)
    throw new CommandError(
      'conflict',
      `There are ${onHand} of ${part.part.name} by now, not ${said.seen}: somebody moved it. Look again.`,
      'quantity',
      part,
    );
  const before = shelfOf(draft, id);
  const after = moved({ onHand, reserved: before.reserved, ...(before.issued ? { issued: before.issued } : {}) }, move, part.part.name);
  const shelf = { reserved: after.reserved, ...(after.issued?.length ? { issued: after.issued } : {}) };
  const { reserved: _r, issued: _i, ...kept } = before;
  // told with every movement: it makes the change a record, which is countered and never taken back
  draft.put('stock', { ...kept, ...shelf });
  const by = after.onHand - onHand;
  const { by: who, note } = said;
  draft.movements.push({ part: id, by, ...move, ...(who ? { who } : {}), ...(note ? { note: note.slice(0, 200) } : {}) });
  return by === 0 && part.part.shelf !== undefined ? part : draft.tellShelf(id, after.onHand);
}
