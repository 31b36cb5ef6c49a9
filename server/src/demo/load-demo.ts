import { entriesOf, type JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { missingParts, replaceInCatalogue } from '../catalogue/catalogue-store.js';
import type { Entity } from '../database/entities.js';
import { inTransaction } from '../database/in-transaction.js';
import { writeRows } from '../database/write-rows.js';
import { lockScope } from '../history/change-rows.js';
import { rowsOfDocument } from '../jobs/rows-of-document.js';
import { magpieDocument } from './magpie.js';
import { today } from '../stockroom/today.js';
import { sampleCatalogue } from './sample-prices.js';
import { dayFrom, sampleStockroom } from './sample-stockroom.js';

const DEMO_NUMBERS = ['2403', '2409'];
/** The hill climb is so many days away. */
const NEEDED_IN_DAYS = 12;

/**
 * Loads the demo shop's jobs and sample prices: once for a database, or anew when asked. A reset replaces the demo jobs by number and
 * leaves all others alone.
 */
export async function loadDemo(db: Knex, reset: boolean): Promise<void> {
  await inTransaction(db, async (trx) => {
    const revision = await lockScope(trx, 'shop');
    if (!reset && (await trx('marks').where({ name: 'demo' }).first())) return;
    if (reset) {
      const old: { id: string }[] = await trx('jobs').whereIn('number', DEMO_NUMBERS).select('id');
      const ids = old.map((row) => row.id);
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
    // where the shop has suppliers of its own, the sample ones stay away
    const { n } = (await trx('suppliers').count('* as n').first()) as { n: number };
    if (Number(n) === 0 && !taken.has(magpie.job.number))
      await writeRows(trx, { made: await notThere(trx, sampleStockroom(catalogue, magpie, today())), changed: [], gone: [] });
    await trx('marks').insert({ name: 'demo', at: new Date() }).onConflict('name').merge();
  });
}

/** What the shop has said or hung up of its own stays as it is. */
async function notThere(trx: Knex.Transaction, sample: readonly Entity[]): Promise<Entity[]> {
  const rules: { name: string } | undefined = await trx('shop_rules').where({ name: 'store-rules' }).first('name');
  const hung: { id: string } | undefined = await trx('hose_lengths').first('id');
  const kept = new Set(await trx('shelves').pluck<string[]>('id'));
  return sample.filter(
    ({ type, row }) => !(type === 'storeRules' && rules) && !(type === 'length' && hung) && !(type === 'stock' && kept.has(row.id)),
  );
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
