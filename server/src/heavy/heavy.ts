import type { Knex } from 'knex';
import type { JsonText } from './json-text.js';

/** Work on the database that may take long. */
export type HeavyWork<Given extends unknown[], T> = (db: Knex, ...given: Given) => Promise<T>;

/** Who asks for it: what many ask for is shared out by client, and what nobody waits for any more is not done. */
export interface Asker {
  readonly client: string;
  readonly gone?: AbortSignal;
}

/** The server itself: for what all pages need. */
export const OURSELVES: Asker = { client: 'the server' };

/** Where heavy work is done. */
export interface Heavy {
  /**
   * @throws {AppError} as the work does; `server-busy` when too much of it waits already, `too-many-requests` when too much of it is the
   * asker's, `took-too-long` when its time is over
   */
  run<Given extends unknown[], T>(work: HeavyWork<Given, T>, asker: Asker, ...given: Given): Promise<T | JsonText<T>>;
  close(): Promise<void>;
}

/** In the same thread: for tests and tools that have nobody else to wait on them. */
export function heavyHere(db: Knex): Heavy {
  return { run: async (work, _asker, ...given) => work(db, ...given), close: async () => undefined };
}
