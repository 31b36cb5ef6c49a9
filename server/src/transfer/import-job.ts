import { documentOfFile, entriesOf, letters, partsNamedIn, readJobFile, rowIds, type JobDocument, type JobSummary } from '@gewinde/core';
import type { Knex } from 'knex';
import { findPartsAsMade } from '../catalogue/catalogue-lookup.js';
import { missingParts } from '../catalogue/catalogue-store.js';
import type { Entity } from '../database/entities.js';
import { inTransaction } from '../database/in-transaction.js';
import { lots } from '../database/lots.js';
import { writeRows } from '../database/write-rows.js';
import { lockScope } from '../history/change-rows.js';
import type { Sender } from '../history/change.js';
import { recordEvent } from '../history/event-store.js';
import { readDocument } from '../jobs/read-document.js';
import { rowsOfDocument } from '../jobs/rows-of-document.js';
import { summarise } from '../jobs/summarise.js';

/**
 * Takes in a job file as a new job. If its number is taken, the job gets the next free one (`2403-2`). Parts the catalogue does not
 * have come in with it, as a change of the catalogue like any other. All or nothing.
 *
 * @throws {JobFileError} with the place in the file
 */
export async function importJob(db: Knex, value: unknown, sender: Sender): Promise<{ summary: JobSummary; renumberedFrom?: string }> {
  return inTransaction(db, async (trx) => {
    // the catalogue must not change between what is known of it and what is added
    const held = await lockScope(trx, 'shop');
    const made = await madeBefore(trx, sender.key);
    if (made) return { summary: await summaryOf(trx, made) };
    const read = readJobFile(value, await fittingsNamed(trx, value));
    const wanted = read.file.job.number;
    const number = await freeNumber(trx, wanted);
    const document = documentOfFile(read, { number, updatedAt: new Date().toISOString(), newId: rowIds(sender.key) });
    const brought = entriesOf({ ...read.file.parts, supplies: [] });
    const parts = (await missingParts(trx, brought, 'import')).map((row): Entity => ({ type: 'part', row }));
    await writeRows(trx, { made: [...rowsOfDocument(document), ...parts], changed: [], gone: [] });
    if (parts.length > 0) await recordEvent(trx, held, 'edit', sender, { label: `Parts of job ${number}`, before: [], after: parts });
    return { summary: await summaryOf(trx, document), ...(number === wanted ? {} : { renumberedFrom: wanted }) };
  });
}

/** The job that was taken in under this key already: its rows have their ids from it. */
async function madeBefore(trx: Knex, key: string): Promise<JobDocument | undefined> {
  const id = rowIds(key)();
  return (await trx('jobs').where({ id }).first('id')) ? readDocument(trx, id) : undefined;
}

async function summaryOf(trx: Knex, document: JobDocument): Promise<JobSummary> {
  return summarise(document, await findPartsAsMade(trx, [...partsNamedIn(document)]));
}

/** The fittings of the catalogue among all that a file says: whatever it names, and however it is built, is among its strings. */
async function fittingsNamed(trx: Knex, value: unknown): Promise<Set<string>> {
  const said = new Set<string>();
  for (const open = [value]; open.length > 0;) {
    const next = open.pop();
    if (typeof next === 'string' && next.length <= letters.partId) said.add(next);
    else if (typeof next === 'object' && next !== null) for (const inside of Object.values(next)) open.push(inside);
  }
  const known = new Set<string>();
  for (const some of lots([...said], 1000))
    for (const id of await trx('parts').where({ kind: 'fitting' }).whereIn('id', some).pluck<string[]>('id')) known.add(id);
  return known;
}

async function freeNumber(trx: Knex, wanted: string): Promise<string> {
  if (!(await trx('jobs').where({ number: wanted }).first('id'))) return wanted;
  const present: { number: string }[] = await trx('jobs').select('number');
  const taken = new Set(present.map((row) => row.number.toLowerCase()));
  if (!taken.has(wanted.toLowerCase())) return wanted;
  for (let n = 2; ; n++) {
    const next = `${wanted.slice(0, letters.jobNumber - String(n).length - 1)}-${n}`;
    if (!taken.has(next.toLowerCase())) return next;
  }
}
