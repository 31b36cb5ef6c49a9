import type { Knex } from 'knex';
import { readShop, undoShop } from '../catalogue/catalogue-store.js';
import { exportList, importList, previewList } from '../catalogue/part-list.js';
import { catchUp } from '../jobs/catch-up.js';
import { planCutsOf, planOrdersOf, planSparesOf } from '../stockroom/plans.js';
import { importOffers, previewOffers } from '../stockroom/price-lists.js';
import { importJob } from '../transfer/import-job.js';
import type { JsonText } from './json-text.js';

/** Work that may take long: reading lists and files, telling everything at once, and working out plans. */
export const heavyWork = {
  readShop,
  undoShop,
  previewList,
  importList,
  exportList,
  importJob,
  catchUp,
  planCutsOf,
  planOrdersOf,
  planSparesOf,
  previewOffers,
  importOffers,
} as const;
export type HeavyWork = typeof heavyWork;
export type HeavyName = keyof HeavyWork;
type Rest<F> = F extends (db: Knex, ...rest: infer R) => unknown ? R : never;
type Result<F> = F extends (...given: never[]) => Promise<infer R> ? R : never;

/** Where heavy work is done. */
export interface Heavy {
  /** @throws {AppError} as the work does; `server-busy` when too much of it waits already */
  run<N extends HeavyName>(name: N, ...given: Rest<HeavyWork[N]>): Promise<Result<HeavyWork[N]> | JsonText<Result<HeavyWork[N]>>>;
  close(): Promise<void>;
}

/** In the same thread: for tests and tools that have nobody else to wait on them. */
export function heavyHere(db: Knex): Heavy {
  return {
    run: async (name, ...given) => (heavyWork[name] as (db: Knex, ...given: unknown[]) => Promise<never>)(db, ...given),
    close: async () => undefined,
  };
}
