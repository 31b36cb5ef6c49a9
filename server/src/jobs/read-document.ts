import { partsNamedIn, type JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { listRows, tables } from '../database/entities.js';
import { AppError } from '../errors/app-error.js';
import { newestChange } from '../history/event-store.js';

/** The whole job as one transaction sees it. @throws {AppError} not-found */
export async function readDocument(trx: Knex, id: string): Promise<JobDocument> {
  const row = await trx('jobs').where({ id }).first<Record<string, unknown> | undefined>('*');
  if (!row) throw new AppError('not-found', 'This job does not exist.');
  return documentOf(trx, row);
}

/** The whole job of a row that has been read. */
export async function documentOf(trx: Knex, row: Readonly<Record<string, unknown>>): Promise<JobDocument> {
  const job = tables.job.fromColumns(row);
  const where = { job_id: job.id };
  return {
    job,
    components: await listRows(trx, 'component', where),
    ports: await listRows(trx, 'port', where),
    lines: await listRows(trx, 'line', where),
  };
}

/** Several jobs at once, each with the change up to which it is told; those that are not there are left out. */
export async function readDocuments(trx: Knex, ids: readonly string[]): Promise<{ document: JobDocument; revision: number }[]> {
  if (ids.length === 0) return [];
  const jobs = (await trx('jobs').whereIn('id', ids)) as { id: string; revision: number }[];
  const of = async <T extends 'component' | 'port' | 'line'>(type: T): Promise<Map<string, JobDocument[`${T}s`]>> => {
    const { table, order, fromColumns } = tables[type];
    const rows = (await trx(table).whereIn('job_id', ids).orderBy(order)) as { job_id: string }[];
    const byJob = new Map<string, JobDocument[`${T}s`][number][]>(ids.map((id) => [id, []]));
    for (const row of rows) byJob.get(row.job_id)!.push(fromColumns(row));
    return byJob as unknown as Map<string, JobDocument[`${T}s`]>;
  };
  const [components, ports, lines] = [await of('component'), await of('port'), await of('line')];
  return jobs.map((row) => {
    const { id, revision } = row;
    const document = {
      job: tables.job.fromColumns(row),
      components: components.get(id) ?? [],
      ports: ports.get(id) ?? [],
      lines: lines.get(id) ?? [],
    };
    return { document, revision };
  });
}

/** Ids of the parts that some jobs name; a job whose rows do not hold together names none that can be told. */
export function partsNamedInAll(documents: readonly JobDocument[]): string[] {
  return documents.flatMap((document) => {
    try {
      return [...partsNamedIn(document)];
    } catch {
      return [];
    }
  });
}

/** The whole job, and the change up to which it is told: both of the same moment. */
export async function readJobAt(db: Knex, id: string): Promise<{ document: JobDocument; at: number }> {
  return db.transaction(async (trx) => ({ document: await readDocument(trx, id), at: await newestChange(trx, { job: id }) }), {
    isolationLevel: 'repeatable read',
  });
}
