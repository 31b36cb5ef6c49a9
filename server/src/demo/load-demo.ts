import { entriesOf, type JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { missingParts, replaceInCatalogue } from '../catalogue/catalogue-store.js';
import { inTransaction } from '../database/in-transaction.js';
import { writeRows } from '../database/write-rows.js';
import { lockScope } from '../history/change-rows.js';
import { rowsOfDocument } from '../jobs/rows-of-document.js';
import { magpieDocument } from './magpie.js';
import { today } from '../shop/today.js';
import { sampleCatalogue } from './sample-prices.js';
import { forgetJobs, putSample } from './put-sample.js';
import { dayFrom, sampleStockroom } from './sample-stockroom.js';

const DEMO_NUMBERS = ['2403', '2409'];
/** The hill climb is so many days away. */
const NEEDED_IN_DAYS = 12;

/**
 * Loads the demo shop's jobs, sample prices and stockroom: once for a database, or anew when asked. A reset replaces the demo jobs by number, with what
 * was cut and ordered for them, and leaves all others alone.
 */
export async function loadDemo(db: Knex, reset: boolean): Promise<void> {
  await inTransaction(db, async (trx) => {
    const { revision } = await lockScope(trx, 'shop');
    if (!reset && (await trx('marks').where({ name: 'demo' }).first())) return;
    if (reset) {
      const old: { id: string }[] = await trx('jobs').whereIn('number', DEMO_NUMBERS).select('id');
      const ids = old.map((row) => row.id);
      await forgetJobs(trx, ids);
      await trx('job_lines').whereIn('job_id', ids).delete();
      await trx('jobs').whereIn('id', ids).delete();
    }
    const catalogue = sampleCatalogue();
    const invented = await missingParts(trx, entriesOf(catalogue), 'sample');
    await writeRows(trx, { made: invented.map((row) => ({ type: 'part', row })), changed: [], gone: [] });
    // those that were there before get their sample prices
    const made = new Set(invented.map((row) => row.id));
    await replaceInCatalogue(
      trx,
      entriesOf(catalogue).filter(({ part }) => !made.has(part.id)),
      'sample',
    );
    await trx('marks').where({ name: 'catalogue' }).update({ revision });
    const present: { number: string }[] = await trx('jobs').whereIn('number', DEMO_NUMBERS).select('number');
    const taken = new Set(present.map((row) => row.number));
    const sample = magpieDocument(catalogue, randomUUID);
    const magpie = { ...sample, job: { ...sample.job, neededBy: dayFrom(today(), NEEDED_IN_DAYS) } };
    for (const document of [magpie, buggy()]) if (!taken.has(document.job.number)) await insertDocument(trx, document);
    if (!taken.has(magpie.job.number)) await putSample(trx, sampleStockroom(catalogue, magpie, today()));
    await trx('marks').insert({ name: 'demo', at: new Date() }).onConflict('name').merge();
  });
}

/** Job 2409: empty, to start from nothing. */
function buggy(): JobDocument {
  const job = {
    id: randomUUID(),
    number: '2409',
    name: 'Rally raid buggy',
    description: 'Empty, to start from. Sample data.',
    archived: false,
    version: 1,
    updatedAt: new Date(0).toISOString(),
  };
  return { job, components: [], ports: [], lines: [] };
}

async function insertDocument(trx: Knex.Transaction, document: JobDocument): Promise<void> {
  await writeRows(trx, { made: rowsOfDocument(document), changed: [], gone: [] });
}
