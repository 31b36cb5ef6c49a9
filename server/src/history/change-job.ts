import {
  differenceOf,
  fittingsNamed,
  rowIds,
  runCommands,
  type Catalogue,
  type Command,
  type Component,
  type JobChange,
  type JobDocument,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { findParts } from '../catalogue/catalogue-lookup.js';
import type { Entity } from '../database/entities.js';
import { writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { readDocument } from '../jobs/read-document.js';
import { changeRows } from './change-rows.js';
import { asJobChange, type Sender } from './change.js';

/**
 * Carries commands out on a job as one change. What they may do is decided in the core, on the whole job as it stands under the lock;
 * here the rows that differ are written.
 */
export async function changeJob(db: Knex, jobId: string, sender: Sender, commands: readonly Command[]): Promise<JobChange> {
  const change = await changeRows(db, { job: jobId }, sender, async (trx, at) => {
    const document = await readDocument(trx, jobId);
    const parts = await knownParts(trx, commands, document);
    const { document: next, label } = runCommands(document, commands, { newId: rowIds(sender.key), parts });
    const { put, before, removed } = differenceOf(document, next);
    const after = put.map((entity): Entity => (entity.type === 'job' ? { ...entity, row: { ...entity.row, updatedAt: at } } : entity));
    const there = new Set(before.map((e) => e.row.id));
    await writeRows(trx, {
      made: after.filter((e) => !there.has(e.row.id)),
      changed: after.filter((e) => there.has(e.row.id)),
      gone: removed,
      was: before,
    }).catch(refusedByKeys(next));
    return { label, before: [...before, ...removed], after };
  });
  return asJobChange(change);
}

/** The fittings that the commands and the rows of the job name, and all hoses and ends there are. */
async function knownParts(trx: Knex, commands: readonly Command[], { components, lines }: JobDocument): Promise<Catalogue> {
  const made = [...components, ...commands.map(asComponent)].flatMap((c) => c?.part?.id ?? []);
  const named = [...fittingIds(commands), ...wishedIds(commands), ...made, ...lines.flatMap(fittingsNamed)];
  return findParts(trx, named);
}

/** Ids of parts that a way is to be found with. */
function wishedIds(commands: readonly Command[]): string[] {
  return commands.flatMap((c) => {
    if (c.do === 'break-line') return c.use ?? [];
    return c.do === 'edit-way' ? [...(c.set.wishes?.use ?? []), ...(c.set.wishes?.avoid ?? [])] : [];
  });
}

/** What a command says of a component. */
function asComponent(command: Command): Pick<Component, 'part'> | undefined {
  return command.do === 'add-component' ? command : command.do === 'edit-component' ? command.set : undefined;
}

/** Ids of whatever is placed by its ends, anywhere in a value. */
function fittingIds(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(fittingIds);
  if (typeof value !== 'object' || value === null) return [];
  const { id, inEnd } = value as { id?: unknown; inEnd?: unknown };
  return typeof id === 'string' && inEnd !== undefined ? [id] : Object.values(value).flatMap(fittingIds);
}

/** Numbers are one of a kind among all jobs, which no single job can see; ids among all rows. */
function refusedByKeys({ job }: JobDocument): (error: unknown) => never {
  return (error) => {
    const { code, sqlMessage = '' } = error as { code?: string; sqlMessage?: string };
    if (code === 'ER_NO_REFERENCED_ROW_2' && /part_uses/.test(sqlMessage))
      throw new AppError('not-found', 'A part that this names has just been taken out of the catalogue.');
    if (code !== 'ER_DUP_ENTRY') throw error;
    if (/jobs_number/.test(sqlMessage)) throw new AppError('number-taken', `Job number ${job.number} is taken.`, { field: 'number' });
    if (/port_[ab]_unique/.test(sqlMessage))
      throw new AppError('port-in-use', 'Two lines would end on one port on the way: do it in two steps.');
    throw new AppError('id-taken');
  };
}
