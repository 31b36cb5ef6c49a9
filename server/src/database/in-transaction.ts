import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';
import { isAway } from '../errors/away.js';

/** What the database says when two transactions stood in one another's way: neither did anything, so the loser may try again. */
const STOOD_IN_THE_WAY = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
/** For how long it does, ms. Over a cluster, many writers of one job stand in one another's way all the time. */
const PATIENCE_MS = 9000;

/** For how long it is asked what became of a commit that was cut off, ms, and how often. */
const FIND_OUT_MS = 3000;
const ASK_EVERY_MS = 100;

/**
 * Runs a piece of work in a transaction; where it lost to another one, runs it again. Where the database went away in the commit itself,
 * nobody knows whether it was made: the work is run again as soon as the database is back, and finds out, by its key, under its lock.
 *
 * @param work does nothing a second time: it knows what it has made by a key or an id
 * @throws {AppError} `database-busy` when it has lost again and again; `not-known` when the database does not come back after a cut commit
 */
export async function inTransaction<T>(db: Knex, work: (trx: Knex.Transaction) => Promise<T>, patienceMs = PATIENCE_MS): Promise<T> {
  const end = Date.now() + patienceMs;
  let cutOffAt: number | undefined;
  for (let attempt = 1; ; attempt++) {
    let worked = false;
    try {
      return await db.transaction(async (trx) => {
        worked = false;
        const done = await work(trx);
        worked = true;
        return done;
      });
    } catch (error) {
      if (worked || cutOffAt !== undefined) {
        // a fault of the work itself says what it says; one of the database leaves open what became of the commit
        if (!worked && !isAway(error) && !STOOD_IN_THE_WAY.has(codeOf(error))) throw error;
        cutOffAt ??= Date.now();
        if (Date.now() > cutOffAt + FIND_OUT_MS) throw new AppError('not-known');
        await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));
        continue;
      }
      if (!STOOD_IN_THE_WAY.has(codeOf(error))) throw error;
      if (Date.now() > end) throw new AppError('database-busy');
      await new Promise((resolve) => setTimeout(resolve, 12 * Math.min(attempt, 8) * (0.5 + Math.random())));
    }
  }
}

function codeOf(error: unknown): string {
  return String((error as { code?: unknown }).code);
}
