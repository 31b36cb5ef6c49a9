import {
  differenceOf,
  judgeJob,
  mayRefit,
  partsNamedByCommands,
  partsNamedIn,
  rowIds,
  runCommands,
  deviationProblem,
  standsAgainstCheck,
  type Catalogue,
  type Command,
  type CommandContext,
  type JobChange,
  type JobDocument,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { findPartsAsMade, partsWithEnds } from '../catalogue/catalogue-lookup.js';
import { partsToJudge, readSchools } from '../catalogue/parts-to-judge.js';
import type { Entity } from '../database/entities.js';
import { writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { documentOf } from './read-document.js';
import { changeRows } from '../history/change-rows.js';
import { asJobChange, type Sender } from '../history/change.js';

/**
 * Carries commands out on a job as one change. What they may do is decided in the core, on the whole job as it stands under the lock;
 * here the rows that differ are written.
 */
export async function changeJob(db: Knex, jobId: string, sender: Sender, commands: readonly Command[]): Promise<JobChange> {
  const change = await changeRows(db, { job: jobId }, sender, async (trx, at, held) => {
    const document = await documentOf(trx, held.row);
    const parts = await knownParts(trx, commands, document);
    const heldBy = checks(commands) ? await judging(db, commands, document) : undefined;
    const { document: next, label } = runCommands(document, commands, {
      newId: rowIds(sender.key),
      parts,
      ruleProblem: deviationProblem,
      ...(heldBy ? { heldBy } : {}),
    });
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

/** Signs a line off: what stands against it is looked for first. */
function checks(commands: readonly Command[]): boolean {
  return commands.some((command) => command.do === 'check-line' && command.checked !== null);
}

async function judging(db: Knex, commands: readonly Command[], document: JobDocument): Promise<NonNullable<CommandContext['heldBy']>> {
  const parts = await partsToJudge(db, [...partsNamedIn(document), ...partsNamedByCommands(commands)]);
  const schools = await readSchools(db);
  return (whole, lineId) => standsAgainstCheck(judgeJob(whole, parts, undefined, schools), lineId);
}

/** The parts that the commands and the rows of the job name; where a hose may get other ends, those that can be had for it. */
async function knownParts(trx: Knex, commands: readonly Command[], document: JobDocument): Promise<Catalogue> {
  const ids = [...partsNamedIn(document), ...partsNamedByCommands(commands)];
  return mayRefit(commands) ? partsWithEnds(trx, ids) : findPartsAsMade(trx, ids);
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
