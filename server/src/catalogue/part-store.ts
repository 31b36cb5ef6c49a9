import { checkFitting, newPart, type Fitting } from '@gewinde/core';
import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';
import { fromJson } from './catalogue-lookup.js';
import { changeCatalogue, readParts, usersOf, writeParts, type PartRow, type PartUser } from './catalogue-changes.js';

/** A part with all that its card shows. @throws {AppError} not-found */
export async function readPart(db: Knex, id: string): Promise<PartRow & { usedBy: PartUser[] }> {
  const row = await db.transaction(async (trx) => (await readParts(trx, [id])).get(id));
  if (!row) throw new AppError('not-found', 'This part is not in the catalogue.');
  return { ...row, usedBy: await usersOf(db, id) };
}

/** A part of the shop's own. What is not said follows from its ends. @throws {AppError} part-unsound, part-taken, code-taken */
export async function addPart(db: Knex, given: Omit<Fitting, 'id' | 'retired'> & { id?: string }, client: string): Promise<PartRow> {
  sound({ ...given, id: given.id ?? 'new', name: given.name });
  const fitting = newPart({ ...given, ...(given.code ? { code: given.code.trim() } : {}) });
  if (!fitting) throw new AppError('part-unsound', 'A part needs its ends.', { field: 'ends' });
  sound(fitting);
  const made: PartRow = { fitting, version: 1, origin: 'own' };
  await changeCatalogue(db, client, async (trx) => {
    if ((await readParts(trx, [fitting.id])).has(fitting.id))
      throw new AppError('part-taken', `The catalogue has "${fitting.id}" already. Give this one a code of its own, or edit that one.`, {
        field: 'id',
      });
    await codeIsFree(trx, fitting);
    await writeParts(trx, [made]);
    return { label: `Add ${fitting.name}`, before: [], after: [made] };
  });
  return made;
}

/** @throws {AppError} not-found, conflict (with the part as it stands), part-unsound, code-taken */
export async function editPart(db: Knex, id: string, version: number, fields: Omit<Fitting, 'id'>, client: string): Promise<PartRow> {
  const fitting: Fitting = { ...fields, id };
  sound(fitting);
  let after: PartRow | undefined;
  await changeCatalogue(db, client, async (trx) => {
    const before = (await readParts(trx, [id])).get(id);
    if (!before) throw new AppError('not-found', 'This part is not in the catalogue.');
    if (before.version !== version) throw new AppError('conflict', undefined, { current: before });
    await codeIsFree(trx, fitting);
    after = { fitting, version: version + 1, origin: 'own' };
    await writeParts(trx, [after]);
    const label = fitting.retired === before.fitting.retired ? 'Edit' : fitting.retired ? 'Take out' : 'Put back';
    return { label: `${label} ${before.fitting.name}`, before: [before], after: [after] };
  });
  return after!;
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
