import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';

/** What the database says when two transactions stood in one another's way: neither did anything, so the loser may try again. */
const STOOD_IN_THE_WAY = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
/** For how long it does, ms. Over a cluster, many writers of one job stand in one another's way all the time. */
const PATIENCE_MS = 9000;

/**
 * Runs a piece of work in a transaction; where it lost to another one, runs it again.
 * @throws {AppError} `database-busy` when it has lost again and again
 */
export async function inTransaction<T>(db: Knex, work: (trx: Knex.Transaction) => Promise<T>, patienceMs = PATIENCE_MS): Promise<T> {
  const end = Date.now() + patienceMs;
  for (let attempt = 1; ; attempt++) {
    try {
      return await db.transaction(work);
    } catch (error) {
      if (!STOOD_IN_THE_WAY.has(String((error as { code?: unknown }).code))) throw error;
      if (Date.now() > end) throw new AppError('database-busy');
      await new Promise((resolve) => setTimeout(resolve, 12 * Math.min(attempt, 8) * (0.5 + Math.random())));
    }
  }
}
