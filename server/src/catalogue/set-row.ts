import { noStoreRules, usualFlowRules, usualSealRules, usualWeights } from '@gewinde/core';
import type { Knex } from 'knex';
import type { Entity, Rows } from '../database/entities.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import type { Written } from '../history/change.js';

/** Rows of which the shop has one each, and what stands while nobody has set it. */
const usualRows = {
  weights: { id: 'chain-weights', weights: usualWeights, version: 0 },
  sealRules: { id: 'seal-rules', rules: usualSealRules, version: 0 },
  flowRules: { id: 'flow-rules', rules: usualFlowRules, version: 0 },
  storeRules: noStoreRules,
} as const;

/** @throws {AppError} conflict, with the row as it stands */
export async function setRow<T extends keyof typeof usualRows>(
  trx: Knex.Transaction,
  type: T,
  version: number,
  set: Partial<Rows[T]>,
  label: string,
): Promise<Written> {
  const usual = usualRows[type];
  const before = (await lockRows(trx, type, [usual.id])).get(usual.id);
  if ((before?.version ?? 0) !== version) throw new AppError('conflict', undefined, { current: before ?? usual });
  const row = { type, row: { ...usual, ...set, version: version + 1 } } as Entity;
  await writeRows(trx, { made: before ? [] : [row], changed: before ? [row] : [], gone: [] });
  return { label, before: before ? [{ type, row: before } as Entity] : [], after: [row] };
}
