import { bestFound, hasWords, searchWords, type Findable, type JobPage, type JobSummary } from '@gewinde/core';
import type { Knex } from 'knex';
import { OURSELVES, type Heavy } from '../heavy/heavy.js';
import { behind, findablesOfJobs, summariesOf, workOut } from './summaries.js';
import { catchUp } from './catch-up.js';

export interface AskedJobs {
  readonly archived: boolean;
  /** Words that each job has to have. */
  readonly find: string;
  readonly from: number;
  readonly most: number;
}

/** Jobs read anew before words are looked for; where more have changed, the rest follow beside the requests. */
const READ_FIRST = 20;
/** What is told of a job of what was found in it. */
const MOST_FOUND = 3;

/** Some of the jobs of one kind with where they stand, by number. */
export async function findJobs(db: Knex, asked: AskedJobs, heavy: Heavy): Promise<JobPage> {
  const words = searchWords(asked.find);
  return words.length === 0 ? pageOfAll(db, asked) : pageWithWords(db, asked, words, heavy);
}

/** The job that has a number, as a label says it: in whatever letters, archived or not. */
export async function jobOfNumber(db: Knex, number: string): Promise<JobPage> {
  const ids = await db('jobs').where({ number: number.trim() }).pluck<string[]>('id');
  return { jobs: await summariesOf(db, ids), total: ids.length, behind: 0 };
}

async function pageOfAll(db: Knex, { archived, from, most }: AskedJobs): Promise<JobPage> {
  const rows: { id: string }[] = await db('jobs').where({ archived }).orderBy('number').offset(from).limit(most).select('id');
  const counted = (await db('jobs').where({ archived }).count({ n: '*' }).first()) as { n: number };
  const ids = rows.map(({ id }) => id);
  return { jobs: await summariesOf(db, ids), total: Number(counted.n), behind: 0 };
}

async function pageWithWords(db: Knex, { archived, from, most }: AskedJobs, words: readonly string[], heavy: Heavy): Promise<JobPage> {
  const late = await behind(db, READ_FIRST + 1);
  if (late.length <= READ_FIRST) await workOut(db, late);
  else void heavy.run(catchUp, OURSELVES).catch(() => undefined);
  // all words there are, looked through from one end to the other, as bytes
  const having = (): Knex.QueryBuilder =>
    db('job_words')
      .where({ archived })
      .where((all) => {
        for (const word of words) void all.whereRaw('locate(cast(? as binary), words) > 0', [word]);
      });
  // counted in the same look through, but for a page behind the last
  const rows: { job_id: string; n: number }[] = await having()
    .orderBy('number')
    .offset(from)
    .limit(most)
    .select('job_id', db.raw('count(*) over () as n'));
  const counted = rows[0] ?? (from > 0 ? ((await having().count({ n: '*' }).first()) as { n: number }) : { n: 0 });
  const ids = rows.map((row) => row.job_id);
  const [summaries, findables] = await Promise.all([summariesOf(db, ids), findablesOfJobs(db, ids)]);
  return { jobs: withFound(summaries, findables, words), total: Number(counted.n), behind: late.length <= READ_FIRST ? 0 : late.length };
}

/** What of each job the words are about, where number and name do not say it all. */
function withFound(summaries: readonly JobSummary[], findables: ReadonlyMap<string, Findable[]>, words: readonly string[]): JobSummary[] {
  return summaries.map((summary) => {
    const { job } = summary;
    if (hasWords({ kind: 'job', name: job.number, detail: job.name }, words)) return summary;
    const own = bestFound(findables.get(job.id) ?? [], words, MOST_FOUND);
    return own.length === 0 ? summary : { ...summary, found: own };
  });
}
