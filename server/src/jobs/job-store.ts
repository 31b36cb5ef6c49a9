import type { Job } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { inTransaction } from '../database/in-transaction.js';
import { lockRows, writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';

/** A new, empty job; the same one when it is sent again. @throws {AppError} number-taken */
export async function createJob(db: Knex, fields: { id?: string; number: string; name: string; description?: string }): Promise<Job> {
  const { id = randomUUID(), number, name, description = '' } = fields;
  const updatedAt = new Date().toISOString();
  const row: Job = { id, number: number.trim(), name: name.trim(), description, archived: false, version: 1, updatedAt };
  return inTransaction(db, async (trx) => {
    const there = (await lockRows(trx, 'job', [id])).get(id);
    if (there) return there;
    await writeRows(trx, { made: [{ type: 'job', row }], changed: [], gone: [] }).catch((error: unknown) => {
      if ((error as { code?: string }).code === 'ER_DUP_ENTRY')
        throw new AppError('number-taken', `Job number ${row.number} is taken.`, { field: 'number' });
      throw error;
    });
    return row;
  });
}
