import type { Knex } from 'knex';
import type { JsonText } from './json-text.js';

/** Work on the database that may take long. */
export type HeavyWork<Given extends unknown[], T> = (db: Knex, ...given: Given) => Promise<T>;

/** Where heavy work is done. */
export interface Heavy {
  /** @throws {AppError} as the work does; `server-busy` when too much of it waits already */
  run<Given extends unknown[], T>(work: HeavyWork<Given, T>, ...given: Given): Promise<T | JsonText<T>>;
  close(): Promise<void>;
}

/** In the same thread: for tests and tools that have nobody else to wait on them. */
export function heavyHere(db: Knex): Heavy {
  return { run: async (work, ...given) => work(db, ...given), close: async () => undefined };
}
