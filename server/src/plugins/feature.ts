import type { Knex } from 'knex';

/** What every feature is given. */
export interface Feature {
  readonly db: Knex;
}
