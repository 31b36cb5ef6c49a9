import { findablesOf, folded, wordsIn, type Findable, type JobDocument, type JobSummary } from '@gewinde/core';
import type { Knex } from 'knex';
import { partsToJudge, readSchools } from '../catalogue/parts-to-judge.js';
import { tables } from '../database/entities.js';
import { lots } from '../database/lots.js';
import { newestChange } from '../history/event-store.js';
import { partsNamedInAll, readDocuments } from './read-document.js';
import { summarise, unsoundSummary } from './summarise.js';

/** Raised when another figure or word is told of a job: what was kept before is worked out anew. */
const FORM = 2;
/** Jobs worked out before others get their turn. */
const AT_ONCE = 10;

/** What is kept of a summary: the job's own row is read with it. */
type Told = Omit<JobSummary, 'job' | 'found'>;
interface Kept extends Record<string, unknown> {
  readonly id: string;
  readonly revision: number;
  readonly told: string | null;
  readonly as_of: number | null;
  readonly form: number | null;
  readonly shop_revision: number | null;
}

/** Where jobs stand, in the order asked for. What is kept holds as long as neither the job nor a part that it names has changed. */
export async function summariesOf(db: Knex, ids: readonly string[]): Promise<JobSummary[]> {
  if (ids.length === 0) return [];
  const rows: Kept[] = await db('jobs as j')
    .leftJoin('job_summaries as s', 's.job_id', 'j.id')
    .whereIn('j.id', ids)
    .select('j.*', 's.told', 's.revision as as_of', 's.form', 's.shop_revision');
  const partsChanged = await changedParts(db, rows);
  const found = new Map<string, JobSummary>();
  const due: string[] = [];
  for (const row of rows)
    if (holds(row, partsChanged.get(row.id) ?? 0))
      found.set(row.id, { job: tables.job.fromColumns(row), ...(JSON.parse(row.told) as Told) });
    else due.push(row.id);
  for (const summary of await workOut(db, due)) found.set(summary.job.id, summary);
  return ids.flatMap((id) => found.get(id) ?? []);
}

/** When a part that a job names changed last, in changes of the shop; nothing of jobs that have seen the last one of any part. */
async function changedParts(db: Knex, rows: readonly Kept[]): Promise<Map<string, number>> {
  const last: { revision: number } | undefined = await db('marks').where({ name: 'parts' }).first('revision');
  const before = rows.filter((row) => Number(row.shop_revision ?? 0) < Number(last?.revision ?? 0)).map(({ id }) => id);
  if (before.length === 0) return new Map();
  const changed: { job_id: string; at: number }[] = await db('part_uses as u')
    .join('parts as p', 'p.id', 'u.part_id')
    .whereIn('u.job_id', before)
    .groupBy('u.job_id')
    .select('u.job_id')
    .max({ at: 'p.changed' });
  return new Map(changed.map(({ job_id, at }) => [job_id, Number(at)]));
}

function holds(row: Kept, partsChanged: number): row is Kept & { told: string } {
  const { told, as_of, revision, form, shop_revision } = row;
  return told !== null && as_of === revision && form === FORM && partsChanged <= Number(shop_revision);
}

/** Jobs that changed since their summaries were kept; `most` of them. Looking for words goes by what is kept. */
export async function behind(db: Knex, most: number): Promise<string[]> {
  return db('jobs').where({ late: true }).limit(most).pluck<string[]>('id');
}

/** What was kept by another form of the app is worked out anew, by and by. */
export async function lateByForm(db: Knex): Promise<void> {
  const others = await db('job_summaries').whereNot({ form: FORM }).pluck<string[]>('job_id');
  for (const some of lots(others)) await db('jobs').whereIn('id', some).update({ late: true });
}

/** Works out the summaries of jobs and keeps them; a few at a time, and others get their turn in between. */
export async function workOut(db: Knex, ids: readonly string[]): Promise<JobSummary[]> {
  const all: JobSummary[] = [];
  for (const some of lots(ids, AT_ONCE)) {
    all.push(...(await workOutSome(db, some)));
    await new Promise((resolve) => setImmediate(resolve));
  }
  return all;
}

async function workOutSome(db: Knex, ids: readonly string[]): Promise<JobSummary[]> {
  const schools = await readSchools(db);
  const { read, named, shop } = await db.transaction(
    async (trx) => {
      const read = await readDocuments(trx, ids);
      const named = partsNamedInAll(read.map(({ document }) => document));
      return { read, named, shop: await newestChange(trx, 'shop') };
    },
    { isolationLevel: 'repeatable read' },
  );
  const catalogue = await partsToJudge(db, named);
  const made = read.map(({ document, revision }) => {
    const summary = summarised(document);
    const { job, ...told } = summary;
    const findables = findablesIn(document);
    const words = wordsIn([job.number, job.name, job.description, ...findables.flatMap(({ name, detail }) => [name, detail])]);
    const kept = {
      findables: JSON.stringify(findables),
      job_id: job.id,
      revision,
      shop_revision: shop,
      form: FORM,
      told: JSON.stringify(told satisfies Told),
    };
    return { summary, kept, words: { job_id: job.id, archived: job.archived, number: folded(job.number), words } };
  });
  if (made.length > 0) await keep(db, made);
  return made.map(({ summary }) => summary);

  function summarised(document: JobDocument): JobSummary {
    try {
      return summarise(document, catalogue, schools);
    } catch (error) {
      return unsoundSummary(document, error);
    }
  }
  function findablesIn(document: JobDocument): Findable[] {
    try {
      return findablesOf(document, catalogue);
    } catch {
      return [];
    }
  }
}

/** What can be looked for in jobs, as it is kept with their summaries. */
export async function findablesOfJobs(db: Knex, ids: readonly string[]): Promise<Map<string, Findable[]>> {
  if (ids.length === 0) return new Map();
  const rows: { job_id: string; findables: string }[] = await db('job_summaries').whereIn('job_id', ids).select('job_id', 'findables');
  return new Map(rows.map(({ job_id, findables }) => [job_id, JSON.parse(findables) as Findable[]]));
}

/** What others have kept in the same moment is as good; one that is older shows as such when it is read. */
async function keep(
  db: Knex,
  made: readonly {
    readonly kept: Record<string, unknown> & { job_id: string; revision: number };
    readonly words: Record<string, unknown>;
  }[],
): Promise<void> {
  try {
    await db('job_words')
      .insert(made.map(({ words }) => words))
      .onConflict('job_id')
      .merge();
    await db('job_summaries')
      .insert(made.map(({ kept }) => kept))
      .onConflict('job_id')
      .merge();
    await db('jobs')
      .where({ late: true })
      .whereIn(
        ['id', 'revision'],
        made.map(({ kept }) => [kept.job_id, kept.revision]),
      )
      .update({ late: false });
    // a job that has gone on meanwhile: whoever kept its newer words may have been overtaken by these
    await db('jobs')
      .where({ late: false })
      .where((any) => {
        for (const { kept } of made) void any.orWhere((one) => void one.where({ id: kept.job_id }).where('revision', '>', kept.revision));
      })
      .update({ late: true });
  } catch (error) {
    // two that keep at once, or a job that is gone by now: it is worked out again when it is asked for
    if (!/^ER_(LOCK_|DUP_|NO_REFERENCED|CHECKREAD)/.test(String((error as { code?: unknown }).code))) throw error;
  }
}
