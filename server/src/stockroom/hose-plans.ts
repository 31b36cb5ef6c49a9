import type { AnswerOf, BodyOf, stockContracts } from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from '../database/from-json.js';
import { AppError } from '../errors/app-error.js';

type Lengths = BodyOf<typeof stockContracts.tellHosePlan>['lengths'];

/** A plan that nobody has looked at for so long is nobody's any more, days. */
const STANDS_DAYS = 14;

/**
 * Keeps what a job plans to cut from which length, as it was last looked at, and tells what others plan on the same ones. It is no record
 * and holds nothing: what is to be kept for a job is reserved.
 * @throws {AppError} not-found
 */
export async function tellHosePlan(db: Knex, jobId: string, lengths: Lengths): Promise<AnswerOf<typeof stockContracts.tellHosePlan>> {
  if (!(await db('jobs').where({ id: jobId }).first('id'))) throw new AppError('not-found', 'This job no longer exists.');
  const at = new Date();
  if (lengths.length === 0) await db('hose_plans').where({ job_id: jobId }).delete();
  else
    await db('hose_plans')
      .insert({ job_id: jobId, at, lengths: JSON.stringify(lengths) })
      .onConflict('job_id')
      .merge(['at', 'lengths']);
  const wanted = new Set(lengths.map(({ id }) => id));
  const others: { number: string; lengths: unknown }[] = await db('hose_plans')
    .join('jobs', 'jobs.id', 'hose_plans.job_id')
    .whereNot({ job_id: jobId })
    .where({ archived: false })
    .where('hose_plans.at', '>', new Date(at.getTime() - STANDS_DAYS * 86_400_000))
    .orderBy('number')
    .select('jobs.number', 'hose_plans.lengths');
  return {
    others: others.flatMap(({ number, lengths: theirs }) =>
      fromJson<Lengths>(theirs).flatMap(({ id, mm }) => (wanted.has(id) ? [{ job: number, id, mm }] : [])),
    ),
  };
}
