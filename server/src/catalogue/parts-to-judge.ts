import { catalogueOf, judgeJob, partsNamedIn, type Catalogue, type JobDocument, type JudgedJob, type JudgingSchools } from '@gewinde/core';
import type { Knex } from 'knex';
import { listPartRows } from '../database/part-rows.js';
import { findParts, findPartsAsMade, shopMark } from './catalogue-lookup.js';
import { readFlowRules, readJudgingRules, readSealRules } from './catalogue-store.js';
import { soundParts } from './sound-parts.js';

/** What a line is judged beside, by where it was read and the change of the shop up to which it is told: thousands of rows that seldom change. */
const beside = new WeakMap<Knex, { readonly at: string; readonly read: Promise<Catalogue> }>();

/** All hoses, hose ends and what is used up: a size is judged by those it could have, a seal by what bears it. */
async function besideLines(db: Knex): Promise<Catalogue> {
  const at = await shopMark(db);
  const known = beside.get(db);
  if (known?.at === at) return known.read;
  const read = listPartRows(db, (query) => void query.whereIn('kind', ['hose', 'hose end', 'supply'])).then((rows) =>
    catalogueOf(soundParts(rows).sound),
  );
  // what was changed meanwhile has another mark by now: it is read again the next time
  beside.set(db, { at, read });
  read.catch(() => beside.delete(db));
  return read;
}

/** The schools of the shop by which its jobs are judged. */
export async function readSchools(db: Knex): Promise<JudgingSchools> {
  const [seals, flow, judging] = [await readSealRules(db), await readFlowRules(db), await readJudgingRules(db)];
  return { seals: seals.rules, flow: flow.rules, limits: judging.rules };
}

/**
 * Parts that some jobs name, with all that their lines are judged beside; prices and stock only where they are asked for.
 * @param db not a transaction: what is read is kept
 */
export async function partsToJudge(db: Knex, ids: Iterable<string>, as: 'as made' | 'as offered' = 'as made'): Promise<Catalogue> {
  const { fittings } = as === 'as made' ? await findPartsAsMade(db, ids) : await findParts(db, ids);
  return { ...(await besideLines(db)), fittings };
}

/** A job, judged as every page judges it. */
export async function judgedFor(db: Knex, document: JobDocument): Promise<JudgedJob> {
  const bungs = document.ports.some((port) => port.connector?.family === 'bung');
  const { fittings } = await findParts(
    db,
    partsNamedIn(document),
    bungs ? (query) => void query.where({ kind: 'fitting', family: 'bung' }) : undefined,
  );
  return judgeJob(document, { ...(await besideLines(db)), fittings }, undefined, await readSchools(db));
}
