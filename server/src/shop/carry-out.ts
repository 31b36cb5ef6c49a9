import { rowIds, runShopCommands, type ShopCommand, type ShopOutcome } from '@gewinde/core';
import type { Knex } from 'knex';
import type { Entity } from '../database/entities.js';
import { lots } from '../database/lots.js';
import { writeRows } from '../database/write-rows.js';
import type { Sender, Written } from '../history/change.js';
import { numbersMark, readAsAsked } from './read-as-asked.js';
import { today } from './today.js';

/** Carries commands out on what all jobs share: what they do is decided in the core, and written here. @throws {CommandError} */
export async function carryOut(
  trx: Knex.Transaction,
  commands: readonly ShopCommand[],
  { key }: Pick<Sender, 'key'>,
  now = new Date(),
): Promise<Written> {
  const outcome = await readAsAsked(trx, (ask) =>
    runShopCommands(commands, ask, { newId: rowIds(key), now: now.toISOString(), today: today(now) }),
  );
  await write(trx, outcome, now);
  const told = outcome.told.map((row): Entity => ({ type: 'part', row }));
  return { label: outcome.label, before: outcome.before, after: [...outcome.made, ...outcome.changed, ...told] };
}

async function write(
  trx: Knex.Transaction,
  { made, changed, gone, before, counted, movements, numbers }: ShopOutcome,
  at: Date,
): Promise<void> {
  await writeRows(trx, { made, changed, gone, was: before });
  const moved = movements.map((m) => ({
    part_id: m.part,
    quantity: m.by,
    reason: m.kind,
    at,
    job_id: m.jobId ?? null,
    by: m.who ?? null,
    note: m.note ?? null,
  }));
  for (const some of lots(moved)) await trx('stock_movements').insert(some);
  for (const some of lots(counted)) await trx('parts').whereIn('id', some).increment('version', 1);
  for (const [of, revision] of numbers)
    await trx('marks')
      .insert({ name: numbersMark(of), at, revision })
      .onConflict('name')
      .merge(['revision']);
}
