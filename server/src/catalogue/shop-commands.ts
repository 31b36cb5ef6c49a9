import { checkFitting, newPart, usualWeights, type CataloguePart, type Fitting, type ShopCommand, type ShopCommandOf } from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from '../database/from-json.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import type { Written } from '../history/change.js';

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

function run(trx: Knex.Transaction, command: ShopCommand): Promise<Written> {
  switch (command.do) {
    case 'add-part':
      return addPart(trx, command);
    case 'edit-part':
      return editPart(trx, command);
    case 'set-weights':
      return setWeights(trx, command);
  }
}

/** A part of the shop's own. What is not said follows from its ends. @throws {AppError} part-unsound, part-taken, code-taken */
async function addPart(trx: Knex.Transaction, { part }: ShopCommandOf<'add-part'>): Promise<Written> {
  const { code, ...given } = part;
  // proportions can only be worked out for ends that are known
  sound({ ...part, id: part.id ?? 'new', name: part.name ?? 'new' });
  const fitting = newPart({ ...given, ...(code ? { code: code.trim() } : {}) });
  if (!fitting) throw new AppError('part-unsound', 'A part needs its ends.', { field: 'ends' });
  sound(fitting);
  const { id } = fitting;
  if ((await lockRows(trx, 'part', [id])).has(id))
    throw new AppError('part-taken', `The catalogue has "${id}" already. Give this one a code of its own, or edit that one.`, {
      field: 'id',
    });
  await codeIsFree(trx, fitting);
  const row: CataloguePart = { id, fitting, version: 1, origin: 'own' };
  await writeRows(trx, { made: [{ type: 'part', row }], changed: [], gone: [] }).catch((error: unknown) => {
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY') throw new AppError('part-taken', undefined, { field: 'id' });
    throw error;
  });
  return { label: `Add ${fitting.name}`, before: [], after: [{ type: 'part', row }] };
}

/** @throws {AppError} not-found, conflict (with the part as it stands), part-unsound, code-taken */
async function editPart(trx: Knex.Transaction, { id, version, part }: ShopCommandOf<'edit-part'>): Promise<Written> {
  const fitting: Fitting = { ...part, id };
  sound(fitting);
  const before = (await lockRows(trx, 'part', [id])).get(id);
  if (!before) throw new AppError('not-found', 'This part is not in the catalogue.');
  if (before.version !== version) throw new AppError('conflict', undefined, { current: before });
  await codeIsFree(trx, fitting);
  const row: CataloguePart = { id, fitting, version: version + 1, origin: 'own' };
  await writeRows(trx, { made: [], changed: [{ type: 'part', row }], gone: [] });
  const label = fitting.retired === before.fitting.retired ? 'Edit' : fitting.retired ? 'Take out' : 'Put back';
  return { label: `${label} ${before.fitting.name}`, before: [{ type: 'part', row: before }], after: [{ type: 'part', row }] };
}

/** @throws {AppError} conflict, with the weights as they stand */
async function setWeights(trx: Knex.Transaction, { version, weights }: ShopCommandOf<'set-weights'>): Promise<Written> {
  const id = 'chain-weights';
  const before = (await lockRows(trx, 'weights', [id])).get(id);
  if ((before?.version ?? 0) !== version)
    throw new AppError('conflict', undefined, { current: before ?? { id, weights: usualWeights, version: 0 } });
  const row = { id, weights, version: version + 1 } as const;
  await writeRows(trx, { made: before ? [] : [{ type: 'weights', row }], changed: before ? [{ type: 'weights', row }] : [], gone: [] });
  return {
    label: 'Set what counts when ways are ranked',
    before: before ? [{ type: 'weights', row: before }] : [],
    after: [{ type: 'weights', row }],
  };
}

function sound(fitting: Fitting): void {
  const problem = checkFitting(fitting)[0];
  if (problem) throw new AppError('part-unsound', problem.message, { field: problem.field });
}

async function codeIsFree(trx: Knex.Transaction, { id, code }: Fitting): Promise<void> {
  if (!code) return;
  const owner: { data: unknown } | undefined = await trx('fittings').where({ code }).whereNot({ id }).first('data');
  if (!owner) return;
  const { name } = fromJson<Fitting>(owner.data);
  throw new AppError('code-taken', `The code "${code}" belongs to ${name}.`, { field: 'code' });
}
