import { assembleLine, type Catalogue, type Job, type JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { insertEntity, listEntities, updateEntity } from '../database/entities.js';
import { AppError } from '../errors/app-error.js';
import { changeJob, editable } from '../history/change.js';

export interface JobSummary {
  readonly job: Job;
  readonly components: number;
  readonly ports: number;
  readonly lines: number;
  readonly linesThatSeal: number;
  readonly linesChecked: number;
  readonly linesThatLeak: number;
  /** What holds the job up, in words; absent where nothing does. */
  readonly blockedBy?: string;
  readonly next: string;
}

/** All jobs of one kind with where they stand, newest change first. */
export async function listJobs(db: Knex, archived: boolean, catalogue: Catalogue): Promise<JobSummary[]> {
  const jobs = await listEntities(db, 'job', { archived }, 'number');
  return Promise.all(jobs.map(async (job) => summarise(await documentOf(db, job), catalogue)));
}

/** The whole job. @throws {AppError} not-found */
export async function readJob(db: Knex, id: string): Promise<JobDocument> {
  const [job] = await listEntities(db, 'job', { id }, 'id');
  if (!job) throw new AppError('not-found', 'This job does not exist.');
  return documentOf(db, job);
}

async function documentOf(db: Knex, job: Job): Promise<JobDocument> {
  const where = { job_id: job.id };
  const [components, ports, lines] = await Promise.all([
    listEntities(db, 'component', where),
    listEntities(db, 'port', where),
    listEntities(db, 'line', where),
  ]);
  return { job, components, ports, lines };
}

function summarise(document: JobDocument, catalogue: Catalogue): JobSummary {
  const lines = document.lines.map((line) => assembleLine(line, document, catalogue));
  const leaking = lines.filter((l) => l.state === 'leaks');
  const open = lines.filter((l) => l.state === 'open');
  const unchecked = lines.filter((l) => l.state === 'seals');
  const names = (list: typeof lines): string => list.map((l) => `L${l.line.number}`).join(', ');
  const next =
    document.ports.length < 2
      ? 'Survey the ports'
      : lines.length === 0
        ? 'Draw the first line'
        : leaking.length > 0
          ? `Put ${names(leaking)} right`
          : open.length > 0
            ? `Finish ${names(open)}`
            : unchecked.length > 0
              ? `Check ${names(unchecked)}`
              : 'Cut the hoses and order the parts';
  return {
    job: document.job,
    components: document.components.length,
    ports: document.ports.length,
    lines: lines.length,
    linesThatSeal: lines.filter((l) => l.state === 'seals' || l.state === 'checked').length,
    linesChecked: lines.filter((l) => l.state === 'checked').length,
    linesThatLeak: leaking.length,
    ...(leaking.length > 0 ? { blockedBy: `${names(leaking)}: ${leaking[0]!.problems.find((p) => p.severity === 'leak')!.message}` } : {}),
    next,
  };
}

/** A new, empty job. @throws {AppError} number-taken */
export async function createJob(db: Knex, fields: { number: string; name: string; description: string }): Promise<Job> {
  const job: Job = { id: randomUUID(), ...trimmed(fields), archived: false, version: 1, updatedAt: new Date().toISOString() };
  await db.transaction(async (trx) => insertEntity(trx, { type: 'job', data: job })).catch(numberTaken(job.number));
  return job;
}

/** Renames, renumbers, describes, archives or brings back a job. */
export async function editJob(
  db: Knex,
  id: string,
  version: number,
  patch: Partial<Pick<Job, 'number' | 'name' | 'description' | 'archived'>>,
  client: string,
): Promise<Job> {
  let after: Job | undefined;
  await changeJob(db, id, client, async (trx) => {
    const before = await editable(trx, 'job', id, version);
    after = { ...before, ...trimmed(patch), version: version + 1, updatedAt: new Date().toISOString() };
    await updateEntity(trx, { type: 'job', data: after });
    const label =
      patch.archived === undefined
        ? `Edit job ${after.number}`
        : patch.archived
          ? `Archive job ${after.number}`
          : `Bring back job ${after.number}`;
    return { label, before: [{ type: 'job', data: before }], after: [{ type: 'job', data: after }] };
  }).catch(numberTaken(patch.number ?? ''));
  return after!;
}

function trimmed<T extends { number?: string; name?: string }>(fields: T): T {
  return {
    ...fields,
    ...(fields.number !== undefined ? { number: fields.number.trim() } : {}),
    ...(fields.name !== undefined ? { name: fields.name.trim() } : {}),
  };
}

function numberTaken(number: string): (error: unknown) => never {
  return (error) => {
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY')
      throw new AppError('number-taken', `Job number ${number} is taken.`, { field: 'number' });
    throw error;
  };
}
