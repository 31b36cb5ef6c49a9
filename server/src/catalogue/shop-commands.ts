import {
  checkPart,
  isKnownConnector,
  newPart,
  soldByLength,
  stockCommandSchemas,
  withListing,
  type CataloguePart,
  type PartEntry,
  type ShopCommand,
  type ShopCommandOf,
  type StockCommand,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from '../database/from-json.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import type { Written } from '../history/change.js';
import { runStockCommand } from '../stockroom/stock-commands.js';
import { setRow } from './set-row.js';

/** Carries commands out on catalogue and shop rules, one after another. */
export async function runShopCommands(trx: Knex.Transaction, commands: readonly ShopCommand[]): Promise<Written> {
  const all: Written[] = [];
  for (const command of commands) all.push(await run(trx, command));
  const [first, ...more] = all;
  return {
    label: more.length === 0 ? first!.label : `${first!.label} and ${more.length} more`,
    before: all.flatMap((w) => w.before),
    after: all.flatMap((w) => w.after),
  };
}

function isStockCommand(command: ShopCommand): command is StockCommand {
  return command.do in stockCommandSchemas;
}

function run(trx: Knex.Transaction, command: ShopCommand): Promise<Written> {
  if (isStockCommand(command)) return runStockCommand(trx, command);
  switch (command.do) {
    case 'add-part':
      return addPart(trx, command);
    case 'edit-part':
      return editPart(trx, command);
    case 'set-weights':
      return setRow(trx, 'weights', command.version, { weights: command.weights }, 'Set what counts when ways are ranked');
    case 'set-seal-rules':
      return setRow(trx, 'sealRules', command.version, { rules: command.rules }, 'Set which seals are taken');
    case 'set-flow-rules':
      return setRow(trx, 'flowRules', command.version, { rules: command.rules }, 'Set what flow is reckoned with');
  }
}

/** A part of the shop's own. Of a fitting, what is not said follows from its ends. @throws {AppError} part-unsound, part-taken, code-taken */
async function addPart(trx: Knex.Transaction, { entry: given }: ShopCommandOf<'add-part'>): Promise<Written> {
  const entry = given.kind === 'fitting' ? newFitting(given.part) : tidied(given);
  sound(entry);
  keptByLength(entry);
  const { id, name } = entry.part;
  if ((await lockRows(trx, 'part', [id])).has(id))
    throw new AppError('part-taken', `The catalogue has "${id}" already. Give this one a code of its own, or edit that one.`, {
      field: 'id',
    });
  await codeIsFree(trx, entry);
  const row: CataloguePart = { id, version: 1, origin: 'own', ...entry };
  await writeRows(trx, { made: [{ type: 'part', row }], changed: [], gone: [] }).catch((error: unknown) => {
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY') throw new AppError('part-taken', undefined, { field: 'id' });
    throw error;
  });
  return { label: `Add ${name}`, before: [], after: [{ type: 'part', row }] };
}

/** @throws {AppError} not-found, conflict (with the part as it stands), part-unsound, code-taken */
async function editPart(trx: Knex.Transaction, { id, version, entry: given }: ShopCommandOf<'edit-part'>): Promise<Written> {
  const before = (await lockRows(trx, 'part', [id])).get(id);
  if (!before) throw new AppError('not-found', 'This part is not in the catalogue.');
  if (before.kind !== given.kind || given.part.id !== id) throw new AppError('part-unsound', 'A part stays what it is.', { field: 'kind' });
  // a shelf that was counted is empty, not unknown
  const counted = before.part.shelf !== undefined && given.part.shelf === undefined ? { shelf: 0 } : {};
  // sent back as it was, it says nothing anew
  const { listed } = before.part;
  const relisted = listed && JSON.stringify(given.part.listed) === JSON.stringify(listed) ? { listed } : {};
  const entry = tidied({ ...given, part: withListing(before.part, { ...given.part, ...counted, ...relisted }) } as PartEntry);
  sound(entry);
  if (before.version === version) keptByLength(entry, before);
  if (before.version !== version) throw new AppError('conflict', undefined, { current: before });
  await codeIsFree(trx, entry);
  const row: CataloguePart = { id, version: version + 1, origin: 'own', ...entry };
  await writeRows(trx, { made: [], changed: [{ type: 'part', row }], gone: [] });
  const retired = entry.part.retired ?? false;
  const label = retired === (before.part.retired ?? false) ? 'Edit' : retired ? 'Take out' : 'Put back';
  return { label: `${label} ${before.part.name}`, before: [{ type: 'part', row: before }], after: [{ type: 'part', row }] };
}

type NewFitting = Extract<ShopCommandOf<'add-part'>['entry'], { kind: 'fitting' }>['part'];

/** Proportions can only be worked out for ends that are known. */
function newFitting(given: NewFitting): PartEntry {
  const { code, ...rest } = given;
  const unknown = given.ends.find((end) => !isKnownConnector(end));
  if (unknown) sound({ kind: 'fitting', part: { ...given, id: given.id ?? 'new', name: given.name ?? 'new' } });
  const part = newPart({ ...rest, ...(code ? { code: code.trim() } : {}) });
  if (!part) throw new AppError('part-unsound', 'A part needs its ends.', { field: 'ends' });
  return { kind: 'fitting', part };
}

function tidied(entry: PartEntry): PartEntry {
  const { code } = entry.part;
  return code === undefined ? entry : ({ ...entry, part: { ...entry.part, code: code.trim() } } as PartEntry);
}

/** Of what is cut, its lengths on the rack say how much there is. */
function keptByLength(entry: PartEntry, before?: PartEntry): void {
  if (!soldByLength(entry) || (entry.part.shelf ?? 0) === (before?.part.shelf ?? 0)) return;
  throw new AppError('part-unsound', 'What is cut is kept by its lengths: put them on the rack in Store.', { field: 'shelf' });
}

function sound(entry: PartEntry): void {
  const problem = checkPart(entry)[0];
  if (problem) throw new AppError('part-unsound', problem.message, { field: problem.field });
}

async function codeIsFree(trx: Knex.Transaction, { part: { id, code } }: PartEntry): Promise<void> {
  if (!code) return;
  const owner: { data: unknown } | undefined = await trx('offers')
    .join('parts', 'parts.id', 'offers.part_id')
    .where({ code })
    .whereNot({ part_id: id })
    .first('parts.data');
  if (!owner) return;
  const { name } = fromJson<{ name: string }>(owner.data);
  throw new AppError('code-taken', `The code "${code}" belongs to ${name}.`, { field: 'code' });
}
