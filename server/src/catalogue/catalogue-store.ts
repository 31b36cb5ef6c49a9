import {
  catalogueOf,
  entriesOf,
  standardFittings,
  standardHoseEnds,
  standardHoses,
  standardSupplies,
  usualFlowRules,
  usualJudgingRules,
  usualSealRules,
  usualWeights,
  type AnswerOf,
  type Catalogue,
  type CataloguePart,
  type FlowRulesRow,
  type JudgingRulesRow,
  type Origin,
  type PartCard,
  type PartEntry,
  type SealRulesRow,
  type ShopChange,
  type shopContracts,
  type WeightsRow,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { isDeepStrictEqual } from 'node:util';
import { listRows } from '../database/entities.js';
import { inTransaction } from '../database/in-transaction.js';
import { listPartRows } from '../database/part-rows.js';
import { lots } from '../database/lots.js';
import { writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { lockScope } from '../history/change-rows.js';
import { asShopChange, type Sender } from '../history/change.js';
import { newestChange } from '../history/event-store.js';
import { shopMark } from './catalogue-lookup.js';
import { soundParts } from './sound-parts.js';
import { stepHistory } from '../history/step-history.js';
import { usersOf } from '../database/users-of.js';

/** The whole catalogue in its own order, retired parts at their places; what does not hold together is left out. */
export async function readCatalogue(db: Knex): Promise<Catalogue> {
  return catalogueOf(soundParts(await listPartRows(db)).sound);
}

/** What all jobs share, and the change up to which it is told: all of the same moment. */
export async function readShop(db: Knex): Promise<AnswerOf<typeof shopContracts.readCatalogue>> {
  return db.transaction(
    async (trx) => {
      const { sound, unsound } = soundParts(await listPartRows(trx));
      return {
        ...catalogueOf(sound),
        ...(unsound.length > 0 ? { unsound } : {}),
        weights: await readWeights(trx),
        sealRules: await readSealRules(trx),
        flowRules: await readFlowRules(trx),
        judgingRules: await readJudgingRules(trx),
        at: await newestChange(trx, 'shop'),
      };
    },
    { isolationLevel: 'repeatable read' },
  );
}

/** Takes back the sender's newest change of the shop, which may be a whole list. @throws {AppError} nothing-to-undo, cannot-undo */
export async function undoShop(db: Knex, sender: Sender): Promise<ShopChange> {
  return asShopChange(await stepHistory(db, 'shop', sender, 'undo'));
}

/** Differs whenever the catalogue does: by the changes of the shop, the demo's coming, a restored backup, and how much there is. */
export async function catalogueRevision(db: Knex): Promise<string> {
  const { n } = (await db('parts').count('* as n').first()) as { n: number };
  return `${await shopMark(db)}-${n}`;
}

/** A part with all that its card shows. @throws {AppError} not-found */
export async function readPart(db: Knex, id: string): Promise<PartCard> {
  const [row] = await listRows(db, 'part', { id });
  if (!row) throw new AppError('not-found', 'This part is not in the catalogue.');
  return { row, usedBy: await usersOf(db, id) };
}

/** What the shop weighs; what a row of an earlier time does not say is as usual. */
async function readWeights(db: Knex): Promise<WeightsRow> {
  const [row] = await listRows(db, 'weights', { name: 'chain-weights' });
  return row ? { ...row, weights: { ...usualWeights, ...row.weights } } : { id: 'chain-weights', weights: usualWeights, version: 0 };
}

/** Which seals the shop takes where several would do. */
export async function readSealRules(db: Knex): Promise<SealRulesRow> {
  const [row] = await listRows(db, 'sealRules', { name: 'seal-rules' });
  return row ? { ...row, rules: { ...usualSealRules, ...row.rules } } : { id: 'seal-rules', rules: usualSealRules, version: 0 };
}

/** What flow is reckoned with; what a row of an earlier time does not say is as usual. */
export async function readFlowRules(db: Knex): Promise<FlowRulesRow> {
  const [row] = await listRows(db, 'flowRules', { name: 'flow-rules' });
  return row ? { ...row, rules: { ...usualFlowRules, ...row.rules } } : { id: 'flow-rules', rules: usualFlowRules, version: 0 };
}

/** What jobs are judged by; what a row of an earlier time does not say is as usual. */
export async function readJudgingRules(db: Knex): Promise<JudgingRulesRow> {
  const [row] = await listRows(db, 'judgingRules', { name: 'judging-rules' });
  return row ? { ...row, rules: { ...usualJudgingRules, ...row.rules } } : { id: 'judging-rules', rules: usualJudgingRules, version: 0 };
}

/**
 * The standard parts of every kind where they are not there yet; what is there stays as it is. Several servers may start at once.
 * @param build which core makes them: where it has done so before, nothing is looked at
 * @param made what they are; tests take fewer
 */
export async function ensureStandardCatalogue(db: Knex, build?: string, made: () => Catalogue = standardCatalogue): Promise<void> {
  const name = build && `standard ${build}`;
  if (name && (await db('marks').where({ name }).first())) return;
  const standard = made();
  await inTransaction(db, async (trx) => {
    await lockScope(trx, 'shop');
    const parts = await missingParts(trx, entriesOf(standard), 'standard');
    if (parts.length > 0) await writeRows(trx, { made: parts.map((row) => ({ type: 'part', row })), changed: [], gone: [] });
    if (!name) return;
    await trx('marks').where('name', 'like', 'standard %').delete();
    await trx('marks').insert({ name, at: new Date() }).onConflict('name').merge();
  });
}

/** All standard parts. */
export function standardCatalogue(): Catalogue {
  return { fittings: standardFittings(), hoses: standardHoses(), hoseEnds: standardHoseEnds(), supplies: standardSupplies() };
}

/** Those of some parts that the catalogue does not have, as new rows. A code that another part has already is left off. */
export async function missingParts(db: Knex, entries: readonly PartEntry[], origin: Origin): Promise<CataloguePart[]> {
  const lower = (said: string): string => said.toLowerCase();
  const known = new Set<string>();
  const codes = new Set<string>();
  for (const some of lots(entries.map(({ part }) => part))) {
    const ids = some.map(({ id }) => id);
    for (const id of await db('parts').whereIn('id', ids).pluck<string[]>('id')) known.add(lower(id));
    const asked = some.flatMap(({ code }) => code ?? []);
    if (asked.length > 0) for (const code of await db('offers').whereIn('code', asked).pluck<string[]>('code')) codes.add(lower(code));
  }
  return entries
    .filter(({ part }) => !known.has(lower(part.id)))
    .map((entry) => {
      const { code, ...rest } = entry.part;
      const part = code && codes.has(lower(code)) ? rest : entry.part;
      return { id: part.id, version: 1, origin, kind: entry.kind, part } as CataloguePart;
    });
}

/** Writes the given parts over those of the same id that are not so already, outside the history: how the demo gives the standard parts their sample prices. */
export async function replaceInCatalogue(trx: Knex.Transaction, entries: readonly PartEntry[], origin: Origin): Promise<void> {
  if (entries.length === 0) return;
  const there = new Map((await listPartRows(trx)).map((row) => [row.id, row]));
  const changed = entries.flatMap((entry) => {
    const row = there.get(entry.part.id);
    if (row === undefined || (row.origin === origin && isDeepStrictEqual(row.part, entry.part))) return [];
    return [{ type: 'part' as const, row: { id: entry.part.id, version: row.version, origin, ...entry } }];
  });
  await writeRows(trx, { made: [], changed, gone: [] });
}
