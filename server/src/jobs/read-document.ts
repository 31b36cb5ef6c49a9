import type { JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { listRows } from '../database/entities.js';
import { AppError } from '../errors/app-error.js';
import { newestChange } from '../history/event-store.js';

/** The whole job as one transaction sees it. @throws {AppError} not-found */
export async function readDocument(trx: Knex, id: string): Promise<JobDocument> {
  const [job] = await listRows(trx, 'job', { id });
  if (!job) throw new AppError('not-found', 'This job does not exist.');
  const where = { job_id: id };
  return {
    job,
    components: await listRows(trx, 'component', where),
    ports: await listRows(trx, 'port', where),
    lines: await listRows(trx, 'line', where),
  };
}

/** The whole job, and the change up to which it is told: both of the same moment. */
export async function readJobAt(db: Knex, id: string): Promise<{ document: JobDocument; at: number }> {
  return db.transaction(async (trx) => ({ document: await readDocument(trx, id), at: await newestChange(trx, { job: id }) }), {
    isolationLevel: 'repeatable read',
  });
}
