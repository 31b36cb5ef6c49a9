import {
  differsFrom,
  documentOfFile,
  entriesOf,
  joinsInWords,
  letters,
  partsNamedIn,
  readJobFile,
  rowIds,
  withPartsNamed,
  type CataloguePart,
  type JobDocument,
  type JobSummary,
  type PartEntry,
  type ReadJobFile,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { createHash } from 'node:crypto';
import { missingParts } from '../catalogue/catalogue-store.js';
import type { Entity } from '../database/entities.js';
import { listPartRows } from '../database/part-rows.js';
import { AppError } from '../errors/app-error.js';
import { inTransaction } from '../database/in-transaction.js';
import { lots } from '../database/lots.js';
import { writeRows } from '../database/write-rows.js';
import { lockScope } from '../history/change-rows.js';
import type { Sender } from '../history/change.js';
import { recordEvent } from '../history/event-store.js';
import { partsToJudge, readSchools } from '../catalogue/parts-to-judge.js';
import { readDocument } from '../jobs/read-document.js';
import { rowsOfDocument } from '../jobs/rows-of-document.js';
import { summarise } from '../jobs/summarise.js';

/**
 * Takes in a job file as a new job. If its number is taken, the job gets the next free one (`2403-2`). Parts the catalogue does not
 * have come in with it, as a change of the catalogue like any other. All or nothing.
 *
 * @param differing what of parts that have a name of ours and are others: ours is meant, or theirs comes in under a name of its own
 * @throws {JobFileError} with the place in the file
 * @throws {AppError} `parts-differ` where there are such, and nobody has said
 */
export async function importJob(
  db: Knex,
  given: unknown,
  differing: 'ours' | 'theirs' | undefined,
  asked: Sender,
): Promise<{ summary: JobSummary; renumberedFrom?: string }> {
  // another file under the same key is another job
  const sender = { ...asked, key: keyOf(asked.key, given, differing) };
  const { document, renumberedFrom } = await inTransaction(db, async (trx) => {
    // the catalogue must not change between what is known of it and what is added
    const held = await lockScope(trx, 'shop');
    const made = await madeBefore(trx, sender.key);
    if (made) return { document: made, renumberedFrom: undefined };
    const read = await readWithOurParts(trx, given, differing, sender.key);
    const wanted = read.file.job.number;
    const number = await freeNumber(trx, wanted);
    const document = documentOfFile(read, { number, updatedAt: new Date().toISOString(), newId: rowIds(sender.key) });
    const brought = entriesOf({ ...read.file.parts, supplies: [] });
    const parts = (await missingParts(trx, brought, 'import')).map((row): Entity => ({ type: 'part', row }));
    await writeRows(trx, { made: [...rowsOfDocument(document), ...parts], changed: [], gone: [] });
    if (parts.length > 0) await recordEvent(trx, held, 'edit', sender, { label: `Parts of job ${number}`, before: [], after: parts });
    return { document, renumberedFrom: number === wanted ? undefined : wanted };
  });
  const parts = await partsToJudge(db, partsNamedIn(document));
  return { summary: summarise(document, parts, await readSchools(db)), ...(renumberedFrom === undefined ? {} : { renumberedFrom }) };
}

/** The file, read; its parts of other names where they come in beside ours. */
async function readWithOurParts(trx: Knex, given: unknown, differing: 'ours' | 'theirs' | undefined, key: string): Promise<ReadJobFile> {
  const read = readJobFile(given, await fittingsNamed(trx, given));
  const theirs = entriesOf({ ...read.file.parts, supplies: [] });
  const ours = new Map<string, CataloguePart>();
  for (const some of lots(theirs.map(({ part }) => part.id)))
    for (const row of await listPartRows(trx, (q) => void q.whereIn('id', some))) ours.set(row.id.toLowerCase(), row);
  const others = theirs.filter((one) => {
    const own = ours.get(one.part.id.toLowerCase());
    return own && differsFrom(own, one);
  });
  if (others.length === 0 || differing === 'ours') return read;
  if (differing === undefined) throw new AppError('parts-differ', differWords(others, ours));
  const names = new Map(others.map(({ part }) => [part.id, `${part.id.slice(0, letters.partId - 9)}-${key.slice(0, 8)}`]));
  const value = withPartsNamed(given, names);
  return readJobFile(value, await fittingsNamed(trx, value));
}

/** So many are told by name. */
const NAMED = 4;

function differWords(others: readonly PartEntry[], ours: ReadonlyMap<string, CataloguePart>): string {
  const some = others.slice(0, NAMED).map((one) => {
    const own = ours.get(one.part.id.toLowerCase())!;
    const [there, here] = [joinsInWords(one), joinsInWords(own)];
    const what = there === here ? 'other figures' : `${there} there, ${here} here`;
    return `${'name' in one.part && one.part.name ? one.part.name : one.part.id} (${what})`;
  });
  const more = others.length > NAMED ? ` and ${others.length - NAMED} more` : '';
  return `The file brings parts under names that are ours, and they are not the same: ${some.join('; ')}${more}.`;
}

function keyOf(key: string, ...said: readonly unknown[]): string {
  const hex = createHash('sha256')
    .update(JSON.stringify([key, ...said]))
    .digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** The job that was taken in under this key already: its rows have their ids from it. */
async function madeBefore(trx: Knex, key: string): Promise<JobDocument | undefined> {
  const id = rowIds(key)();
  return (await trx('jobs').where({ id }).first('id')) ? readDocument(trx, id) : undefined;
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
